/** The list of machines by the page: searched, narrowed, sorted and counted by its indexes. Knows columns, no rules. */
import { type SQL, and, eq, inArray, lt, lte, sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import type { MachineSort } from '../../contract/machines';
import type { Tables } from './database';
import { searchQuestion, wordsOf } from './keys';
import { type Sites, among } from './among';
import { type Page, paged } from './pages';
import * as t from './schema';

/** Ends in what no two machines share. */
const MACHINE_ORDERS = {
  state: [t.standings.state, t.standings.byName, t.standings.number],
  name: [t.standings.byName, t.standings.number],
  site: [t.standings.bySite, t.standings.byName, t.standings.number],
  charge: [t.standings.charge, t.standings.number],
  room: [t.standings.room, t.standings.number],
  due: [t.standings.due, t.standings.number],
} as const satisfies Record<MachineSort, readonly SQLiteColumn[]>;

export interface MachineFilter {
  text: string;
  sites: Sites;
  kind: string | null;
  /** rank of the state; null: all but those from `hiddenFrom` on */
  state: number | null;
  hiddenFrom: number;
  unjudged: boolean;
  /** only those with a limit that nobody exceeds */
  withRoom: boolean;
}

export interface ListedMachine {
  applianceId: string;
  stamp: string;
  summary: string;
  appliance: string;
  site: string;
}

export interface MachineCount {
  /** how many fit; `more`: more than that */
  count: number;
  more: boolean;
  /** how many fit beside their state, and stay out for it; null: nobody counted */
  hidden: number | null;
}

/** So many found by words are counted; beyond it they are “more than”. */
export const COUNTED = 1000;

export class MachineList {
  constructor(private readonly db: Tables) {}

  async page(
    filter: MachineFilter,
    {
      sort,
      descending,
      after,
      limit,
    }: { sort: MachineSort; descending: boolean; after: string | null; limit: number },
  ): Promise<Page<ListedMachine> & MachineCount> {
    const order: readonly SQLiteColumn[] = MACHINE_ORDERS[sort];
    const found = (await this.isFoundOften(filter.text)) ? 'many' : 'few';
    const counted = await this.countMachines(filter, found);
    const walked = sort !== 'state' && (counted.more || counted.count > COUNTED);
    const page = await paged(
      order,
      { after, limit, descending },
      (part) => {
        // First which ones, by narrow columns alone; then what they show.
        const chosen = this.db
          .select({ number: t.standings.number })
          .from(t.standings)
          .where(and(this.filtered(filter, found, walked), part.beyond))
          .orderBy(part.order)
          .limit(part.limit);
        return this.selectMachines(inArray(t.standings.number, chosen)).orderBy(part.order);
      },
      ({ columns }) => order.map(({ name }) => columns[name as keyof typeof columns]),
    );
    return { ...page, ...counted };
  }

  async byId(ids: readonly string[], sites: Sites = null): Promise<ListedMachine[]> {
    return this.selectMachines(
      and(inArray(t.standings.applianceId, [...ids]), among(t.standings.siteId, sites)),
    );
  }

  private selectMachines(where: SQL | undefined) {
    return this.db
      .select({
        applianceId: t.standings.applianceId,
        stamp: t.standings.stamp,
        summary: t.standings.summary,
        appliance: t.appliances.document,
        site: t.sites.document,
        columns: {
          state: t.standings.state,
          by_name: t.standings.byName,
          by_site: t.standings.bySite,
          charge: t.standings.charge,
          room: t.standings.room,
          due: t.standings.due,
          number: t.standings.number,
        },
      })
      .from(t.standings)
      .innerJoin(t.appliances, eq(t.appliances.id, t.standings.applianceId))
      .innerJoin(t.sites, eq(t.sites.id, t.standings.siteId))
      .where(where)
      .$dynamic();
  }

  /**
   * Few that are found by their words are fetched and sorted; of many, the order is walked and each one asked whether its
   * words fit, so that a page costs no more when thousands do. The same holds of those that its filters find: `walked`
   * keeps SQLite from fetching and sorting them all.
   */
  private filtered(
    { text, sites, kind, state, hiddenFrom, unjudged, withRoom }: MachineFilter,
    found: 'few' | 'many',
    walked = false,
  ): SQL | undefined {
    const is = (column: SQLiteColumn, value: string | number) =>
      walked ? sql`+${column} = ${value}` : eq(column, value);
    const asked = searchQuestion(text);
    const words =
      found === 'few'
        ? [sql`${t.standings.number} in (select rowid from machine_words where machine_words match ${asked})`]
        : wordsOf(text).map((word) => sql`instr(' ' || ${t.standings.words}, ${` ${word}`}) > 0`);
    return and(
      ...(asked === null ? [] : words),
      // The order is walked past its index of sites, where that is asked.
      walked && sites !== null
        ? sql`+${t.standings.siteId} in ${[...sites]}`
        : among(t.standings.siteId, sites),
      kind === null ? undefined : is(t.standings.kind, kind),
      state === null ? lt(t.standings.state, hiddenFrom) : is(t.standings.state, state),
      unjudged ? is(t.standings.unjudged, 1) : undefined,
      withRoom ? and(sql`${t.standings.room} >= 0`, lte(t.standings.room, 1)) : undefined,
    );
  }

  /** Whether more machines have these words than are counted. */
  private async isFoundOften(text: string): Promise<boolean> {
    const asked = searchQuestion(text);
    if (asked === null) return false;
    const rows = await this.db.all<{ count: number }>(
      sql`select count(*) as count from (select 1 from machine_words where machine_words match ${asked} limit ${COUNTED + 1})`,
    );
    return (rows[0]?.count ?? 0) > COUNTED;
  }

  private async countMachines(filter: MachineFilter, found: 'few' | 'many'): Promise<MachineCount> {
    const { state, hiddenFrom } = filter;
    const searched = searchQuestion(filter.text) !== null;
    if (searched && found === 'many' && filter.sites === null)
      return { count: COUNTED, more: true, hidden: null };
    if (searched || filter.sites !== null) {
      const shown = state === null ? lt(t.standings.state, hiddenFrom) : eq(t.standings.state, state);
      const [row] = await this.db
        .select({
          count: sql<number>`count(*) filter (where ${shown})`,
          hidden: sql<number>`count(*) filter (where ${t.standings.state} >= ${hiddenFrom})`,
        })
        .from(t.standings)
        .where(this.filtered({ ...filter, state: null, hiddenFrom: Number.MAX_SAFE_INTEGER }, found));
      return { count: row?.count ?? 0, more: false, hidden: row?.hidden ?? 0 };
    }
    const { machineTallies: tally } = t;
    const shown = state === null ? lt(tally.state, hiddenFrom) : eq(tally.state, state);
    const [row] = await this.db
      .select({
        count: sql<number>`coalesce(sum(${tally.machines}) filter (where ${shown}), 0)`,
        hidden: sql<number>`coalesce(sum(${tally.machines}) filter (where ${tally.state} >= ${hiddenFrom}), 0)`,
      })
      .from(tally)
      .where(
        and(
          filter.kind === null ? undefined : eq(tally.kind, filter.kind),
          filter.unjudged ? eq(tally.unjudged, 1) : undefined,
        ),
      );
    return { count: row?.count ?? 0, more: false, hidden: row?.hidden ?? 0 };
  }
}
