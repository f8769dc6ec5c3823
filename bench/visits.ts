/** What a visit costs: the list of visits from a long logbook, and reading one long visit anew after each entry. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import type { Entry } from '../src/core/logbook/entry';
import { dayOf } from '../src/core/quantity/day';
import { standingFromEntries } from '../src/core/rules/standing';
import { circuitMap } from '../src/core/circuit/layouts';
import { guardsOf } from '../src/core/visit/guards';
import { leakStories } from '../src/core/visit/leaks/leakStory';
import { pastLeaks, searchOrder, searchState, signsOf, spotsOf } from '../src/core/visit/leaks/search';
import { checklist } from '../src/core/visit/touched';
import { visitRecord } from '../src/core/visit/visitRecord';
import { systemClock } from '../src/server/clock';
import { openServices } from '../src/server/services';
import { type Comparison, compare } from './measure';
import { SHIPPED_PACKS } from '../src/core/rules/packs/shipped';

const VISITS = 4000;
const ENTRIES_EACH = 10;
const LISTED = 40;
const NOTES = 500;
const TODAY = '2026-11-23';

const site = { id: 's', name: 's', timezone: 'UTC', packs: ['us-hfc' as const] };
const appliance = {
  id: 'a',
  siteId: 's',
  name: 'a',
  kind: 'rack' as const,
  category: 'commercialRefrigeration' as const,
  refrigerant: 'R-448A',
};

const spot = (visit: number, number: number, part: string): Entry =>
  ({
    id: `v${String(visit).padStart(5, '0')}-${String(number).padStart(4, '0')}`,
    kind: 'search',
    tool: 'spot',
    part,
    mark: number % 7 === 0 ? 'hit' : 'lookedAt',
    grade: number % 7 === 0 ? 'detectorHit' : null,
    on: TODAY,
    by: 'p',
    visitId: `v${String(visit)}`,
    applianceId: 'a',
  }) as unknown as Entry;

export async function benchVisits(): Promise<Comparison[]> {
  return [await list(), await reading()];
}

async function list(): Promise<Comparison> {
  const folder = mkdtempSync(join(tmpdir(), 'bench-'));
  const services = await openServices(`file:${join(folder, 'visits.db')}`, systemClock(TODAY));
  const { board, database } = services;
  await services.rows.change(
    [
      { table: 'sites', id: site.id, row: site },
      { table: 'appliances', id: appliance.id, row: appliance },
    ],
    { by: null, why: null },
  );
  const chunk = 100;
  for (let first = 0; first < VISITS; first += chunk) {
    const entries = Array.from({ length: chunk * ENTRIES_EACH }, (_, index) =>
      spot(first + Math.floor(index / ENTRIES_EACH), index % ENTRIES_EACH, 'drier'),
    );
    await services.appending.append(entries.slice(0, 500));
    await services.appending.append(entries.slice(500));
  }
  const result = await compare(
    `the list of visits, ${String(LISTED)} of ${String(VISITS)} in a logbook of ${String(VISITS * ENTRIES_EACH)} entries of visits`,
    'counting these entries by visit',
    {
      subject: async () => {
        await board.visits({ text: '', limit: LISTED });
      },
      baseline: async () => {
        await database.db.all(sql`select visit_id, count(*) from entries group by visit_id`);
      },
      perRun: LISTED,
      unit: 'visits/s',
      runs: 11,
      warmUp: 2,
    },
  );
  await services.close();
  rmSync(folder, { recursive: true });
  return result;
}

function reading(): Promise<Comparison> {
  const map = circuitMap('rack', ['dairy', 'meat', 'frozen', 'deli', 'fish', 'produce']);
  const entries = Array.from({ length: NOTES }, (_, index) =>
    spot(1, index, map.parts[index % map.parts.length]?.id ?? ''),
  );
  const text = entries.map((entry) => JSON.stringify(entry));
  const standing = standingFromEntries(appliance, site, entries, dayOf(TODAY), SHIPPED_PACKS);
  const effective = standing.history.entries;
  return compare(
    `reading a visit of ${String(NOTES)} notes: record, leaks, guards, search and its order, checklist`,
    'JSON.parse of them',
    {
      subject: () => {
        const visit = visitRecord(effective, 'v1');
        const leaks = leakStories(effective, standing.leaks);
        guardsOf({ step: 'handOver', standing, visit, leaks, map });
        const spots = spotsOf(visit.entries);
        searchState(map, spots);
        searchOrder(map, pastLeaks(effective), {}, signsOf(spots));
        checklist(visit.entries, effective);
      },
      baseline: () => {
        for (const each of text) JSON.parse(each);
      },
      perRun: NOTES,
      unit: 'notes/s',
    },
  );
}
