/** What came in from files, and how the columns of lists were understood. Knows columns, no rules. */
import { eq } from 'drizzle-orm';
import type { ImportedRow } from '../../contract/imports';
import type { RowTable } from '../../contract/rows';
import type { Statement, Tables } from './database';
import { paged } from './pages';
import * as t from './schema';
import { json, parsed } from './sealedStore';

/** Ids of what an import wrote. */
export interface Wrote {
  entries: readonly string[];
  rows: readonly { table: RowTable; id: string }[];
  /** of another logbook: figures of the company's own, and documents that were issued */
  figures?: readonly string[];
  issued?: readonly string[];
}

export class ImportStore {
  constructor(private readonly db: Tables) {}

  async byId(id: string): Promise<{ row: ImportedRow; wrote: Wrote } | null> {
    const [found] = await this.db.select().from(t.imports).where(eq(t.imports.id, id));
    return found
      ? { row: JSON.parse(found.document) as ImportedRow, wrote: JSON.parse(found.wrote) as Wrote }
      : null;
  }

  /** The latest first. */
  async page(after: string | null, limit: number) {
    const page = await paged(
      [t.imports.sequence],
      { after, limit, descending: true },
      (part) =>
        this.db
          .select({ sequence: t.imports.sequence, document: t.imports.document })
          .from(t.imports)
          .where(part.beyond)
          .orderBy(part.order)
          .limit(part.limit),
      (row) => [row.sequence],
    );
    return { ...page, rows: parsed<ImportedRow>(page.rows) };
  }

  insert = (row: ImportedRow, wrote: Wrote): Statement =>
    this.db.insert(t.imports).values({ id: row.id, document: json(row), wrote: json(wrote) });

  change = (row: ImportedRow): Statement =>
    this.db
      .update(t.imports)
      .set({ document: json(row) })
      .where(eq(t.imports.id, row.id));

  /** How a list with these headings was understood the last time. */
  async mapping(headings: string): Promise<object | null> {
    return (
      parsed<object>(await this.db.select().from(t.mappings).where(eq(t.mappings.id, headings)))[0] ?? null
    );
  }

  keepMapping = (headings: string, mapping: object): Statement =>
    this.db
      .insert(t.mappings)
      .values({ id: headings, document: json(mapping) })
      .onConflictDoUpdate({ target: t.mappings.id, set: { document: json(mapping) } });
}
