/** Documents that were issued. Knows columns, no rules. */
import { and, desc, eq, sql } from 'drizzle-orm';
import type { IssuedRow } from '../../contract/papers';
import type { Statement, Tables } from './database';
import { paged } from './pages';
import * as t from './schema';
import { json, parsed } from './sealedStore';

export class IssuedStore {
  constructor(private readonly db: Tables) {}

  /** Every issue of a document, the latest first; an older one may have come in later, with another logbook. */
  async ofBase(base: string): Promise<IssuedRow[]> {
    return parsed(
      await this.db
        .select()
        .from(t.issued)
        .where(eq(t.issued.base, base))
        .orderBy(sql`${t.issued.document} ->> '$.version' DESC`, desc(t.issued.sequence)),
    );
  }

  async byId(id: string): Promise<IssuedRow | null> {
    return parsed<IssuedRow>(await this.db.select().from(t.issued).where(eq(t.issued.id, id)))[0] ?? null;
  }

  async all(): Promise<IssuedRow[]> {
    return parsed(await this.db.select().from(t.issued).orderBy(t.issued.sequence));
  }

  /** The latest first, of one machine or of all. */
  async page(machine: string | null, after: string | null, limit: number) {
    const page = await paged(
      [t.issued.sequence],
      { after, limit, descending: true },
      (part) =>
        this.db
          .select()
          .from(t.issued)
          .where(and(machine === null ? undefined : eq(t.issued.applianceId, machine), part.beyond))
          .orderBy(part.order)
          .limit(part.limit),
      (row) => [row.sequence],
    );
    return { ...page, rows: parsed<IssuedRow>(page.rows) };
  }

  insert = (row: IssuedRow): Statement =>
    this.db
      .insert(t.issued)
      .values({ id: row.id, base: row.base, applianceId: row.applianceId, document: json(row) });

  remove = (id: string): Statement => this.db.delete(t.issued).where(eq(t.issued.id, id));
}
