/** A server that is killed in the middle of writing, and what the copy on another disk holds of it. */
import { mkdirSync, mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { afterAll, expect, it } from 'vitest';
import { serve, signInFirst } from '../served.testkit';
import { restoreBackup } from './copy';

const folder = mkdtempSync(join(tmpdir(), 'abacus-copy-'));
afterAll(() => rmSync(folder, { recursive: true }));

it('holds all that was answered some seconds before the kill, and restores with every seal intact and everybody signed in', async () => {
  const [data, copy] = [join(folder, 'data'), join(folder, 'other-disk')];
  mkdirSync(data);
  const served = await serve(`file:${join(data, 'green-abacus.db')}`, { ABACUS_COPY: copy });
  const cookie = await signInFirst(served);
  let written = 0;
  const write = async () => {
    const id = `owner-${String(written)}`;
    const answer = await fetch(`${served.base}/rows`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie },
      body: JSON.stringify({ changes: [{ table: 'owners', id, row: { id, name: `Owner ${id}` } }] }),
    });
    expect(answer.status).toBe(201);
    written += 1;
  };
  while (written < 150) await write();
  await pause(3000);
  const safe = written;
  // Goes on writing until it is killed.
  const writing = (async () => {
    for (;;) await write();
  })().catch(() => null);
  await pause(400);
  expect(running(data)).toBeGreaterThan(0);
  await served.kill('SIGKILL');
  await writing;
  // The tool ends with the server: two would write over each other's copy after the next start.
  for (let tries = 0; tries < 50 && running(data) > 0; tries += 1) await pause(100);
  expect(running(data)).toBe(0);
  // The first manager's own row, and each owner.
  const back = await restoreBackup(copy, join(folder, 'back'));
  expect(back.revisions).toBeGreaterThanOrEqual(safe + 1);
  expect(back.revisions).toBeLessThanOrEqual(written + 2);
  // Elsewhere, whoever was signed in goes on.
  const elsewhere = await serve(`file:${join(folder, 'back', 'green-abacus.db')}`);
  const session = await fetch(`${elsewhere.base}/session`, { headers: { cookie } });
  expect(await session.json()).toMatchObject({ signedIn: { name: 'First Manager' } });
  await elsewhere.kill('SIGKILL');
}, 60_000);

/** Processes that copy from this folder. */
function running(data: string): number {
  const commandOf = (id: string): string => {
    try {
      return readFileSync(`/proc/${id}/cmdline`, 'utf8');
    } catch {
      return ''; // It ended meanwhile.
    }
  };
  const ids = readdirSync('/proc').filter((name) => /^\d+$/.test(name));
  return ids.map(commandOf).filter((command) => command.includes('replicate') && command.includes(data))
    .length;
}
