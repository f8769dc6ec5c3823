/** What tables are made from: the rows of a part of the logbook by their ids, and its effective entries. */
import type { ExportScope } from '../../contract/exports';
import type { Entry } from '../../core/logbook/entry';
import { leakLabels } from '../../core/logbook/leakLabels';
import { supersededIds, entriesByMachine } from '../../core/logbook/order';
import type { Appliance, Cylinder, Owner, Person, Site } from '../../core/logbook/tables';
import type { Names } from '../../words/names';
import { packsWith } from '../../core/rules/amend';
import { type Packs, SHIPPED_PACKS } from '../../core/rules/packs/shipped';
import type { Clock } from '../clock';
import type { Tables } from '../store/database';
import { Store } from '../store/store';
import { isWithdrawn } from '../store/withdrawn';
import type { Day } from '../../core/quantity/day';
import { type GasFacts, gasFacts } from './gasFacts';
import { scopeOf } from './scope';

export interface LogbookRows {
  sites: Map<string, Site>;
  owners: Map<string, Owner>;
  people: Map<string, Person>;
  machines: Map<string, Appliance>;
  cylinders: Map<string, Cylinder>;
  /** effective ones, in the order in which they were accepted */
  entries: Entry[];
  /** what stands beside gas that moved at a machine on a day */
  gasFactsOn: (entry: Entry) => GasFacts | null;
  names: Map<string, Names>;
  today: (site: Site) => Day;
}

export async function readOut(db: Tables, clock: Clock, asked: ExportScope): Promise<LogbookRows> {
  const store = new Store(db);
  const today = (site: Site): Day => clock.todayIn(site.timezone);
  const scope = await scopeOf(db, store, clock, asked);
  const rows = async <Row extends { id: string }>(
    table: 'sites' | 'people' | 'appliances' | 'cylinders',
    holds: (row: Row) => boolean,
  ): Promise<Map<string, Row>> => {
    const found = new Map<string, Row>();
    for await (const document of store.documents(table)) {
      const row = JSON.parse(document) as Row;
      if (!isWithdrawn(row) && holds(row)) found.set(row.id, row);
    }
    return found;
  };
  const entries: Entry[] = [];
  const all: Entry[] = [];
  for await (const document of store.documents('entries')) {
    const entry = JSON.parse(document) as Entry;
    all.push(entry);
    if (scope.entry(entry.id)) entries.push(entry);
  }
  const cylinders = await rows<Cylinder>('cylinders', scope.cylinder);
  const serials = new Map([...cylinders.values()].map(({ id, serial }) => [id, serial]));
  const superseded = supersededIds(entries);
  const sites = await rows<Site>('sites', scope.site);
  const machines = await rows<Appliance>('appliances', scope.appliance);
  return {
    sites,
    owners: new Map((await store.owners()).map((owner) => [owner.id, owner])),
    people: await rows<Person>('people', scope.person),
    today,
    machines,
    cylinders,
    gasFactsOn: factsOf(all, machines, sites, today, packsWith(SHIPPED_PACKS, await store.amendments())),
    entries: entries.filter(({ id, kind }) => !superseded.has(id) && kind !== 'void'),
    names: new Map(
      [...entriesByMachine(entries)].map(([id, own]) => [
        id,
        { parts: new Map(), leaks: leakLabels(own), bottles: serials },
      ]),
    ),
  };
}

/** Each machine is folded once, when its first movement is asked for. */
function factsOf(
  all: readonly Entry[],
  machines: ReadonlyMap<string, Appliance>,
  sites: ReadonlyMap<string, Site>,
  today: (site: Site) => Day,
  packs: Packs,
): LogbookRows['gasFactsOn'] {
  // Most tables tell no gas: nothing is sorted for them.
  let sorted: { superseded: ReadonlySet<string>; byMachine: ReadonlyMap<string, Entry[]> } | null = null;
  const found = new Map<string, ReadonlyMap<string, GasFacts>>();
  return ({ applianceId, on }) => {
    const appliance = machines.get(applianceId ?? '');
    const site = appliance && sites.get(appliance.siteId);
    if (!appliance || !site) return null;
    let facts = found.get(appliance.id);
    if (!facts) {
      sorted ??= { superseded: supersededIds(all), byMachine: entriesByMachine(all) };
      const entries = sorted.byMachine.get(appliance.id) ?? [];
      facts = gasFacts({
        appliance,
        site,
        entries,
        superseded: sorted.superseded,
        today: today(site),
        packs,
      });
      found.set(appliance.id, facts);
    }
    return facts.get(on) ?? null;
  };
}
