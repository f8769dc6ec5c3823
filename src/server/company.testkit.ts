/** A small company in a store of its own, for tests of the server: sites in two time zones, machines, entries. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Entry } from '../core/logbook/entry';
import type { Appliance, Site } from '../core/logbook/tables';
import { type Clock, systemClock } from './clock';
import { type Services, openServices } from './services';
import type { Patience } from './store/database';

export const TODAY = '2026-11-23';

export const site = (id: string, rest: Partial<Site> = {}): Site => ({
  id,
  name: `Site ${id}`,
  timezone: 'America/Chicago',
  packs: ['us-hfc'],
  ...rest,
});

export const machine = (id: string, siteId: string, rest: Partial<Appliance> = {}): Appliance => ({
  id,
  siteId,
  name: `Machine ${id}`,
  kind: 'rack',
  category: 'commercialRefrigeration',
  refrigerant: 'R-448A',
  ...rest,
});

export const entry = (id: string, applianceId: string, rest: object): Entry =>
  ({ id, by: 'p', on: '2026-06-01', applianceId, ...rest }) as Entry;

export const charged = (id: string, applianceId: string, pounds: number, rest: object = {}): Entry =>
  entry(id, applianceId, {
    kind: 'fullChargeSet',
    on: '2020-01-01',
    method: 'weighed',
    mass: { value: pounds, unit: 'lb' },
    ...rest,
  });

export const added = (id: string, applianceId: string, pounds: number, rest: object = {}): Entry =>
  entry(id, applianceId, {
    kind: 'refrigerantAdded',
    mass: { value: pounds, unit: 'lb' },
    reason: 'topOff',
    'x-accepted': { moreThanFullCharge: 'a test' },
    ...rest,
  });

export interface Company {
  folder: string;
  url: string;
  services: Services;
  addSite: (site: Site) => Promise<void>;
  /** with a full charge, in lb, if one is given */
  addMachine: (machine: Appliance, charge?: number) => Promise<void>;
  /** the services end, and others open the same store */
  restart: () => Promise<void>;
  close: () => Promise<void>;
}

export async function openCompany(clock: Clock = systemClock(TODAY), patience?: Patience): Promise<Company> {
  const folder = mkdtempSync(join(tmpdir(), 'abacus-'));
  const url = `file:${join(folder, 'test.db')}`;
  const services = await openServices(url, clock, patience);
  const company: Company = {
    folder,
    url,
    services,
    addSite: async (row) => {
      await company.services.rows.change([{ table: 'sites', id: row.id, row }], { by: 'p', why: null });
    },
    addMachine: async (appliance, charge) => {
      const entries = charge === undefined ? [] : [charged(`charge ${appliance.id}`, appliance.id, charge)];
      await company.services.appending.addMachine({ appliance, spaces: [], entries, by: 'p' });
    },
    restart: async () => {
      await company.services.close();
      company.services = await openServices(url, clock, patience);
    },
    close: async () => {
      await company.services.close();
      rmSync(folder, { recursive: true });
    },
  };
  return company;
}
