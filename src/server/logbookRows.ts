/** The rows of a logbook file, table by table. */
import { COMPANY_ID, type RowTable } from '../contract/rows';
import type { Logbook } from '../core/logbook/logbook';

export interface LogbookRow {
  table: RowTable;
  id: string;
  row: object;
}

export const rowsNamed = (table: RowTable, rows: readonly { id: string }[]): LogbookRow[] =>
  rows.map((row) => ({ table, id: row.id, row }));

export function rowsOfLogbook(logbook: Logbook): LogbookRow[] {
  return [
    ...(logbook.company ? [{ table: 'company' as const, id: COMPANY_ID, row: logbook.company }] : []),
    ...rowsNamed('owners', logbook.owners ?? []),
    ...rowsNamed('sites', logbook.sites),
    ...rowsNamed('spaces', logbook.spaces ?? []),
    ...rowsNamed('people', logbook.people),
    ...rowsNamed('appliances', logbook.appliances),
    ...rowsNamed('cylinders', logbook.cylinders),
  ];
}
