/** What a logbook file holds beside its entries: rows table by table, the company's own figures, and documents that were issued. */
import { z } from 'zod';
import { type IssuedRow, issuedRow } from '../../contract/papers';
import { COMPANY_ID, type RowTable } from '../../contract/rows';
import type { Logbook } from '../../core/logbook/logbook';
import type { Revision } from '../../core/logbook/tables';
import { type Amendment, amendmentSchema } from '../../core/rules/amend';
import { instrumentRow } from '../../core/visit/instrument';

export interface LogbookRow {
  table: RowTable;
  id: string;
  row: object;
}

const rowsNamed = (table: RowTable, rows: readonly { id: string }[]): LogbookRow[] =>
  rows.map((row) => ({ table, id: row.id, row }));

/** What an export keeps beside the format; a file from elsewhere may have none, or something else there. */
const beside =
  <Row extends z.ZodType>(key: string, row: Row) =>
  (logbook: Logbook): z.infer<Row>[] => {
    const kept = z.array(row).safeParse((logbook as Logbook & Record<string, unknown>)[key]);
    return kept.success ? kept.data : [];
  };

export const instrumentsOf = beside('x-instruments', instrumentRow);
export const issuedOf: (logbook: Logbook) => IssuedRow[] = beside('x-issued', issuedRow);

export function rowsOfLogbook(logbook: Logbook): LogbookRow[] {
  return [
    ...(logbook.company ? [{ table: 'company' as const, id: COMPANY_ID, row: logbook.company }] : []),
    ...rowsNamed('owners', logbook.owners ?? []),
    ...rowsNamed('sites', logbook.sites),
    ...rowsNamed('spaces', logbook.spaces ?? []),
    ...rowsNamed('people', logbook.people),
    ...rowsNamed('appliances', logbook.appliances),
    ...rowsNamed('cylinders', logbook.cylinders),
    ...rowsNamed('instruments', instrumentsOf(logbook)),
  ];
}

export interface OwnFigure {
  id: string;
  amendment: Amendment;
  recordedAt: string;
}

/** The company's own figures, each as its latest revision gives it; one that was taken back is none. */
export function figuresIn({ revisions }: Pick<Logbook, 'revisions'>): OwnFigure[] {
  const latest = new Map<string, Revision>();
  for (const each of revisions ?? []) if (each.table === 'figures') latest.set(each.id, each);
  return [...latest.values()].flatMap(({ id, row, recordedAt }) => {
    const read = amendmentSchema.safeParse(row);
    return read.success ? [{ id, amendment: read.data, recordedAt: recordedAt ?? '' }] : [];
  });
}
