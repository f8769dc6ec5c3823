/** The photos of a visit: marks drawn later replace earlier ones, since they are data beside the picture and not in it. */
import type { DatedEntry } from '../core/logbook/order';
import type { Note } from '../core/visit/notes/notes';
import { type NoteEntry, notesOf } from '../core/visit/visitRecord';

export type Marks = NonNullable<Note<'picture'>['marks']>;

export const photosOf = (entries: readonly DatedEntry[]): NoteEntry<'picture'>[] =>
  notesOf(entries, 'picture');

/** Pairs of one place before and after; a photo without its other half stands alone. */
export function pairsOf(photos: readonly NoteEntry<'picture'>[]): NoteEntry<'picture'>[][] {
  const paired = new Set<string>();
  const groups: NoteEntry<'picture'>[][] = [];
  for (const photo of photos) {
    if (paired.has(photo.entry.id) || photo.note.pair === 'after') continue;
    const after = photos.find((each) => each.note.pair === 'after' && each.note.of === photo.note.file);
    if (after) paired.add(after.entry.id);
    groups.push(after ? [photo, after] : [photo]);
  }
  return [
    ...groups,
    ...photos
      .filter((each) => each.note.pair === 'after' && !paired.has(each.entry.id))
      .map((each) => [each]),
  ];
}
