/** The register of oil stains: where, of what known cause, cleaned when, and what was there afterwards. */
import type { DatedEntry } from '../logbook/order';
import type { Day } from '../quantity/day';
import { type Stated, valueOf } from './stated';
import { notesOf } from './visitRecord';

export interface Stain {
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
export function stainsOf(entries: readonly DatedEntry[]): Stain[] {
  const stains = new Map<string, Stain>();
  for (const { day, entry, note } of notesOf(entries, 'stain')) {
    const known = note.stain == null ? undefined : stains.get(note.stain);
    const id = known?.id ?? entry.id;
    stains.set(id, {
      id,
      place: note.place,
      seenOn: known?.seenOn ?? day,
      lastOn: day,
      cause: note.cause ?? known?.cause ?? null,
      cleanedOn: note.cleaned === 'yes' ? day : (known?.cleanedOn ?? null),
      result: note.result ?? known?.result ?? null,
    });
  }
  return [...stains.values()];
}

/** Cleaned, and not seen to: the next person looks whether it came back. */
export const toLookAgain = (stains: readonly Stain[]): Stain[] =>
  stains.filter((each) => each.cleanedOn !== null && valueOf(each.result) === null);
