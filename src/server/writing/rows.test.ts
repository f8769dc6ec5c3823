/** Rows put right: sealed with the entries, with their reason and history, and what hangs on them judged anew. */
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { sql } from 'drizzle-orm';
import * as api from '../../contract/api';
import * as machineApi from '../../contract/machines';
import { rowAnswer } from '../../contract/rows';
import { readLogbook } from '../../core/logbook/logbook';
import type { Revision } from '../../core/logbook/tables';
import { type ServedStory, serveStory } from '../../demo/servedStory';
import { systemClock } from '../clock';
import { exported } from '../exported.testkit';
import { loadLogbook, verifyChain } from '../exports/logbooks';
import { openServices } from '../services';

const TODAY = '2026-11-23';
let story: ServedStory;

beforeAll(async () => {
  story = await serveStory(TODAY);
}, 60_000);
afterAll(() => story.close());

type Row = Record<string, unknown> & { id: string };
const rowOf = async (table: string, id: string) => rowAnswer.parse(await story.get(`/rows/${table}/${id}`));
const change = async (table: string, row: Row, rest: object = {}) => {
  const answer = await story.post('/rows', { changes: [{ table, id: row.id, row }], by: 'odalys', ...rest });
  return { ...answer, body: answer.body as unknown as api.ProblemDocument & { machines: string[] } };
};
const machine = async (id: string) => machineApi.machineAnswer.parse(await story.get(`/machines/${id}`));

describe('a machine is put right', () => {
  it('its first refrigerant with a reason, and its duties follow at once', async () => {
    const { row } = await rowOf('appliances', 'flower-1');
    const before = await machine('flower-1');
    expect(before.standing.packs).toContain('us-hfc');
    const wrong = { ...(row as Row), refrigerant: 'R-290' };
    const refused = await change('appliances', wrong);
    expect([refused.status, refused.body.errors?.[0]?.path]).toEqual([422, '$.why']);
    expect((await change('appliances', wrong, { why: 'nameplate misread' })).body.machines).toEqual([
      'flower-1',
    ]);
    const after = await machine('flower-1');
    expect([after.appliance.refrigerant, after.standing.packs]).toEqual(['R-290', ['house']]);
    const { revisions } = await rowOf('appliances', 'flower-1');
    expect(revisions.at(-1)).toMatchObject({
      table: 'appliances',
      by: 'odalys',
      why: 'nameplate misread',
      row: { refrigerant: 'R-290' },
    });
    // Undone by writing the earlier row again: both stand in the history.
    await change('appliances', row as Row, { why: 'undone at once by its writer' });
    expect((await machine('flower-1')).standing).toEqual(before.standing);
    expect((await rowOf('appliances', 'flower-1')).revisions).toHaveLength(revisions.length + 1);
  });

  it('a name needs no reason, the same row again changes nothing, a taken name is refused', async () => {
    const { row, revisions } = await rowOf('appliances', 'flower-2');
    const renamed = { ...(row as Row), name: 'tulip cooler' };
    expect((await change('appliances', renamed)).status).toBe(201);
    expect((await change('appliances', renamed)).status).toBe(201);
    expect((await rowOf('appliances', 'flower-2')).revisions).toHaveLength(revisions.length + 1);
    const { row: other } = await rowOf('appliances', 'flower-1');
    const taken = await change('appliances', { ...(other as Row), name: 'Tulip Cooler ' });
    expect([taken.status, taken.body.errors?.[0]?.path]).toEqual([422, '$.row.name']);
  });

  it('moves to another site and loses nothing of its past', async () => {
    const before = await machine('rack-b');
    const moved = { ...before.appliance, siteId: 'flower-exchange', serves: [] };
    const { row: site } = await rowOf('sites', before.appliance.siteId);
    expect(site).toMatchObject({ name: 'Almery Fish Hall' });
    const sites = api.sitesAnswer.parse(await story.get('/sites?text=saffron')).rows;
    const target = sites.find((each) => each.name === 'Saffron Quay Flower Exchange');
    expect((await change('appliances', { ...moved, siteId: target?.id ?? '' }, { why: 'sold' })).status).toBe(
      201,
    );
    const after = await machine('rack-b');
    expect(after.site.id).toBe(target?.id);
    expect(after.entries).toEqual(before.entries);
    expect(after.standing.additions).toHaveLength(before.standing.additions.length);
    await change('appliances', before.appliance, { why: 'undone' });
  });
});

describe('a site is put right', () => {
  it('its packs judge every machine of it anew, and only those', async () => {
    const { row } = await rowOf('sites', 'fish-hall');
    const bare = { ...(row as Row), packs: ['house'] };
    const packsOf = async (question: string) =>
      machineApi.machinesAnswer
        .parse(await story.get(`/machines?limit=200&${question}`))
        .rows.map((each) => each.summary.packs.join(' '));
    const elsewhere = await packsOf('site=flower-exchange');
    await change('sites', bare, { why: 'moved out of the federal rules' });
    // Nothing waited for its machines: what is asked for is judged when it is asked for.
    expect((await machine('rack-a')).standing.packs).toEqual(['house']);
    expect(new Set(await packsOf('site=fish-hall'))).toEqual(new Set(['house']));
    expect(await packsOf('site=flower-exchange')).toEqual(elsewhere);
    await change('sites', row as Row, { why: 'undone' });
  });

  it('what another changed meanwhile is not written over', async () => {
    const { row, revisions } = await rowOf('sites', 'fish-hall');
    const hash = revisions.at(-1)?.seal?.hash;
    await change('sites', { ...(row as Row), access: 'porter has the key' });
    const late = await story.post('/rows', {
      changes: [{ table: 'sites', id: 'fish-hall', row: { ...row, access: 'key in the box' }, after: hash }],
      by: 'ike',
    });
    expect([late.status, String(late.body['title'])]).toEqual([
      409,
      expect.stringContaining('Odalys Brandt'),
    ]);
    expect((await rowOf('sites', 'fish-hall')).row).toMatchObject({ access: 'porter has the key' });
  });
});

describe('every table', () => {
  it.each([
    ['people', { id: 'new', name: 'Nim Ardley', certificates: [{ scheme: '608', number: 'N-1' }] }, {}],
    ['owners', { id: 'o9', name: 'Quayside Holdings' }, { address: 'Quay 1' }],
    ['spaces', { id: 'new-room', siteId: 'fish-hall', name: 'crab room' }, { name: 'crab and eel room' }],
    ['cylinders', { id: 'b99', serial: 'B-99', refrigerant: 'R-448A' }, { scrappedOn: '2026-11-20' }],
    ['instruments', { id: 'g2', name: 'gauge 2', dimension: 'pressure', offset: 0 }, { offset: 500 }],
  ] as [string, Row, object][])(
    '%s: added, changed with a reason, kept with both versions',
    async (table, row, rest) => {
      expect((await change(table, row)).status).toBe(201);
      expect((await change(table, { ...row, ...rest }, { why: 'looked again' })).status).toBe(201);
      const { row: present, revisions } = await rowOf(table, row.id);
      expect(present).toMatchObject(rest);
      expect(revisions.map((each: Revision) => each.why)).toEqual(
        Object.keys(rest).length > 0 ? [null, 'looked again'] : [null],
      );
      const { status, body } = await change(table, { ...row, nonsense: 1 } as Row, { why: 'x' });
      if (table !== 'instruments') expect([status, body.errors?.[0]?.path]).toEqual([422, '$.row.nonsense']);
    },
  );

  it('a machine that cools a room of another site, and a bottle with a serial of another, are refused', async () => {
    const { row } = await rowOf('appliances', 'flower-1');
    expect((await change('appliances', { ...(row as Row), serves: ['new-room'] })).status).toBe(422);
    const twin = await change('cylinders', { id: 'b100', serial: 'b-99', refrigerant: 'R-448A' });
    expect(twin.body.errors?.[0]?.path).toBe('$.row.serial');
    expect((await story.post('/rows', { changes: [{ table: 'dragons', id: 'x', row: {} }] })).status).toBe(
      422,
    );
    expect((await fetch(`${story.base}/rows/sites/nowhere`)).status).toBe(404);
  });
});

it('a company-wide list says who changed what, newest first, page by page, each once', async () => {
  const seen: number[] = [];
  let before: number | null = null;
  do {
    const page = api.changesAnswer.parse(
      await story.get(before === null ? '/changes' : `/changes?before=${String(before)}`),
    );
    seen.push(...page.changes.map((each) => each.sequence));
    ({ before } = page);
  } while (before !== null && seen.length < 300);
  expect(new Set(seen).size).toBe(seen.length);
  expect(seen).toEqual([...seen].sort((a, b) => b - a));
  const { changes } = api.changesAnswer.parse(await story.get('/changes'));
  const [latest] = changes;
  // An entry comes with what its leaks are called and the units of its site.
  const kiosk = changes.find((each) => each.entry?.applianceId === 'kiosk-cooler');
  expect(kiosk).toMatchObject({
    leaks: { k1: 'k1' },
    massSystem: 'kilograms',
    siteName: 'Kaldvik Ferry Terminal',
  });
  expect(latest?.revision).toMatchObject({ by: 'odalys' });
  expect((await fetch(`${story.base}/changes?before=soon`)).status).toBe(422);
});

describe('the chain', () => {
  const verified = async () => api.verifyAnswer.parse(await story.get('/verify'));

  it('covers entries, rows and the company’s own figures', async () => {
    await story.post('/rules/amendments', {
      pack: 'us-hfc',
      figure: ['chronic', 'percent'],
      from: '2026-12-01',
      value: 100,
      reason: 'house policy',
      by: 'Odalys Brandt',
    });
    const { intact, revisions, alteredRows } = await verified();
    expect([intact, alteredRows]).toEqual([true, []]);
    expect(revisions).toBeGreaterThan(130);
  });

  it('comes back whole from its own export, with its history', async () => {
    const taken = await exported(story.services);
    const read = readLogbook(taken);
    if (!read.ok) throw new Error(JSON.stringify(read.refusal));
    const clock = systemClock(TODAY);
    const again = await openServices(`file:${join(story.folder, 'again.db')}`, clock);
    await loadLogbook(again, read.value);
    expect(await exported(again)).toEqual(taken);
    await again.close();
  }, 60_000);

  it('takes in the rows and own figures of a database from before they were sealed, once', async () => {
    const url = `file:${join(story.folder, 'older.db')}`;
    const first = await openServices(url, systemClock(TODAY));
    const own = {
      pack: 'house' as const,
      figure: ['threshold', 'commercialRefrigeration'],
      from: '2026-01-01',
      value: 12,
      reason: 'owner wants less',
      by: 'Odalys Brandt',
    };
    await first.database.batch([
      first.store.putRow('people', 'p', { id: 'p', name: 'Ike' }),
      first.store.insertAmendment(own, '2026-01-01T09:00:00.000Z'),
    ]);
    await first.close();
    const again = await openServices(url, systemClock(TODAY));
    expect(await verifyChain(again.database)).toMatchObject({ intact: true, revisions: 2, alteredRows: [] });
    expect((await again.store.revisionsOf('people', 'p')).map((each) => each.row['name'])).toEqual(['Ike']);
    await again.close();
    const third = await openServices(url, systemClock(TODAY));
    expect((await verifyChain(third.database)).revisions).toBe(2);
    await third.close();
  });

  it('shows a row that was altered behind its back', async () => {
    const { db } = story.services.database;
    await db.run(
      sql`update cylinders set document = json_set(document, '$.tare.value', 9) where id = 'bottle-5'`,
    );
    expect(await verified()).toMatchObject({
      intact: false,
      brokenAt: null,
      alteredRows: [{ table: 'cylinders', id: 'bottle-5' }],
    });
  });
});

describe('a change whose machine cannot be judged', () => {
  it('is refused whole: the row, its history and its standing stay as they were', async () => {
    const before = await rowOf('appliances', 'flower-3');
    const standing = await machine('flower-3');
    const judged = vi.spyOn(story.services.keeper, 'standingOf').mockRejectedValueOnce(new Error('no judge'));
    const { status } = await change(
      'appliances',
      { ...(before.row as Row), refrigerant: 'R-290' },
      { why: 'nameplate misread' },
    );
    judged.mockRestore();
    expect(status).toBe(500);
    expect(await rowOf('appliances', 'flower-3')).toEqual(before);
    expect(await machine('flower-3')).toEqual(standing);
  });
});

describe('what is remembered of machines that were written to', () => {
  it('is forgotten with a row that changes: record and judgement together', async () => {
    const { recent } = story.services;
    const entry = {
      id: 'remember',
      kind: 'leakInspection',
      on: TODAY,
      by: 'odalys',
      applianceId: 'flower-3',
    };
    expect((await story.post('/entries', [entry])).status).toBe(201);
    expect([recent.get('flower-3') === null, recent.judgement('flower-3') === null]).toEqual([false, false]);
    const { row } = await rowOf('sites', 'flowers');
    await change('sites', { ...(row as Row), access: 'at the gate' });
    expect([recent.get('flower-3'), recent.judgement('flower-3')]).toEqual([null, null]);
  });
});
