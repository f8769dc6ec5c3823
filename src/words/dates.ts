/** Days as people say them. */
import { type Day, civil, dayOf } from '../core/quantity/day';
import { dayAt } from '../core/quantity/zone';
import { countWords } from './counts';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const WEEKDAYS = ['Thu', 'Fri', 'Sat', 'Sun', 'Mon', 'Tue', 'Wed'];

/** `23 Nov 2026` */
export function dayWords(day: Day): string {
  const { year, month, dayOfMonth } = civil(day);
  return `${String(dayOfMonth)} ${MONTHS[month - 1] ?? ''} ${String(year)}`;
}

export const dateWords = (text: string): string => dayWords(dayOf(text));

/** `23 Nov`, for days of the year around today */
export const shortDay = (day: Day): string => dayWords(day).replace(/ \d{4}$/, '');

/** `Mon 23 Nov`, with the year where it is another than today's */
export function weekdayWords(day: Day, today: Day): string {
  const words = civil(day).year === civil(today).year ? shortDay(day) : dayWords(day);
  return `${WEEKDAYS[((day % 7) + 7) % 7] ?? ''} ${words}`;
}

/** `6 days late`, `today`, `tomorrow`, `in 12 days` */
export function untilWords(due: Day, today: Day): string {
  const days = due - today;
  if (days < 0) return `${countWords(-days, 'day')} late`;
  if (days === 0) return 'today';
  return days === 1 ? 'tomorrow' : `in ${countWords(days, 'day')}`;
}

export const daysWords = (days: number): string => countWords(days, 'day');
export const monthsWords = (months: number): string => countWords(months, 'month');

/** `23 Nov 2026, 14:05`, by the clock of this device */
export function instantWords(at: string): string {
  const instant = new Date(at);
  const two = (number: number): string => String(number).padStart(2, '0');
  return `${String(instant.getDate())} ${MONTHS[instant.getMonth()] ?? ''} ${String(instant.getFullYear())}, ${two(instant.getHours())}:${two(instant.getMinutes())}`;
}

/** `23 Nov 2026, 14:05`, by the clock of the site. */
export const instantAtSite = (at: string, timeZone: string): string =>
  `${dayWords(dayAt(Date.parse(at), timeZone))}, ${clockWords(at, timeZone)}`;

/** `14:32`, by the clock of the site. */
export const clockWords = (at: string, timeZone: string): string =>
  new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit', timeZone });
