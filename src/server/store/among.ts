/** Which sites a list shows: some by id, or null: all of them. */
import { type SQL, inArray } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';

export type Sites = readonly string[] | null;

/** undefined: nothing is narrowed; of no site at all nothing is found. */
export const among = (column: SQLiteColumn, sites: Sites): SQL | undefined =>
  sites === null ? undefined : inArray(column, [...sites]);
