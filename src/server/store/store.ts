/** Reads and writes rows. Knows tables and JSON, no rules. */
import { and, asc, eq, inArray, isNotNull, like, lte, notInArray, or, sql } from 'drizzle-orm';
import type { Entry } from '../../core/logbook/entry';
import type { Appliance, Company, Cylinder, Owner, Person, Site, Space } from '../../core/logbook/tables';
import type { Amendment } from '../../core/rules/amend';
import type { ApplianceStanding } from '../../core/rules/standingDocument';
import type { MachineSummary } from '../../core/rules/summary';
import type { Instrument } from '../../core/visit/instrument';
import * as t from './schema';
import { SealedStore, type Statement, json, parsed } from './sealedStore';

export interface StoredDuty {
  due: string;
  [field: string]: unknown;
}

export interface StoredStanding {
  applianceId: string;
  asOf: string;
  summary: MachineSummary;
  document: ApplianceStanding;
  duties: StoredDuty[];
}

export interface StoredVisit {
  visitId: string;
  applianceId: string;
  from: string;
  to: string;
  entries: number;
  handedOver: boolean;
  by: string;
}

export interface VisitQuery {
  text: string;
  applianceId: string | null;
  visitId: string | null;
  limit: number;
  offset: number;
}

export class Store extends SealedStore {
  company = async (): Promise<Company | null> =>
    parsed<Company>(await this.db.select().from(t.company))[0] ?? null;
  owners = async (): Promise<Owner[]> => parsed(await this.db.select().from(t.owners));
  sites = async (): Promise<Site[]> => parsed(await this.db.select().from(t.sites));
  spaces = async (): Promise<Space[]> => parsed(await this.db.select().from(t.spaces));
  people = async (): Promise<Person[]> => parsed(await this.db.select().from(t.people));
  cylinders = async (): Promise<Cylinder[]> => parsed(await this.db.select().from(t.cylinders));
  instruments = async (): Promise<Instrument[]> => parsed(await this.db.select().from(t.instruments));
  appliances = async (): Promise<Appliance[]> => parsed(await this.db.select().from(t.appliances));

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

  /** Those of the ids that are machines. */
  async knownAppliances(ids: readonly string[]): Promise<string[]> {
    if (ids.length === 0) return [];
    const rows = await this.db
      .select({ id: t.appliances.id })
      .from(t.appliances)
      .where(inArray(t.appliances.id, [...ids]));
    return rows.map((row) => row.id);
  }

  async entriesById(ids: readonly string[]): Promise<Entry[]> {
    if (ids.length === 0) return [];
    return parsed(
      await this.db
        .select()
        .from(t.entries)
        .where(inArray(t.entries.id, [...ids])),
    );
  }

  /** Entries of a machine, and those elsewhere that correct one of them or rival its corrections. */
  async entriesBearingOn(applianceId: string): Promise<Entry[]> {
    const own = this.db
      .select({ id: t.entries.id })
      .from(t.entries)
      .where(eq(t.entries.applianceId, applianceId));
    const targets = this.db
      .select({ id: sql<string>`${t.entries.supersedes}` })
      .from(t.entries)
      .where(and(eq(t.entries.applianceId, applianceId), isNotNull(t.entries.supersedes)));
    const rows = await this.db
      .select()
      .from(t.entries)
      .where(
        or(
          eq(t.entries.applianceId, applianceId),
          inArray(t.entries.supersedes, own),
          inArray(t.entries.supersedes, targets),
        ),
      )
      .orderBy(asc(t.entries.sequence));
    return parsed(rows);
  }

  /** Machines whose history a new entry touches: its own, that of the entry it names, those of its rivals. */
  async machinesTouchedBy(entry: Entry): Promise<string[]> {
    const touched = new Set<string>();
    if (entry.applianceId != null) touched.add(entry.applianceId);
    if (entry.supersedes != null) {
      const rows = await this.db
        .select({ applianceId: t.entries.applianceId })
        .from(t.entries)
        .where(or(eq(t.entries.id, entry.supersedes), eq(t.entries.supersedes, entry.supersedes)));
      for (const row of rows) if (row.applianceId !== null) touched.add(row.applianceId);
    }
    return [...touched];
  }

  /**
   * Visits by machine, the last written first; what was voided or corrected away does not count. A page of them, narrowed
   * by words in the name of machine or site, by machine, or to one visit.
   */
  async visits({ text, applianceId, visitId, limit, offset }: VisitQuery): Promise<StoredVisit[]> {
    const on = sql<string>`json_extract(${t.entries.document}, '$.on')`;
    const signed = sql<number>`sum(${t.entries.kind} = 'handover' and json_extract(${t.entries.document}, '$.tool') = 'signed')`;
    const words = text.trim().split(/\s+/).filter(Boolean);
    const named = sql<string>`json_extract(${t.appliances.document}, '$.name') || ' ' || json_extract(${t.sites.document}, '$.name')`;
    const rows = await this.db
      .select({
        visitId: sql<string>`${t.entries.visitId}`,
        applianceId: sql<string>`${t.entries.applianceId}`,
        from: sql<string>`min(${on})`,
        to: sql<string>`max(${on})`,
        entries: sql<number>`count(*)`,
        handedOver: signed,
        by: sql<string>`json_extract(${t.entries.document}, '$.by')`,
      })
      .from(t.entries)
      .innerJoin(t.appliances, eq(t.appliances.id, t.entries.applianceId))
      .innerJoin(t.sites, eq(t.sites.id, t.appliances.siteId))
      .where(
        and(
          isNotNull(t.entries.visitId),
          applianceId === null ? undefined : eq(t.entries.applianceId, applianceId),
          visitId === null ? undefined : eq(t.entries.visitId, visitId),
          ...words.map((word) => like(named, `%${word}%`)),
          this.alive(),
        ),
      )
      .groupBy(t.entries.visitId, t.entries.applianceId)
      .orderBy(sql`max(${t.entries.sequence}) desc`)
      .limit(limit)
      .offset(offset);
    return rows.map((row) => ({ ...row, handedOver: row.handedOver > 0 }));
  }

  /** No other entry supersedes it. */
  private alive() {
    return notInArray(
      t.entries.id,
      this.db
        .select({ id: sql<string>`${t.entries.supersedes}` })
        .from(t.entries)
        .where(isNotNull(t.entries.supersedes)),
    );
  }

  /** Living entries of gas into or out of these bottles. */
  async gasOfBottles(ids: readonly string[]): Promise<Entry[]> {
    if (ids.length === 0) return [];
    return parsed(
      await this.db
        .select()
        .from(t.entries)
        .where(
          and(
            inArray(t.entries.kind, ['refrigerantAdded', 'refrigerantRecovered']),
            inArray(sql`json_extract(${t.entries.document}, '$.cylinderId')`, [...ids]),
            this.alive(),
          ),
        ),
    );
  }

  /** Leaks that were found on machines of a kind, dead entries left out. */
  async leaksOfKind(kind: string): Promise<Entry[]> {
    const machines = (await this.appliances()).filter((each) => each.kind === kind).map((each) => each.id);
    if (machines.length === 0) return [];
    const rows = await this.db
      .select()
      .from(t.entries)
      .where(and(eq(t.entries.kind, 'leakFound'), inArray(t.entries.applianceId, machines), this.alive()));
    return parsed(rows);
  }

  async allEntries(): Promise<Entry[]> {
    return parsed(await this.db.select().from(t.entries).orderBy(asc(t.entries.sequence)));
  }

  async standings(): Promise<{ applianceId: string; asOf: string; summary: MachineSummary }[]> {
    const rows = await this.db
      .select({ applianceId: t.standings.applianceId, asOf: t.standings.asOf, summary: t.standings.summary })
      .from(t.standings);
    return rows.map((row) => ({ ...row, summary: JSON.parse(row.summary) as MachineSummary }));
  }

  async standing(applianceId: string): Promise<ApplianceStanding | null> {
    return (
      parsed<ApplianceStanding>(
        await this.db.select().from(t.standings).where(eq(t.standings.applianceId, applianceId)),
      )[0] ?? null
    );
  }

  /** Machines and the day as of which each was last judged. */
  async judgedOn(): Promise<{ id: string; siteId: string; asOf: string | null }[]> {
    return this.db
      .select({ id: t.appliances.id, siteId: t.appliances.siteId, asOf: t.standings.asOf })
      .from(t.appliances)
      .leftJoin(t.standings, eq(t.standings.applianceId, t.appliances.id));
  }

  async dutiesDueBy(due: string): Promise<{ applianceId: string; duty: StoredDuty }[]> {
    const rows = await this.db
      .select()
      .from(t.duties)
      .where(lte(t.duties.due, due))
      .orderBy(asc(t.duties.due));
    return rows.map((row) => ({
      applianceId: row.applianceId,
      duty: JSON.parse(row.document) as StoredDuty,
    }));
  }

  async amendments(): Promise<(Amendment & { recordedAt: string })[]> {
    const rows = await this.db.select().from(t.amendments).orderBy(asc(t.amendments.sequence));
    return rows.map((row) => ({ ...(JSON.parse(row.document) as Amendment), recordedAt: row.recordedAt }));
  }

  insertAmendment = (amendment: Amendment, recordedAt: string): Statement =>
    this.db.insert(t.amendments).values({ recordedAt, document: json(amendment) });

  replaceStanding({ applianceId, asOf, summary, document, duties }: StoredStanding): Statement[] {
    const values = { asOf, summary: json(summary), document: json(document) };
    return [
      this.db
        .insert(t.standings)
        .values({ applianceId, ...values })
        .onConflictDoUpdate({ target: t.standings.applianceId, set: values }),
      this.db.delete(t.duties).where(eq(t.duties.applianceId, applianceId)),
      ...duties.map((duty, number) =>
        this.db.insert(t.duties).values({ applianceId, number, due: duty.due, document: json(duty) }),
      ),
    ];
  }
}
