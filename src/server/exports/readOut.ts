/** What tables are made from: the rows of a part of the logbook by their ids, and its living entries. */
import type { ExportScope } from '../../contract/exports';
import type { Entry } from '../../core/logbook/entry';
import { leakLabels } from '../../core/logbook/leakLabels';
import { deadIds, entriesByMachine } from '../../core/logbook/order';
import type { Appliance, Cylinder, Owner, Person, Site } from '../../core/logbook/tables';
import type { Names } from '../../words/names';
import type { Tables } from '../store/database';
import { Store } from '../store/store';
import { isWithdrawn } from '../store/withdrawn';
import type { Day } from '../../core/quantity/day';
import { scopeOf, todayOf } from './scope';

export interface Read {
  sites: Map<string, Site>;
  owners: Map<string, Owner>;
  people: Map<string, Person>;
  machines: Map<string, Appliance>;
  cylinders: Map<string, Cylinder>;
  /** living ones, in the order in which they were accepted */
  entries: Entry[];
  names: Map<string, Names>;
  today: (site: Site) => Day;
}

export async function readOut(db: Tables, asked: ExportScope): Promise<Read> {
  const store = new Store(db);
  const scope = await scopeOf(db, store, asked);
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
  for await (const document of store.documents('entries')) {
    const entry = JSON.parse(document) as Entry;
    if (scope.entry(entry.id)) entries.push(entry);
  }
  const cylinders = await rows<Cylinder>('cylinders', scope.cylinder);
  const bottles = new Map([...cylinders.values()].map(({ id, serial }) => [id, serial]));
  const dead = deadIds(entries);
  return {
    sites: await rows<Site>('sites', scope.site),
    owners: new Map((await store.owners()).map((owner) => [owner.id, owner])),
    people: await rows<Person>('people', scope.person),
    today: todayOf,
    machines: await rows<Appliance>('appliances', scope.appliance),
    cylinders,
    entries: entries.filter(({ id, kind }) => !dead.has(id) && kind !== 'void'),
    names: new Map(
      [...entriesByMachine(entries)].map(([id, own]) => [
        id,
        { parts: new Map(), leaks: leakLabels(own), bottles },
      ]),
    ),
  };
}
