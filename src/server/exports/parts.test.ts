/** Parts of logbooks in which corrections reach from one owner's machine to another's: each reads, and stands as in the whole. */
import fc from 'fast-check';
import { expect, it, onTestFinished } from 'vitest';
import type { Logbook } from '../../core/logbook/logbook';
import type { Entry } from '../../core/logbook/entry';
import { dayOf } from '../../core/quantity/day';
import { logbookStandings } from '../../core/rules/standingDocument';
import { scene } from '../../core/testkit/randomLogbooks';
import { SHIPPED_PACKS } from '../../core/rules/packs/shipped';
import { systemClock } from '../clock';
import { added, openCompany } from '../company.testkit';
import { knownOfFile, presentOfFile } from '../imports/fileKnown';
import { mergeOf } from '../imports/merge';
import { plannedOf } from '../imports/plan';
import { readWorksheets } from '../imports/readWorksheets';
import { exported } from '../exported.testkit';
import { loadLogbook } from './logbooks';
import { manyPairs, pair } from '../pairs.testkit';
import { outWorksheets } from './tables';
import { csvOf } from './write';

const PAIRS = 25;
const T = dayOf('2027-03-15');

async function loaded(logbook: Logbook): Promise<(scope: object) => Promise<Logbook>> {
  const company = await openCompany();
  onTestFinished(() => company.close());
  await loadLogbook(company.services, logbook);
  return (scope) => exported(company.services, scope);
}

it('of random logbooks, the part of an owner reads again and stands as it stood', async () => {
  const all = manyPairs(PAIRS, 20261127);
  const part = await loaded(all);
  const whole = new Map(logbookStandings(all, T, SHIPPED_PACKS).appliances.map((each) => [each.id, each]));
  const reaching = all.entries.filter(({ supersedes, applianceId }) =>
    all.entries.some((target) => target.id === supersedes && target.applianceId !== applianceId),
  );
  expect(reaching.length).toBeGreaterThan(10);
  for (const { id } of all.owners ?? []) {
    const [own, ...others] = logbookStandings(await part({ owner: id }), T, SHIPPED_PACKS).appliances;
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

it('lists of random logbooks are all known when they are brought in again', async () => {
  const whole = manyPairs(PAIRS, 7);
  // A list asks to leave out a row of nothing, and so it does of ours.
  const some = (entry: Entry): Entry =>
    'mass' in entry && entry.mass?.value === 0 ? { ...entry, mass: { value: 0.5, unit: 'lb' } } : entry;
  const all = { ...whole, entries: whole.entries.map(some) };
  const company = await openCompany();
  onTestFinished(() => company.close());
  await loadLogbook(company.services, all);
  const known = knownOfFile(all, systemClock('2028-01-01'));
  for (const table of ['gas', 'inspections', 'machines'] as const) {
    const [sheet] = await outWorksheets(company.services.database.db, company.services.clock, {}, [table]);
    if (!sheet) throw new Error(table);
    const read = await readWorksheets(Buffer.from(csvOf(sheet)));
    const { preview } = plannedOf(read, known, {}, `${table}.csv`, SHIPPED_PACKS);
    expect(preview.faulty.slice(0, 3), table).toEqual([]);
    expect([table, preview.ready, preview.known]).toEqual([table, 0, sheet.rows.length]);
    expect(sheet.rows.length).toBeGreaterThanOrEqual(10);
  }
}, 60_000);
