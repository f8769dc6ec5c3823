/** Folds machines and keeps their standings: after an append, when the day turns, when a rule changes. */
import { type Entry } from '../core/logbook/entry';
import { deadIds } from '../core/logbook/order';
import type { Appliance, Site } from '../core/logbook/tables';
import { dayText } from '../core/quantity/day';
import { packsWith } from '../core/rules/amend';
import { stateOf } from '../core/rules/obligation';
import { type Packs, SHIPPED_PACKS } from '../core/rules/packs/shipped';
import { type Standing, standingFromEntries } from '../core/rules/standing';
import { standingDocument } from '../core/rules/standingDocument';
import { summaryOf } from '../core/rules/summary';
import type { Clock } from './clock';
import { notFound } from './problem';
import type { Store, StoredStanding } from './store/store';

export class Judging {
  private packs: Packs | null = null;

  constructor(
    private readonly store: Store,
    private readonly clock: Clock,
  ) {}

  async currentPacks(): Promise<Packs> {
    this.packs ??= packsWith(SHIPPED_PACKS, await this.store.amendments());
    return this.packs;
  }

  /** Rules changed: read them anew. */
  forgetPacks(): void {
    this.packs = null;
  }

  /** The standing of a machine today at its site, from the entries that bear on it. */
  async standingOf(appliance: Appliance, bearing: readonly Entry[]): Promise<Standing> {
    const site = await this.store.site(appliance.siteId);
    if (!site) throw notFound('site');
    return this.fold(appliance, site, bearing);
  }

  private async fold(appliance: Appliance, site: Site, bearing: readonly Entry[]): Promise<Standing> {
    const own = bearing.filter((entry) => entry.applianceId === appliance.id);
    return standingFromEntries(
      appliance,
      site,
      own,
      this.clock.todayIn(site.timezone),
      await this.currentPacks(),
      deadIds(bearing),
    );
  }

  stored(standing: Standing): StoredStanding {
    const { asOf, appliance } = standing.history;
    return {
      applianceId: appliance.id,
      asOf: dayText(asOf),
      summary: summaryOf(standing),
      document: standingDocument(standing),
      duties: standing.obligations
        .map((each) => ({ each, state: stateOf(each, asOf) }))
        .filter(({ state }) => state !== 'done' && state !== 'void')
        .map(({ each, state }) => ({
          due: dayText(each.due),
          kind: each.kind,
          pack: each.pack.id,
          state,
          caseOpenedOn: each.caseOpenedOn === null ? null : dayText(each.caseOpenedOn),
          why: each.why,
          cite: each.source.cite,
        })),
    };
  }

  /** Judges anew whatever was last judged as of another day than today, or (`all`) everything. */
  async refresh(all = false): Promise<number> {
    const sites = new Map((await this.store.sites()).map((site) => [site.id, site]));
    const stale = (await this.store.judgedOn()).filter(({ siteId, asOf }) => {
      const site = sites.get(siteId);
      return site !== undefined && (all || asOf !== dayText(this.clock.todayIn(site.timezone)));
    });
    await this.refreshMachines(stale.map(({ id }) => id));
    return stale.length;
  }

  /** Judges these machines anew; between two of them other writers get their turn. */
  async refreshMachines(ids: readonly string[]): Promise<void> {
    for (const id of ids)
      await this.store.database.write(async () => {
        const appliance = await this.store.appliance(id);
        const site = appliance && (await this.store.site(appliance.siteId));
        if (!appliance || !site) return;
        const standing = await this.fold(appliance, site, await this.store.entriesBearingOn(id));
        await this.store.batch(this.store.replaceStanding(this.stored(standing)));
      });
  }
}
