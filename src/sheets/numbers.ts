/** Numbers and weights as lists have them: decimal comma or point, thousands apart, the unit in the cell, a column beside, or the heading. */
import { type Mass, type MassUnit, parseMass } from '../core/quantity/mass';
import { type Result, ok, refused } from '../core/result';
import type { Cell } from './cells';

export type DecimalMark = ',' | '.';

/** What sets thousands apart without being a mark of decimals: blanks and apostrophes. */
const APART = /(?<=\d)[\s'’\u00a0\u202f](?=\d{3}(?:\D|$))/g;
const FIGURES = /\d[\d.,]*/g;

/** What one figure says of its marks by itself. */
interface Marks {
  /** the mark before its decimals; null: it has none */
  decimal: DecimalMark | null;
  /** the mark that sets its thousands apart */
  thousands: DecimalMark | null;
  /** `1,250` or `1.250`: the one mark in it may be either */
  either: DecimalMark | null;
}

const other = (mark: DecimalMark): DecimalMark => (mark === ',' ? '.' : ',');

function marksOf(figure: string): Marks {
  const marks = figure.replace(/[.,]+$/, '').replace(/\d/g, '');
  const last = marks.at(-1) as DecimalMark | undefined;
  if (last === undefined) return { decimal: null, thousands: null, either: null };
  if (marks.includes(other(last))) return { decimal: last, thousands: other(last), either: null };
  if (marks.length > 1) return { decimal: null, thousands: last, either: null };
  const [whole = '', after = ''] = figure.split(last);
  return after.length === 3 && /^[1-9]\d{0,2}$/.test(whole)
    ? { decimal: null, thousands: null, either: last }
    : { decimal: last, thousands: null, either: null };
}

/** Which mark stands before decimals in a column; null: no cell says it, or two contradict each other. */
export function decimalMarkOf(cells: readonly Cell[]): DecimalMark | null {
  const said = new Set<DecimalMark>();
  for (const { text, type } of cells) {
    if (type !== 'text' || !/\d[.,]\d/.test(text) || /\d[/.-]\d{1,2}[/.-]\d/.test(text)) continue;
    for (const [figure] of text.replace(APART, '').matchAll(FIGURES)) {
      const { decimal, thousands } = marksOf(figure);
      if (decimal) said.add(decimal);
      else if (thousands) said.add(other(thousands));
    }
  }
  const [only] = said;
  return said.size === 1 ? (only ?? null) : null;
}

/**
 * A number with a point, without what sets thousands apart. Each figure says by itself what its marks are; `1,250` and
 * `1.250` may be read two ways, and are what the column says.
 */
export function plainNumber(text: string, mark: DecimalMark | null): Result<string, 'ambiguous'> {
  let ambiguous = false;
  const plain = text.replace(APART, '').replace(FIGURES, (given) => {
    const figure = given.replace(/[.,]+$/, '');
    const { decimal, thousands, either } = marksOf(figure);
    if (either !== null && mark === null) ambiguous = true;
    const before = either === null ? decimal : either === mark ? either : null;
    const apart = either === null ? thousands : either === mark ? null : either;
    const joined = apart === null ? figure : figure.replaceAll(apart, '');
    return before === null ? joined : joined.replace(before, '.');
  });
  return ambiguous ? refused('ambiguous') : ok(plain);
}

const NOT_WEIGHED =
  /^(?:not (?:weighed|recorded|known|measured)|unweighed|unknown|no scale|nobody weighed|\?+|nicht gewogen|ungewogen|unbekannt)(?![\w.])[:;,. ]*(.*)$/i;

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
  pfund: 'lb',
  oz: 'oz',
  ounce: 'oz',
  ounces: 'oz',
  kg: 'kg',
  kgs: 'kg',
  kilo: 'kg',
  kilos: 'kg',
  kilogram: 'kg',
  kilograms: 'kg',
  kilogramm: 'kg',
  g: 'g',
  gram: 'g',
  grams: 'g',
  gr: 'g',
  gramm: 'g',
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
