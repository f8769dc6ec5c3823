/** Keeps what was judged of machines: standings, duties, trips, and which leak where. Knows columns, no rules. */
import { and, asc, count, eq, gt, inArray, isNull, sql } from 'drizzle-orm';
import type { MachineStanding } from './machineStanding';
import type { Statement, Tables } from './database';
import { insertions } from './insertions';
import * as t from './schema';

const COLUMNS = [
  t.standings.applianceId,
  t.standings.siteId,
  t.standings.stamp,
  t.standings.fingerprint,
  t.standings.words,
  t.standings.kind,
  t.standings.state,
  t.standings.unjudged,
  t.standings.byName,
  t.standings.bySite,
  t.standings.charge,
  t.standings.room,
  t.standings.due,
  t.standings.summary,
  t.standings.leaking,
] as const;

const values = (judged: MachineStanding): (string | number)[] => [
  judged.applianceId,
  judged.siteId,
  judged.stamp,
  judged.fingerprint,
  judged.words,
  judged.kind,
  judged.state,
  judged.unjudged,
  judged.byName,
  judged.bySite,
  judged.charge,
  judged.room,
  judged.due,
  judged.summary,
  judged.leaking,
];

const SET = [...COLUMNS.slice(1).map(({ name }) => `"${name}" = excluded."${name}"`), 'document = NULL'].join(
  ', ',
);

export interface StandingStamp {
  stamp: string;
  fingerprint: string;
}

export class Standings {
  constructor(private readonly db: Tables) {
    this.keptQuery = db
      .select({ stamp: t.standings.stamp, fingerprint: t.standings.fingerprint })
      .from(t.standings)
      .where(eq(t.standings.applianceId, sql.placeholder('applianceId')))
      .prepare();
  }

  /**
   * Puts what was judged in place of what stood there, whose fingerprint is `before` (null: nothing did). Duties and
   * leaking parts are touched only where they changed.
   */
  put(judged: MachineStanding, before: string | null): Statement[] {
    const row = insertions(
      t.standings,
      COLUMNS,
      [values(judged)],
      `ON CONFLICT("appliance_id") DO UPDATE SET ${SET}`,
    );
    return judged.fingerprint === before
      ? row
      : [...row, ...this.duties(judged, before), ...this.leakParts(judged, before)];
  }

  /** The same where it is known what stood there: columns that stay as they are keep their places in the indexes. */
  change(judged: MachineStanding, before: MachineStanding): Statement[] {
    const old = values(before);
    const changed = values(judged).flatMap((value, index) =>
      value === old[index] ? [] : [{ value, index }],
    );
    const row = {
      sql: `UPDATE standings SET ${['document = NULL', ...changed.map(({ index }) => `"${COLUMNS[index]?.name ?? ''}" = ?`)].join(', ')} WHERE appliance_id = ?`,
      args: [...changed.map(({ value }) => value), judged.applianceId],
    };
    return judged.fingerprint === before.fingerprint
      ? [row]
      : [row, ...this.duties(judged, before.fingerprint), ...this.leakParts(judged, before.fingerprint)];
  }

  private duties(
    { applianceId, siteId, timezone, duties }: MachineStanding,
    before: string | null,
  ): Statement[] {
    const text = JSON.stringify(duties);
    const gone = {
      sql: `DELETE FROM duties WHERE appliance_id = ? AND NOT (site_id = ? AND timezone = ? AND (due, kind) IN
        (SELECT value ->> 'due', value ->> 'kind' FROM json_each(?)))`,
      args: [applianceId, siteId, timezone, text],
    };
    const come = {
      sql: `INSERT INTO duties SELECT ?, value ->> 'kind', value ->> 'due', ?, ?, value ->> 'document' FROM json_each(?)
        WHERE true ON CONFLICT DO UPDATE SET document = excluded.document WHERE document <> excluded.document`,
      args: [applianceId, siteId, timezone, text],
    };
    return [...(before ? [gone] : []), ...(duties.length > 0 ? [come] : [])];
  }

  private leakParts({ applianceId, kind, leakParts }: MachineStanding, before: string | null): Statement[] {
    const text = JSON.stringify(leakParts);
    const gone = {
      sql: `DELETE FROM leak_parts WHERE appliance_id = ? AND NOT (kind = ? AND (type, times) IN
        (SELECT value ->> 'type', value ->> 'times' FROM json_each(?)))`,
      args: [applianceId, kind, text],
    };
    const come = {
      sql: `INSERT INTO leak_parts SELECT ?, ?, value ->> 'type', value ->> 'times' FROM json_each(?)
        WHERE true ON CONFLICT DO NOTHING`,
      args: [applianceId, kind, text],
    };
    return [...(before ? [gone] : []), ...(leakParts.length > 0 ? [come] : [])];
  }

  /** Puts many that no list has yet. */
  putAll(judged: readonly MachineStanding[]): Statement[] {
    return [
      ...insertions(t.standings, COLUMNS, judged.map(values)),
      ...insertions(
        t.duties,
        [
          t.duties.applianceId,
          t.duties.siteId,
          t.duties.timezone,
          t.duties.kind,
          t.duties.due,
          t.duties.document,
        ],
        judged.flatMap(({ applianceId, siteId, timezone, duties }) =>
          duties.map(({ kind, due, document }) => [applianceId, siteId, timezone, kind, due, document]),
        ),
      ),
      ...insertions(
        t.leakParts,
        [t.leakParts.applianceId, t.leakParts.kind, t.leakParts.type, t.leakParts.times],
        judged.flatMap(({ applianceId, kind, leakParts }) =>
          leakParts.map(({ type, times }) => [applianceId, kind, type, times]),
        ),
      ),
    ];
  }

  /** In the lists from its first moment, whoever judges it. */
  place = (judged: MachineStanding): Statement[] =>
    insertions(t.standings, COLUMNS, [values(judged)], 'ON CONFLICT DO NOTHING');

  /** What is late and what falls due within a month at a site, counted anew. */
  trip(siteId: string, today: string, until: string): Statement {
    return {
      sql: `INSERT OR REPLACE INTO trips SELECT ?, ?, coalesce(sum(duties) FILTER (WHERE due < ?), 0), coalesce(sum(duties), 0)
        FROM duty_days WHERE scope = ? AND due <= ?`,
      args: [siteId, today, today, `site ${siteId}`, until],
    };
  }

  /** All machines of a site shall be judged anew. */
  markSite = (siteId: string, stamp: string): Statement =>
    this.db.update(t.standings).set({ stamp }).where(eq(t.standings.siteId, siteId));

  /** Every stamp that some standing has, found by steps through its index: there are few, however many machines. */
  async stamps(): Promise<string[]> {
    const found: string[] = [];
    for (let after: string | null = null; ;) {
      const rows: { stamp: string }[] = await this.db
        .select({ stamp: t.standings.stamp })
        .from(t.standings)
        .where(after === null ? undefined : gt(t.standings.stamp, after))
        .orderBy(asc(t.standings.stamp))
        .limit(1);
      const stamp = rows[0]?.stamp;
      if (stamp === undefined) return found;
      found.push(stamp);
      after = stamp;
    }
  }

  async countStamped(stamps: readonly string[]): Promise<number> {
    const rows = await this.db
      .select({ count: count() })
      .from(t.standings)
      .where(inArray(t.standings.stamp, [...stamps]));
    return rows[0]?.count ?? 0;
  }

  /** The next machines with this stamp, with their sites. */
  async stamped(
    stamp: string,
    after: number,
    limit: number,
  ): Promise<{ number: number; appliance: string; site: string }[]> {
    return this.db
      .select({ number: t.standings.number, appliance: t.appliances.document, site: t.sites.document })
      .from(t.standings)
      .innerJoin(t.appliances, eq(t.appliances.id, t.standings.applianceId))
      .innerJoin(t.sites, eq(t.sites.id, t.appliances.siteId))
      .where(and(eq(t.standings.stamp, stamp), gt(t.standings.number, after)))
      .orderBy(asc(t.standings.number))
      .limit(limit);
  }

  /** Stamp and fingerprint of what is kept of a machine. */
  kept = async (applianceId: string): Promise<StandingStamp | null> =>
    (await this.keptQuery.get({ applianceId })) ?? null;

  private readonly keptQuery;

  /** The whole standing of a machine, kept from now on until it changes. */
  keepDocument = (applianceId: string, document: string): Statement =>
    this.db.update(t.standings).set({ document }).where(eq(t.standings.applianceId, applianceId));

  /** Texts of what is kept of a machine; its whole standing only if somebody asked for it since it changed. */
  async of(applianceId: string): Promise<{ summary: string; document: string | null } | null> {
    const rows = await this.db
      .select({ summary: t.standings.summary, document: t.standings.document })
      .from(t.standings)
      .where(eq(t.standings.applianceId, applianceId));
    return rows[0] ?? null;
  }

  /** A machine that is nowhere any more: out of all lists. */
  remove = (applianceId: string): Statement[] =>
    ['standings', 'duties', 'leak_parts'].map((table) => ({
      sql: `DELETE FROM ${table} WHERE appliance_id = ?`,
      args: [applianceId],
    }));

  /** Machines that no list has yet: those of a database from before there were lists. */
  async unplaced(): Promise<string[]> {
    const rows = await this.db
      .select({ id: t.appliances.id })
      .from(t.appliances)
      .leftJoin(t.standings, eq(t.standings.applianceId, t.appliances.id))
      .where(and(isNull(t.standings.number), sql.raw(`instr(appliances.document, '"x-withdrawn"') = 0`)));
    return rows.map((row) => row.id);
  }

  async leaksOfKind(kind: string): Promise<{ type: string; times: number }[]> {
    return this.db
      .select({ type: t.leakTallies.type, times: t.leakTallies.times })
      .from(t.leakTallies)
      .where(and(eq(t.leakTallies.kind, kind), gt(t.leakTallies.times, 0)));
  }
}
