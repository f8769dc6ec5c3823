/** From the fall of a standing test to gas a year in service, and back: how long must it stand? */
import type { CubicMetres, Pascals } from '../quantity/si';
import type { SaturationTable } from '../refrigerant/saturation';
import { refused } from '../result';
import { NITROGEN_MOLAR_MASS, type Outcome, ROOM_K, calculated, figure, notPositive } from './calculated';
import { type Gauge, holdDoubt } from './hold';
import {
  NITROGEN_VISCOSITY,
  type Passage,
  massRate,
  scaledThroughput,
  throughputOf,
  vapourViscosity,
} from './vapourFlow';

export interface HeldSection {
  table: SaturationTable;
  /** m³ of the section under test */
  volume: CubicMetres;
  /** Pa absolute: nitrogen in the test, refrigerant at work, the air outside */
  test: number;
  working: number;
  atmosphere: Pascals;
}

const SOURCE = 'dm/dt = V × dp/dt × M ÷ (R T); laminar flow, q ∝ (p₁² − p₂²) ÷ viscosity';
const VALIDITY = 'An estimate: laminar flow of one fine leak, gas near 20 °C; within a factor of about two.';

function passages(section: HeldSection): { nitrogen: Passage; service: Passage } {
  const { test, working, atmosphere, table } = section;
  return {
    nitrogen: { inside: test, outside: atmosphere, viscosity: NITROGEN_VISCOSITY },
    service: { inside: working, outside: atmosphere, viscosity: vapourViscosity(table.name) },
  };
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

export interface HoldLoss {
  /** Pa·m³/s of nitrogen in the test, of refrigerant at work */
  testThroughput: number;
  serviceThroughput: number;
  /** kg/s of nitrogen, of refrigerant */
  nitrogen: number;
  refrigerant: number;
}

/** `fall` in Pa/s, positive. The loss of nitrogen is exact for its volume, that of refrigerant an estimate. */
export function holdLoss(section: HeldSection, fall: number): Outcome<HoldLoss> {
  const bad = badSection(section) ?? notPositive({ 'fall of pressure': fall });
  if (bad) return bad;
  const { nitrogen, service } = passages(section);
  const testThroughput = section.volume * fall;
  const serviceThroughput = scaledThroughput(testThroughput, nitrogen, service);
  const value: HoldLoss = {
    testThroughput,
    serviceThroughput,
    nitrogen: massRate(testThroughput, NITROGEN_MOLAR_MASS),
    refrigerant: massRate(serviceThroughput, section.table.molarMass_kg_mol),
  };
  return calculated(value, {
    formula:
      'q = V × dp/dt; q at work = q × (p_w² − p_a²) ÷ (p_t² − p_a²) × viscosity of nitrogen ÷ of the vapour',
    figures: [
      figure('volume', 'volume', section.volume),
      figure('fall of pressure', 'pressureRate', fall),
      figure('leak in the test', 'throughput', testThroughput),
      figure('leak at work', 'throughput', serviceThroughput),
      figure('refrigerant', 'massRate', value.refrigerant),
    ],
    source: SOURCE,
    validity: VALIDITY,
  });
}

/** Pa/s by which this section falls in the test for a leak of `rate` kg/s of refrigerant at work. */
export function fallFor(section: HeldSection, rate: number): number {
  const { nitrogen, service } = passages(section);
  const throughput = throughputOf(rate, section.table.molarMass_kg_mol);
  return scaledThroughput(throughput, service, nitrogen) / section.volume;
}

export interface StandingTime {
  /** s until the fall is larger than the doubt */
  seconds: number;
  fall: number;
  doubt: number;
}

/** How long this volume must stand to show a leak of `rate` kg/s of refrigerant at work, on this gauge. */
export function standingTime(section: HeldSection, rate: number, gauge: Gauge): Outcome<StandingTime> {
  const bad =
    badSection(section) ?? notPositive({ 'leak to be shown': rate, 'gauge division': gauge.resolution });
  if (bad) return bad;
  const fall = fallFor(section, rate);
  const doubt = holdDoubt(section.test, ROOM_K, 1, gauge);
  return calculated(
    { seconds: doubt / fall, fall, doubt },
    {
      formula: 'time = doubt of gauge and temperature ÷ fall of pressure in the test',
      figures: [
        figure('volume', 'volume', section.volume),
        figure('leak to be shown', 'massRate', rate),
        figure('fall of pressure', 'pressureRate', fall),
        figure('doubt, either way', 'pressureDifference', doubt),
        figure('time', 'duration', doubt / fall),
      ],
      source: SOURCE,
      validity: VALIDITY,
    },
  );
}
