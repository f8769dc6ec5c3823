/** What lists show: machines, what is due, where to drive, forecasts' ground, visits. Reads stored standings, a page at a time. */
import type { AnswerOf, QueryRead } from '../../contract/endpoints';
import { DUE_GROUPS, type DueGroup, dueGroupOf } from '../../contract/api';
import { ownerOn } from '../../core/logbook/ownership';
import { hasLeft } from '../../core/logbook/people';
import type { Appliance, Cylinder, Site } from '../../core/logbook/tables';
import { type Day, addDays, dayOf, dayText } from '../../core/quantity/day';
import { massSystemOf } from '../../core/rules/massSystem';
import { stateOf } from '../../core/rules/obligation';
import { type MachineSummary } from '../../core/rules/summary';
import { MACHINE_STATES } from '../../core/rules/machineState';
import type { Clock } from '../clock';
import type { Leaking, ListedObligation } from './foldedStanding';
import type { StandingKeeper } from './standings';
import type { Sites } from '../store/among';
import type { DutiesAsked, Lists } from '../store/lists';
import type { ListedMachine, MachineFilter, MachineList } from '../store/machineList';
import type { Store } from '../store/store';

/** Duties further off than this wait for another day. */
const HORIZON_DAYS = 400;
const CERTIFICATE_NOTICE_DAYS = 60;

/** Who wrote about a machine within so many days serves it. */
const SERVED_DAYS = 730;

const RETIRED = MACHINE_STATES.indexOf('retired');

const read = <Value>(text: string): Value => JSON.parse(text) as Value;

const idsOf = (text: string): string[] => text.split(',').filter(Boolean);

export class Board {
  constructor(
    private readonly store: Store,
    private readonly lists: Lists,
    private readonly machineList: MachineList,
    private readonly keeper: StandingKeeper,
    private readonly clock: Clock,
  ) {}

  async machines(query: QueryRead<'machines'>, own: Sites = null): Promise<AnswerOf<'machines'>> {
    if (query.ids !== undefined) {
      const ids = idsOf(query.ids);
      const { rows } = await this.keeper.fresh(async () => ({ rows: await this.machineList.byId(ids, own) }));
      return { rows: rows.map(machineRow), next: null, count: rows.length, more: false, retired: 0 };
    }
    const filter: MachineFilter = {
      text: query.text,
      sites: sitesAsked(query.site, own),
      kind: query.kind ?? null,
      state: query.state === undefined ? null : MACHINE_STATES.indexOf(query.state),
      hiddenFrom: RETIRED,
      unjudged: query.unjudged,
      withRoom: query.withRoom,
    };
    const { rows, next, count, more, hidden } = await this.keeper.fresh(() =>
      this.machineList.page(filter, {
        sort: query.sort,
        descending: query.descending,
        after: query.after ?? null,
        limit: query.limit,
      }),
    );
    const retired = query.state === undefined ? hidden : 0;
    return { rows: rows.map(machineRow), next, count, more, retired };
  }

  due({ site, after, limit }: QueryRead<'due'>, own: Sites = null): Promise<AnswerOf<'due'>> {
    return this.duties({ sites: sitesAsked(site, own), until: this.horizon() }, after ?? null, limit);
  }

  /** Of the machines that somebody serves: those they wrote about in the last two years. */
  async dutiesServedBy(person: string, after: string | null, limit: number, until = this.horizon()) {
    const since = addDays(this.clock.todayIn('UTC'), -SERVED_DAYS);
    const machines = await this.store.machinesServedBy(person, since);
    return this.duties({ sites: null, machines, until }, after, limit);
  }

  async duties(asked: DutiesAsked, after: string | null, limit: number): Promise<AnswerOf<'due'>> {
    const { rows, next } = await this.keeper.fresh(() => this.lists.duties(asked, after, limit));
    return {
      rows: rows.map((row) => {
        const appliance = read<Appliance>(row.appliance);
        const at = read<Site>(row.site);
        const summary = read<MachineSummary>(row.summary);
        const today = this.clock.todayIn(at.timezone);
        const state = stateOf({ due: dayOf(row.due), doneOn: null, ended: false }, today);
        return {
          ...read<ListedObligation>(row.document),
          machineId: row.applianceId,
          machineName: appliance.name,
          siteId: at.id,
          siteName: at.name,
          state: state as 'overdue' | 'dueSoon' | 'upcoming',
          today: dayText(today),
          massSystem: massSystemOf(at, summary.chargedUnit),
          rod: summary.rod,
        };
      }),
      next,
    };
  }

  async dueCounts({ site }: QueryRead<'dueCounts'>, own: Sites = null): Promise<AnswerOf<'dueCounts'>> {
    const asked = sitesAsked(site, own);
    const sites = asked === null ? [] : await this.store.sitesById(asked);
    const zones = new Map(sites.map(({ id, timezone }) => [`site ${id}`, timezone]));
    const until = this.horizon();
    const groups: Record<DueGroup, number> = { overdue: 0, week: 0, month: 0, later: 0 };
    const todays = new Map<string, Day>();
    for (const { scope, due, duties: obligations } of await this.lists.dutyDays(asked, until)) {
      const timezone = zones.get(scope) ?? scope.slice('zone '.length);
      const today = todays.get(timezone) ?? this.clock.todayIn(timezone);
      todays.set(timezone, today);
      groups[dueGroupOf(dayOf(due), today)] += obligations;
    }
    return {
      groups: Object.fromEntries(DUE_GROUPS.map((group) => [group, groups[group]])) as typeof groups,
      left: this.keeper.turning.left,
      certificates: await this.certificatesEnding(),
    };
  }

  private horizon = (): string => dayText(addDays(this.clock.todayIn('UTC'), HORIZON_DAYS));

  /** Of those who are still there. */
  async certificatesEnding() {
    const today = this.clock.todayIn('UTC');
    const until = addDays(today, CERTIFICATE_NOTICE_DAYS);
    const here = (await this.store.people()).filter((person) => !hasLeft(person, today));
    return here.flatMap((person) =>
      (person.certificates ?? []).flatMap(({ scheme, expires }) =>
        expires != null && dayOf(expires) <= until
          ? [{ personId: person.id, name: person.name, scheme: scheme ?? '', expires }]
          : [],
      ),
    );
  }

  async trips({ after, limit }: QueryRead<'trips'>, own: Sites = null): Promise<AnswerOf<'trips'>> {
    const { rows, next } = await this.lists.trips(own, after ?? null, limit);
    return {
      rows: rows.map(({ siteId, late, due, site }) => ({
        siteId,
        late,
        due,
        siteName: read<Site>(site).name,
      })),
      next,
    };
  }

  async leaking(
    { site, after, limit }: QueryRead<'leaking'>,
    own: Sites = null,
  ): Promise<AnswerOf<'leaking'>> {
    const { rows, next } = await this.keeper.fresh(() =>
      this.lists.leaking(sitesAsked(site, own), after ?? null, limit),
    );
    return {
      rows: rows.map((row) => ({
        applianceId: row.applianceId,
        machineName: read<Appliance>(row.appliance).name,
        siteName: read<Site>(row.site).name,
        leaking: read<Leaking>(row.leaking),
      })),
      next,
    };
  }

  async visits(
    { text, machine, visit, after, limit }: QueryRead<'visits'>,
    own: Sites = null,
  ): Promise<AnswerOf<'visits'>> {
    const { rows, next } = await this.lists.visits(
      { text, sites: own, applianceId: machine ?? null, visitId: visit ?? null },
      after ?? null,
      limit,
    );
    return {
      rows: rows.map(({ appliance, site: at, last: _, handedOver, ...row }) => {
        const site = read<Site>(at);
        return {
          ...row,
          handedOver: handedOver > 0,
          machineName: read<Appliance>(appliance).name,
          siteId: site.id,
          siteName: site.name,
          today: dayText(this.clock.todayIn(site.timezone)),
        };
      }),
      next,
    };
  }

  async sites(
    { text, ids, after, limit }: QueryRead<'sites'>,
    own: Sites = null,
  ): Promise<AnswerOf<'sites'>> {
    if (ids !== undefined)
      return {
        rows: (await this.store.sitesById(idsOf(ids))).filter(({ id }) => own?.includes(id) ?? true),
        next: null,
      };
    const { rows, next } = await this.lists.sites({ text, sites: own }, after ?? null, limit);
    return { rows: rows.map((row) => read<Site>(row.document)), next };
  }

  /** Sites that are an owner's today. */
  async sitesOfOwner(owner: string): Promise<string[]> {
    const found: string[] = [];
    for await (const document of this.store.documents('sites')) {
      // Reading a site costs more than seeing that it does not name the owner at all.
      if (!document.includes(owner)) continue;
      const site = read<Site>(document);
      if (ownerOn(site, this.clock.todayIn(site.timezone)) === owner) found.push(site.id);
    }
    return found;
  }

  spaces({ site, ids }: QueryRead<'spaces'>): Promise<AnswerOf<'spaces'>> {
    return ids === undefined ? this.store.spacesOf(site ?? '') : this.store.spacesById(idsOf(ids));
  }

  async cylinders({
    refrigerant,
    ids,
    after,
    limit,
  }: QueryRead<'cylinders'>): Promise<AnswerOf<'cylinders'>> {
    if (ids !== undefined) return { rows: await this.store.cylindersById(idsOf(ids)), next: null };
    const { rows, next } = await this.lists.cylinders(refrigerant ?? null, after ?? null, limit);
    return { rows: rows.map((row) => read<Cylinder>(row.document)), next };
  }
}

/** The one that is asked for, or all of one's own; null: all there are. */
function sitesAsked(site: string | undefined, own: Sites): Sites {
  if (site === undefined) return own;
  return own === null || own.includes(site) ? [site] : [];
}

function machineRow(row: ListedMachine): AnswerOf<'machines'>['rows'][number] {
  const site = read<Site>(row.site);
  const summary = read<MachineSummary>(row.summary);
  return {
    appliance: read<Appliance>(row.appliance),
    siteId: site.id,
    siteName: site.name,
    massSystem: massSystemOf(site, summary.chargedUnit),
    summary,
  };
}
