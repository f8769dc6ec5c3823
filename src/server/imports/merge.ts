/** Another logbook brought in: what is new of it, what is there already, and what says something else under the same id. */
import type { ImportPreview } from '../../contract/imports';
import { type RowTable, changedFields } from '../../contract/rows';
import type { Entry } from '../../core/logbook/entry';
import { type Logbook, readLogbook } from '../../core/logbook/logbook';
import { problemText } from '../../core/logbook/problems';
import type { Revision } from '../../core/logbook/tables';
import { begunHere, isBegunHere } from '../exports/begunHere';
import { rowsOfLogbook } from '../exports/logbookRows';
import { sameContent } from '../writing/sentEntry';
import type { PresentBeside } from './comesAlong';
import { FileRefused } from './refused';

export interface Merged {
  preview: ImportPreview;
  rows: { table: RowTable; id: string; row: object }[];
  /** history of the rows that are new */
  revisions: Revision[];
  entries: Entry[];
}

export interface Present {
  beside: PresentBeside;
  rowOf: (table: RowTable, id: string) => object | null;
  entryOf: (id: string) => Entry | null;
  /** the id under which an entry of a file stands here: another one where it was taken back with its import */
  idHere: (id: string) => string;
}

const SHOWN = 5;

/** The logbook in a file, or why it is none. */
export function logbookIn(text: string): Logbook {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    throw new FileRefused('This is no JSON.', 'Choose a logbook as it was taken out, or a spreadsheet.');
  }
  const read = readLogbook(json);
  if (read.ok) return read.value;
  const [first = [], more] = [read.refusal.slice(0, SHOWN).map(problemText), read.refusal.length - SHOWN];
  throw new FileRefused(
    `This is no logbook that can be read: ${first.join('; ')}${more > 0 ? `; and ${String(more)} more` : ''}.`,
    'Put the file right, and send it anew.',
  );
}

/** In a part an entry may stand without what it corrects. */
const sameFact = (ours: Entry, theirs: Entry): boolean =>
  isBegunHere(ours) || isBegunHere(theirs)
    ? sameContent(begunHere(ours), begunHere(theirs))
    : sameContent(ours, theirs);

/** `entries` in the order in which they shall be accepted. */
export function mergeOf(logbook: Logbook, entries: readonly Entry[], present: Present): Merged {
  const all = rowsOfLogbook(logbook);
  const rows = all.filter(({ table, id }) => present.rowOf(table, id) === null);
  const other = all.filter(({ table, id, row }) => {
    const ours = present.rowOf(table, id);
    return ours !== null && changedFields(ours, row).length > 0;
  });
  const fresh: Entry[] = [];
  const clashing: Entry[] = [];
  for (const theirs of entries) {
    const entry = {
      ...theirs,
      id: present.idHere(theirs.id),
      ...(theirs.supersedes == null ? {} : { supersedes: present.idHere(theirs.supersedes) }),
    };
    const ours = present.entryOf(entry.id);
    if (ours === null) fresh.push(entry);
    else if (!sameFact(ours, entry)) clashing.push(entry);
  }
  const isNew = new Set(rows.map(({ table, id }) => `${table} ${id}`));
  return {
    rows,
    revisions: (logbook.revisions ?? [])
      .filter(({ table, id }) => isNew.has(`${table} ${id}`))
      .map(({ seal: _, ...revision }) => revision),
    entries: fresh,
    preview: {
      kind: 'logbook',
      sheets: [],
      rows: other.map(({ table, id }, index) => ({
        row: index + 1,
        sheet: table,
        words: `${table}: ${id} differs; what this logbook says stays`,
        state: 'known',
        faults: [],
      })),
      total: all.length + entries.length,
      ready: rows.length + fresh.length,
      known: all.length - rows.length + entries.length - fresh.length - clashing.length,
      faulty: clashing.map((entry) => ({
        row: 0,
        column: 'entries',
        message: `entry ${entry.kind} of ${entry.on} stands in both with other content`,
        remedy: 'An entry is never changed: correct it by a new one where it was written.',
      })),
      faultyRows: clashing.length,
      // What follows is worked out by whoever knows the machines.
      touched: 0,
      would: [],
      strangers: { people: [], bottles: [] },
      mapping: {},
      newMachines: rows.filter(({ table }) => table === 'appliances').length,
    },
  };
}
