/** Every record of the house: one for each kind of entry, one for each note of a visit. One that is missing does not compile. */
import type { Entry, EntryKind } from '../core/logbook/entry';
import { type NoteName, isNoteName, toolOf } from '../core/visit/notes/notes';
import * as cases from './kinds/cases';
import * as gas from './kinds/gas';
import * as leaks from './kinds/leaks';
import * as machine from './kinds/machine';
import * as workOnIt from './kinds/work';
import * as proving from './notes/proving';
import * as reading from './notes/reading';
import * as searching from './notes/search';
import * as work from './notes/work';
import type { EntryRecord } from './record';

const { voided, ...ofMachine } = machine;

export const KINDS: Readonly<Record<EntryKind, EntryRecord>> = {
  ...leaks,
  ...gas,
  ...cases,
  ...ofMachine,
  ...workOnIt,
  void: voided,
};

export const NOTE_RECORDS: Readonly<Record<NoteName, EntryRecord>> = {
  ...reading,
  ...searching,
  ...work,
  ...proving,
};

/** What this entry is: the note that it says it is, else its kind. */
export function recordOf(entry: Entry): EntryRecord {
  const tool = toolOf(entry);
  return isNoteName(tool) && NOTE_RECORDS[tool].kind === entry.kind ? NOTE_RECORDS[tool] : KINDS[entry.kind];
}
