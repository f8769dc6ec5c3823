/** A void is a correction to nothing: the entry stays in the record, with the reason, and counts no more. */
import { v7 as uuidv7 } from 'uuid';
import type { Entry } from '../../core/logbook/entry';

export const voidOf = (entry: Entry, by: string, reason: string): Entry => ({
  id: uuidv7(),
  kind: 'void',
  on: entry.on,
  by,
  applianceId: entry.applianceId ?? null,
  supersedes: entry.id,
  correctionReason: reason,
});

export const undoing = (entry: Entry): Entry => voidOf(entry, entry.by, 'undone at once by its writer');
