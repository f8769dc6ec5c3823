/** Columns that many tables of accounts have. */
import { integer } from 'drizzle-orm/sqlite-core';

/** An instant. */
export const at = (name: string) => integer(name, { mode: 'timestamp_ms' });
