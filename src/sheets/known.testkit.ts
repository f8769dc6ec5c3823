/** What a small logbook knows: a site, a machine of 100 lb, and a person; for tests of lists. */
import type { Entry } from '../core/logbook/entry';
import type { Appliance, Site } from '../core/logbook/tables';
import { dayOf } from '../core/quantity/day';
import type { KnownRows } from './lookups';

export const SITE: Site = { id: 's', name: 'Pier 9', timezone: 'America/Chicago', packs: ['us-hfc'] };
export const MACHINE: Appliance = {
  id: 'm',
  siteId: 's',
  name: 'Rack 1',
  kind: 'rack',
  category: 'commercialRefrigeration',
  refrigerant: 'R-448A',
};
export const CHARGE = {
  id: 'c',
  kind: 'fullChargeSet',
  applianceId: 'm',
  on: '2020-01-01',
  by: 'p',
  method: 'weighed',
  mass: { value: 100, unit: 'lb' },
} as Entry;

export function known(entries: readonly Entry[] = [CHARGE], more: Partial<KnownRows> = {}): KnownRows {
  return {
    sites: [SITE],
    owners: [],
    people: [{ id: 'p', name: 'Marit Solane' }],
    appliances: [MACHINE],
    cylinders: [],
    entriesOf: (id) => entries.filter(({ applianceId }) => applianceId === id),
    hasEntry: (id) => entries.some((each) => each.id === id),
    isUndone: () => false,
    todayAt: () => dayOf('2026-11-23'),
    ...more,
  };
}
