/**
 * Keeps standings: judges at once what is asked for, and the rest in a thread of its own when the day turns, a rule
 * changes or the engine is another one. Judged under other circumstances than today's, a standing is stale.
 */
import { TRIP_DAYS } from '../../contract/api';
import { type Day, addDays, dayText } from '../../core/quantity/day';
import type { Entry } from '../../core/logbook/entry';
import type { Appliance, Site } from '../../core/logbook/tables';
import { packsWith } from '../../core/rules/amend';
import { type Packs, SHIPPED_PACKS } from '../../core/rules/packs/shipped';
import type { Standing } from '../../core/rules/standing';
import { summaryOf } from '../../core/rules/summary';
import { TurnOfDay } from './turnOfDay';
import type { Clock } from '../clock';
import type { RecentMachines } from './recentMachines';
import { judgedUnder } from './engineVersion';
import type { MachineStanding } from '../store/machineStanding';
import {
  STALE,
  foldBearing,
  machineStandingOf,
  notJudged,
  readStamp,
  recentStanding,
} from './foldedStanding';
import { type StandingThread, startStandingThread } from './standingThread';
import { type Database, type Statement, isBusy } from '../store/database';
import type { Standings } from '../store/standings';
import type { Store } from '../store/store';

/** A standing that is to be stored. */
export interface PutStanding {
  standing: Standing;
  judged: MachineStanding;
  statements: Statement[];
}

export class StandingKeeper {
  private rules: { packs: Packs; under: string } | null = null;
  private closed = false;
  /** all that is stale, judged where nobody waits for it */
  readonly turning: TurnOfDay;

  constructor(
    private readonly database: Database,
    private readonly store: Store,
    readonly standings: Standings,
    private readonly clock: Clock,
    private readonly recent: RecentMachines,
  ) {
    this.turning = new TurnOfDay(database, standings, this);
  }

  private async currentRules(): Promise<{ packs: Packs; under: string }> {
    if (!this.rules) {
      const packs = packsWith(SHIPPED_PACKS, await this.store.amendments());
      this.rules = { packs, under: judgedUnder(packs) };
    }
    return this.rules;
  }

  currentPacks = async (): Promise<Packs> => (await this.currentRules()).packs;

  /** Rules changed: read them anew; every standing is stale from now on. */
  forgetPacks(): void {
    this.rules = null;
  }

  under = async (): Promise<string> => (await this.currentRules()).under;

  todayAt = (site: Site): Day => this.clock.todayIn(site.timezone);

  /** Whether what was stamped so has to be judged anew. */
  async isStale(stamp: string): Promise<boolean> {
    const { under, timezone, day } = readStamp(stamp);
    return timezone === '' || under !== (await this.under()) || day !== dayText(this.clock.todayIn(timezone));
  }

  /** The standing of a machine today at its site, from the entries that bear on it; `superseded`: see `foldHistory`. */
  async standingOf(
    appliance: Appliance,
    site: Site,
    bearing: readonly Entry[],
    superseded?: ReadonlySet<string>,
  ): Promise<Standing> {
    return foldBearing(appliance, site, bearing, this.todayAt(site), await this.currentPacks(), superseded);
  }

  /** Whether what is kept of a machine is of today. */
  async isOfToday(id: string): Promise<boolean> {
    const stamp = this.recent.judgement(id)?.judged.stamp ?? (await this.standings.kept(id))?.stamp;
    return stamp !== undefined && !(await this.isStale(stamp));
  }

  /**
   * What stores a standing in place of what was kept, if anything was; whoever writes it has overtaken the thread. What is
   * due at its site is counted anew where its duties changed, or the day.
   */
  async put(standing: Standing, site: Site): Promise<PutStanding> {
    const judged = machineStandingOf(standing, site, await this.under());
    const { applianceId, fingerprint, stamp } = judged;
    const lately = this.recent.judgement(applianceId)?.judged ?? null;
    const kept = lately ?? (await this.standings.kept(applianceId));
    // Until it is stored nobody knows what is kept.
    this.recent.forgetJudgement(applianceId);
    this.turning.overtake(applianceId);
    const sameDay = kept !== null && readStamp(kept.stamp).day === readStamp(stamp).day;
    return {
      standing,
      judged,
      statements: [
        ...(lately
          ? this.standings.change(judged, lately)
          : this.standings.put(judged, kept?.fingerprint ?? null)),
        ...(sameDay && kept.fingerprint === fingerprint ? [] : [this.trip(judged)]),
      ],
    };
  }

  /** The thread stores another judgement of it. */
  forgetJudgement = (id: string): void => this.recent.forgetJudgement(id);

  /** It is stored: the next one of this machine changes only what differs. */
  remember({ standing, judged }: PutStanding): void {
    this.recent.keepJudgement(judged.applianceId, { standing, judged, document: null });
  }

  /** What is late and due within a month at a site, as of today there. */
  trip({ siteId, timezone }: Pick<MachineStanding, 'siteId' | 'timezone'>): Statement {
    const today = this.clock.todayIn(timezone);
    return this.standings.trip(siteId, dayText(today), dayText(addDays(today, TRIP_DAYS)));
  }

  /** A machine in the lists before it is judged; what is asked for is judged when it is asked for. */
  placed = (appliance: Appliance, site: Site): Statement[] =>
    this.standings.place(notJudged(appliance, site));

  /** Judges these machines now, before anything else is written. Unknown ids are passed over. */
  async judgeNow(ids: readonly string[]): Promise<void> {
    if (ids.length === 0) return;
    await this.database.write(async () => {
      const statements: Statement[] = [];
      for (const id of ids) {
        const placed = await this.store.placed(id);
        if (!placed) continue;
        const { appliance, site } = placed;
        const standing = await this.standingOf(appliance, site, await this.store.entriesBearingOn(id));
        statements.push(...(await this.put(standing, site)).statements);
      }
      await this.database.batch(statements);
    });
  }

  /** The whole standing of a machine today, made when it is asked for and kept until it changes. */
  async documentOf(appliance: Appliance, site: Site): Promise<{ summary: string; document: string }> {
    const lately = this.recent.judgement(appliance.id);
    if (lately && !(await this.isStale(lately.judged.stamp))) {
      lately.document ??= JSON.stringify(recentStanding(lately.standing));
      return { summary: lately.judged.summary, document: lately.document };
    }
    const kept = await this.standings.of(appliance.id);
    if (kept && kept.document !== null && (await this.isOfToday(appliance.id)))
      return { summary: kept.summary, document: kept.document };
    // Answered without a write, so that a record is read whoever holds the database; kept when there is time.
    const standing = await this.standingOf(appliance, site, await this.store.entriesBearingOn(appliance.id));
    this.database
      .write(() => this.keepDocument(appliance.id), true)
      .catch((error: unknown) => {
        if (!isBusy(error)) console.error(error);
      });
    return {
      summary: JSON.stringify(summaryOf(standing)),
      document: JSON.stringify(recentStanding(standing)),
    };
  }

  /** Folds a machine as it is now, whatever it was when somebody asked, and keeps its whole standing. */
  private async keepDocument(id: string): Promise<void> {
    const placed = this.closed ? null : await this.store.placed(id);
    if (!placed) return;
    const { appliance, site } = placed;
    const standing = await this.standingOf(appliance, site, await this.store.entriesBearingOn(id));
    await this.database.batch(
      [
        ...(await this.put(standing, site)).statements,
        this.standings.keepDocument(id, JSON.stringify(recentStanding(standing))),
      ],
      { derived: true },
    );
  }

  /** Counts anew what is due at these sites. */
  async recountTrips(siteIds: readonly string[]): Promise<void> {
    await this.database.write(async () => {
      const sites = await Promise.all(siteIds.map((id) => this.store.site(id)));
      await this.database.batch(
        sites.flatMap((site) => (site ? [this.trip({ siteId: site.id, timezone: site.timezone })] : [])),
      );
    });
  }

  /**
   * Reads a page of a list and judges what is stale on it. A judgement may move a machine off the page and another one
   * onto it: the page is read until all on it are of today.
   */
  async fresh<Found extends { rows: readonly { applianceId: string; stamp: string }[] }>(
    read: () => Promise<Found>,
  ): Promise<Found> {
    this.turning.turnOver().catch((error: unknown) => console.error(error));
    const tried = new Set<string>();
    for (;;) {
      const found = await read();
      const stale = new Set<string>();
      for (const { applianceId, stamp } of found.rows)
        if (!tried.has(applianceId) && (await this.isStale(stamp))) stale.add(applianceId);
      if (stale.size === 0) return found;
      await this.judgeNow([...stale]);
      for (const id of stale) tried.add(id);
    }
  }

  /** All machines of a site shall be judged anew; in the batch of what changed it. */
  staleSite(siteId: string): Statement {
    this.recent.clear();
    this.turning.overtake(siteId);
    return this.standings.markSite(siteId, STALE);
  }

  /** A thread that judges what is stale, or (null) what it is given. */
  async thread(stale: readonly string[] | null, packs?: Packs): Promise<StandingThread> {
    const under = packs ?? (await this.currentPacks());
    return startStandingThread({
      url: this.database.url,
      stale,
      under: judgedUnder(under),
      packs: under,
      fixedToday: this.clock.fixedToday,
      nowMs: this.clock.nowMs(),
    });
  }

  async close(): Promise<void> {
    this.closed = true;
    await this.turning.close();
  }
}
