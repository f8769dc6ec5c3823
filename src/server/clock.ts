/** The only clock of the server. `ABACUS_TODAY` holds the day still, for the demo story and for tests. */
import { type Day, dayOf, dayText, parseDay } from '../core/quantity/day';
import { dayAt } from '../core/quantity/zone';

export interface Clock {
  fixedToday: string | null;
  nowMs: () => number;
  /** today at a site */
  todayIn: (timezone: string) => Day;
}

export function systemClock(fixedToday: string | undefined, nowMs: () => number = Date.now): Clock {
  if (fixedToday === undefined || fixedToday === '') {
    return { fixedToday: null, nowMs, todayIn: (timezone) => dayAt(nowMs(), timezone) };
  }
  const day = parseDay(fixedToday);
  if (day === null) throw new Error(`ABACUS_TODAY must be a date written YYYY-MM-DD, not ${fixedToday}.`);
  return { fixedToday: dayText(day), nowMs, todayIn: () => dayOf(fixedToday) };
}
