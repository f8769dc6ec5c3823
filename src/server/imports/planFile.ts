/** A file, whatever it is, as a plan: a spreadsheet row by row, a logbook merged. */
import type { ImportPreview } from '../../contract/imports';
import type { RowTable } from '../../contract/rows';
import type { Entry } from '../../core/logbook/entry';
import type { Revision } from '../../core/logbook/tables';
import type { Packs } from '../../core/rules/packs/shipped';
import type { Worksheet } from '../../sheets/cells';
import { type KnownRows, Lookups } from '../../sheets/lookups';
import type { Mapping } from '../../sheets/mapping';
import type { Column } from '../../sheets/match';
import { type PlanProgress, matchedWorksheets } from '../../sheets/plan';
import { wouldExceed } from '../../sheets/wouldExceed';
import { inChainOrder } from '../store/seal';
import { comesAlong } from './comesAlong';
import { type Present, logbookIn, mergeOf } from './merge';
import { type PlannedRow, SHOWN_ROWS, neededOf, plannedOf } from './plan';
import { isZip, readWorksheets } from './readWorksheets';
import { unzipped } from './unzip';

export interface PlannedFile {
  preview: ImportPreview;
  planned: PlannedRow[];
  revisions: Revision[];
  /** rows that some of these need and that the logbook has, as `table id` */
  there: readonly string[];
}

export interface PlanFor {
  name: string;
  mapping: Mapping;
  /** how a list with these headings was understood before */
  remembered: (headings: string) => Promise<Mapping | null>;
  packs: Packs;
  /** what is there already of what these sheets name */
  known: (sheets: readonly Worksheet[]) => Promise<KnownRows>;
  /** the same of machines by their ids */
  knownMachines: (ids: readonly string[]) => Promise<KnownRows>;
  /** a logbook is held against single rows, and entries of these ids */
  present: (entries: readonly string[]) => Promise<Present>;
}

export const LOGBOOK_NAME = 'logbook.json';
export const LOGBOOK_LIMITS = { total: 2_000_000_000, entries: 200_000 };

/** The text of a logbook, alone or within its zip; null: this file is something else. */
async function logbookText(bytes: Buffer): Promise<string | null> {
  if (isZip(bytes)) {
    const found = await unzipped(bytes, { ...LOGBOOK_LIMITS, wants: (name) => name === LOGBOOK_NAME });
    return found.get(LOGBOOK_NAME)?.toString('utf8') ?? null;
  }
  const start = bytes
    .subarray(0, 64)
    .toString('utf8')
    .replace(/^\uFEFF/, '')
    .trimStart();
  return start.startsWith('{') ? bytes.toString('utf8') : null;
}

/** By what a list is known again: the headings of its sheets. */
export const headingsOf = (sheets: readonly { columns: readonly Pick<Column, 'heading'>[] }[]): string =>
  JSON.stringify(sheets.map(({ columns }) => columns.map(({ heading }) => heading)));

export async function planFile(bytes: Buffer, plan: PlanFor, progress: PlanProgress): Promise<PlannedFile> {
  const text = await logbookText(bytes);
  if (text === null) {
    const sheets = await readWorksheets(bytes);
    const known = await plan.known(sheets);
    const before = plan.mapping.columns
      ? null
      : await plan.remembered(headingsOf(matchedWorksheets(sheets, new Lookups(known), plan.mapping)));
    const mapping = { ...before, ...plan.mapping };
    const { preview, planned, there } = plannedOf(sheets, known, mapping, plan.name, plan.packs, progress);
    return { preview, planned: [...planned], revisions: [], there };
  }
  const logbook = logbookIn(text);
  const present = await plan.present(logbook.entries.map(({ id }) => id));
  const ordered = inChainOrder(logbook.entries) as Entry[];
  const merged = mergeOf(logbook, ordered, present);
  const machines = [...new Set(merged.entries.flatMap(({ applianceId }) => applianceId ?? []))];
  const along = comesAlong(logbook, present.beside, plan.packs);
  const { touched, would } = wouldExceed(merged, await plan.knownMachines(machines), along.packs);
  const { preview } = merged;
  const known = along.shown.length - along.planned.length;
  return {
    preview: {
      ...preview,
      touched,
      would,
      rows: [...along.shown, ...preview.rows].slice(0, SHOWN_ROWS),
      total: preview.total + along.shown.length,
      ready: preview.ready + along.planned.length,
      known: preview.known + known,
    },
    planned: [
      { key: 'logbook', faulty: false, rows: merged.rows, entries: merged.entries },
      ...along.planned,
    ],
    revisions: merged.revisions,
    there: neededOf([merged]).filter((key) => {
      const [table = '', ...id] = key.split(' ');
      return present.rowOf(table as RowTable, id.join(' ')) !== null;
    }),
  };
}
