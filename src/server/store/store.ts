/** Reads and writes rows. Knows tables and JSON, no rules. */
import { and, asc, eq, gte, inArray, ne, sql } from 'drizzle-orm';
import type { Appliance, Company, Cylinder, Owner, Person, Site, Space } from '../../core/logbook/tables';
import { type Day, dayText } from '../../core/quantity/day';
import type { Amendment } from '../../core/rules/amend';
import type { Instrument } from '../../core/visit/instrument';
import { nameKey } from './keys';
import * as t from './schema';
import type { Statement, Tables } from './database';
import { EntryStore } from './entryStore';
import { json, parsed } from './sealedStore';
import { isWithdrawn } from './withdrawn';

/** Rows that were not taken back with the import that brought them. */
const standing = <Row extends object>(rows: readonly Row[]): Row[] => rows.filter((row) => !isWithdrawn(row));

export class Store extends EntryStore {
  private readonly placedQuery;

  constructor(db: Tables) {
    super(db);
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

  /** Of some site; UTC where there is none. */
  async anyTimezone(): Promise<string> {
    const [site] = await this.db.select().from(t.sites).limit(1);
    return site ? (JSON.parse(site.document) as Site).timezone : 'UTC';
  }

  /** Machines that somebody wrote about on this day or later. */
  async machinesServedBy(person: string, since: Day): Promise<string[]> {
    const rows = await this.db
      .select({ id: t.served.applianceId })
      .from(t.served)
      .where(and(eq(t.served.by, person), gte(t.served.last, dayText(since))));
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

  private async byIds<Row>(
    table: 'spaces' | 'sites' | 'cylinders' | 'people',
    ids: readonly string[],
  ): Promise<Row[]> {
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

  peopleById = async (ids: readonly string[]) => standing(await this.byIds<Person>('people', ids));

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

  async amendments(): Promise<(Amendment & { recordedAt: string })[]> {
    const rows = await this.db.select().from(t.amendments).orderBy(asc(t.amendments.sequence));
    return rows.map((row) => ({ ...(JSON.parse(row.document) as Amendment), recordedAt: row.recordedAt }));
  }

  insertAmendment = (amendment: Amendment, recordedAt: string): Statement =>
    this.db.insert(t.amendments).values({ recordedAt, document: json(amendment) });

  removeAmendment = (amendment: Amendment): Statement =>
    this.db.delete(t.amendments).where(eq(t.amendments.document, json(amendment)));
}
