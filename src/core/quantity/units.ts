/**
 * Units that people of the trade read and type, per dimension, with their exact factors to SI.
 * Pressures are Pa absolute inside; a gauge unit counts from the local atmosphere, `inHg` downwards from it.
 * Factors: 1 psi = 6894.757293168 Pa, 1 inHg = 3386.389 Pa, 1 micron = 0.1333223684 Pa, 1 in = 25.4 mm,
 * 1 gal (US) = 231 in³, 1 lb = 453.59237 g, T(K) = T(°C) + 273.15.
 */
export interface Unit {
  /** SI per unit; negative for a scale that counts downwards */
  factor: number;
  /** SI value at zero of the scale, or the local atmosphere */
  zero: number | 'atmosphere';
  spellings: readonly string[];
  /** decimals that an instrument of the trade can show */
  decimals: number;
}

const PSI_PA = 6894.757293168;
const INHG_PA = 3386.389;
const INCH_M = 0.0254;
const CUBIC_INCH_M3 = INCH_M ** 3;
const CUBIC_FOOT_M3 = 1728 * CUBIC_INCH_M3;
const POUND_KG = 0.45359237;
/** a year of 365 days, as the leak rates of the rules count it */
export const YEAR_S = 365 * 86_400;
/** K */
export const ZERO_CELSIUS = 273.15;
/** m³ */
export const LITRE = 1e-3;
/** Pa */
export const MICRON = 0.1333223684;

const unit = (factor: number, decimals: number, ...spellings: string[]): Unit => ({
  factor,
  zero: 0,
  spellings,
  decimals,
});
const gauge = (factor: number, decimals: number, ...spellings: string[]): Unit => ({
  factor,
  zero: 'atmosphere',
  spellings,
  decimals,
});

export const UNITS = {
  pressure: {
    psig: gauge(PSI_PA, 1, 'psig', 'psi', '#'),
    inHg: gauge(-INHG_PA, 1, 'inhg', 'in hg', '"hg'),
    bar: gauge(1e5, 2, 'bar', 'barg', 'bar g'),
    kPa: gauge(1e3, 0, 'kpa', 'kpag'),
    psia: unit(PSI_PA, 1, 'psia'),
    bara: unit(1e5, 3, 'bara', 'bar a'),
  },
  pressureDifference: {
    psi: unit(PSI_PA, 2, 'psi', 'psid', 'psig'),
    bar: unit(1e5, 3, 'bar'),
    kPa: unit(1e3, 1, 'kpa'),
  },
  vacuum: {
    micron: unit(MICRON, 0, 'micron', 'microns', 'µm', 'um', 'µ', 'mtorr'),
    mbar: unit(100, 3, 'mbar', 'hpa'),
    Pa: unit(1, 1, 'pa'),
    torr: unit(133.3223684, 3, 'torr', 'mmhg'),
  },
  temperature: {
    '°F': {
      factor: 5 / 9,
      zero: ZERO_CELSIUS - 160 / 9,
      spellings: ['°f', 'f', 'deg f', 'degf'],
      decimals: 1,
    },
    '°C': { factor: 1, zero: ZERO_CELSIUS, spellings: ['°c', 'c', 'deg c', 'degc'], decimals: 1 },
    K: unit(1, 2, 'k'),
  },
  temperatureDifference: {
    '°F': unit(5 / 9, 1, '°f', 'f', 'deg f', 'f°'),
    K: unit(1, 1, 'k', '°c', 'c', 'deg c'),
  },
  length: {
    ft: unit(12 * INCH_M, 1, 'ft', 'foot', 'feet', "'"),
    in: unit(INCH_M, 3, 'in', 'inch', 'inches', '"'),
    m: unit(1, 2, 'm', 'metre', 'metres', 'meter', 'meters'),
    cm: unit(0.01, 1, 'cm'),
    mm: unit(1e-3, 2, 'mm'),
  },
  volume: {
    gal: unit(231 * CUBIC_INCH_M3, 2, 'gal', 'gallon', 'gallons'),
    'ft³': unit(CUBIC_FOOT_M3, 3, 'ft3', 'ft³', 'cu ft', 'cf'),
    'in³': unit(CUBIC_INCH_M3, 1, 'in3', 'in³', 'cu in'),
    L: unit(1e-3, 2, 'l', 'litre', 'litres', 'liter', 'liters'),
    'cm³': unit(1e-6, 1, 'cm3', 'cm³', 'ml', 'cc'),
  },
  flow: {
    cfm: unit(CUBIC_FOOT_M3 / 60, 1, 'cfm', 'ft3/min'),
    'L/s': unit(1e-3, 2, 'l/s'),
    'm³/h': unit(1 / 3600, 1, 'm3/h', 'm³/h'),
  },
  duration: {
    d: unit(86_400, 1, 'd', 'day', 'days'),
    h: unit(3600, 1, 'h', 'hr', 'hrs', 'hour', 'hours'),
    min: unit(60, 1, 'min', 'mins', 'minute', 'minutes'),
    s: unit(1, 0, 's', 'sec', 'secs', 'second', 'seconds'),
  },
  mass: {
    lb: unit(POUND_KG, 2, 'lb'),
    oz: unit(POUND_KG / 16, 1, 'oz'),
    kg: unit(1, 3, 'kg'),
    g: unit(1e-3, 1, 'g'),
  },
  density: {
    'lb/ft³': unit(POUND_KG / CUBIC_FOOT_M3, 2, 'lb/ft3', 'lb/ft³'),
    'kg/m³': unit(1, 2, 'kg/m3', 'kg/m³'),
    'kg/L': unit(1000, 3, 'kg/l'),
  },
  massRate: {
    'lb/yr': unit(POUND_KG / YEAR_S, 3, 'lb/yr', 'lb/year'),
    'oz/yr': unit(POUND_KG / 16 / YEAR_S, 2, 'oz/yr', 'oz/year'),
    'kg/yr': unit(1 / YEAR_S, 3, 'kg/yr', 'kg/year'),
    'g/yr': unit(1e-3 / YEAR_S, 1, 'g/yr', 'g/year'),
  },
  throughput: {
    'Pa·m³/s': unit(1, 8, 'pa m3/s', 'pa·m³/s', 'pa·m3/s'),
    'mbar·L/s': unit(0.1, 7, 'mbar l/s', 'mbar·l/s'),
  },
  pressureRate: {
    'psi/h': unit(PSI_PA / 3600, 3, 'psi/h'),
    'kPa/h': unit(1e3 / 3600, 3, 'kpa/h'),
  },
  vacuumRate: {
    'micron/min': unit(MICRON / 60, 1, 'micron/min', 'microns/min'),
    'Pa/min': unit(1 / 60, 3, 'pa/min'),
  },
  /** money for a kilogram */
  gasPrice: {
    'a lb': unit(1 / POUND_KG, 2, 'a lb', '/lb'),
    'a kg': unit(1, 2, 'a kg', '/kg'),
  },
  share: { '%': unit(0.01, 1, '%', 'percent') },
  bubbleRate: { 'bubbles/min': unit(1 / 60, 1, 'bubbles/min', '/min') },
  current: { A: unit(1, 1, 'a', 'amp', 'amps') },
  number: { '': unit(1, 2) },
} as const satisfies Record<string, Record<string, Unit>>;

export type Dimension = keyof typeof UNITS;
export type UnitOf<D extends Dimension> = keyof (typeof UNITS)[D] & string;

/** Gauge units that the open format writes (see the logbook's `pressure`). */
export const GAUGE_UNITS = ['psig', 'bar', 'kPa', 'inHg'] as const satisfies UnitOf<'pressure'>[];

export function unitFact(dimension: Dimension, name: string): Unit {
  const found = (UNITS[dimension] as Record<string, Unit>)[name];
  if (!found) throw new Error(`No unit ${name} of ${dimension}: take one of UNITS.${dimension}.`);
  return found;
}
