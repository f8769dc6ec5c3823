/** A void is a correction to nothing: the entry stays in the record, with the reason, and counts no more. */
import { v7 as uuidv7 } from 'uuid';
import type { Entry } from '../core/logbook/entry';

export const voidOf = (entry: Entry, by: string, reason: string): Entry => ({
  id: uuidv7(),
  kind: 'void',
  on: entry.on,
  by,
  applianceId: entry.applianceId ?? null,
  supersedes: entry.id,
  correctionReason: reason,
});

const UNDONE = 'undone at once by its writer';

/**
 * What undoes an entry. One that corrected another cannot just be voided, for what it superseded would stay superseded: the earlier
 * one is written again in its place. `known`: the entries of the machine.
 */
export function undoing(entry: Entry, known: readonly Entry[]): Entry {
  const earlier = entry.supersedes == null ? undefined : known.find((each) => each.id === entry.supersedes);
  if (!earlier || earlier.kind === 'void') return voidOf(entry, entry.by, UNDONE);
  const { seal: _seal, recordedAt: _recordedAt, ...content } = earlier;
  return { ...content, id: uuidv7(), supersedes: entry.id, correctionReason: UNDONE };
}
