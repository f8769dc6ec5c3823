/** The API as a client meets it: problem documents with field paths, and answers as the contract has them. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import * as api from '../../contract/api';
import * as machineApi from '../../contract/machines';
import { rateOf } from '../../core/diagnosis/leaking';
import { readLogbook } from '../../core/logbook/logbook';
import { type ServedStory, serveStory } from '../../demo/servedStory';

const TODAY = '2026-11-23';
let story: ServedStory;

beforeAll(async () => {
  story = await serveStory(TODAY);
}, 60_000);
afterAll(() => story.close());

const get = (path: string) => story.get(path);
const post = async (path: string, body: unknown) => {
  const answer = await story.post(path, body);
  return { ...answer, body: answer.body as unknown as api.ProblemDocument };
};
const topOff = {
  id: 'new-1',
  kind: 'refrigerantAdded',
  on: '2026-11-20',
  by: 'marit',
  applianceId: 'flower-1',
  mass: { value: 0.2, unit: 'lb' },
  reason: 'topOff',
};

describe('the API', () => {
  it('answers as the contract says', async () => {
    const machines = machineApi.machinesAnswer.parse(await get('/machines?limit=200'));
    expect([machines.rows.length, machines.count + (machines.retired ?? 0)]).toEqual([machines.count, 113]);
    const due = api.dueAnswer.parse(await get('/due?limit=100'));
    expect(
      due.rows.find((row) => row.machineId === 'kitchen-freezer' && row.kind === 'followUpTest'),
    ).toMatchObject({ due: '2026-11-24', state: 'dueSoon' });
    expect(api.dueCountsAnswer.parse(await get('/due/counts')).certificates).toMatchObject([
      { name: 'Tobiah Renn', expires: '2026-12-13' },
    ]);
    expect(machineApi.machineAnswer.parse(await get('/machines/rack-b')).standing.cases).toMatchObject([
      { state: 'open', repairDue: '2027-04-28' },
    ]);
    expect(readLogbook(await get('/logbook')).ok).toBe(true);
    expect(api.verifyAnswer.parse(await get('/verify'))).toMatchObject({ intact: true });
  });

  it('gives the ground of every machine’s forecast, or why there is none', async () => {
    const { rows } = api.leakingAnswer.parse(await get('/leaking?limit=500'));
    expect(rows).toHaveLength(113);
    const known = rows.filter((row) => row.leaking.ok);
    expect(known.length).toBeGreaterThan(50);
    for (const { leaking } of known) expect(leaking.ok && rateOf(leaking.machine)).toBeGreaterThan(0);
    expect(rows.some((row) => !row.leaking.ok && row.leaking.why === 'noIntervals')).toBe(true);
  });

  it('keeps what a tool of the bench filed, byte for byte', async () => {
    const kept = {
      id: 'kept-1',
      kind: 'pressureHold',
      on: '2026-11-20',
      by: 'marit',
      applianceId: 'flower-1',
      tool: 'hold',
      summary: 'Holding: 150 psig to 149 psig in 2 h',
      inputs: { start: { typed: '150 psig', si: 1_135_538.6 } },
      result: { residual: -1200, verdict: { kind: 'holding', lossAtMost: 0.2 } },
    };
    expect((await post('/entries', kept)).status).toBe(201);
    const { entries } = machineApi.machineAnswer.parse(await get('/machines/flower-1'));
    expect(entries.find((entry) => entry.id === 'kept-1')).toMatchObject(kept);
  });

  it.each<[string, unknown, string]>([
    ['a missing field', { ...topOff, reason: undefined }, '$.reason'],
    ['an unknown field', { ...topOff, colour: 'red' }, '$.colour'],
    ['a negative mass', { ...topOff, mass: { value: -1, unit: 'lb' } }, '$.mass.value'],
    ['an unknown machine', { ...topOff, applianceId: 'nobody' }, '$.applianceId'],
    ['a day to come', { ...topOff, on: '2026-11-24' }, '$.on'],
  ])('refuses %s with a problem document and its path', async (_, entry, path) => {
    const answer = await post('/entries', entry);
    expect([answer.status, answer.type]).toEqual([422, 'application/problem+json; charset=utf-8']);
    expect(answer.body.errors?.map((error) => error.path)).toContain(path);
  });

  it('refuses what is no JSON, and an address that is none', async () => {
    expect((await post('/entries', '{"id":')).status).toBe(422);
    expect((await fetch(`${story.base}/nothing`)).status).toBe(404);
  });

  it('takes an entry once, shows it in the standing, and refuses a machine with a taken name', async () => {
    expect((await post('/entries', topOff)).status).toBe(201);
    expect((await post('/entries', topOff)).status).toBe(201);
    expect(machineApi.machineAnswer.parse(await get('/machines/flower-1')).standing.additions).toHaveLength(
      1,
    );
    const twin = {
      appliance: {
        id: 'twin',
        siteId: 'flowers',
        name: 'flower ROOM 1',
        kind: 'walkIn',
        category: 'commercialRefrigeration',
        refrigerant: 'R-134a',
      },
    };
    expect((await post('/machines', twin)).body.errors?.[0]?.path).toBe('$.appliance.name');
  });

  it('takes a new person once by name', async () => {
    const person = (id: string, name: string) =>
      post('/rows', { changes: [{ table: 'people', id, row: { id, name } }] });
    expect((await person('new-person', 'Linnea Orr')).status).toBe(201);
    expect((await person('other', ' linnea orr ')).body.errors?.[0]?.path).toBe('$.row.name');
    expect((await person('nameless', ' ')).body.errors?.[0]?.path).toBe('$.row.name');
    expect(
      api.peopleAnswer.parse(await get('/people')).filter((each) => each.name === 'Linnea Orr'),
    ).toHaveLength(1);
  });

  it('changes a method and a figure from a day on, and refuses the same day twice', async () => {
    const { row } = (await get('/rows/sites/flowers')) as { row: Record<string, unknown> };
    const rolling = { from: '2026-11-10', method: 'rolling' };
    const methods = row['leakRateMethod'] as object[];
    const change = (leakRateMethod: object[]) =>
      post('/rows', {
        changes: [{ table: 'sites', id: 'flowers', row: { ...row, leakRateMethod } }],
        why: 'one way of working for the whole company',
      });
    expect((await change([...methods, rolling, rolling])).body.errors?.[0]?.path).toBe(
      '$.row.leakRateMethod',
    );
    expect((await change([...methods, rolling])).status).toBe(201);
    const own = {
      pack: 'us-hfc',
      figure: ['threshold', 'commercialRefrigeration'],
      from: '2026-11-01',
      value: 4,
      reason: 'stricter',
      by: 'odalys',
    };
    expect((await post('/rules/amendments', own)).status).toBe(201);
    expect((await post('/rules/amendments', own)).status).toBe(409);
    // 0.2 lb of 16 lb is 1.25 % rolling; headroom is now 4 % of 16 lb less 0.2 lb = 0.44 lb = 199.5806 g
    expect(machineApi.machineAnswer.parse(await get('/machines/flower-1')).standing.headroom.grams).toBe(
      199.5806,
    );
  });
});
