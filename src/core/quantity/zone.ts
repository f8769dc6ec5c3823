/** What day it is at a site: the only place where a time zone meets a calendar day. The instant comes in. */
import { Temporal } from 'temporal-polyfill';
import { type Day, dayOf } from './day';

/**
 * The calendar day in a time zone at an instant (milliseconds since 1970-01-01T00:00Z).
 * `dayText(dayAt(Date.UTC(2026, 10, 23, 3), 'America/Chicago'))` // => '2026-11-22'
 */
export function dayAt(instantMs: number, timezone: string): Day {
  const date = Temporal.Instant.fromEpochMilliseconds(instantMs).toZonedDateTimeISO(timezone).toPlainDate();
  return dayOf(date.toString());
}

/** The whole hour, 0 to 23, of the clock in a time zone at an instant (milliseconds since 1970-01-01T00:00Z). */
export const hourAt = (instantMs: number, timezone: string): number =>
  Temporal.Instant.fromEpochMilliseconds(instantMs).toZonedDateTimeISO(timezone).hour;

/**
 * Whether this is a time zone that the calendar knows, such as `America/Chicago`.
 * `isTimezone('Moon/Base')` // => false
 */
export function isTimezone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}
