/** What became of a visit after somebody signed its record. */
import type { Entry } from '../logbook/entry';
import { readNote } from './notes/notes';

export interface LaterChange {
  entry: Entry;
  /** the entry of the visit that it corrects or voids */
  target: Entry | null;
}

/**
 * Entries of a visit, and those that correct or void one of it, which the server accepted after its last signature that
 * stands. `entries`: all of the machine in the order in which they were accepted. None while nothing is signed.
 */
export function afterSignature(entries: readonly Entry[], visitId: string): LaterChange[] {
  const killed = new Set(entries.flatMap((entry) => entry.supersedes ?? []));
  const signedAt = entries.findLastIndex(
    (entry) => entry.visitId === visitId && !killed.has(entry.id) && readNote(entry, 'signed') !== null,
  );
  if (signedAt < 0) return [];
  const byId = new Map(entries.map((entry) => [entry.id, entry]));
  return entries.slice(signedAt + 1).flatMap((entry): LaterChange[] => {
    const target = entry.supersedes == null ? null : (byId.get(entry.supersedes) ?? null);
    return entry.visitId === visitId || target?.visitId === visitId ? [{ entry, target }] : [];
  });
}
