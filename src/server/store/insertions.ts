/** Rows inserted many to a statement: a statement a row costs several times as much, and a query builder more than both. */
import { getTableName } from 'drizzle-orm';
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { Statement } from './database';

export type Value = string | number | null;

const ROWS_OF_A_STATEMENT = 50;

/** `rows` hold the values of `columns`, in their order; `onConflict` is what SQL says after the values. */
export function insertions(
  table: SQLiteTable,
  columns: readonly SQLiteColumn[],
  rows: readonly (readonly Value[])[],
  onConflict = '',
): Statement[] {
  const names = columns.map((each) => `"${each.name}"`).join(', ');
  const place = `(${columns.map(() => '?').join(', ')})`;
  const statements: Statement[] = [];
  for (let start = 0; start < rows.length; start += ROWS_OF_A_STATEMENT) {
    const part = rows.slice(start, start + ROWS_OF_A_STATEMENT);
    statements.push({
      sql: `INSERT INTO "${getTableName(table)}" (${names}) VALUES ${part.map(() => place).join(', ')} ${onConflict}`,
      args: part.flat(),
    });
  }
  return statements;
}
