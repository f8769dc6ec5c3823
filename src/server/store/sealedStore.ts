/**
 * What is sealed: entries and revisions in one chain, and the rows that the latest revisions say. Knows tables, JSON and
 * hashes, no rules.
 */
import { and, asc, desc, eq, lt } from 'drizzle-orm';
import type { BatchItem } from 'drizzle-orm/batch';
import type { RowOf, RowTable } from '../../contract/rows';
import type { Entry } from '../../core/logbook/entry';
import type { Revision } from '../../core/logbook/tables';
import type { Database } from './database';
import * as t from './schema';
import { CHAIN_START, type Link, type Sealable, sealHash } from './seal';

export type Statement = BatchItem<'sqlite'>;

export const parsed = <Row>(rows: { document: string }[]): Row[] =>
  rows.map((row) => JSON.parse(row.document) as Row);
export const json = JSON.stringify;

const TABLES = {
  company: t.company,
  owners: t.owners,
  sites: t.sites,
  spaces: t.spaces,
  people: t.people,
  appliances: t.appliances,
  cylinders: t.cylinders,
  instruments: t.instruments,
} as const satisfies Record<RowTable, unknown>;

export class SealedStore {
  constructor(readonly database: Database) {}

  protected get db() {
    return this.database.db;
  }

  async allRevisions(): Promise<Revision[]> {
    return parsed(await this.db.select().from(t.revisions).orderBy(asc(t.revisions.sequence)));
  }

  /** Every link of the chain, in its order. */
  async chain(): Promise<Link[]> {
    const entries = (await this.db.select().from(t.entries)).map((row) => ({
      ...row,
      sealed: JSON.parse(row.document) as Sealable,
    }));
    const revisions = (await this.db.select().from(t.revisions)).map((row) => ({
      ...row,
      id: row.rowId,
      sealed: JSON.parse(row.document) as Sealable,
    }));
    return [...entries, ...revisions].sort((a, b) => a.sequence - b.sequence);
  }

  /** The newest links before a place in the chain, newest first. */
  async linksBefore(before: number | null, limit: number): Promise<{ sequence: number; sealed: Sealable }[]> {
    const until = before ?? Number.MAX_SAFE_INTEGER;
    const newest = <Row extends { sequence: number; document: string }>(rows: Row[]) =>
      rows.map((row) => ({ sequence: row.sequence, sealed: JSON.parse(row.document) as Sealable }));
    const entries = await this.db
      .select({ sequence: t.entries.sequence, document: t.entries.document })
      .from(t.entries)
      .where(lt(t.entries.sequence, until))
      .orderBy(desc(t.entries.sequence))
      .limit(limit);
    const revisions = await this.db
      .select({ sequence: t.revisions.sequence, document: t.revisions.document })
      .from(t.revisions)
      .where(lt(t.revisions.sequence, until))
      .orderBy(desc(t.revisions.sequence))
      .limit(limit);
    return [...newest(entries), ...newest(revisions)].sort((a, b) => b.sequence - a.sequence).slice(0, limit);
  }

  async revisionsOf(table: string, id: string): Promise<Revision[]> {
    return parsed(
      await this.db
        .select()
        .from(t.revisions)
        .where(and(eq(t.revisions.tableName, table), eq(t.revisions.rowId, id)))
        .orderBy(asc(t.revisions.sequence)),
    );
  }

  async hasRevisions(): Promise<boolean> {
    return (await this.db.select({ sequence: t.revisions.sequence }).from(t.revisions).limit(1)).length > 0;
  }

  /** The rows of a table as they are, with their ids. */
  async rowsOf(table: RowTable): Promise<{ id: string; row: object }[]> {
    const stored = TABLES[table];
    const rows = await this.db.select({ id: stored.id, document: stored.document }).from(stored);
    return rows.map((each) => ({ id: each.id, row: JSON.parse(each.document) as object }));
  }

  async rowOf(table: RowTable, id: string): Promise<object | null> {
    const stored = TABLES[table];
    return (
      parsed<object>(
        await this.db.select({ document: stored.document }).from(stored).where(eq(stored.id, id)),
      )[0] ?? null
    );
  }

  /** A row as it shall be from now on; whoever calls this seals its revision in the same batch. */
  putRow(table: RowTable, id: string, row: object): Statement {
    if (table === 'appliances' || table === 'spaces') {
      const { siteId } = row as RowOf<'appliances'>;
      const values = { siteId, document: json(row) };
      return this.db
        .insert(TABLES[table])
        .values({ id, ...values })
        .onConflictDoUpdate({ target: TABLES[table].id, set: values });
    }
    return this.db
      .insert(TABLES[table])
      .values({ id, document: json(row) })
      .onConflictDoUpdate({ target: TABLES[table].id, set: { document: json(row) } });
  }

  /**
   * Seals revisions of rows, then entries, onto the chain. Call inside the write queue: the chain's end must not move
   * meanwhile.
   */
  async sealed(
    entries: readonly Entry[],
    revisions: readonly Revision[] = [],
  ): Promise<{ entries: Entry[]; revisions: Revision[]; statements: Statement[] }> {
    const end = await this.endOfChain();
    const statements: Statement[] = [];
    const link = <Kind extends Sealable>(sealable: Kind): Kind => {
      end.sequence += 1;
      const { previous } = end;
      const hash = sealHash(sealable, previous);
      const sealed: Kind = { ...sealable, seal: { hash, previous } };
      const common = { sequence: end.sequence, hash, previous, document: json(sealed) };
      end.previous = hash;
      statements.push(
        'kind' in sealable
          ? this.db.insert(t.entries).values({
              ...common,
              id: sealable.id,
              applianceId: sealable.applianceId ?? null,
              supersedes: sealable.supersedes ?? null,
              kind: sealable.kind,
              visitId: sealable.visitId ?? null,
            })
          : this.db
              .insert(t.revisions)
              .values({ ...common, tableName: (sealable as Revision).table, rowId: sealable.id }),
      );
      return sealed;
    };
    return { revisions: revisions.map(link), entries: entries.map(link), statements };
  }

  private async endOfChain(): Promise<{ sequence: number; previous: string }> {
    const last = async (table: typeof t.entries | typeof t.revisions) =>
      (
        await this.db
          .select({ sequence: table.sequence, hash: table.hash })
          .from(table)
          .orderBy(desc(table.sequence))
          .limit(1)
      )[0];
    const [entry, revision] = [await last(t.entries), await last(t.revisions)];
    const end = (entry?.sequence ?? 0) > (revision?.sequence ?? 0) ? entry : revision;
    return { sequence: end?.sequence ?? 0, previous: end?.hash ?? CHAIN_START };
  }

  /** All or nothing. */
  async batch(statements: Statement[]): Promise<void> {
    const [first, ...rest] = statements;
    if (first) await this.db.batch([first, ...rest]);
  }
}
