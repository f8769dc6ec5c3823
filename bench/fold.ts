/** Fold of one machine's entries against JSON.parse of the same entries. */
import type { Entry } from '../src/core/logbook/entry';
import { dayOf } from '../src/core/quantity/day';
import { standingFromEntries } from '../src/core/rules/standing';
import type { Appliance, Site } from '../src/core/logbook/tables';
import { type Comparison, compare } from './measure';
import { randomEntries } from './stories';
import { SHIPPED_PACKS } from '../src/core/rules/packs/shipped';

const site: Site = { id: 's', name: 's', timezone: 'America/Chicago', packs: ['us-ods', 'us-hfc'] };
const appliance: Appliance = {
  id: 'a',
  siteId: 's',
  name: 'a',
  kind: 'rack',
  category: 'commercialRefrigeration',
  refrigerant: 'R-448A',
  installedOn: '2015-01-01',
};

export async function benchFold(): Promise<Comparison[]> {
  const text = JSON.stringify(randomEntries(1000, 1));
  const entries = JSON.parse(text) as Entry[];
  const asOf = dayOf('2026-11-23');
  const machines = 500;
  const fleetTexts = Array.from({ length: machines }, (_, index) =>
    JSON.stringify(randomEntries(100, index + 2)),
  );
  const fleet = fleetTexts.map((each) => JSON.parse(each) as Entry[]);
  return [
    await compare('fold of 1,000 entries of one machine', 'JSON.parse of them', {
      subject: () => void standingFromEntries(appliance, site, entries, asOf, SHIPPED_PACKS),
      baseline: () => void JSON.parse(text),
      perRun: 1000,
      unit: 'entries/s',
    }),
    await compare('fold of 500 machines with 100 entries each', 'JSON.parse of them', {
      subject: () => fleet.forEach((each) => standingFromEntries(appliance, site, each, asOf, SHIPPED_PACKS)),
      baseline: () => fleetTexts.forEach((each) => void JSON.parse(each)),
      perRun: machines * 100,
      unit: 'entries/s',
    }),
  ];
}
