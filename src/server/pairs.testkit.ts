/** A company of random logbooks: pairs of owners whose machines entries were moved between. */
import fc from 'fast-check';
import type { Entry } from '../core/logbook/entry';
import type { Logbook } from '../core/logbook/logbook';
import { type Scene, logbookOf, readableOf, scene } from '../core/testkit/randomLogbooks';

/** A pair of owners with a site and a machine each: of these entries every third is the second one's, and some move over. */
export function pair(index: number, s: Scene): Logbook {
  const { site, appliance, entries } = logbookOf(s);
  const name = (id: string): string => `${String(index)}-${id}`;
  const own = entries.map((row, at) => ({
    ...row,
    id: name(row.id),
    ...(typeof row['supersedes'] === 'string' ? { supersedes: name(row['supersedes']) } : {}),
    ...(row.kind === 'void' ? {} : { applianceId: name(at % 3 === 0 ? 'b' : 'a') }),
  }));
  const rows = readableOf({ site, appliance, entries: [] });
  const [place] = rows.sites;
  const [machine] = rows.appliances;
  if (!place || !machine) throw new Error('no machine');
  return {
    ...rows,
    owners: ['o', 'q'].map((id) => ({ id: name(id), name: name(id) })),
    sites: [
      { ...place, id: name('s'), name: name('s'), ownerId: name('o') },
      { ...place, id: name('t'), name: name('t'), ownerId: name('q') },
    ],
    appliances: [
      { ...machine, id: name('a'), name: name('a'), siteId: name('s') },
      { ...machine, id: name('b'), name: name('b'), siteId: name('t') },
    ],
    entries: own as unknown as Entry[],
  };
}

/** So many pairs in one logbook. */
export function manyPairs(count: number, seed: number): Logbook {
  const pairs = fc.sample(scene, { numRuns: count, seed }).map((s, index) => pair(index, s));
  const [first, ...more] = pairs;
  if (!first) throw new Error('no pair');
  return more.reduce<Logbook>(
    (sum, each) => ({
      ...sum,
      owners: [...(sum.owners ?? []), ...(each.owners ?? [])],
      sites: [...sum.sites, ...each.sites],
      appliances: [...sum.appliances, ...each.appliances],
      entries: [...sum.entries, ...each.entries],
    }),
    first,
  );
}
