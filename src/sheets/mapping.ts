/** What a column means, and in which units and orders it is written: found out, or said by whoever brings the list in. */
import { z } from 'zod';
import { calendarDate, packId, timezone } from '../core/logbook/fields';
import { MASS_UNITS, type MassUnit } from '../core/quantity/mass';
import { SHEET_TABLES } from './fields';

export const mappingSchema = z.strictObject({
  /** of every sheet, or of each by its name */
  table: z.union([z.enum(SHEET_TABLES), z.record(z.string(), z.enum(SHEET_TABLES))]).nullish(),
  /** heading → field, or null: left out */
  columns: z.record(z.string(), z.string().nullable()).nullish(),
  /** heading → unit of bare numbers under it */
  units: z.record(z.string(), z.enum(MASS_UNITS)).nullish(),
  /** which figure of 03/04/2026 is the month */
  dates: z.enum(['dmy', 'mdy']).nullish(),
  decimal: z.enum([',', '.']).nullish(),
  /** the day from which this logbook answers for machines that are new */
  recordFrom: calendarDate.nullish(),
  /** of sites that are new */
  newSites: z.strictObject({ timezone, packs: z.array(packId) }).nullish(),
});
export type Mapping = z.infer<typeof mappingSchema>;

const KEYS = Object.keys(mappingSchema.shape);

/** A file that maps headings only, `{"Date": "on"}`, says columns and nothing else. */
export const mappingFrom = (given: unknown): unknown =>
  given !== null &&
  typeof given === 'object' &&
  !Array.isArray(given) &&
  Object.values(given).every((value) => value === null || typeof value === 'string') &&
  !Object.keys(given).some((key) => KEYS.includes(key))
    ? { columns: given }
    : given;

export const unitSaid = (mapping: Mapping, heading: string): MassUnit | null =>
  mapping.units?.[heading] ?? null;
