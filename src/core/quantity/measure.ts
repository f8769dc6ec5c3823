/**
 * Measures as people type them (`12 lb 6 oz`, `-12 inHg`, `5 ft 6 in`, `3/8 in`, `1 h 30 min`) and the SI value
 * behind them. What was typed is kept beside the SI value; the local atmosphere turns gauge into absolute.
 */
import { type Result, ok, refused } from '../result';
import { SEA_LEVEL_PA } from './atmosphere';
import { parseMass } from './mass';
import type { Si } from './si';
import { type Dimension, UNITS, type Unit, type UnitOf, unitFact } from './units';

export interface Measure<D extends Dimension = Dimension> {
  /** as it was typed, without outer blanks */
  typed: string;
  /** in the dimension's SI unit; pressures absolute */
  si: Si<D>;
  /** the unit of the typed figure, of its first part when it had two */
  unit: string;
}

export type MeasureRefusal =
  | { reason: 'empty'; dimension: Dimension }
  | { reason: 'notAMeasure'; dimension: Dimension; text: string }
  | { reason: 'decimalComma'; dimension: Dimension; text: string }
  | { reason: 'unknownUnit'; dimension: Dimension; unit: string }
  | { reason: 'belowZero'; dimension: Dimension };

/** Larger and smaller unit that are said together. */
const PAIRS: Partial<Record<Dimension, readonly (readonly [string, string])[]>> = {
  length: [['ft', 'in']],
  duration: [
    ['d', 'h'],
    ['h', 'min'],
    ['min', 's'],
  ],
};
/** Of these, less than nothing does not exist: absolute pressure and temperature, sizes, amounts, times. */
const SIGNED: readonly Dimension[] = ['temperatureDifference', 'pressureDifference', 'number'];

const NUMBER = /^\s*([+-]?)\s*(?:(\d+)\s+(\d+)\/(\d+)|(\d+)\/(\d+)|(\d+\.?\d*|\.\d+))\s*/;

/**
 * SI of a figure in a unit; `atmospherePa` is read by gauge units only.
 * `toSi('pressure', 0, 'psig', 101325)` // => 101325
 */
export function toSi<D extends Dimension>(
  dimension: D,
  value: number,
  name: string,
  atmospherePa = SEA_LEVEL_PA,
): Si<D> {
  const unit = unitFact(dimension, name);
  // Below zero a compound gauge counts inches of mercury downwards, said with or without a minus.
  const counted = unit.factor < 0 ? Math.abs(value) : value;
  return zeroOf(unit, atmospherePa) + counted * unit.factor;
}

/**
 * The figure that an instrument in this unit shows.
 * `fromSi('temperature', 273.15, '°F')` // => 32
 */
export function fromSi<D extends Dimension>(
  dimension: D,
  si: Si<D>,
  name: string,
  atmospherePa = SEA_LEVEL_PA,
): number {
  const unit = unitFact(dimension, name);
  return (si - zeroOf(unit, atmospherePa)) / unit.factor;
}

const zeroOf = (unit: Unit, atmospherePa: number): number =>
  unit.zero === 'atmosphere' ? atmospherePa : unit.zero;

/**
 * Reads a measure; a bare number is in `bareUnit`. Two parts may stand together where people say them so
 * (`12 lb 6 oz`, `5 ft 6 in`, `1 h 30 min`). `parseMeasure('length', '5 ft 6 in', 'm')` has si 1.6764.
 */
export function parseMeasure<D extends Dimension>(
  dimension: D,
  text: string,
  bareUnit: UnitOf<D>,
  atmospherePa = SEA_LEVEL_PA,
): Result<Measure<D>, MeasureRefusal> {
  const typed = text.trim().replace(/[−–]/g, '-');
  if (typed === '') return refused({ reason: 'empty', dimension });
  if (/\d,\d/.test(typed)) return refused({ reason: 'decimalComma', dimension, text: typed });
  if (dimension === 'mass')
    return parsedMass(typed, bareUnit as UnitOf<'mass'>) as Result<Measure<D>, MeasureRefusal>;
  const parts = partsOf(dimension, typed, bareUnit);
  if (!parts.ok) return parts;
  const [first, second] = parts.value;
  if (!first || parts.value.length > 2 || (second && !paired(dimension, first.unit, second.unit)))
    return refused({ reason: 'notAMeasure', dimension, text: typed });
  const si =
    toSi(dimension, first.value, first.unit, atmospherePa) +
    (second ? toSi(dimension, second.value, second.unit, atmospherePa) : 0);
  if (!Number.isFinite(si)) return refused({ reason: 'notAMeasure', dimension, text: typed });
  if (si < 0 && !SIGNED.includes(dimension)) return refused({ reason: 'belowZero', dimension });
  return ok({ typed, si, unit: first.unit });
}

function parsedMass(typed: string, bareUnit: UnitOf<'mass'>): Result<Measure<'mass'>, MeasureRefusal> {
  const mass = parseMass(typed, bareUnit);
  if (mass.ok)
    return ok({ typed, si: toSi('mass', mass.value.value, mass.value.unit), unit: mass.value.unit });
  const { refusal } = mass;
  if (refusal.reason === 'negative') return refused({ reason: 'belowZero', dimension: 'mass' });
  if (refusal.reason === 'notAMass')
    return refused({ reason: 'notAMeasure', dimension: 'mass', text: typed });
  return refused({ ...refusal, dimension: 'mass' });
}

const paired = (dimension: Dimension, larger: string, smaller: string): boolean =>
  (PAIRS[dimension] ?? []).some((pair) => pair[0] === larger && pair[1] === smaller);

function partsOf(
  dimension: Dimension,
  typed: string,
  bareUnit: string,
): Result<{ value: number; unit: string }[], MeasureRefusal> {
  const parts: { value: number; unit: string }[] = [];
  let rest = typed;
  while (rest !== '') {
    const match = NUMBER.exec(rest);
    if (!match) return refused({ reason: 'notAMeasure', dimension, text: typed });
    rest = rest.slice(match[0].length);
    const known = spelledUnit(dimension, rest);
    if (!known && rest !== '') {
      const unit = /^[^\d\s]+/.exec(rest)?.[0];
      return unit
        ? refused({ reason: 'unknownUnit', dimension, unit })
        : refused({ reason: 'notAMeasure', dimension, text: typed });
    }
    parts.push({ value: figureOf(match), unit: known?.name ?? bareUnit });
    rest = rest.slice(known?.length ?? 0).trimStart();
  }
  return ok(parts);
}

function figureOf([, sign, whole, over, under, top, bottom, decimal]: RegExpExecArray): number {
  const size =
    decimal !== undefined
      ? Number(decimal)
      : whole !== undefined
        ? Number(whole) + Number(over) / Number(under)
        : Number(top) / Number(bottom);
  return sign === '-' ? -size : size;
}

/** The longest spelling that stands here and does not run on into another word. */
function spelledUnit(dimension: Dimension, text: string): { name: string; length: number } | null {
  const lower = text.toLowerCase();
  let best: { name: string; length: number } | null = null;
  for (const [name, { spellings }] of Object.entries(UNITS[dimension]) as [string, Unit][]) {
    for (const spelling of spellings) {
      if (!lower.startsWith(spelling) || /[a-z]/.test(lower.charAt(spelling.length))) continue;
      if (!best || spelling.length > best.length) best = { name, length: spelling.length };
    }
  }
  return best;
}

/** For reading only: the figure with the decimals of its unit, and the unit. */
export function measureText(
  dimension: Dimension,
  si: number,
  name: string,
  atmospherePa = SEA_LEVEL_PA,
): string {
  const { decimals } = unitFact(dimension, name);
  return `${figureText(fromSi(dimension, si, name, atmospherePa), decimals)}${name === '' ? '' : ` ${name}`}`;
}

const SCIENTIFIC_BELOW = 3;

/** Trailing noughts go, a true minus comes, and a figure too small for its decimals keeps three digits. */
export function figureText(value: number, decimals: number): string {
  const fixed = Number(value.toFixed(decimals));
  const short = fixed !== 0 && Math.abs(value) >= SCIENTIFIC_BELOW * 10 ** -decimals;
  const shown = short || value === 0 || !Number.isFinite(value) ? fixed : Number(value.toPrecision(3));
  const text =
    Math.abs(shown) >= 1e-4 || shown === 0
      ? shown.toLocaleString('en-US', { maximumFractionDigits: 10 })
      : shown.toExponential().replace('e-', ' × 10⁻').replace(/\d+$/, superscript);
  return text.replace('-', '−');
}

const superscript = (digits: string): string =>
  [...digits].map((digit) => '⁰¹²³⁴⁵⁶⁷⁸⁹'.charAt(Number(digit))).join('');
