/**
 * Calendar days at the site, as whole numbers (days since 1970-01-01), so that rule arithmetic has no hours,
 * zones or midnights in it. Proleptic Gregorian calendar, years 0001 to 9999.
 */
export type Day = number & { readonly __unit: 'day' };

const TEXT = /^\d{4}-\d{2}-\d{2}$/;

/**
 * The day of a date text `YYYY-MM-DD`, or null if there is no such date.
 * `parseDay('2026-02-30')` // => null
 */
export function parseDay(text: string): Day | null {
  if (!TEXT.test(text)) return null;
  const day = dayOf(text);
  return dayText(day) === text && !text.startsWith('0000') ? day : null;
}

/** As `parseDay`, for text that is known to be a date. */
export function dayOf(text: string): Day {
  return fromCivil(digits(text, 0) * 100 + digits(text, 2), digits(text, 5), digits(text, 8));
}

const digits = (text: string, at: number): number =>
  (text.charCodeAt(at) - 48) * 10 + text.charCodeAt(at + 1) - 48;

/** Days from civil: counts in 400-year eras that start on 1 March, so the leap day comes last. */
function fromCivil(year: number, month: number, dayOfMonth: number): Day {
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const yearOfEra = y - era * 400;
  const dayOfYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + dayOfMonth - 1;
  const dayOfEra = yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear;
  return (era * 146_097 + dayOfEra - 719_468) as Day;
}

export interface CivilDate {
  year: number;
  month: number;
  dayOfMonth: number;
}

export function civil(day: Day): CivilDate {
  const z = day + 719_468;
  const era = Math.floor(z / 146_097);
  const dayOfEra = z - era * 146_097;
  const yearOfEra = Math.floor(
    (dayOfEra -
      Math.floor(dayOfEra / 1460) +
      Math.floor(dayOfEra / 36_524) -
      Math.floor(dayOfEra / 146_096)) /
      365,
  );
  const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const shifted = Math.floor((5 * dayOfYear + 2) / 153);
  const month = shifted < 10 ? shifted + 3 : shifted - 9;
  return {
    year: yearOfEra + era * 400 + (month <= 2 ? 1 : 0),
    month,
    dayOfMonth: dayOfYear - Math.floor((153 * shifted + 2) / 5) + 1,
  };
}

const padded = (value: number, width: number): string => String(value).padStart(width, '0');

/** `YYYY-MM-DD` of a day. */
export function dayText(day: Day): string {
  const { year, month, dayOfMonth } = civil(day);
  return `${padded(year, 4)}-${padded(month, 2)}-${padded(dayOfMonth, 2)}`;
}

export const addDays = (day: Day, count: number): Day => (day + count) as Day;
export const firstOfMarch = (year: number): Day => fromCivil(year, 3, 1);
export const newYearsDay = (year: number): Day => fromCivil(year, 1, 1);

/**
 * The same day of the month n months on, or the last day of a shorter month; always counted from the day
 * given, so 31 January + 1 month is 28 February and + 2 months is 31 March.
 * `dayText(addMonths(dayOf('2024-01-31'), 1))` // => '2024-02-29'
 */
export function addMonths(day: Day, months: number): Day {
  const { year, month, dayOfMonth } = civil(day);
  const index = year * 12 + month - 1 + months;
  const targetYear = Math.floor(index / 12);
  const targetMonth = index - targetYear * 12 + 1;
  const firstOfNext =
    targetMonth === 12 ? fromCivil(targetYear + 1, 1, 1) : fromCivil(targetYear, targetMonth + 1, 1);
  const lastOfTarget = civil(addDays(firstOfNext, -1)).dayOfMonth;
  return fromCivil(targetYear, targetMonth, Math.min(dayOfMonth, lastOfTarget));
}
