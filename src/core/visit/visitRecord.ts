/**
 * One visit to one machine, as its effective entries tell it. A visit has no record of its own: it is the entries that carry
 * its id, so nothing waits to be saved and any device that reads the logbook can go on with it.
 */
import type { Entry } from '../logbook/entry';
import type { DatedEntry } from '../logbook/order';
import type { Day } from '../quantity/day';
import { type Note, type NoteName, readNote } from './notes/notes';
import { type Quantity, type Stated, siOf } from './notes/stated';

export interface NoteEntry<Tool extends NoteName> {
  day: Day;
  entry: Entry;
  note: Note<Tool>;
}

/** Every note of a tool among these entries, in order. */
export function notesOf<Tool extends NoteName>(
  entries: readonly DatedEntry[],
  tool: Tool,
): NoteEntry<Tool>[] {
  return entries.flatMap(({ day, entry }) => {
    const note = readNote(entry, tool);
    return note ? [{ day, entry, note }] : [];
  });
}

export interface VisitRecord {
  visitId: string;
  entries: readonly DatedEntry[];
  /** first and last day on which something was written */
  from: Day | null;
  to: Day | null;
  /** handed over: signed, or signed off with the reason why nobody could */
  handedOver: boolean;
}

/** `entries` are the effective ones of the machine, in order. */
export function visitRecord(entries: readonly DatedEntry[], visitId: string): VisitRecord {
  const own = entries.filter(({ entry }) => entry.visitId === visitId);
  return {
    visitId,
    entries: own,
    from: own[0]?.day ?? null,
    to: own.at(-1)?.day ?? null,
    handedOver: notesOf(own, 'signed').length > 0,
  };
}

export interface ReadingsSoFar {
  numbers: Readonly<Record<string, Stated<Quantity>>>;
  signs: Readonly<Record<string, Stated<string>>>;
}

/** The SI values of the numbers that were read. */
export const readNumber = (so: ReadingsSoFar, name: string): number | null => siOf(so.numbers[name]);

export interface Disconnected {
  what: Note<'disconnected'>['what'];
  name: string;
}

/** What was taken off or bypassed for a while and is not said to be back. */
export function stillDisconnected(entries: readonly DatedEntry[]): Disconnected[] {
  const off = new Map<string, Disconnected>();
  for (const { note } of notesOf(entries, 'disconnected')) {
    const name = (note.name ?? '').trim();
    const key = `${note.what} ${name.toLowerCase()}`;
    if (note.state === 'off') off.set(key, { what: note.what, name });
    else off.delete(key);
  }
  return [...off.values()];
}
