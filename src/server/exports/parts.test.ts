/** Parts of logbooks in which corrections reach from one owner's machine to another's: each reads, and stands as in the whole. */
import fc from 'fast-check';
import { expect, it, onTestFinished } from 'vitest';
import type { Entry } from '../../core/logbook/entry';
import { type Logbook, readLogbook } from '../../core/logbook/logbook';
import { dayOf } from '../../core/quantity/day';
import { logbookStandings } from '../../core/rules/standingDocument';
import { type Scene, logbookOf, readableOf, scene } from '../../core/testkit/randomLogbooks';
import { added, openCompany } from '../company.testkit';
import { presentOfFile } from '../imports/fileKnown';
import { mergeOf } from '../imports/merge';
import { exportText, loadLogbook } from '../logbooks';

const PAIRS = 25;
const T = dayOf('2027-03-15');

/** A pair of owners with a site and a machine each: of these entries every third is the second one's, and some move over. */
function pair(index: number, s: Scene): Logbook {
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
      { ...place, id: name('s'), ownerId: name('o') },
      { ...place, id: name('t'), ownerId: name('q') },
    ],
    appliances: [
      { ...machine, id: name('a'), name: name('a'), siteId: name('s') },
      { ...machine, id: name('b'), name: name('b'), siteId: name('t') },
    ],
    entries: own as unknown as Entry[],
  };
}

async function loaded(logbook: Logbook): Promise<(scope: object) => Promise<Logbook>> {
  const company = await openCompany();
  onTestFinished(() => company.close());
  await loadLogbook(company.services, logbook);
  return async (scope) => {
    let text = '';
    for await (const piece of exportText(company.services.database.db, scope)) text += piece;
    const read = readLogbook(JSON.parse(text));
    if (!read.ok) throw new Error(JSON.stringify(read.refusal));
    return read.value;
  };
}

it('of random logbooks, the part of an owner reads again and stands as it stood', async () => {
  const pairs = fc.sample(scene, { numRuns: PAIRS, seed: 20261127 }).map((s, index) => pair(index, s));
  const [first, ...more] = pairs;
  if (!first) throw new Error('no pair');
  const all = more.reduce<Logbook>(
    (sum, each) => ({
      ...sum,
      owners: [...(sum.owners ?? []), ...(each.owners ?? [])],
      sites: [...sum.sites, ...each.sites],
      appliances: [...sum.appliances, ...each.appliances],
      entries: [...sum.entries, ...each.entries],
    }),
    first,
  );
  const part = await loaded(all);
  const whole = new Map(logbookStandings(all, T).appliances.map((each) => [each.id, each]));
  const reaching = all.entries.filter(({ supersedes, applianceId }) =>
    all.entries.some((target) => target.id === supersedes && target.applianceId !== applianceId),
  );
  expect(reaching.length).toBeGreaterThan(10);
  for (const { id } of all.owners ?? []) {
    const [own, ...others] = logbookStandings(await part({ owner: id }), T).appliances;
    expect(others).toEqual([]);
    expect(own, id).toEqual(whole.get(own?.id ?? ''));
  }
}, 60_000);

it('gas that was moved to another owner is gone from the one and begins with the other', async () => {
  const [s] = fc.sample(scene, { numRuns: 1, seed: 3 });
  if (!s) throw new Error('no scene');
  const part = await loaded({
    ...pair(0, s),
    entries: [
      added('first', '0-a', 5),
      added('moved', '0-b', 5, { supersedes: 'first', correctionReason: 'the other rack' }),
    ],
  });
  expect((await part({ owner: '0-o' })).entries).toEqual([]);
  const { entries } = await part({ owner: '0-q' });
  expect(entries).toMatchObject([{ id: 'moved', 'x-corrects': 'an entry outside this part' }]);
  expect(entries[0]?.supersedes).toBeUndefined();
  // Of the whole nothing is cut.
  expect((await part({})).entries).toHaveLength(2);
});

it('a part is all known where the whole stands, and the whole where the part was begun', async () => {
  const [s] = fc.sample(scene, { numRuns: 1, seed: 3 });
  if (!s) throw new Error('no scene');
  const whole = {
    ...pair(0, s),
    entries: [
      added('first', '0-a', 5),
      added('moved', '0-b', 5, { supersedes: 'first', correctionReason: 'the other rack' }),
    ],
  };
  const part = await (await loaded(whole))({ owner: '0-q' });
  const into = ({ entries: theirs }: Logbook, ours: Logbook) =>
    mergeOf({ ...part, entries: theirs }, theirs, presentOfFile(ours)).preview.faulty;
  expect(into(part, whole)).toEqual([]);
  expect(into(whole, part)).toEqual([]);
  // What says something else under the same id is still named.
  const other = part.entries.map((entry) => ({ ...entry, note: 'another' }));
  expect(into({ ...part, entries: other }, whole)).toHaveLength(1);
});
