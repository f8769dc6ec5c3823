/** Days as lists have them. Which of two figures is the month only the column can tell, or whoever is asked. */
import { type Day, dayText, parseDay } from '../core/quantity/day';
import { type Result, ok, refused } from '../core/result';
import type { Cell } from './cells';

export type DayOrder = 'dmy' | 'mdy';
export type DayFault = 'empty' | 'noDate' | 'ambiguous' | 'tooOld';

const NUMBERS = /^(\d{1,2})[/.\- ](\d{1,2})[/.\- ](\d{4}|\d{2})(?:[ T,].*)?$/;
const YEAR_FIRST = /^(\d{4})[/.\-](\d{1,2})[/.\-](\d{1,2})(?:[ T].*)?$/;
const DAY_MONTH = /^(?:\p{L}+,? )?(\d{1,2})(?:st|nd|rd|th|\.)?[ \-/]?(\p{L}{3,})\.?,?[ \-/]?(\d{4}|\d{2})$/u;
const MONTH_DAY = /^(?:\p{L}+,? )?(\p{L}{3,})\.? (\d{1,2})(?:st|nd|rd|th)?,? (\d{4}|\d{2})$/u;
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
/** German months that begin otherwise. */
const MONTHS_TOO: Readonly<Record<string, string>> = {
  mär: 'mar',
  mrz: 'mar',
  mai: 'may',
  okt: 'oct',
  dez: 'dec',
};
/** Two figures of a year are of this century up to here. */
const CENTURY_UNTIL = 79;
/** Before this no gas of these machines was logged; what a spreadsheet makes of an empty or wrong cell lies there. */
const OLDEST = '1930-01-01';

const yearOf = (text: string): number => {
  const year = Number(text);
  return text.length === 4 ? year : year <= CENTURY_UNTIL ? 2000 + year : 1900 + year;
};

const two = (value: number): string => String(value).padStart(2, '0');
const at = (year: number, month: number, day: number): Day | null =>
  parseDay(`${String(year).padStart(4, '0')}-${two(month)}-${two(day)}`);

const monthOf = (word: string): number => {
  const begins = word.slice(0, 3).toLowerCase();
  return MONTHS.indexOf(MONTHS_TOO[begins] ?? begins) + 1;
};

/** The order of day and month in a column: by days that exist in one order only, or by points; null: nothing says it, or two contradict each other. */
export function dayOrderOf(cells: readonly Cell[]): DayOrder | null {
  const said = new Set<DayOrder>();
  for (const { text, type } of cells) {
    if (type !== 'text') continue;
    const found = NUMBERS.exec(text.trim());
    if (!found) continue;
    const year = yearOf(found[3] ?? '');
    // What is no day in either order says nothing of the order.
    const [dayFirst, monthFirst] = [
      at(year, Number(found[2]), Number(found[1])) !== null,
      at(year, Number(found[1]), Number(found[2])) !== null,
    ];
    if (dayFirst !== monthFirst) said.add(dayFirst ? 'dmy' : 'mdy');
  }
  const [only] = said;
  if (said.size > 0) return said.size === 1 ? (only ?? null) : null;
  return cells.some(({ text }) => /^\d{1,2}\.\d{1,2}\.\d{2,4}/.test(text.trim())) ? 'dmy' : null;
}

export function readDay(cell: Cell, order: DayOrder | null): Result<string, DayFault> {
  const text = cell.text.trim();
  if (text === '') return refused('empty');
  const day = dayIn(text, order);
  if (day === 'ambiguous') return refused('ambiguous');
  if (day === null) return refused('noDate');
  const date = dayText(day);
  return date < OLDEST ? refused('tooOld') : ok(date);
}

function dayIn(text: string, order: DayOrder | null): Day | null | 'ambiguous' {
  const yearFirst = YEAR_FIRST.exec(text);
  if (yearFirst) return at(Number(yearFirst[1]), Number(yearFirst[2]), Number(yearFirst[3]));
  const numbers = NUMBERS.exec(text);
  if (numbers) {
    const [first, second, year] = [Number(numbers[1]), Number(numbers[2]), yearOf(numbers[3] ?? '')];
    if (first === second) return at(year, first, second);
    if (order === null) return 'ambiguous';
    return order === 'dmy' ? at(year, second, first) : at(year, first, second);
  }
  const dayMonth = DAY_MONTH.exec(text);
  if (dayMonth) return at(yearOf(dayMonth[3] ?? ''), monthOf(dayMonth[2] ?? ''), Number(dayMonth[1]));
  const monthDay = MONTH_DAY.exec(text);
  if (monthDay) return at(yearOf(monthDay[3] ?? ''), monthOf(monthDay[1] ?? ''), Number(monthDay[2]));
  return null;
}
