/** A company's accounts behind the API on a free port, for tests that come in as a browser does. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { AddressInfo } from 'node:net';
import { createApp } from '../http/app';
import { DATABASE } from '../dataFolder';
import { systemClock } from '../clock';
import { cookieOf } from '../served.testkit';
import { type Services, openServices } from '../services';
import { type Accounts, openAccounts } from './accounts';

export const PASSWORD = 'seven warm bearings';

export interface Sent {
  status: number;
  cookie: string;
  /** the cookies as they were set */
  flags: string;
  text: string;
}

export interface Crew {
  folder: string;
  services: Services;
  accounts: Accounts;
  /** the clock of the server goes on by so much */
  passes: (ms: number) => void;
  post: (path: string, body: unknown, headers?: Record<string, string>) => Promise<Sent>;
  get: (path: string, cookie?: string) => Promise<{ status: number; body: unknown }>;
  signIn: (email: string, password: string, headers?: Record<string, string>) => Promise<Sent>;
  session: (cookie: string) => Promise<{
    signedIn: { name: string; role: string } | null;
    empty: boolean;
    demo: unknown[];
  }>;
  status: (path: string, cookie: string) => Promise<number>;
  begin: (token: string, email: string, more?: object) => Promise<Sent>;
  idOf: (email: string) => Promise<string>;
  addPerson: (id: string, name: string) => Promise<unknown>;
  /** Somebody of the crew who came in by a link. */
  joined: (
    personId: string,
    name: string,
    role?: 'technician' | 'manager',
  ) => Promise<{ email: string; cookie: string }>;
  end: () => Promise<void>;
}

/** `folder`: of a crew that stands there already; left out: of a new one, without anybody. */
export async function openCrew(folder = mkdtempSync(join(tmpdir(), 'abacus-accounts-'))): Promise<Crew> {
  const url = `file:${join(folder, DATABASE)}`;
  let nowMs = Date.parse('2026-11-23T15:00:00Z');
  const services = await openServices(
    url,
    systemClock(undefined, () => nowMs),
  );
  const { accounts, close } = await openAccounts(url, services);
  const server = createApp(services, accounts, { webFolder: null }).listen(0, '127.0.0.1');
  server.keepAliveTimeout = 0;
  await new Promise((resolve) => server.once('listening', resolve));
  const base = `http://127.0.0.1:${String((server.address() as AddressInfo).port)}/api`;

  const post: Crew['post'] = async (path, body, headers = {}) => {
    const response = await fetch(base + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...headers },
      body: JSON.stringify(body),
    });
    return {
      status: response.status,
      cookie: cookieOf(response),
      flags: response.headers.getSetCookie().join('\n'),
      text: await response.text(),
    };
  };
  const get: Crew['get'] = async (path, cookie = '') => {
    const response = await fetch(base + path, { headers: { cookie } });
    return { status: response.status, body: await response.json() };
  };
  const signIn: Crew['signIn'] = (email, password, headers = {}) =>
    post('/auth/sign-in/email', { email, password }, headers);
  const begin: Crew['begin'] = (token, email, more = {}) =>
    post('/accounts', { token, email, password: PASSWORD, ...more });
  const addPerson: Crew['addPerson'] = (id, name) =>
    services.rows.change([{ table: 'people', id, row: { id, name } }], { by: id, why: null });
  return {
    folder,
    services,
    accounts,
    passes: (ms) => {
      nowMs += ms;
    },
    post,
    get,
    signIn,
    session: async (cookie) => (await get('/session', cookie)).body as Awaited<ReturnType<Crew['session']>>,
    status: async (path, cookie) => (await get(path, cookie)).status,
    begin,
    idOf: async (email) => (await accounts.list()).accounts.find((each) => each.email === email)?.id ?? '',
    addPerson,
    joined: async (personId, name, role = 'technician') => {
      await addPerson(personId, name);
      const { token } = await accounts.joining.invite({ personId, role });
      const email = `${personId}@example.invalid`;
      const begun = await begin(token, email);
      if (begun.status !== 201) throw new Error(begun.text);
      const signed = await signIn(email, PASSWORD);
      if (signed.status !== 200) throw new Error(signed.text);
      return { email, cookie: signed.cookie };
    },
    end: async () => {
      server.close();
      close();
      await services.close();
      rmSync(folder, { recursive: true });
    },
  };
}
