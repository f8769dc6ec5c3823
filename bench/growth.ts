/**
 * Growth: the same requests to companies of 200, 2,000 and 20,000 machines, through the server as a client meets it, beside
 * a bare indexed select in the same run; loading such a company; and the turn of the day, with how long others wait for it.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { openAccounts } from '../src/server/accounts/accounts';
import type { Caller } from '../src/server/caller';
import { createApp } from '../src/server/http/app';
import { type Clock, systemClock } from '../src/server/clock';
import { loadLogbook } from '../src/server/exports/logbooks';
import { openServices } from '../src/server/services';
import { browse } from './browser';
import { LONG_ID, grownLogbook } from './grown';
import { median } from './measure';

const SIZES = [200, 2000, 20_000];
const RUNS = 25;
const WARM_UP = 5;
const FIRST_DAY = '2026-11-23';
const DAY_MS = 86_400_000;
const ASK_EVERY_MS = 40;

type Ask = (base: string, run: number) => Promise<Response>;

const post = (base: string, id: string, applianceId: string, rest: object) =>
  fetch(`${base}/entries`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id, applianceId, on: '2026-11-01', by: 'p1', ...rest }),
  });
const inspected = { kind: 'leakInspection', methods: ['electronic'] };

const MANAGER: Caller = {
  personId: 'p1',
  name: 'Ike Sand',
  email: 'ike@example.invalid',
  role: 'manager',
  ownerId: null,
  sites: null,
};
/** The session of the company that is asked now. */
let cookie = '';

let made = 0;
const REQUESTS: Record<string, Ask> = {
  'due, first page': (base) => fetch(`${base}/due`),
  'due, first page, by a session': (base) => fetch(`${base}/due`, { headers: { cookie } }),
  'due, counts': (base) => fetch(`${base}/due/counts`),
  'due, by trip': (base) => fetch(`${base}/due/trips`),
  'machines, first page': (base) => fetch(`${base}/machines`),
  'machines by room, one kind': (base) => fetch(`${base}/machines?sort=room&kind=rack`),
  'search, one site': (base) => fetch(`${base}/machines?text=harbour+market+0`),
  'search that finds a third and more': (base) => fetch(`${base}/machines?text=r448a`),
  'a machine of 25 entries': (base, run) => fetch(`${base}/machines/machine-${String(1 + run)}`),
  'a machine of 5,000 entries': (base) => fetch(`${base}/machines/${LONG_ID}`),
  'append to a machine of 25': (base, run) =>
    post(base, `b${String((made += 1))}`, `machine-${String(60 + (run % 5))}`, inspected),
  'append to a machine of 5,000': (base) => post(base, `b${String((made += 1))}`, LONG_ID, inspected),
  'append a note of a visit': (base, run) =>
    post(base, `b${String((made += 1))}`, `machine-${String(70 + (run % 5))}`, {
      kind: 'readings',
      visitId: `v${String(run)}`,
    }),
};

interface Grown {
  machines: number;
  entries: number;
  loadMs: number;
  times: Map<string, number>;
  bytes: Map<string, number>;
  bareMs: number;
  turnMs: number;
  longestWaitMs: number;
  usualWaitMs: number;
  browser: Map<string, number>;
}

async function served<Value>(
  file: string,
  clock: Clock,
  work: (base: string, origin: string) => Promise<Value>,
): Promise<Value> {
  const services = await openServices(`file:${file}`, clock);
  const { accounts, close } = await openAccounts(`file:${file}`, services);
  if ((await accounts.list()).accounts.length === 0)
    await accounts.add({ ...MANAGER, demo: true, hash: null });
  const signedIn = await accounts.demoSignIn('p1', {});
  cookie =
    signedIn?.headers
      .getSetCookie()
      .map((each) => each.split(';')[0])
      .join('; ') ?? '';
  const server = createApp(services, accounts, {
    webFolder: join(process.cwd(), 'dist'),
    // Whoever sends a session is looked up, so that what that costs is seen.
    callerOf: (headers) =>
      headers.cookie === undefined ? Promise.resolve(MANAGER) : accounts.callerOf(headers),
  }).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const origin = `http://127.0.0.1:${String((server.address() as AddressInfo).port)}`;
  try {
    return await work(`${origin}/api`, origin);
  } finally {
    server.closeAllConnections();
    server.close();
    close();
    await services.close();
  }
}

async function grow(machines: number, folder: string): Promise<Grown> {
  const file = join(folder, `${String(machines)}.db`);
  const book = grownLogbook(machines);
  let nowMs = Date.parse(`${FIRST_DAY}T18:00:00Z`);
  const clock = systemClock(undefined, () => nowMs);
  const services = await openServices(`file:${file}`, clock);
  const began = performance.now();
  await loadLogbook(services, book);
  const loadMs = performance.now() - began;
  await services.close();

  const bare = createClient({ url: `file:${file}` });
  const bareTimes: number[] = [];
  const times = new Map<string, number[]>(Object.keys(REQUESTS).map((name) => [name, []]));
  const bytes = new Map<string, number>();
  let browser = new Map<string, number>();
  let turn = { turnMs: NaN, longestWaitMs: NaN, usualWaitMs: NaN };
  await served(file, clock, async (base, origin) => {
    for (let run = -WARM_UP; run < RUNS; run += 1)
      for (const [name, ask] of Object.entries(REQUESTS)) {
        const start = performance.now();
        const answer = await ask(base, run + WARM_UP);
        const text = await answer.text();
        const taken = performance.now() - start;
        if (!answer.ok) throw new Error(`${name}: ${text}`);
        const bareStart = performance.now();
        await bare.execute({
          sql: 'SELECT document FROM appliances WHERE id = ?',
          args: [`machine-${String(run + WARM_UP)}`],
        });
        if (run < 0) continue;
        bareTimes.push(performance.now() - bareStart);
        times.get(name)?.push(taken);
        bytes.set(name, text.length);
      }
    browser = await browse(origin);
    nowMs += DAY_MS;
    turn = await turned(base);
  });
  bare.close();

  return {
    machines,
    entries: book.entries.length,
    loadMs,
    times: new Map([...times].map(([name, each]) => [name, median(each)])),
    bytes,
    bareMs: median(bareTimes),
    browser,
    ...turn,
  };
}

/** Others ask and write while all machines are judged for the new day. */
async function turned(base: string): Promise<Pick<Grown, 'turnMs' | 'longestWaitMs' | 'usualWaitMs'>> {
  const waits: number[] = [];
  const start = performance.now();
  for (let run = 0; ; run += 1) {
    for (const ask of [
      REQUESTS['due, first page'],
      REQUESTS['append to a machine of 25'],
      REQUESTS['a machine of 25 entries'],
    ]) {
      const asked = performance.now();
      await (await ask?.(base, run % 50))?.text();
      waits.push(performance.now() - asked);
    }
    const { left } = (await (await fetch(`${base}/due/counts`)).json()) as { left: number };
    // The first look may come before the turn has begun.
    if (left === 0 && run > 2) break;
    await new Promise((resolve) => setTimeout(resolve, ASK_EVERY_MS));
  }
  return { turnMs: performance.now() - start, longestWaitMs: Math.max(...waits), usualWaitMs: median(waits) };
}

const ms = (value: number): string => value.toFixed(value < 10 ? 2 : 0).padStart(10);

export async function printGrowth(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'bench-growth-'));
  const grown: Grown[] = [];
  for (const size of SIZES) grown.push(await grow(size, folder));
  rmSync(folder, { recursive: true });
  const line = (name: string, figures: (number | undefined)[]) => {
    const [first, last] = [figures[0] ?? NaN, figures.at(-1) ?? NaN];
    console.log(
      `${name.padEnd(38)}${figures.map((each) => ms(each ?? NaN)).join('')}${(last / first).toFixed(2).padStart(10)}`,
    );
  };
  const head = (title: string) =>
    console.log(
      `\n${title.padEnd(38)}${SIZES.map((size) => size.toLocaleString('en').padStart(10)).join('')}   last : first`,
    );
  head('machines, 25 entries each; ms, medians');
  for (const name of Object.keys(REQUESTS))
    line(
      name,
      grown.map((each) => each.times.get(name)),
    );
  line(
    '(bare select of one row by its id)',
    grown.map((each) => each.bareMs),
  );
  head('in the browser; ms');
  for (const name of grown[0]?.browser.keys() ?? [])
    line(
      name,
      grown.map((each) => each.browser.get(name)),
    );
  head('turn of the day; ms');
  line(
    'all machines judged anew',
    grown.map((each) => each.turnMs),
  );
  line(
    'usual wait of a request meanwhile',
    grown.map((each) => each.usualWaitMs),
  );
  line(
    'longest wait of a request meanwhile',
    grown.map((each) => each.longestWaitMs),
  );
  console.log('');
  for (const { machines, entries, loadMs, bytes } of grown)
    console.log(
      `${machines.toLocaleString('en')} machines: ${entries.toLocaleString('en')} entries loaded, sealed and judged in ${(loadMs / 1000).toFixed(1)} s (${Math.round(entries / (loadMs / 1000)).toLocaleString('en')} a second); first page of Due ${String(Math.round((bytes.get('due, first page') ?? 0) / 1000))} kB`,
    );
}
