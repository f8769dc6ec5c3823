/**
 * Rows that people put right: which tables there are, what each row is, and what of it asks for a reason. Every change is
 * a sealed revision; the latest revision is the row.
 */
import { z } from 'zod';
import { filledText, id } from '../core/logbook/fields';
import {
  applianceRow,
  companyRow,
  cylinderRow,
  ownerRow,
  personRow,
  revisionRow,
  siteRow,
  spaceRow,
} from '../core/logbook/tables';
import { instrumentRow } from '../core/visit/instrument';

/** the one row of the company's own table */
export const COMPANY_ID = 'company';

export const ROW_SCHEMAS = {
  company: companyRow,
  owners: ownerRow.safeExtend({ name: filledText }),
  sites: siteRow.safeExtend({ name: filledText }),
  spaces: spaceRow.safeExtend({ name: filledText }),
  people: personRow.safeExtend({ name: filledText }),
  appliances: applianceRow.safeExtend({ name: filledText }),
  cylinders: cylinderRow.safeExtend({ serial: filledText }),
  instruments: instrumentRow,
} as const;

export type RowTable = keyof typeof ROW_SCHEMAS;
export type RowOf<Table extends RowTable> = z.infer<(typeof ROW_SCHEMAS)[Table]>;
export const ROW_TABLES = Object.keys(ROW_SCHEMAS) as RowTable[];
export const isRowTable = (text: string): text is RowTable => ROW_TABLES.some((table) => table === text);

/** Names and notes, which nobody needs to give a reason for: no rate, duty or paper hangs on them. */
const FREE: Record<RowTable, readonly string[]> = {
  company: ['contact'],
  owners: ['contact'],
  sites: ['name', 'access'],
  spaces: ['name'],
  people: ['role'],
  appliances: ['name', 'serves', 'assembly', 'tag', 'location', 'access', 'drawing'],
  cylinders: ['place'],
  instruments: ['name'],
};

const blank = (value: unknown): boolean => value === null || value === undefined || value === '';

/** Fields in which two versions of a row differ; empty and left out mean the same. */
export function changedFields(before: object, after: object): string[] {
  const a = before as Record<string, unknown>;
  const b = after as Record<string, unknown>;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].filter(
    (key) => !(blank(a[key]) && blank(b[key])) && JSON.stringify(a[key]) !== JSON.stringify(b[key]),
  );
}

/** Whether a change asks for a reason: something that a rate, a duty or a paper reads has another value now. */
export const wantsWhy = (table: RowTable, before: object | null, after: object): boolean =>
  before !== null && changedFields(before, after).some((key) => !FREE[table].includes(key));

export const rowChange = z.object({
  table: z.enum(ROW_TABLES as [RowTable, ...RowTable[]]),
  id,
  row: z.looseObject({}),
  /** hash of the revision that was changed, so that nobody writes over what another wrote meanwhile */
  after: z.string().nullish(),
});
export type RowChange = z.infer<typeof rowChange>;

export const rowChanges = z.object({
  changes: z.array(rowChange).min(1),
  by: z.string().nullish(),
  why: z.string().nullish(),
});

export const rowsChanged = z.object({ revisions: z.array(revisionRow), machines: z.array(z.string()) });

/** A row as it is and as it was, the latest last. */
export const rowAnswer = z.object({ row: z.looseObject({}), revisions: z.array(revisionRow) });

/** By what a company's own figure is known among the revisions: pack, figure, and the day from which it holds. */
export const figureId = ({
  pack,
  figure,
  from,
}: {
  pack: string;
  figure: readonly (string | number)[];
  from: string;
}): string => [pack, figure.join('.'), from].join(' ');
