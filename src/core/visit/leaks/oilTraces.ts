/** The register of oil stains: where, of what known cause, cleaned when, and what was there afterwards. */
import type { DatedEntry } from '../../logbook/order';
import type { Day } from '../../quantity/day';
import { type Stated, valueOf } from '../notes/stated';
import { notesOf } from '../visitRecord';

export interface OilTrace {
  /** id of the entry that first named it */
  id: string;
  place: string;
  seenOn: Day;
  lastOn: Day;
  cause: Stated<string> | null;
  cleanedOn: Day | null;
  result: Stated<'stayedClean' | 'cameBack'> | null;
}

/** Oldest first; a later note on a stain changes what it says and leaves what it does not. */
export function oilTracesOf(entries: readonly DatedEntry[]): OilTrace[] {
  const oilTraces = new Map<string, OilTrace>();
  for (const { day, entry, note } of notesOf(entries, 'stain')) {
    const known = note.stain == null ? undefined : oilTraces.get(note.stain);
    const id = known?.id ?? entry.id;
    oilTraces.set(id, {
      id,
      place: note.place,
      seenOn: known?.seenOn ?? day,
      lastOn: day,
      cause: note.cause ?? known?.cause ?? null,
      cleanedOn: note.cleaned === 'yes' ? day : (known?.cleanedOn ?? null),
      result: note.result ?? known?.result ?? null,
    });
  }
  return [...oilTraces.values()];
}

/** Cleaned, and not seen to: the next person looks whether it came back. */
export const toLookAgain = (oilTraces: readonly OilTrace[]): OilTrace[] =>
  oilTraces.filter((each) => each.cleanedOn !== null && valueOf(each.result) === null);
