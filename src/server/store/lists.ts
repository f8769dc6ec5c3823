/** Pages of duties, trips, sites, bottles and visits, each by an index of its order. Knows columns, no rules. */
import { and, eq, gt, gte, inArray, lte, sql } from 'drizzle-orm';
import type { Tables } from './database';
import { nameKey, searchQuestion } from './keys';
import { type Sites, among } from './among';
import { paged } from './pages';
import * as t from './schema';
import { NOT_WITHDRAWN } from './withdrawn';

export interface DutiesAsked {
  sites: Sites;
  machines?: readonly string[] | null;
  /** first and last day on which they fall due */
  from?: string;
  until: string;
}

export class Lists {
  constructor(private readonly db: Tables) {}

  /** `machines`: of these alone; null: of all. */
  async duties(
    { sites, machines = null, from = '', until }: DutiesAsked,
    after: string | null,
    limit: number,
  ) {
    return paged(
      [t.duties.due, t.duties.applianceId, t.duties.kind],
      { after, limit },
      (part) =>
        this.db
          .select({
            applianceId: t.duties.applianceId,
            due: t.duties.due,
            kind: t.duties.kind,
            document: t.duties.document,
            stamp: t.standings.stamp,
            summary: t.standings.summary,
            appliance: t.appliances.document,
            site: t.sites.document,
          })
          .from(t.duties)
          .innerJoin(t.standings, eq(t.standings.applianceId, t.duties.applianceId))
          .innerJoin(t.appliances, eq(t.appliances.id, t.duties.applianceId))
          .innerJoin(t.sites, eq(t.sites.id, t.duties.siteId))
          .where(
            and(
              among(t.duties.siteId, sites),
              // One parameter, however many they are.
              machines === null
                ? undefined
                : sql`${t.duties.applianceId} in (select value from json_each(${JSON.stringify(machines)}))`,
              gte(t.duties.due, from),
              lte(t.duties.due, until),
              part.beyond,
            ),
          )
          .orderBy(part.order)
          .limit(part.limit),
      (row) => [row.due, row.applianceId, row.kind],
    );
  }

  /** Duties by day, at some sites or in every time zone; `scope` begins with `site ` or `zone `. */
  async dutyDays(sites: Sites, until: string): Promise<{ scope: string; due: string; duties: number }[]> {
    const { dutyDays } = t;
    return this.db
      .select()
      .from(dutyDays)
      .where(
        and(
          sites === null
            ? sql`${dutyDays.scope} >= 'zone ' and ${dutyDays.scope} < 'zone!'`
            : inArray(
                dutyDays.scope,
                sites.map((id) => `site ${id}`),
              ),
          lte(dutyDays.due, until),
        ),
      );
  }

  /** Sites with something late or due within a month, the latest first. */
  async trips(sites: Sites, after: string | null, limit: number) {
    return paged(
      [t.trips.late, t.trips.due, t.trips.siteId],
      { after, limit, descending: true },
      (part) =>
        this.db
          .select({ siteId: t.trips.siteId, late: t.trips.late, due: t.trips.due, site: t.sites.document })
          .from(t.trips)
          .innerJoin(t.sites, eq(t.sites.id, t.trips.siteId))
          .where(and(among(t.trips.siteId, sites), gt(t.trips.due, 0), part.beyond))
          .orderBy(part.order)
          .limit(part.limit),
      (row) => [row.late, row.due, row.siteId],
    );
  }

  /** The ground of forecasts, machine by machine. */
  async leaking(sites: Sites, after: string | null, limit: number) {
    return paged(
      [t.standings.number],
      { after, limit },
      (part) =>
        this.db
          .select({
            applianceId: t.standings.applianceId,
            number: t.standings.number,
            stamp: t.standings.stamp,
            leaking: t.standings.leaking,
            appliance: t.appliances.document,
            site: t.sites.document,
          })
          .from(t.standings)
          .innerJoin(t.appliances, eq(t.appliances.id, t.standings.applianceId))
          .innerJoin(t.sites, eq(t.sites.id, t.standings.siteId))
          .where(and(among(t.standings.siteId, sites), part.beyond))
          .orderBy(part.order)
          .limit(part.limit),
      (row) => [row.number],
    );
  }

  /** Sites by name, narrowed by words that stand in it. */
  async sites({ text, sites }: { text: string; sites: Sites }, after: string | null, limit: number) {
    const words = nameKey(text).split(/\s+/).filter(Boolean);
    return paged(
      [t.sites.nameKey, t.sites.id],
      { after, limit },
      (part) =>
        this.db
          .select()
          .from(t.sites)
          .where(
            and(
              among(t.sites.id, sites),
              ...words.map((word) => sql`instr(${t.sites.nameKey}, ${word}) > 0`),
              sql.raw(NOT_WITHDRAWN),
              part.beyond,
            ),
          )
          .orderBy(part.order)
          .limit(part.limit),
      (row) => [row.nameKey, row.id],
    );
  }

  /** Bottles by refrigerant and serial, of one refrigerant or of all. */
  async cylinders(refrigerant: string | null, after: string | null, limit: number) {
    return paged(
      [t.cylinders.refrigerant, t.cylinders.nameKey, t.cylinders.id],
      { after, limit },
      (part) =>
        this.db
          .select()
          .from(t.cylinders)
          .where(
            and(
              refrigerant === null ? undefined : eq(t.cylinders.refrigerant, refrigerant),
              sql.raw(NOT_WITHDRAWN),
              part.beyond,
            ),
          )
          .orderBy(part.order)
          .limit(part.limit),
      (row) => [row.refrigerant, row.nameKey, row.id],
    );
  }

  /** Visits to machines, the last written first; narrowed by words of machine and site, by machine, or to one visit. */
  async visits(
    {
      text,
      sites,
      applianceId,
      visitId,
    }: { text: string; sites: Sites; applianceId: string | null; visitId: string | null },
    after: string | null,
    limit: number,
  ) {
    const asked = searchQuestion(text);
    return paged(
      [t.visits.last, t.visits.applianceId],
      { after, limit, descending: true },
      (part) =>
        this.db
          .select({
            visitId: t.visits.visitId,
            applianceId: t.visits.applianceId,
            from: t.visits.from,
            to: t.visits.to,
            entries: t.visits.entries,
            handedOver: t.visits.handedOver,
            by: t.visits.by,
            last: t.visits.last,
            appliance: t.appliances.document,
            site: t.sites.document,
          })
          .from(t.visits)
          .innerJoin(t.appliances, eq(t.appliances.id, t.visits.applianceId))
          .innerJoin(t.sites, eq(t.sites.id, t.appliances.siteId))
          .where(
            and(
              among(t.appliances.siteId, sites),
              applianceId === null ? undefined : eq(t.visits.applianceId, applianceId),
              visitId === null ? undefined : eq(t.visits.visitId, visitId),
              asked === null
                ? undefined
                : sql`${t.visits.applianceId} in (select appliance_id from standings where number in (select rowid from machine_words where machine_words match ${asked}))`,
              part.beyond,
            ),
          )
          .orderBy(part.order)
          .limit(part.limit),
      (row) => [row.last, row.applianceId],
    );
  }
}
