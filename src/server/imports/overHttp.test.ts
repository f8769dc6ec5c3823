/** Lists of thousands of rows over HTTP against a server of its own process: served meanwhile, sent twice, killed in the middle. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ImportState } from '../../contract/imports';
import { TODAY, machine, site } from '../company.testkit';
import { systemClock } from '../clock';
import { type Served, serve, signInFirst } from '../served.testkit';
import { openServices } from '../services';

const MACHINES = 8;
let folder: string;
let url: string;
let running: Served;
/** Of the manager who is signed in: it outlives the server. */
let cookie: string;

const start = () => serve(url, { ABACUS_TODAY: TODAY });

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'over-http-'));
  url = `file:${join(folder, 'book.db')}`;
  const services = await openServices(url, systemClock(TODAY));
  const rows = [
    { table: 'people', id: 'p', row: { id: 'p', name: 'Marit Solane' } },
    { table: 'sites', id: 's', row: site('s', { name: 'Pier 9' }) },
    ...Array.from({ length: MACHINES }, (_, index) => {
      const id = `m${String(index)}`;
      return { table: 'appliances', id, row: machine(id, 's', { name: `Rack ${String(index)}` }) };
    }),
  ];
  await services.rows.change(rows as never, { by: 'p', why: null });
  await services.close();
  running = await start();
  cookie = await signInFirst(running);
}, 60_000);
afterAll(async () => {
  await running.kill('SIGTERM');
  rmSync(folder, { recursive: true });
});

const get = async <Answer>(path: string): Promise<Answer> =>
  (await (await fetch(running.base + path, { headers: { cookie } })).json()) as Answer;
async function post<Answer>(path: string, body: object): Promise<{ status: number; body: Answer }> {
  const answer = await fetch(running.base + path, {
    method: 'POST',
    headers: { 'content-type': 'application/json', cookie },
    body: JSON.stringify(body),
  });
  return { status: answer.status, body: (await answer.json()) as Answer };
}

/** One pound, on a day of its own for every row of a machine. */
function list(rows: number, from: string): string {
  const day = (index: number): string =>
    new Date(Date.parse(from) + Math.floor(index / MACHINES) * 86_400_000).toISOString().slice(0, 10);
  const lines = Array.from(
    { length: rows },
    (_, index) => `${day(index)},Rack ${String(index % MACHINES)},1,top-off,Marit Solane`,
  );
  return ['Date,Machine,Added (lb),Reason,Technician', ...lines].join('\n');
}

async function sent(text: string): Promise<string> {
  const answer = await fetch(`${running.base}/imports/files?name=log.csv`, {
    method: 'POST',
    headers: { 'content-type': 'text/csv', cookie },
    body: text,
  });
  return ((await answer.json()) as { file: string }).file;
}

async function readIn(id: string, file: string): Promise<ImportState> {
  await post('/imports', { id, file, name: 'log.csv', mapping: {} });
  for (;;) {
    const state = await get<ImportState>(`/imports/${id}`);
    if (state.state !== 'reading') return state;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

const entries = async (): Promise<number> => (await get<{ entries: number }>('/verify')).entries;
const MANY_MS = 240_000;

describe('over HTTP', () => {
  it(
    'a thousand rows are read and written once, though two people send them twice at once',
    { timeout: MANY_MS },
    async () => {
      const file = await sent(list(1000, '2025-01-01'));
      const begin = () => post<ImportState>('/imports', { id: 'one', file, name: 'log.csv', mapping: {} });
      const begun = await Promise.all([begin(), begin()]);
      expect(begun.map(({ status }) => status)).toEqual([201, 201]);
      const [one, two] = [await readIn('one', file), await readIn('two', file)];
      expect([one.state, one.preview?.ready, two.preview?.ready]).toEqual(['ready', 1000, 1000]);
      const write = (id: string) => post<ImportState>(`/imports/${id}/write`, { by: 'p' });
      const [first, again, other] = await Promise.all([write('one'), write('one'), write('two')]);
      // The same request is the same deed; the other person is told that the logbook has them now, or brings nothing new.
      expect([first.status, again.status]).toEqual([201, 201]);
      expect(other.status === 409 || other.body.written?.entries === 0, JSON.stringify(other.body)).toBe(
        true,
      );
      await expect
        .poll(async () => (await get<ImportState>('/imports/one')).state, { timeout: 20_000 })
        .toBe('written');
      expect(await entries()).toBe(1000);
      expect((await readIn('three', file)).preview).toMatchObject({ ready: 0, known: 1000 });
    },
  );

  it(
    'twenty thousand rows come in while others are served; killed in the middle, nothing stands half',
    { timeout: MANY_MS },
    async () => {
      const file = await sent(list(20_000, '2010-01-01'));
      const read = await readIn('large', file);
      expect([read.state, read.preview?.ready, read.preview?.faulty]).toEqual(['ready', 20_000, []]);
      void post('/imports/large/write', { by: 'p' }).catch(() => null);
      await expect
        .poll(
          async () => {
            const { state, done } = await get<ImportState>('/imports/large');
            return state === 'writing' ? done : 0;
          },
          { timeout: 30_000, interval: 20 },
        )
        .toBeGreaterThan(2);
      expect(await get('/machines?limit=1&sort=name')).toMatchObject({ count: MACHINES });
      await running.kill('SIGKILL');
      running = await start();
      expect(await get<ImportState>('/imports/large')).toMatchObject({
        state: 'refused',
        refusal: expect.stringContaining('Nothing of it was written; try it again.') as string,
      });
      expect(await get('/verify')).toMatchObject({ entries: 1000, intact: true });

      expect((await readIn('again', file)).preview?.ready).toBe(20_000);
      const written = await post<ImportState>('/imports/again/write', { by: 'p' });
      expect(written.body).toMatchObject({ state: 'written', written: { rows: 0, entries: 20_000 } });
      expect(await get('/verify')).toMatchObject({ entries: 21_000, intact: true });
    },
  );
});
