/** Standings are of today, under the rules and the engine in force; whoever asks meanwhile waits for nobody else's machine. */
import { placeAsTheyStand } from '../writing/asTheyStand';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { ENDPOINTS } from '../../contract/endpoints';
import { dayOf } from '../../core/quantity/day';
import { SHIPPED_PACKS } from '../../core/rules/packs/shipped';
import { type ApplianceStanding, logbookStandings } from '../../core/rules/standingDocument';
import type { MachineSummary } from '../../core/rules/summary';
import { type Clock, systemClock } from '../clock';
import { type Company, added, entry, machine, openCompany, site } from '../company.testkit';
import { exported } from '../exported.testkit';

const MACHINES = 40;
let company: Company;
let nowMs = Date.parse('2026-11-23T18:00:00Z');
const clock: Clock = systemClock(undefined, () => nowMs);

beforeEach(async () => {
  nowMs = Date.parse('2026-11-23T18:00:00Z');
  company = await openCompany(clock);
  await company.addSite(site('s1'));
  await company.addSite(site('s2', { timezone: 'Pacific/Auckland', packs: ['house'] }));
  for (let index = 0; index < MACHINES; index += 1) {
    const id = `m${String(index)}`;
    await company.addMachine(machine(id, index % 2 === 0 ? 's1' : 's2'), 100);
    // 30 lb of 100 lb: a case, whose repair is due 30 days later.
    await company.services.appending.append([added(`g${id}`, id, 30, { on: '2026-10-24' })]);
  }
}, 60_000);
afterEach(() => company.close());

const summaries = async (): Promise<Map<string, MachineSummary>> => {
  const { rows } = await company.services.board.machines(ENDPOINTS.machines.query.parse({ limit: 200 }));
  return new Map(rows.map((row) => [row.appliance.id, row.summary]));
};
const stamps = () => company.services.standings.stamps();
const standingOf = async (id: string): Promise<ApplianceStanding> => {
  const placed = await company.services.store.placed(id);
  if (!placed) throw new Error(`There is no ${id}.`);
  const { document } = await company.services.keeper.documentOf(placed.appliance, placed.site);
  return JSON.parse(document) as ApplianceStanding;
};

describe('when the day turns', () => {
  const DAY_MS = 86_400_000;

  it('what is asked for is of today at its site at once, the rest follows, once however many ask', async () => {
    const { keeper, board } = company.services;
    expect((await summaries()).get('m0')?.state).toBe('caseOpen');
    nowMs += DAY_MS;
    const { rows } = await board.due(ENDPOINTS.due.query.parse({ limit: 5 }));
    // Due on 23 November: a day late now in both time zones.
    expect(rows.map((row) => [row.due, row.state])).toEqual(
      Array.from({ length: 5 }, () => ['2026-11-23', 'overdue']),
    );
    const begun = keeper.turning.startOver();
    const asked = Array.from({ length: 30 }, () => keeper.turning.turnOver());
    expect(new Set(asked).size).toBe(1);
    await Promise.all([begun, ...asked]);
    expect(keeper.turning.left).toBe(0);
    const all = await summaries();
    expect([...all.values()].filter((each) => each.state === 'overdue')).toHaveLength(MACHINES);
    expect([all.get('m0')?.asOf, all.get('m1')?.asOf]).toEqual(['2026-11-24', '2026-11-25']);
    expect(await stamps()).toHaveLength(2);
  });

  it('entries that come meanwhile are never overwritten by what was folded before them', async () => {
    nowMs += DAY_MS;
    const turned = company.services.keeper.turning.startOver();
    for (let index = 0; index < MACHINES; index += 1) {
      const id = `m${String(index)}`;
      await company.services.appending.append([
        added(`d${id}`, id, 7, { on: '2026-11-20' }),
        entry(`n${id}`, id, { kind: 'search', on: '2026-11-20' }),
      ]);
    }
    await turned;
    const book = await exported(company.services);
    const computed = new Map(
      [
        ...logbookStandings(
          { ...book, appliances: book.appliances.filter((each) => each.siteId === 's1') },
          dayOf('2026-11-24'),
          SHIPPED_PACKS,
        ).appliances,
        ...logbookStandings(
          { ...book, appliances: book.appliances.filter((each) => each.siteId === 's2') },
          dayOf('2026-11-25'),
          SHIPPED_PACKS,
        ).appliances,
      ].map((each) => [each.id, each]),
    );
    const all = await summaries();
    for (const [id, standing] of computed) {
      expect(all.get(id)?.latest?.percent).toBe(standing.additions.at(-1)?.percent);
      expect(await standingOf(id)).toEqual(JSON.parse(JSON.stringify(standing)));
    }
  });

  it('a site that moves to another time zone meanwhile has the days of its new place', async () => {
    nowMs += DAY_MS;
    const turned = company.services.keeper.turning.startOver();
    await company.services.rows.change(
      [{ table: 'sites', id: 's1', row: site('s1', { timezone: 'Pacific/Auckland' }) }],
      { by: 'p', why: 'moved' },
    );
    await turned;
    await company.services.keeper.turning.turnOver();
    expect((await summaries()).get('m0')?.asOf).toBe('2026-11-25');
    expect((await stamps()).filter((stamp) => !stamp.includes('Auckland'))).toEqual([]);
  });
});

describe('when the rules change', () => {
  const own = {
    pack: 'us-hfc' as const,
    figure: ['threshold', 'commercialRefrigeration'],
    from: '2026-10-01',
    value: 35,
    reason: 'by agreement',
    by: 'p',
  };

  it('the answer waits for no machine, and each is judged by the new rule when it is asked for', async () => {
    const before = await stamps();
    await company.services.rows.amend(own);
    expect(await stamps()).toEqual(before);
    // 30 % lies below 35 %: no case.
    expect((await standingOf('m0')).cases).toEqual([]);
    expect((await summaries()).get('m2')?.state).not.toBe('caseOpen');
    await company.services.keeper.turning.turnOver();
    expect((await stamps()).filter((stamp) => before.includes(stamp))).toEqual([]);
  });
});

it('what another engine judged is judged anew, and what nobody judged yet stands in the lists', async () => {
  const { database, keeper, recent } = company.services;
  await database.write(() =>
    database.batch([
      `UPDATE standings SET stamp = 'older ' || stamp, state = 4, due = '9999', summary = json_set(summary, '$.state', 'healthy')`,
      `DELETE FROM standings WHERE appliance_id IN ('m3', 'm5')`,
    ]),
  );
  recent.clear();
  await placeAsTheyStand(company.services);
  expect((await standingOf('m4')).cases).toHaveLength(1);
  await keeper.turning.startOver();
  const all = await summaries();
  expect(all.size).toBe(MACHINES);
  expect([...all.values()].filter((each) => each.state === 'healthy')).toEqual([]);
});

it('a machine that is put right while its page is read is kept as it is now', async () => {
  nowMs += 86_400_000;
  const read = Promise.all(Array.from({ length: 4 }, () => standingOf('m6')));
  await company.services.rows.change(
    [
      {
        table: 'appliances',
        id: 'm6',
        row: machine('m6', 's1', { name: 'Renamed', category: 'comfortCooling' }),
      },
    ],
    { by: 'p', why: 'was wrong' },
  );
  await read;
  await company.services.keeper.turning.startOver();
  await company.services.database.write(() => Promise.resolve(), true);
  const found = await company.services.board.machines(ENDPOINTS.machines.query.parse({ text: 'renamed' }));
  // 10 % of 100 lb is the limit of comfort cooling.
  expect(found.rows.map(({ summary }) => summary.rod.limit && summary.rod.thresholdPercent)).toEqual([10]);
});

it('notes that no rule reads leave the standing as it is, and the first one of a new day brings it up to date', async () => {
  const { appending, standings } = company.services;
  const note = (id: string) =>
    entry(id, 'm0', { kind: 'search', tool: 'spot', part: 'drier', mark: 'lookedAt' });
  const before = await standings.kept('m0');
  await appending.append([{ ...note('n1'), visitId: 'v' }]);
  expect(await standings.kept('m0')).toEqual(before);
  nowMs += 86_400_000;
  await appending.append([note('n2')]);
  expect((await standings.kept('m0'))?.stamp).toContain('2026-11-24');
  expect((await summaries()).get('m0')?.state).toBe('overdue');
});

it('the rules that ship are known by one word, the same in every process', async () => {
  const { judgedUnder } = await import('./engineVersion');
  expect(judgedUnder(SHIPPED_PACKS)).toBe(judgedUnder(structuredClone(SHIPPED_PACKS)));
  expect((await stamps()).every((stamp) => stamp.startsWith(judgedUnder(SHIPPED_PACKS)))).toBe(true);
});
