/** The server as a process, reached from beyond: its own TLS, a trusted proxy, what it refuses and what it notes. */
import { execFileSync, spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { request as tlsRequest } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, afterEach, beforeAll, expect, it } from 'vitest';
import { type Served, cookieOf, serve, signInFirst } from './served.testkit';

let folder: string;
let url: string;
let running: Served | null = null;
const PASSWORD = 'four plain words here';

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'abacus-serving-'));
  url = `file:${join(folder, 'book.db')}`;
  execFileSync(
    'openssl',
    [
      ...['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', '-subj', '/CN=abacus.pier.example'],
      ...['-addext', 'subjectAltName=DNS:abacus.pier.example'],
      ...['-keyout', join(folder, 'key.pem'), '-out', join(folder, 'cert.pem')],
    ],
    { stdio: 'ignore' },
  );
}, 60_000);
afterEach(async () => {
  await running?.kill('SIGKILL');
  running = null;
});
afterAll(() => rmSync(folder, { recursive: true }));

const start = async (env: Record<string, string> = {}): Promise<Served> => {
  running = await serve(url, { ABACUS_LOG: 'info', ...env });
  return running;
};
const send = (base: string, path: string, body: object, headers: Record<string, string> = {}) =>
  fetch(base + path, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...headers },
    body: JSON.stringify(body),
  });
/** What it says where it does not start, and with which code it ends. */
async function refused(env: Record<string, string>): Promise<[number | null, string]> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'src/server/main.ts'], {
    env: { ...process.env, ABACUS_DATABASE: url, PORT: '0', ...env },
  });
  let said = '';
  child.stderr.on('data', (part: Buffer) => (said += part.toString()));
  await once(child, 'close');
  return [child.exitCode, said];
}

it('does not listen beyond this machine before somebody has an account, nor with half a certificate', async () => {
  expect(await refused({ ABACUS_HOST: '0.0.0.0' })).toEqual([
    1,
    expect.stringContaining('Nobody has an account'),
  ]);
  expect(await refused({ ABACUS_TLS_CERT: '/nowhere' })).toEqual([
    1,
    expect.stringContaining('ABACUS_TLS_KEY'),
  ]);
  expect(await refused({ ABACUS_TLS_CERT: '/nowhere', ABACUS_TLS_KEY: '/nowhere' })).toEqual([
    1,
    expect.stringContaining('cannot be read'),
  ]);
}, 60_000);

it('ends gracefully, says that it is ready, and notes operations, not what was in them', async () => {
  const { base, kill, printed, child } = await signedInOnce();
  expect(await (await fetch(`${base}/health`)).json()).toEqual({ ready: true });
  expect(
    (await send(base, '/auth/sign-in/email', { email: 'first@pier.example', password: 'wrong words' }))
      .status,
  ).toBe(401);
  await expect.poll(() => printed()).toContain('"operation":"auth/sign-in/email"');
  expect(printed()).toContain('"operation":"health"');
  for (const secret of ['wrong words', PASSWORD, 'first@pier.example'])
    expect(printed()).not.toContain(secret);
  // The link of the first manager is printed for whoever started it; the log does not tell it again.
  expect(printed().split('token=').length).toBeLessThanOrEqual(2);
  await kill('SIGTERM');
  expect(child.exitCode).toBe(0);
}, 60_000);

it('answers by its own TLS under the name that was said, with a cookie for TLS alone', async () => {
  const served = await start({
    ABACUS_ADDRESS: 'https://abacus.pier.example',
    ABACUS_TLS_CERT: join(folder, 'cert.pem'),
    ABACUS_TLS_KEY: join(folder, 'key.pem'),
    ABACUS_HOST: '0.0.0.0',
  });
  expect(served.printed()).not.toContain('Without TLS');
  const port = Number(/Listening on \S+:(\d+)/.exec(served.printed())?.[1]);
  const answer = await new Promise<{ status: number | undefined; cookie: string; hsts: string }>(
    (resolve, reject) => {
      const body = JSON.stringify({ email: 'first@pier.example', password: PASSWORD });
      tlsRequest(
        {
          ...{ host: '127.0.0.1', port, path: '/api/auth/sign-in/email', method: 'POST' },
          ca: readFileSync(join(folder, 'cert.pem')),
          servername: 'abacus.pier.example',
          headers: {
            host: 'abacus.pier.example',
            'content-type': 'application/json',
            'content-length': body.length,
          },
        },
        (response) => {
          response.resume();
          resolve({
            status: response.statusCode,
            cookie: (response.headers['set-cookie'] ?? []).join(),
            hsts: response.headers['strict-transport-security'] ?? '',
          });
        },
      )
        .once('error', reject)
        .end(body);
    },
  );
  expect(answer.status).toBe(200);
  expect(answer.cookie).toMatch(/__Secure-.*HttpOnly.*Secure/i);
  expect(answer.hsts).toContain('max-age');
}, 60_000);

it('takes the word of a trusted proxy on who asks, and of nobody else', async () => {
  const tryFrom = async (env: Record<string, string>): Promise<string> => {
    const { base, printed, kill } = await start(env);
    await send(
      base,
      '/auth/sign-in/email',
      { email: 'nobody@pier.example', password: 'x' },
      { 'x-forwarded-for': '203.0.113.9' },
    );
    await expect.poll(() => printed()).toContain('auth/sign-in/email');
    await kill('SIGKILL');
    return (
      /"from":"([^"]+)"/.exec(
        printed()
          .split('\n')
          .find((line) => line.includes('auth/sign-in')) ?? '',
      )?.[1] ?? ''
    );
  };
  expect(await tryFrom({})).toBe('127.0.0.1');
  expect(await tryFrom({ ABACUS_PROXY_HOPS: '1' })).toBe('203.0.113.9');
}, 60_000);

/** The first manager comes in, and is known to whatever starts on this logbook later. */
async function signedInOnce(): Promise<Served> {
  const served = await start();
  const cookie = await signInFirst(served);
  const answer = await fetch(`${served.base}/session`, { headers: { cookie } });
  expect(await answer.json()).toMatchObject({ signedIn: { role: 'manager' }, empty: false, address: null });
  expect(cookieOf(answer)).toBe('');
  return served;
}
