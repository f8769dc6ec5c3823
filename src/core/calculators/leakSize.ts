/**
 * One leak in all the ways people see it. Inside it is a mass rate, kg/s of refrigerant at its working pressure; every
 * other view names what it assumes (charge, gas, pressure, volume, bubble). Pa absolute, m, m³.
 */
import type { CubicMetres, Kilograms, Pascals } from '../quantity/si';
import type { SaturationTable } from '../refrigerant/saturation';
import { YEAR_S } from '../quantity/units';
import { ok, refused } from '../result';
import {
  type CalculatorRefusal,
  type Calculated,
  GAS_CONSTANT,
  type Outcome,
  ROOM_K,
  calculated,
  figure,
  notPositive,
} from './calculated';
import {
  AIR_VISCOSITY,
  NITROGEN_VISCOSITY,
  type Passage,
  massRate,
  scaledThroughput,
  throughputOf,
  vapourViscosity,
} from './vapourFlow';

export interface LeakSetting {
  table: SaturationTable;
  /** kg */
  fullCharge: Kilograms;
  /** at the leak while the machine works */
  working: number;
  atmosphere: Pascals;
  /** bubble's diameter under soap, m */
  bubble: number;
  /** the section and its nitrogen pressure in a hold */
  volume: CubicMetres;
  test: number;
}

/** What one leak looks like; rates per second, SI. */
export interface LeakViews {
  /** kg/s */
  mass: number;
  /** share of the full charge a second */
  share: number;
  /** Pa·m³/s of refrigerant at work */
  throughput: number;
  /** bubbles a second under soap at work */
  bubbles: number;
  /** Pa/s in a hold with nitrogen at `test` */
  hold: number;
  /** Pa/s under vacuum, air coming in */
  vacuum: number;
}
export type LeakView = keyof LeakViews;
export const LEAK_VIEWS = [
  'mass',
  'share',
  'throughput',
  'bubbles',
  'hold',
  'vacuum',
] as const satisfies LeakView[];

/** What each view is for a leak of 1 kg/s: all views are proportional to the mass rate. */
function perMass(setting: LeakSetting): LeakViews {
  const { table, working, atmosphere, test, volume, bubble } = setting;
  const service: Passage = { inside: working, outside: atmosphere, viscosity: vapourViscosity(table.name) };
  const nitrogen: Passage = { inside: test, outside: atmosphere, viscosity: NITROGEN_VISCOSITY };
  const inward: Passage = { inside: atmosphere, outside: 0, viscosity: AIR_VISCOSITY };
  const throughput = throughputOf(1, table.molarMass_kg_mol);
  // Under soap the gas has come out: it stands at the pressure of the air.
  const outside = (atmosphere * table.molarMass_kg_mol) / (GAS_CONSTANT * ROOM_K);
  return {
    mass: 1,
    share: 1 / setting.fullCharge,
    throughput,
    bubbles: 1 / ((Math.PI / 6) * bubble ** 3 * outside),
    hold: scaledThroughput(throughput, service, nitrogen) / volume,
    vacuum: scaledThroughput(throughput, service, inward) / volume,
  };
}

function badSetting(setting: LeakSetting): { ok: false; refusal: CalculatorRefusal } | null {
  const { fullCharge, bubble, volume, working, test, atmosphere } = setting;
  const bad = notPositive({ 'full charge': fullCharge, bubble, volume, 'local atmosphere': atmosphere });
  if (bad) return bad;
  for (const [field, given] of Object.entries({ 'working pressure': working, 'test pressure': test }))
    if (!(given > atmosphere)) return refused({ reason: 'notAboveAtmosphere', field, given, atmosphere });
  return null;
}

/** All views of a leak of which one is known: `value` in the SI unit of `view`. */
export function leakSize(setting: LeakSetting, view: LeakView, value: number): Outcome<LeakViews> {
  const bad = badSetting(setting) ?? notPositive({ leak: value });
  if (bad) return bad;
  const unit = perMass(setting);
  const mass = value / unit[view];
  const views = Object.fromEntries(
    LEAK_VIEWS.map((each) => [each, unit[each] * mass]),
  ) as unknown as LeakViews;
  return calculated(views, {
    formula:
      'mass = q M ÷ (R T); bubbles = mass ÷ (π/6 d³ × gas density); hold and vacuum by laminar flow, q ∝ (p₁² − p₂²) ÷ viscosity',
    figures: [
      figure('full charge', 'mass', setting.fullCharge),
      figure('pressure at the leak at work', 'pressure', setting.working),
      figure('bubble', 'length', setting.bubble),
      figure('volume in the hold', 'volume', setting.volume),
      figure('nitrogen in the hold', 'pressure', setting.test),
      figure('viscosity of the vapour, µPa·s', 'number', vapourViscosity(setting.table.name) * 1e6),
      figure('refrigerant', 'massRate', mass),
    ],
    source: 'Ideal gas at 20 °C; laminar flow; bubble as a ball',
    validity:
      'Percent, mass and throughput agree exactly. Bubbles, hold and vacuum are estimates within a factor of about two: leaks are not all laminar, and bubbles differ.',
  });
}

const DETECTION_METHODS = ['soap', 'heatedDiode', 'standingGauge'] as const;
export type DetectionMethod = (typeof DETECTION_METHODS)[number];

/** Pa·m³/s under soap: 1e−4 mbar·L/s */
const SOAP_THROUGHPUT = 1e-5;
/** kg/s: 5 g a year, the weaker end of 3 to 5 */
const DIODE_RATE = 0.005 / YEAR_S;

export interface Sight {
  method: DetectionMethod;
  /** kg/s of refrigerant at work: the smallest leak it shows */
  smallest: number;
  sees: boolean;
}

/** Which methods could see a leak of `mass` kg/s; `holdFall` Pa/s is the smallest fall that the hold can show. */
export function sightings(
  setting: LeakSetting,
  mass: number,
  holdFall: number,
): { ok: true; value: Calculated<readonly Sight[]> } | { ok: false; refusal: CalculatorRefusal } {
  const bad = badSetting(setting) ?? notPositive({ leak: mass, 'fall that the gauge shows': holdFall });
  if (bad) return bad;
  const smallest: Record<DetectionMethod, number> = {
    soap: massRate(SOAP_THROUGHPUT, setting.table.molarMass_kg_mol),
    heatedDiode: DIODE_RATE,
    standingGauge: holdFall / perMass(setting).hold,
  };
  const value = DETECTION_METHODS.map((method) => ({
    method,
    smallest: smallest[method],
    sees: mass >= smallest[method],
  }));
  return ok({
    value,
    working: {
      formula: 'seen when the leak is at least the smallest that the method shows',
      figures: value.map((each) => figure(each.method, 'massRate', each.smallest)),
      source: 'Soap about 1e−4 mbar·L/s; heated diode 3 to 5 g a year; standing gauge as computed',
      validity:
        'With pressure at the joint, still air, patience and a clean place; wind, ice and housings hide.',
    },
  });
}
