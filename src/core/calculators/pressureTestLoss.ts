/** How long a section must stand under nitrogen to show a leak at work. */
import type { CubicMetres, Pascals } from '../quantity/si';
import { YEAR_S } from '../quantity/units';
import type { SaturationTable } from '../refrigerant/saturation';
import { refused } from '../result';
import { type Outcome, ROOM_K, calculated, figure, notPositive } from './calculated';
import { standingSeconds } from './pressureTest';
import { type Gauge, readingDoubt } from './pressureTestTail';
import { gasesOf } from './lossAsGas';

export interface HeldSection {
  table: SaturationTable;
  /** m³ of the section under test */
  volume: CubicMetres;
  /** Pa absolute: nitrogen in the test, refrigerant at work, the air outside */
  test: number;
  working: number;
  atmosphere: Pascals;
}

function badSection(section: HeldSection) {
  const bad = notPositive({ volume: section.volume });
  if (bad) return bad;
  for (const [field, given] of [
    ['test pressure', section.test],
    ['working pressure', section.working],
  ] as const) {
    if (!(given > section.atmosphere))
      return refused({ reason: 'notAboveAtmosphere' as const, field, given, atmosphere: section.atmosphere });
  }
  return null;
}

export interface StandingTime {
  /** s after which such a leak is found with 95 %, and a tight system cleared with 95 % */
  seconds: number;
  /** Pa/s, the slowest that such a leak can make */
  fall: number;
  /** Pa, one deviation of one reading */
  doubt: number;
}

/** How long this volume must stand to show a leak of `rate` kg/s of refrigerant at work, on this gauge. */
export function standingTime(section: HeldSection, rate: number, gauge: Gauge): Outcome<StandingTime> {
  const bad =
    badSection(section) ?? notPositive({ 'leak to be shown': rate, 'gauge division': gauge.resolution });
  if (bad) return bad;
  const fall = gasesOf({ ...section, testGas: 'nitrogen' }).fallOf(rate * YEAR_S);
  const doubt = readingDoubt({ at: 0, pressure: section.test, temperature: ROOM_K }, 1, gauge);
  const seconds = standingSeconds(doubt, fall);
  return calculated(
    { seconds, fall, doubt },
    {
      formula: 'time = 2 × 1.645 × √2 × doubt of a reading ÷ fall of pressure in the test',
      figures: [
        figure('volume', 'volume', section.volume),
        figure('leak to be shown', 'massRate', rate),
        figure('fall of pressure', 'pressureRate', fall),
        figure('doubt of one reading (one deviation)', 'pressureDifference', doubt),
        figure('time', 'duration', seconds),
      ],
      source:
        'dm/dt = V × dp/dt × M ÷ (R T); molecular and laminar flow of one fine leak, the slower fall of the two',
      validity:
        'An estimate: gas near 20 °C, within a factor of about two. Found with 95 %, and a tight section cleared with 95 %.',
    },
  );
}
