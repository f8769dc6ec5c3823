/** Numbers and weights as lists have them: decimal comma or point, thousands apart, the unit in the cell, a column beside, or the heading. */
import { type Mass, type MassUnit, parseMass } from '../core/quantity/mass';
import { type Result, ok, refused } from '../core/result';
import type { Cell } from './cells';

export type DecimalMark = ',' | '.';

const GROUPED_BY_POINT = /\d\.\d{3}(?:\D|$)/;
const COMMA_DECIMAL = /\d,\d{1,2}(?:\D|$)|\d,\d{4,}|(?:^|\D)0,\d/;
const POINT_DECIMAL = /\d\.\d{1,2}(?:\D|$)|\d\.\d{4,}|(?:^|\D)0\.\d/;

/** Which mark stands before decimals in a column; null: no cell says it. */
export function decimalMarkOf(cells: readonly Cell[]): DecimalMark | null {
  const texts = cells.filter(({ type }) => type === 'text').map(({ text }) => text);
  if (texts.some((text) => COMMA_DECIMAL.test(text) || (text.includes(',') && GROUPED_BY_POINT.test(text))))
    return ',';
  return texts.some((text) => POINT_DECIMAL.test(text)) ? '.' : null;
}

const LOOKS_AMBIGUOUS = /^\D*\d{1,3},\d{3}\D*$/;

/** A number with a point, without what sets thousands apart. `1,250` is a thousand only where the column says so. */
export function plainNumber(text: string, mark: DecimalMark | null): Result<string, 'ambiguous'> {
  const apart = text.replace(/(?<=\d)[\s'’\u00a0\u202f](?=\d{3}(?:\D|$))/g, '');
  if (mark === ',') return ok(apart.replace(/\.(?=\d{3}(?:\D|$))/g, '').replace(/(?<=\d),(?=\d)/g, '.'));
  if (mark === null && LOOKS_AMBIGUOUS.test(apart)) return refused('ambiguous');
  return ok(apart.replace(/(?<=\d),(?=\d{3}(?:\D|$))/g, '').replace(/(?<=\d),(?=\d)/g, '.'));
}

const NOT_WEIGHED =
  /^(?:not (?:weighed|recorded|known)|unknown|no scale|n\/?a|n\.a\.|nobody weighed|\?+|-+|–)(?![\w.])[:;,. ]*(.*)$/i;

/** Why there is no weight, if this says that nobody weighed; empty where it gives no reason. */
export const notWeighedIn = (text: string): string | null => {
  const found = NOT_WEIGHED.exec(text.trim());
  return found ? (found[1] ?? '').trim() : null;
};

export type AmountFault = 'empty' | 'ambiguous' | 'noUnit' | 'negative' | 'unknownUnit' | 'notAMass';

/** `unit`: that of the column or of the cell beside; null: only what the cell itself says counts. */
export function readAmount(
  cell: Cell,
  unit: MassUnit | null,
  mark: DecimalMark | null,
): Result<Mass, AmountFault> {
  if (cell.text.trim() === '') return refused('empty');
  const number = cell.type === 'number' ? ok<string>(cell.text) : plainNumber(cell.text, mark);
  if (!number.ok) return number;
  const bare = /^[+-]?[\d.]+$/.test(number.value.trim());
  if (bare && unit === null) return refused('noUnit');
  // Two figures that share their unit in words are one weight: `12 lb 6 oz`.
  const read = parseMass(number.value, unit ?? 'kg');
  if (read.ok) return ok(read.value);
  switch (read.refusal.reason) {
    case 'negative':
    case 'unknownUnit':
      return refused(read.refusal.reason);
    default:
      return refused('notAMass');
  }
}

const UNIT_WORDS: Readonly<Record<string, MassUnit>> = {
  lb: 'lb',
  lbs: 'lb',
  pound: 'lb',
  pounds: 'lb',
  oz: 'oz',
  ounce: 'oz',
  ounces: 'oz',
  kg: 'kg',
  kgs: 'kg',
  kilo: 'kg',
  kilos: 'kg',
  kilogram: 'kg',
  kilograms: 'kg',
  g: 'g',
  gram: 'g',
  grams: 'g',
  gr: 'g',
};

/** A unit of mass by how it is written; null: none of ours. */
export const massUnitOf = (text: string): MassUnit | null =>
  UNIT_WORDS[text.trim().toLowerCase().replace(/\.$/, '')] ?? null;

/** The unit that a heading names: `Added (lb)`, `Charge, kg`. */
export function unitInHeading(heading: string): MassUnit | null {
  for (const word of heading.split(/[^A-Za-z]+/).reverse()) {
    const unit = word === '' ? null : massUnitOf(word);
    if (unit) return unit;
  }
  return null;
}
