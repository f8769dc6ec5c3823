/**
 * The day for which a visit is written belongs to the visit: what was last written in it tells whether paper of an earlier
 * day is typed in. What a person chose is kept on the device, for every tab and machine of the visit.
 */
import type { DatedEntry } from '../../../core/logbook/order';
import { type Day, dayText, parseDay } from '../../../core/quantity/day';

const key = (visitId: string): string => `abacus.visit-day ${visitId}`;

/** The day on which an entry was written down, by the clock of the device. */
const writtenOn = (at: string): Day | null => parseDay(new Date(at).toLocaleDateString('en-CA'));

/** Paper typed in: written for another day than that on which it was written. */
function dayOfPaper(entries: readonly DatedEntry[]): Day | null {
  const last = entries.reduce<DatedEntry | null>(
    (latest, each) => ((each.entry.at ?? '') >= (latest?.entry.at ?? '') ? each : latest),
    null,
  );
  const at = last?.entry.at;
  return last && at && writtenOn(at) !== last.day ? last.day : null;
}

/** `entries`: those of the visit. */
export function visitDay(visitId: string | null, today: Day, entries: readonly DatedEntry[]): Day {
  if (visitId === null) return today;
  const [text = '', asToday] = (localStorage.getItem(key(visitId)) ?? '').split(' ');
  const kept = parseDay(text);
  // Chosen as today, it says nothing on another day.
  const chosen = asToday !== undefined && kept !== today ? null : kept;
  const day = chosen ?? dayOfPaper(entries);
  return day !== null && day <= today ? day : today;
}

/** Today is kept as today: tomorrow it would be yesterday. */
export const keepDay = (visitId: string, day: Day, today: Day): void =>
  localStorage.setItem(key(visitId), `${dayText(day)}${day === today ? ' today' : ''}`);
