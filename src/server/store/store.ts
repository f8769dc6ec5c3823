/** Rows that were not taken back with the import that brought them. */
const standing = <Row extends object>(rows: readonly Row[]): Row[] => rows.filter((row) => !isWithdrawn(row));

/** Reads and writes rows. Knows tables and JSON, no rules. */
import { and, asc, count, desc, eq, inArray, isNull, lt, ne, or, sql } from 'drizzle-orm';
import type { Entry } from '../../core/logbook/entry';
import type { Appliance, Company, Cylinder, Owner, Person, Site, Space } from '../../core/logbook/tables';
import { readsRecord } from '../../core/logbook/sense';
import type { Amendment } from '../../core/rules/amend';
import type { Instrument } from '../../core/visit/instrument';
import { nameKey } from './keys';
import * as t from './schema';
import type { Statement, Tables } from './database';
import { SealedStore, json, parsed } from './sealedStore';
import { isWithdrawn } from './withdrawn';

export class Store extends SealedStore {
  private readonly entriesQuery;
  private readonly placedQuery;

  constructor(db: Tables) {
    super(db);
    this.entriesQuery = db
      .select({ document: t.entries.document })
      .from(t.entries)
      .where(sql`${t.entries.id} in (select value from json_each(${sql.placeholder('ids')}))`)
      .prepare();
    this.placedQuery = db
      .select({ appliance: t.appliances.document, site: t.sites.document })
      .from(t.appliances)
      .innerJoin(t.sites, eq(t.sites.id, t.appliances.siteId))
      .where(eq(t.appliances.id, sql.placeholder('id')))
      .prepare();
  }

  company = async (): Promise<Company | null> =>
    standing(parsed<Company>(await this.db.select().from(t.company)))[0] ?? null;
  owners = async (): Promise<Owner[]> => standing(parsed<Owner>(await this.db.select().from(t.owners)));
  people = async (): Promise<Person[]> => standing(parsed<Person>(await this.db.select().from(t.people)));
  instruments = async (): Promise<Instrument[]> =>
    standing(parsed<Instrument>(await this.db.select().from(t.instruments)));

  async site(id: string): Promise<Site | null> {
    return parsed<Site>(await this.db.select().from(t.sites).where(eq(t.sites.id, id)))[0] ?? null;
  }

  async cylinder(id: string): Promise<Cylinder | null> {
    return (
      parsed<Cylinder>(await this.db.select().from(t.cylinders).where(eq(t.cylinders.id, id)))[0] ?? null
    );
  }

  async appliance(id: string): Promise<Appliance | null> {
    return (
      parsed<Appliance>(await this.db.select().from(t.appliances).where(eq(t.appliances.id, id)))[0] ?? null
    );
  }

  /** Machines that somebody visited. */
  async machinesVisitedBy(person: string): Promise<string[]> {
    const rows = await this.db
      .selectDistinct({ id: t.visits.applianceId })
      .from(t.visits)
      .where(eq(t.visits.by, person));
    return rows.map(({ id }) => id);
  }

  async machinesOfSite(siteId: string): Promise<string[]> {
    const rows = await this.db.select().from(t.appliances).where(eq(t.appliances.siteId, siteId));
    return rows.filter(({ document }) => !isWithdrawn(JSON.parse(document) as object)).map(({ id }) => id);
  }

  async spacesOf(siteId: string): Promise<Space[]> {
    return standing(parsed<Space>(await this.db.select().from(t.spaces).where(eq(t.spaces.siteId, siteId))));
  }

  async cylinderIdsOf(refrigerant: string): Promise<string[]> {
    const rows = await this.db
      .select({ id: t.cylinders.id })
      .from(t.cylinders)
      .where(eq(t.cylinders.refrigerant, refrigerant))
      .orderBy(asc(t.cylinders.nameKey));
    return standing(await this.cylindersById(rows.map((row) => row.id))).map(({ id }) => id);
  }

  private async byIds<Row>(table: 'spaces' | 'sites' | 'cylinders', ids: readonly string[]): Promise<Row[]> {
    const stored = t[table];
    return parsed(
      await this.db
        .select({ document: stored.document })
        .from(stored)
        .where(inArray(stored.id, [...ids])),
    );
  }

  spacesById = (ids: readonly string[]) => this.byIds<Space>('spaces', ids);

  sitesById = (ids: readonly string[]) => this.byIds<Site>('sites', ids);

  cylindersById = (ids: readonly string[]) => this.byIds<Cylinder>('cylinders', ids);

  /** Another row of this table with this name (of a site's machines: at that site), or null. */
  async namesake(
    table: 'sites' | 'people' | 'cylinders' | 'appliances',
    id: string,
    name: string,
    siteId?: string,
  ): Promise<string | null> {
    const stored = t[table];
    const rows = await this.db
      .select({ id: stored.id })
      .from(stored)
      .where(
        and(
          eq(stored.nameKey, nameKey(name)),
          ne(stored.id, id),
          siteId === undefined ? undefined : eq(t.appliances.siteId, siteId),
        ),
      )
      .limit(1);
    return rows[0]?.id ?? null;
  }

  /** A machine with the site where it stands, or null. */
  async placed(id: string): Promise<{ appliance: Appliance; site: Site } | null> {
    const row = await this.placedQuery.get({ id });
    const appliance = row && (JSON.parse(row.appliance) as Appliance);
    // A machine that was taken back with its import is nowhere.
    return appliance && !isWithdrawn(appliance) ? { appliance, site: JSON.parse(row.site) as Site } : null;
  }

  /** Those of the ids that are machines. */
  async knownAppliances(ids: readonly string[]): Promise<string[]> {
    if (ids.length === 0) return [];
    const rows = await this.db
      .select({ id: t.appliances.id })
      .from(t.appliances)
      .where(inArray(t.appliances.id, [...ids]));
    return rows.map((row) => row.id);
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

  /** Those of the ids that another entry, which is no undo of an import, names in its `supersedes`. */
  async supersededAmong(ids: readonly string[]): Promise<string[]> {
    const rows = await this.db
      .selectDistinct({ id: t.entries.supersedes })
      .from(t.entries)
      .where(sql`${t.entries.supersedes} in (select value from json_each(${json(ids)}))`);
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

  /** Living entries of gas into or out of these bottles. */
  async gasOfBottles(ids: readonly string[]): Promise<Entry[]> {
    if (ids.length === 0) return [];
    const rows = await this.db
      .select()
      .from(t.entries)
      .where(and(inArray(t.entries.cylinderId, [...ids]), this.alive()));
    return parsed<Entry>(rows).filter(readsRecord);
  }

  async amendments(): Promise<(Amendment & { recordedAt: string })[]> {
    const rows = await this.db.select().from(t.amendments).orderBy(asc(t.amendments.sequence));
    return rows.map((row) => ({ ...(JSON.parse(row.document) as Amendment), recordedAt: row.recordedAt }));
  }

  insertAmendment = (amendment: Amendment, recordedAt: string): Statement =>
    this.db.insert(t.amendments).values({ recordedAt, document: json(amendment) });
}
