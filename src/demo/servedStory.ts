/** The demo story behind the API on a free port, with its files in a folder of its own: for tests that ask as a client does. */
import { mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { dayOf } from '../core/quantity/day';
import { type Accounts, openAccounts } from '../server/accounts/accounts';
import type { Caller } from '../server/caller';
import { createApp } from '../server/http/app';
import { systemClock } from '../server/clock';
import { loadLogbook } from '../server/exports/logbooks';
import { type Services, openServices } from '../server/services';
import { addDemoAccounts } from './accounts';
import { demoStory } from './story';

export interface ServedStory {
  folder: string;
  services: Services;
  accounts: Accounts;
  /** address of the API */
  base: string;
  get: (path: string) => Promise<unknown>;
  post: (
    path: string,
    body: unknown,
  ) => Promise<{ status: number; type: string; body: Record<string, unknown> }>;
  close: () => Promise<void>;
}

/** A manager of the story, who sees all and may write for everybody. */
const ODALYS: Caller = {
  personId: 'odalys',
  name: 'Odalys Brandt',
  email: 'odalys@brindle-hook.example',
  role: 'manager',
  ownerId: null,
  sites: null,
};

/** `signedIn`: who asks, whatever cookie comes; null: whoever the cookie says. `nowMs`: its clock within the day. */
export async function serveStory(
  today: string,
  signedIn: Caller | null = ODALYS,
  nowMs: () => number = Date.now,
): Promise<ServedStory> {
  const folder = mkdtempSync(join(tmpdir(), 'abacus-served-'));
  const clock = systemClock(today, nowMs);
  const url = `file:${join(folder, 'story.db')}`;
  const services = await openServices(url, clock);
  await loadLogbook(services, demoStory(dayOf(today)));
  const { accounts, close: closeAccounts } = await openAccounts(url, services);
  await addDemoAccounts(accounts);
  const server = createApp(services, accounts, {
    webFolder: null,
    ...(signedIn && { callerOf: () => Promise.resolve(signedIn) }),
  }).listen(0, '127.0.0.1');
  // A connection that is idle is never closed under a request that just takes it up again.
  server.keepAliveTimeout = 0;
  await new Promise((resolve) => server.once('listening', resolve));
  const base = `http://127.0.0.1:${String((server.address() as AddressInfo).port)}/api`;
  return {
    folder,
    services,
    accounts,
    base,
    get: async (path) => (await fetch(base + path)).json() as Promise<unknown>,
    post: async (path, body) => {
      const response = await fetch(base + path, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        // A text goes as it is: clients send broken JSON too.
        body: typeof body === 'string' ? body : JSON.stringify(body),
      });
      return {
        status: response.status,
        type: response.headers.get('content-type') ?? '',
        body: (await response.json()) as Record<string, unknown>,
      };
    },
    close: async () => {
      server.close();
      await services.close();
      closeAccounts();
      rmSync(folder, { recursive: true });
    },
  };
}
