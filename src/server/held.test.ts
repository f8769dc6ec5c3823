/** Another process holds the database: requests wait, then hear so, and nothing acknowledged is ever lost. */
import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { systemClock } from './clock';
import { TODAY, added, charged, entry, machine, site } from './company.testkit';
import { verifyChain } from './exports/logbooks';
import { type Served, serve, signInFirst } from './served.testkit';
import { openServices } from './services';

let folder: string;
let file: string;
const children: ChildProcess[] = [];

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'abacus-held-'));
  file = join(folder, 'held.db');
});
afterEach(() => {
  for (const child of children.splice(0)) child.kill('SIGKILL');
  rmSync(folder, { recursive: true });
});

/** A process of its own that takes the write lock, says so, and keeps it so long. */
async function holder(forMs: number): Promise<{ released: Promise<unknown>; isHeld: () => boolean }> {
  const code = `
    import { createClient } from '@libsql/client';
    const client = createClient({ url: 'file:${file}' });
    const held = await client.transaction('write');
    console.log('held');
    setTimeout(async () => { await held.rollback(); process.exit(0); }, ${String(forMs)});`;
  const child = spawn(process.execPath, ['--input-type=module', '-e', code], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  children.push(child);
  const released = once(child, 'exit');
  await once(child.stdout, 'data');
  return { released, isHeld: () => child.exitCode === null };
}

async function begin(): Promise<void> {
  const services = await openServices(`file:${file}`, systemClock(TODAY));
  await services.rows.change(
    [
      { table: 'sites', id: 's', row: site('s') },
      { table: 'people', id: 'p', row: { id: 'p', name: 'Tester' } },
    ],
    { by: 'p', why: null },
  );
  await services.appending.addMachine({
    appliance: machine('a', 's'),
    spaces: [],
    entries: [charged('c', 'a', 100)],
  });
  await services.close();
}

/** Served to a manager who is signed in, with little patience. */
async function served() {
  await begin();
  const running: Served = await serve(`file:${file}`, { ABACUS_TODAY: TODAY, ABACUS_PATIENCE_MS: '1500' });
  children.push(running.child);
  const cookie = await signInFirst(running);
  const post = (body: object) =>
    fetch(`${running.base}/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie },
      body: JSON.stringify(body),
    });
  return { ...running, cookie, post };
}

it('a write that meets a short hold waits and is taken; reads are answered meanwhile', async () => {
  const { base, cookie, post } = await served();
  const held = await holder(1200);
  const write = post(added('w', 'a', 1));
  const read = await fetch(`${base}/machines/a`, { headers: { cookie } });
  expect(read.status).toBe(200);
  expect(held.isHeld()).toBe(true);
  expect((await write).status).toBe(201);
}, 60_000);

it('after a long hold twenty writes are taken, and a kill loses none that was acknowledged', async () => {
  const { kill, post } = await served();
  const held = await holder(3500);
  const refused = await Promise.all(
    Array.from({ length: 3 }, (_, index) => post(added(`early${String(index)}`, 'a', 1))),
  );
  const statuses = refused.map((answer) => answer.status);
  expect(statuses).toContain(503);
  for (const answer of refused.filter(({ status }) => status === 503)) {
    expect(Number(answer.headers.get('retry-after'))).toBeGreaterThan(0);
    expect(answer.headers.get('content-type')).toContain('application/problem+json');
    expect(((await answer.json()) as { title: string }).title).toContain('Nothing was written');
  }
  await held.released;
  const acknowledged = refused.flatMap(({ status }, index) =>
    status === 201 ? [`early${String(index)}`] : [],
  );
  for (let index = 0; index < 20; index += 1) {
    const id = `late${String(index)}`;
    // Gas and notes: what changes the standing and what does not go different ways.
    const answer = await post(
      index % 2 === 0
        ? added(id, 'a', 0.1)
        : entry(id, 'a', { kind: 'readings', visitId: 'v', suction: '22 psig' }),
    );
    expect([id, answer.status]).toEqual([id, 201]);
    acknowledged.push(id);
  }
  await kill('SIGKILL');
  await pause(50);
  const services = await openServices(`file:${file}`, systemClock(TODAY));
  const found = (await services.store.entriesBearingOn('a')).map((each) => each.id);
  expect(found.filter((id) => id !== 'c').sort()).toEqual(expect.arrayContaining(acknowledged.sort()));
  expect(found).toHaveLength(acknowledged.length + 1);
  expect((await verifyChain(services.database)).intact).toBe(true);
  await services.close();
}, 60_000);
