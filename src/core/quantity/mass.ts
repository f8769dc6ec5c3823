/**
 * Masses: what was typed (value and unit) and the exact grams behind it.
 * One table holds units, factors and spellings; parsing, printing and the file format read it.
 * Factors are exact by definition: 1 lb = 453.59237 g, 1 oz = lb/16.
 */
import { type Result, ok, refused } from '../result';
import { DECIMALS, halfUp, scaledDecimal } from './decimal';

export const MASS_UNITS = ['lb', 'oz', 'kg', 'g'] as const;
export type MassUnit = (typeof MASS_UNITS)[number];

/** A mass as it was typed. */
export interface Mass {
  value: number;
  unit: MassUnit;
  /** the text itself; what another program wrote there may be anything */
  'x-typed'?: unknown;
}

/** The text that was typed, where it was kept. */
export const typedText = (mass: Mass): string | null =>
  typeof mass['x-typed'] === 'string' ? mass['x-typed'] : null;

/** Exact mass: an integer count of 10^-40 g. */
export type ExactGrams = bigint & { readonly __unit: 'exactGrams' };

interface UnitFact {
  /** nanograms in one unit, an integer for each of the four */
  nanograms: bigint;
  spellings: readonly string[];
}

const UNITS = {
  lb: { nanograms: 453_592_370_000n, spellings: ['lb', 'lbs', 'pound', 'pounds', '#'] },
  oz: { nanograms: 28_349_523_125n, spellings: ['oz', 'ounce', 'ounces'] },
  kg: { nanograms: 1_000_000_000_000n, spellings: ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms'] },
  g: { nanograms: 1_000_000_000n, spellings: ['g', 'gr', 'gram', 'grams'] },
} as const satisfies Record<MassUnit, UnitFact>;

const NANO_PLACES = 9;
const PER_NANO = 10n ** BigInt(DECIMALS - NANO_PLACES);
const MICRO = 1e6;
const MAX_EXACT_MICRO = 1e15;
const PER_MICRO_UNIT = Object.fromEntries(
  MASS_UNITS.map((unit) => [unit, (UNITS[unit].nanograms * PER_NANO) / 1_000_000n]),
) as Record<MassUnit, bigint>;

/** `gramsIn('lb')` is 453.59237. */
export const gramsIn = (unit: MassUnit): number => Number(UNITS[unit].nanograms) / 1e9;

export const NO_MASS = 0n as ExactGrams;

/** Exact grams of a mass as typed. `exactGrams({ value: 50, unit: 'lb' })` is 22679.6185 g. */
export function exactGrams(mass: Mass): ExactGrams {
  // The fold runs this for every entry: the short path spares it the power of ten.
  const micro = Math.round(mass.value * MICRO);
  if (micro < MAX_EXACT_MICRO && micro / MICRO === mass.value) {
    return (BigInt(micro) * PER_MICRO_UNIT[mass.unit]) as ExactGrams;
  }
  const places = DECIMALS - NANO_PLACES;
  return (scaledDecimal(mass.value, places) * UNITS[mass.unit].nanograms) as ExactGrams;
}

const FOUR_PLACES = 10n ** BigInt(DECIMALS - 4);

/** Grams with 4 decimals, halves up on the exact value, as the documents give them. */
export function grams(exact: ExactGrams): number {
  return Number(halfUp(exact, FOUR_PLACES)) / 1e4;
}

/** The same mass in another unit, with 4 decimals, halves up: `inUnit(exactGrams({ value: 1, unit: 'kg' }), 'lb')` is 2.2046. */
export function inUnit(exact: ExactGrams, unit: MassUnit): number {
  return Number(halfUp(exact * 10_000n, UNITS[unit].nanograms * PER_NANO)) / 1e4;
}

/** Grams with 9 decimals, rounded down: what may still be added is never said too large. */
export const gramsDown = (exact: ExactGrams): number => Number(exact / PER_NANO) / 1e9;

export type MassRefusal =
  | { reason: 'empty' }
  | { reason: 'notAMass'; text: string }
  | { reason: 'decimalComma'; text: string }
  | { reason: 'unknownUnit'; unit: string }
  | { reason: 'negative' };

const PART = /^\s*([+-]?(?:\d+\.?\d*|\.\d+))\s*([a-z#]*)\.?\s*/i;

/**
 * Reads a mass as people type it: `12.5` (in the given unit), `12 lb 6 oz`, `5.4 kg`.
 * Pounds and ounces become one figure in pounds, exactly (an ounce is a sixteenth).
 * `parseMass('12 lb 6 oz', 'lb').value` // => { value: 12.375, unit: 'lb' }
 */
export function parseMass(text: string, bareUnit: MassUnit): Result<Mass, MassRefusal> {
  let rest = text.trim();
  if (rest === '') return refused({ reason: 'empty' });
  if (/\d,\d/.test(rest)) return refused({ reason: 'decimalComma', text: rest });
  const parts: { value: number; unit: MassUnit }[] = [];
  while (rest !== '') {
    const match = PART.exec(rest);
    if (!match) return refused({ reason: 'notAMass', text });
    const unit = match[2] ? unitOf(match[2]) : bareUnit;
    if (!unit) return refused({ reason: 'unknownUnit', unit: match[2] ?? '' });
    parts.push({ value: Number(match[1]), unit });
    if (!match[2] && rest.length > match[0].length) return refused({ reason: 'notAMass', text });
    rest = rest.slice(match[0].length);
  }
  const [first, second] = parts;
  if (!first || parts.some((part) => !Number.isFinite(part.value)))
    return refused({ reason: 'notAMass', text });
  if (parts.some((part) => part.value < 0 || Object.is(part.value, -0)))
    return refused({ reason: 'negative' });
  if (!second) return ok(first);
  if (parts.length > 2 || first.unit !== 'lb' || second.unit !== 'oz' || second.value >= 16) {
    return refused({ reason: 'notAMass', text });
  }
  const tenBillionthPounds = scaledDecimal(first.value, 10) + scaledDecimal(second.value, 10) / 16n;
  return ok({ value: Number(tenBillionthPounds) / 1e10, unit: 'lb' });
}

function unitOf(spelling: string): MassUnit | undefined {
  const lower = spelling.toLowerCase();
  return MASS_UNITS.find((unit) => (UNITS[unit].spellings as readonly string[]).includes(lower));
}

export type MassSystem = 'pounds' | 'kilograms';

/**
 * Prints grams for people: pounds and ounces (whole pounds from 100 lb, ounces to a tenth below 1 lb),
 * or kilograms and grams. For reading only; nothing is computed from the text.
 * `massText(5443.1084, 'pounds')` // => '12 lb'
 */
export function massText(gramsValue: number, system: MassSystem): string {
  const sign = gramsValue < 0 ? '−' : '';
  const size = Math.abs(gramsValue);
  if (system === 'kilograms') {
    if (size < 1000) return `${sign}${trimmed(size, size < 10 ? 1 : 0)} g`;
    return `${sign}${trimmed(size / 1000, size < 100_000 ? 2 : 1)} kg`;
  }
  const pounds = size / gramsIn('lb');
  if (pounds >= 100) return `${sign}${trimmed(pounds, 1)} lb`;
  const tenthOunces = Math.round(pounds * 160);
  if (tenthOunces < 160) return `${sign}${trimmed(tenthOunces / 10, 1)} oz`;
  const ounces = Math.round(pounds * 16);
  return ounces % 16 === 0
    ? `${sign}${String(ounces / 16)} lb`
    : `${sign}${String(Math.floor(ounces / 16))} lb ${String(ounces % 16)} oz`;
}

/** Steps in which `massText` prints a mass, in tenths of a nanogram. */
function printedStep(size: number, system: MassSystem): bigint {
  const tenthsOf = (unit: MassUnit): bigint => UNITS[unit].nanograms * 10n;
  if (system === 'kilograms')
    return size < 10
      ? tenthsOf('g') / 10n
      : size < 1000
        ? tenthsOf('g')
        : tenthsOf('kg') / (size < 100_000 ? 100n : 10n);
  const pounds = size / gramsIn('lb');
  return pounds >= 100 ? tenthsOf('lb') / 10n : pounds < 1 ? tenthsOf('oz') / 10n : tenthsOf('oz');
}

/**
 * What may still be added, for people: rounded down in the unit shown, so that typing it never exceeds. Grams from `gramsDown`.
 * `roomText(816.4662, 'pounds')` // => '1 lb 12 oz'
 */
export function roomText(gramsValue: number, system: MassSystem): string {
  const step = printedStep(gramsValue, system);
  const tenths = BigInt(Math.round(gramsValue * 1e9)) * 10n;
  return massText(Number((tenths / step) * step) / 1e10, system);
}

const trimmed = (value: number, decimals: number): string => String(Number(value.toFixed(decimals)));
