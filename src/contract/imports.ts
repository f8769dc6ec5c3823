/** What comes in from files: the file, what it would do, what was written of it, and how it is taken back. */
import { z } from 'zod';
import { filledText, id } from '../core/logbook/fields';
import { pageOf, limitOf, place } from './paging';

/** What a column means, by its heading; read by whoever plans an import. */
const mapping = z.looseObject({});

export const storedFile = z.object({ file: z.string(), name: z.string(), bytes: z.number() });
export const fileQuery = z.object({ name: filledText });

export const newImport = z.object({
  /** made by whoever asks: sent twice, it is one import */
  id,
  file: z.string().regex(/^[0-9a-f]{64}$/, 'is no file that was sent here'),
  name: filledText,
  mapping: mapping.default({}),
});

const fault = z.object({
  sheet: z.string().optional(),
  row: z.number(),
  column: z.string(),
  message: z.string(),
  remedy: z.string(),
  /** so many rows hang on one answer */
  rows: z.number().optional(),
  /** asked once for each different value, column or list */
  asked: z
    .object({
      settles: z.enum(['value', 'dates', 'decimal', 'unit', 'doubles']),
      heading: z.string(),
      value: z.string(),
      choices: z.array(z.object({ value: z.string(), words: z.string() })),
    })
    .optional(),
});

export const importRow = z.object({
  row: z.number(),
  sheet: z.string(),
  words: z.string(),
  state: z.enum(['ready', 'known', 'faulty']),
  faults: z.array(fault),
});

export const importPreview = z.object({
  /** `spreadsheet`: rows under columns; `logbook`: a logbook of another place, merged */
  kind: z.enum(['spreadsheet', 'logbook']),
  sheets: z.array(
    z.object({
      sheet: z.string(),
      table: z.string().nullable(),
      columns: z.array(z.object({ heading: z.string(), field: z.string().nullable() })),
      rows: z.number(),
      /** totals, headings that stand again, rows of units */
      leftOut: z.array(z.object({ row: z.number(), why: z.enum(['total', 'headings', 'units']) })),
    }),
  ),
  /** the first rows, and every faulty one of those that are shown */
  rows: z.array(importRow),
  total: z.number(),
  ready: z.number(),
  known: z.number(),
  faulty: z.array(fault),
  /** how many rows are faulty, all of them */
  faultyRows: z.number(),
  touched: z.number(),
  would: z.array(
    z.object({
      machine: z.string(),
      site: z.string(),
      on: z.string(),
      percent: z.number(),
      /** what the percent is of the whole where something was not weighed */
      bound: z.enum(['atLeast', 'atMost', 'neither']).nullable(),
      limit: z.number(),
    }),
  ),
  /** technicians and bottles that are no people or bottles of the logbook */
  strangers: z.object({ people: z.array(z.string()), bottles: z.array(z.string()) }),
  newMachines: z.number(),
  /** as the list was read: what was said, and what is kept from a list with these headings */
  mapping,
});

export const importState = z.object({
  id,
  name: z.string(),
  state: z.enum(['reading', 'ready', 'refused', 'stopped', 'writing', 'written', 'undone']),
  done: z.number(),
  of: z.number(),
  /** why it was refused, with the remedy */
  refusal: z.string().nullable(),
  preview: importPreview.nullable(),
  /** as it was written */
  written: z.object({ rows: z.number(), entries: z.number() }).nullable(),
});
export type ImportState = z.infer<typeof importState>;
export type ImportPreview = z.infer<typeof importPreview>;

export const writeImport = z.object({
  by: z.string().min(1),
  /** rows that are left out, as `sheet row`; faulty ones are left out only where that is said */
  leaveOut: z.array(z.string()).default([]),
  leaveOutFaulty: z.boolean().default(false),
});

/** What an undo would take back, and what stays. */
export const undoPreview = z.object({
  rows: z.number(),
  entries: z.number(),
  stays: z.array(z.object({ words: z.string(), why: z.string() })),
});
export type UndoPreview = z.infer<typeof undoPreview>;

export const undoImport = z.object({ by: z.string().min(1) });

export const importedRow = z.object({
  id,
  name: z.string(),
  recordedAt: z.string(),
  by: z.string(),
  rows: z.number(),
  entries: z.number(),
  undoneAt: z.string().nullable(),
});
export type ImportedRow = z.infer<typeof importedRow>;
export const importsQuery = z.object({ after: place, limit: limitOf(20, 100) });
export const importsAnswer = pageOf(importedRow);
