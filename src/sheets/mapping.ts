/** What a column means, and in which units and orders it is written: found out, or said by whoever brings the list in. */
import { z } from 'zod';
import { calendarDate, packId, timezone } from '../core/logbook/fields';
import { MASS_UNITS, type MassUnit } from '../core/quantity/mass';
import { looseKey } from './cells';
import { SHEET_TABLES } from './fields';

const decimalMark = z.enum([',', '.']);

export const mappingSchema = z.strictObject({
  /** of every sheet, or of each by its name */
  table: z.union([z.enum(SHEET_TABLES), z.record(z.string(), z.enum(SHEET_TABLES))]).nullish(),
  /** heading → field, or null: left out */
  columns: z.record(z.string(), z.string().nullable()).nullish(),
  /** heading → unit of bare numbers under it */
  units: z.record(z.string(), z.enum(MASS_UNITS)).nullish(),
  /** which figure of 03/04/2026 is the month */
  dates: z.enum(['dmy', 'mdy']).nullish(),
  /** of all columns, or of each by its heading */
  decimal: z.union([decimalMark, z.record(z.string(), decimalMark)]).nullish(),
  /** the day from which this logbook answers for machines that are new */
  recordFrom: calendarDate.nullish(),
  /** of sites that are new */
  newSites: z.strictObject({ timezone, packs: z.array(packId) }).nullish(),
  /** heading → what stands there → what it means; an empty meaning: it says nothing */
  values: z.record(z.string(), z.record(z.string(), z.string().nullable())).nullish(),
  /** cells that were put right: sheet and number of the row (`list 7`) → heading → what should stand there */
  cells: z.record(z.string(), z.record(z.string(), z.string())).nullish(),
  /** rows of a log that say the same: each is a fact of its own, or they are one */
  doubles: z.enum(['each', 'one']).nullish(),
  /** names of technicians become people, serials of bottles become bottles */
  newPeople: z.boolean().nullish(),
  newBottles: z.boolean().nullish(),
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

/** What was said that a word under a heading means; undefined: nobody said. Case and signs aside, words are one. */
export function meaningSaid({ values }: Mapping, heading: string, text: string): string | null | undefined {
  const own = values?.[heading];
  if (!own) return undefined;
  if (text in own) return own[text];
  const key = looseKey(text);
  const found = Object.entries(own).find(([said]) => looseKey(said) === key);
  return found?.[1];
}

export const decimalSaid = ({ decimal }: Mapping, heading: string): ',' | '.' | null =>
  typeof decimal === 'string' ? decimal : (decimal?.[heading] ?? null);

/** By what a row is named where a cell of it is put right. */
export const rowName = (sheet: string, row: number): string => `${sheet} ${String(row)}`;
