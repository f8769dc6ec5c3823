/** Rows that say nothing of one thing: totals, headings that stand again, a row of units below the headings. */
import { type WorksheetRow, isBlank, looseKey } from './cells';
import { listAnd } from '../words/list';
import { headingKey } from './fields';
import { massUnitOf } from './numbers';

export type WhyLeftOut = 'total' | 'headings' | 'units';

export interface RowLeftOut {
  row: number;
  why: WhyLeftOut;
}

const TOTAL =
  /^(?:(?:grand|sub|overall|year|yearly|annual) ?)?(?:totals?|sums?)(?: (?:\d{4}|kg|lbs?|added|recovered|overall))?$|^(?:gesamt|summe|gesamtsumme|zwischensumme|insgesamt|endsumme)(?: \d{4})?$/;
/** A total stands at the front of its row. */
const FRONT = 3;

export const isTotal = ({ cells }: WorksheetRow): boolean =>
  cells
    .filter((cell) => !isBlank(cell))
    .slice(0, FRONT)
    .some(({ text, type }) => type === 'text' && TOTAL.test(looseKey(text)));

const SAME_SHARE = 0.6;

/** Most of its cells say what the headings say. */
export function isHeadAgain({ cells }: WorksheetRow, headings: readonly string[]): boolean {
  // Most rows say nothing of the kind in their first cell that says something.
  const first = cells.findIndex((cell) => !isBlank(cell));
  if (first < 0 || headingKey(cells[first]?.text ?? '') !== headingKey(headings[first] ?? '')) return false;
  const filled = cells.flatMap((cell, place) => (isBlank(cell) ? [] : [{ text: cell.text, place }]));
  const same = filled.filter(
    ({ text, place }) => headings[place] !== undefined && headingKey(text) === headingKey(headings[place]),
  );
  return same.length >= 2 && same.length >= SAME_SHARE * filled.length;
}

const inBrackets = (text: string): string => text.trim().replace(/^[([]|[)\]]$/g, '');
const OTHER_UNITS =
  /^(?:°? ?[cf]|psig?|bar|kpa|%|l|litres?|liters?|m|ft|hours?|h|days?|(?:dd|mm|yyyy|yy|tt|jjjj)(?:[-/. ](?:dd|mm|yyyy|yy|tt|jjjj))*|text|name|no\.?|nr\.?|y ?\/ ?n|yes ?\/ ?no)$/i;

/** Nothing but units, one of them of weight at least. */
export function isUnits({ cells }: WorksheetRow): boolean {
  const filled = cells.filter((cell) => !isBlank(cell)).map(({ text }) => inBrackets(text));
  return (
    filled.some((text) => massUnitOf(text) !== null) &&
    filled.every((text) => massUnitOf(text) !== null || OTHER_UNITS.test(text))
  );
}

export const unitBelow = ({ cells }: WorksheetRow, place: number): ReturnType<typeof massUnitOf> =>
  massUnitOf(inBrackets(cells[place]?.text ?? ''));

const WHY_WORDS: Readonly<Record<RowLeftOut['why'], string>> = {
  total: 'totals',
  headings: 'headings again',
  units: 'units',
};

export const leftOutWords = (leftOut: readonly RowLeftOut[]): string =>
  listAnd(
    (['total', 'headings', 'units'] as const).flatMap((why) => {
      const rows = leftOut.filter((each) => each.why === why).map(({ row }) => String(row));
      return rows.length === 0
        ? []
        : `row${rows.length === 1 ? '' : 's'} ${rows.slice(0, 5).join(', ')}${rows.length > 5 ? ' …' : ''} (${WHY_WORDS[why]})`;
    }),
  );
