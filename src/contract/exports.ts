/** What is taken out: which part of the logbook, and as which table. */
import { z } from 'zod';
import { calendarDate, id } from '../core/logbook/fields';

/** Tables of a workbook, each also as a CSV of its own. */
export const OUT_TABLES = [
  'machines',
  'gas',
  'leaks',
  'inspections',
  'entries',
  'sites',
  'people',
  'bottles',
] as const;
export type OutTable = (typeof OUT_TABLES)[number];

export const exportQuery = z.object({
  site: id.optional(),
  owner: id.optional(),
  from: calendarDate.optional(),
  to: calendarDate.optional(),
});
export type ExportScope = z.infer<typeof exportQuery>;
