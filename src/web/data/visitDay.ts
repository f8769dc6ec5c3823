/** The day for which a visit is written: today, unless paper of an earlier day is typed in; held while the browser is open. */
import { type Day, dayText, parseDay } from '../../core/quantity/day';

const key = (visitId: string): string => `abacus.visit-day ${visitId}`;

export function keptDay(visitId: string | null, today: Day): Day {
  const kept = visitId === null ? null : parseDay(sessionStorage.getItem(key(visitId)) ?? '');
  return kept !== null && kept <= today ? kept : today;
}

export const keepDay = (visitId: string, day: Day): void =>
  sessionStorage.setItem(key(visitId), dayText(day));
