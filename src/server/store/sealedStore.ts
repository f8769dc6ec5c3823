/**
 * What is sealed: entries and revisions in one chain, and the rows that the latest revisions say. Knows tables, JSON and
 * hashes, no rules.
 */
import { and, asc, desc, eq, getTableColumns, gt, lt, lte, sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import type { RowTable } from '../../contract/rows';
import type { Entry } from '../../core/logbook/entry';
import type { Revision } from '../../core/logbook/tables';
import { Chain, type ChainEnd } from './chain';
import type { Statement, Tables } from './database';
import { type Value, insertions } from './insertions';
import { nameKey } from './keys';
import * as t from './schema';
import { isWithdrawn } from './withdrawn';
import { CHAIN_START, type Link, type Sealable } from './seal';

const LINKS_OF_A_PART = 1000;

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
  /** `db`: what the database holds now, or the moment of a snapshot */
  constructor(protected readonly db: Tables) {
    const last = (table: typeof t.entries | typeof t.revisions) =>
      db
        .select({ sequence: table.sequence, document: table.document })
        .from(table)
        .orderBy(desc(table.sequence))
        .limit(1)
        .as('last');
    const [entry, revision] = [last(t.entries), last(t.revisions)];
    this.endQuery = db
      .select({ sequence: entry.sequence, document: entry.document })
      .from(entry)
      .unionAll(db.select({ sequence: revision.sequence, document: revision.document }).from(revision))
      .orderBy(desc(sql`sequence`))
      .limit(1)
      .prepare();
  }

  /** The whole chain in its order, in parts that fit into memory whatever its length. */
  async *chain(): AsyncGenerator<Link> {
    for (let after = 0; ;) {
      const page = (
        table: typeof t.entries | typeof t.revisions,
        id: typeof t.entries.id | typeof t.revisions.rowId,
      ) =>
        this.db
          .select({
            sequence: table.sequence,
            id,
            document: table.document,
          })
          .from(table)
          .where(and(gt(table.sequence, after), lte(table.sequence, after + LINKS_OF_A_PART)))
          .orderBy(asc(table.sequence));
      const rows = [
        ...(await page(t.entries, t.entries.id)),
        ...(await page(t.revisions, t.revisions.rowId)),
      ];
      if (rows.length === 0 && !(await this.hasLinkAfter(after + LINKS_OF_A_PART))) return;
      rows.sort((a, b) => a.sequence - b.sequence);
      for (const { document, ...row } of rows) yield { ...row, sealed: JSON.parse(document) as Sealable };
      after += LINKS_OF_A_PART;
    }
  }

  /** Whether anything was sealed beyond this place: a link that was taken out leaves a gap. */
  private hasLinkAfter = async (sequence: number): Promise<boolean> =>
    (await this.endOfChain()).sequence > sequence;

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

  /** Rows of a database from before there were name keys. */
  async rowsWithoutKey(): Promise<{ table: RowTable; id: string; row: object }[]> {
    const found: { table: RowTable; id: string; row: object }[] = [];
    for (const table of ['sites', 'people', 'appliances', 'cylinders'] as const) {
      const stored = TABLES[table];
      const rows = await this.db.select().from(stored).where(eq(stored.nameKey, ''));
      for (const { id, document } of rows) found.push({ table, id, row: JSON.parse(document) as object });
    }
    return found;
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
    const set = { document: json(row), ...columnsOf(table, row) };
    return this.db
      .insert(TABLES[table])
      .values({ id, ...set } as never)
      .onConflictDoUpdate({ target: TABLES[table].id, set });
  }

  /** Rows of an empty store. */
  putRows(rows: readonly { table: RowTable; id: string; row: object }[]): Statement[] {
    return (Object.keys(TABLES) as RowTable[]).flatMap((table) => {
      const stored = TABLES[table];
      const found = Object.keys(columnsOf(table, {}));
      const columns = getTableColumns(stored) as Record<string, SQLiteColumn>;
      return insertions(
        stored,
        [stored.id, stored.document, ...found.flatMap((name) => columns[name] ?? [])],
        rows
          .filter((each) => each.table === table)
          .map(({ id, row }) => [id, json(row), ...(Object.values(columnsOf(table, row)) as Value[])]),
      );
    });
  }

  /**
   * Seals revisions of rows, then entries, onto the chain. Call inside the write queue: the chain's end must not move
   * meanwhile.
   */
  async sealed(
    entries: readonly Entry[],
    revisions: readonly Revision[] = [],
  ): Promise<{ entries: Entry[]; revisions: Revision[]; statements: Statement[]; from: number }> {
    const end = await this.endOfChain();
    const sealed: Sealable[] = [];
    const statements = new Chain(end).seal([...revisions, ...entries], (link) => sealed.push(link));
    return {
      from: end.sequence + revisions.length + 1,
      revisions: sealed.slice(0, revisions.length) as Revision[],
      entries: sealed.slice(revisions.length) as Entry[],
      statements,
    };
  }

  private readonly endQuery;

  async endOfChain(): Promise<ChainEnd> {
    const end = await this.endQuery.get();
    const seal = end && (JSON.parse(end.document) as Sealable).seal;
    return { sequence: end?.sequence ?? 0, previous: seal?.hash ?? CHAIN_START };
  }

  /** The texts of a table's rows, in its order, in parts that fit into memory. */
  async *documents(
    table: 'sites' | 'spaces' | 'people' | 'appliances' | 'cylinders' | 'entries' | 'revisions',
  ): AsyncGenerator<string> {
    const stored = t[table];
    for (let after = 0; ;) {
      const rows = await this.db
        .select({ place: sql<number>`${stored}.rowid`, document: stored.document })
        .from(stored)
        .where(sql`${stored}.rowid > ${after}`)
        .orderBy(sql`${stored}.rowid`)
        .limit(LINKS_OF_A_PART);
      for (const { document } of rows) yield document;
      const last = rows.at(-1);
      if (!last) return;
      after = last.place;
    }
  }

  /** Indexes of tables with the SQL that makes them. */
  async indexesOf(tables: readonly string[]): Promise<{ name: string; sql: string }[]> {
    return this.db.all(
      sql`select name, sql from sqlite_master where type = 'index' and sql is not null
        and tbl_name in (select value from json_each(${JSON.stringify(tables)}))`,
    );
  }
}

/** What a row is found by beside its id. */
function columnsOf(table: RowTable, stored: object): object {
  const row = stored as {
    id?: string;
    name?: string;
    serial?: string;
    siteId?: string;
    refrigerant?: string;
  };
  // A row that was taken back holds no name that another one may want.
  const gone = `withdrawn ${row.id ?? ''}`;
  const given = isWithdrawn(stored) ? { ...row, name: gone, serial: gone } : row;
  switch (table) {
    case 'sites':
    case 'people':
      return { nameKey: nameKey(given.name ?? '') };
    case 'appliances':
      return { siteId: given.siteId, nameKey: nameKey(given.name ?? '') };
    case 'spaces':
      return { siteId: given.siteId };
    case 'cylinders':
      return { nameKey: nameKey(given.serial ?? ''), refrigerant: given.refrigerant };
    default:
      return {};
  }
}
