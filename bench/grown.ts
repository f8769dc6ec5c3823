/** A company that has grown: so many machines of 25 entries, 40 to a site, and one machine with a long record. */
import type { Logbook } from '../src/core/logbook/logbook';
import type { Appliance, Site } from '../src/core/logbook/tables';
import { randomEntries } from './stories';

const MACHINES_OF_A_SITE = 40;
const ENTRIES_EACH = 25;
export const LONG_RECORD = 5000;
export const LONG_ID = 'machine-0';

const STREETS = ['Harbour', 'Mill', 'Orchard', 'Quarry', 'Station', 'Weaver', 'Canal', 'Chapel'];
const SHOPS = ['Market', 'Bakery', 'Dairy', 'Fish Hall', 'Kitchen', 'Depot', 'Cold Store'];
const KINDS = ['walkIn', 'rack', 'reachIn', 'chiller'] as const;
const GASES = ['R-448A', 'R-404A', 'R-134a', 'R-507A'];
const ZONES = ['America/New_York', 'America/Chicago', 'Europe/Berlin'];

const pick = <Item>(items: readonly Item[], index: number): Item => items[index % items.length] as Item;

export function grownLogbook(machines: number): Logbook {
  const sites = Array.from({ length: Math.ceil(machines / MACHINES_OF_A_SITE) }, (_, index): Site => ({
    id: `site-${String(index)}`,
    name: `${pick(STREETS, index)} ${pick(SHOPS, Math.floor(index / STREETS.length))} ${String(index)}`,
    timezone: pick(ZONES, index),
    packs: index % 3 === 2 ? ['eu'] : ['us-hfc', 'us-ca'],
  }));
  const appliances = Array.from({ length: machines }, (_, index): Appliance => ({
    id: `machine-${String(index)}`,
    siteId: `site-${String(Math.floor(index / MACHINES_OF_A_SITE))}`,
    name: `Machine ${String(index)}`,
    kind: pick(KINDS, index),
    category: 'commercialRefrigeration',
    refrigerant: pick(GASES, index),
  }));
  return {
    format: 'green-abacus-logbook',
    version: 1,
    sites,
    people: [{ id: 'p1', name: 'Ike Sand' }],
    appliances,
    cylinders: [],
    entries: appliances.flatMap(({ id }, index) =>
      randomEntries(id === LONG_ID ? LONG_RECORD : ENTRIES_EACH, index + 1, id),
    ),
  };
}
