/**
 * The place in its day that an entry takes when it is saved: what is written as it happens stands behind all that was
 * written before; paper of an earlier day, outside a visit, stands before what has an hour. The preview of an entry is
 * placed by this too, so that saving gives what the preview said.
 */
import type { Entry } from '../core/logbook/entry';

export function placedInDay(
  entry: Entry,
  { visitId, today, at }: { visitId: string | null; today: string; at: string },
): Entry {
  // A correction stays in the visit and at the hour of what it corrects.
  if (entry.supersedes != null) return entry;
  const timed = visitId !== null || entry.on === today ? { at } : {};
  return { ...entry, ...timed, ...(visitId === null ? {} : { visitId }) };
}
