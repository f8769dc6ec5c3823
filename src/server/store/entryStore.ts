/** Reads entries: of a machine, of a visit, of bottles, and those that correct or rival them. */
import { and, asc, count, desc, eq, inArray, isNull, lt, ne, or, sql } from 'drizzle-orm';
import type { Entry } from '../../core/logbook/entry';
import { readsRecord } from '../../core/logbook/sense';
import type { Tables } from './database';
import * as t from './schema';
import { SealedStore, json, parsed } from './sealedStore';

export class EntryStore extends SealedStore {
  private readonly entriesQuery;

  constructor(db: Tables) {
    super(db);
    this.entriesQuery = db
      .select({ document: t.entries.document })
      .from(t.entries)
      .where(sql`${t.entries.id} in (select value from json_each(${sql.placeholder('ids')}))`)
      .prepare();
  }

  /** Entries of a visit, and those that correct one of them. */
  async entriesOfVisit(visitId: string): Promise<Entry[]> {
    const rows = await this.db
      .select({ id: t.entries.id, document: t.entries.document })
      .from(t.entries)
      .where(eq(t.entries.visitId, visitId))
      .orderBy(asc(t.entries.sequence));
    const ids = json(rows.map(({ id }) => id));
    const corrections = await this.db
      .select({ document: t.entries.document })
      .from(t.entries)
      .where(sql`${t.entries.supersedes} in (select value from json_each(${ids}))`);
    const known = new Set(rows.map(({ id }) => id));
    return [...parsed<Entry>(rows), ...parsed<Entry>(corrections).filter(({ id }) => !known.has(id))];
  }

  async entriesById(ids: readonly string[]): Promise<Entry[]> {
    return ids.length === 0 ? [] : parsed(await this.entriesQuery.all({ ids: json(ids) }));
  }

  /** Entries of a machine, and those elsewhere that correct one of them or rival its corrections. */
  async entriesBearingOn(applianceId: string): Promise<Entry[]> {
    const rows = await this.db
      .select({ id: t.entries.id, supersedes: t.entries.supersedes, document: t.entries.document })
      .from(t.entries)
      .where(eq(t.entries.applianceId, applianceId))
      .orderBy(asc(t.entries.sequence));
    return [...parsed<Entry>(rows), ...(await this.rivalsElsewhere(applianceId, rows))];
  }

  /** The newest entries of a machine before a place in the chain, oldest first, with those elsewhere that bear on them. */
  async entriesBefore(
    applianceId: string,
    before: number | null,
    limit: number,
  ): Promise<{ entries: Entry[]; before: number | null }> {
    const rows = await this.db
      .select({
        sequence: t.entries.sequence,
        id: t.entries.id,
        supersedes: t.entries.supersedes,
        document: t.entries.document,
      })
      .from(t.entries)
      .where(
        and(
          eq(t.entries.applianceId, applianceId),
          before === null ? undefined : lt(t.entries.sequence, before),
        ),
      )
      .orderBy(desc(t.entries.sequence))
      .limit(limit + 1);
    const page = rows.slice(0, limit).reverse();
    return {
      entries: [...parsed<Entry>(page), ...(await this.rivalsElsewhere(applianceId, page))],
      before: rows.length > limit ? (page[0]?.sequence ?? null) : null,
    };
  }

  async countEntries(applianceId: string): Promise<number> {
    const rows = await this.db
      .select({ count: count() })
      .from(t.entries)
      .where(eq(t.entries.applianceId, applianceId));
    return rows[0]?.count ?? 0;
  }

  private async rivalsElsewhere(
    applianceId: string,
    own: readonly { id: string; supersedes: string | null }[],
  ): Promise<Entry[]> {
    const ids = JSON.stringify(
      own.flatMap((each) => [each.id, ...(each.supersedes === null ? [] : [each.supersedes])]),
    );
    const rows = await this.db
      .select({ document: t.entries.document })
      .from(t.entries)
      .where(
        and(
          sql`${t.entries.supersedes} in (select value from json_each(${ids}))`,
          or(isNull(t.entries.applianceId), ne(t.entries.applianceId, applianceId)),
        ),
      )
      .orderBy(asc(t.entries.sequence));
    return parsed(rows);
  }

  /** Which machines each new entry touches: its own, that of the entry it names, those of its rivals. */
  async machinesTouchedBy(entries: readonly Entry[]): Promise<(entry: Entry) => string[]> {
    const targets = JSON.stringify(entries.flatMap(({ supersedes }) => supersedes ?? []));
    const rows =
      targets === '[]'
        ? []
        : await this.db
            .select({
              id: t.entries.id,
              supersedes: t.entries.supersedes,
              applianceId: t.entries.applianceId,
            })
            .from(t.entries)
            .where(
              or(
                sql`${t.entries.id} in (select value from json_each(${targets}))`,
                sql`${t.entries.supersedes} in (select value from json_each(${targets}))`,
              ),
            );
    const byTarget = new Map<string, Set<string>>();
    for (const { id, supersedes, applianceId } of rows)
      for (const target of [id, supersedes])
        if (applianceId !== null && target !== null)
          byTarget.set(target, (byTarget.get(target) ?? new Set()).add(applianceId));
    return ({ applianceId, supersedes }) => [
      ...new Set([...(applianceId == null ? [] : [applianceId]), ...(byTarget.get(supersedes ?? '') ?? [])]),
    ];
  }

  /** Those of the ids that another entry names in its `supersedes`. */
  async supersededAmong(ids: readonly string[]): Promise<string[]> {
    const rows = await this.db
      .selectDistinct({ id: t.entries.supersedes })
      .from(t.entries)
      .where(sql`${t.entries.supersedes} in (select value from json_each(${json(ids)}))`);
    return rows.flatMap(({ id }) => id ?? []);
  }

  /** Entries that were taken back with the import that brought them. */
  async undoneIds(): Promise<string[]> {
    const rows = await this.db
      .select({ id: t.entries.supersedes })
      .from(t.entries)
      .where(sql`${t.entries.supersedes} is not null and ${t.entries.document} ->> '$.x-undone'`);
    return rows.flatMap(({ id }) => id ?? []);
  }

  /** Who wrote and which bottle was used, in entries that name one of these people or bottles and are none of `but`. */
  async namesInEntries(
    people: readonly string[],
    cylinders: readonly string[],
    but: ReadonlySet<string>,
  ): Promise<{ by: string; cylinderId: string | null }[]> {
    const rows = await this.db
      .select({
        id: t.entries.id,
        by: sql<string>`${t.entries.document} ->> '$.by'`,
        cylinderId: t.entries.cylinderId,
      })
      .from(t.entries)
      .where(
        or(
          sql`${t.entries.document} ->> '$.by' in (select value from json_each(${json(people)}))`,
          sql`${t.entries.cylinderId} in (select value from json_each(${json(cylinders)}))`,
        ),
      );
    return rows.filter(({ id }) => !but.has(id));
  }

  /** No other entry supersedes it. */
  private alive = () =>
    sql`not exists (select 1 from ${t.entries} as later where later.supersedes = ${t.entries.id})`;

  /** Effective entries of gas into or out of these bottles. */
  async gasOfCylinders(ids: readonly string[]): Promise<Entry[]> {
    if (ids.length === 0) return [];
    const rows = await this.db
      .select()
      .from(t.entries)
      .where(and(inArray(t.entries.cylinderId, [...ids]), this.alive()));
    return parsed<Entry>(rows).filter(readsRecord);
  }
}
