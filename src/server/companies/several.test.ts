/** Several companies on one server, asked as browsers ask: none sees, enters or writes what is another's. */
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { isPublic } from '../../contract/access';
import { ENDPOINTS, type EndpointName } from '../../contract/endpoints';
import { addDemoAccounts } from '../../demo/accounts';
import { openAccounts } from '../accounts/accounts';
import { systemClock } from '../clock';
import { openServices } from '../services';
import { addCompany, moveCompany } from './moving';
import { type Several, serveFolder } from './several.testkit';

const root = mkdtempSync(join(tmpdir(), 'abacus-several-'));
const folder = join(root, 'companies');
let several: Several;
const cookies: Record<string, string> = {};
const tokens: Record<string, string> = {};

beforeAll(async () => {
  for (const name of ['pier', 'quay']) tokens[name] = await addCompany(folder, name);
  several = await serveFolder(folder);
}, 60_000);
afterAll(async () => {
  await several.close();
  rmSync(root, { recursive: true });
});

const writes = (company: string, id: string, cookie: string) =>
  several.ask(company, 'POST', '/rows', {
    body: { changes: [{ table: 'owners', id, row: { id, name: `Owner ${id}` } }] },
    headers: { cookie },
  });
const owners = async (company: string): Promise<string> =>
  JSON.stringify(
    (await several.ask(company, 'GET', '/owners', { headers: { cookie: cookies[company] ?? '' } })).body,
  );

describe('companies of one server', () => {
  it('each lets in by its own link alone', async () => {
    const foreign = await several.ask('quay', 'POST', '/accounts', {
      body: { token: tokens['pier'], email: 'a@b.example', password: 'four plain words here', name: 'A' },
    });
    expect(foreign.status).toBe(422);
    for (const name of ['pier', 'quay']) cookies[name] = await several.firstManager(name, tokens[name] ?? '');
    const names = await Promise.all(
      ['pier', 'quay'].map(
        async (name) =>
          (await several.ask(name, 'GET', '/session', { headers: { cookie: cookies[name] ?? '' } })).body[
            'signedIn'
          ],
      ),
    );
    expect(names).toMatchObject([{ name: 'Manager of pier' }, { name: 'Manager of quay' }]);
    await expect(addCompany(folder, 'pier')).rejects.toThrow('has accounts');
  });

  it('keeps what is written in one out of the other, also where ids are the same', async () => {
    expect((await writes('pier', 'guild', cookies['pier'] ?? '')).status).toBe(201);
    expect((await writes('quay', 'harbour', cookies['quay'] ?? '')).status).toBe(201);
    expect(await owners('pier')).toContain('guild');
    expect(await owners('pier')).not.toContain('harbour');
    expect(await owners('quay')).not.toContain('guild');
    expect(readdirSync(join(folder, 'pier'))).toContain('green-abacus.accounts.db');
  });

  it.each(Object.keys(ENDPOINTS).filter((name) => !isPublic(name as EndpointName)) as EndpointName[])(
    '%s is refused to who is signed in at another one',
    async (name) => {
      const { method, path } = ENDPOINTS[name];
      const asked = await several.ask('quay', method, path.replace(/:\w+/g, 'none'), {
        ...(method === 'POST' && { body: {} }),
        headers: { cookie: cookies['pier'] ?? '' },
      });
      expect(asked.status).toBe(401);
    },
  );

  it('a token and a calendar of one lead nowhere in another', async () => {
    const headers = { cookie: cookies['pier'] ?? '' };
    const { token } = (
      await several.ask('pier', 'POST', '/programs/tokens', {
        body: { name: 'Accountant', scope: 'gas', days: 30 },
        headers,
      })
    ).body as { token: string };
    const authorization = `Bearer ${token}`;
    const gas = (company: string) =>
      several.ask(company, 'GET', '/tables/gas', { headers: { authorization } }).then(({ status }) => status);
    expect([await gas('pier'), await gas('quay')]).toEqual([200, 401]);
    const { personId } = (await several.ask('pier', 'GET', '/session', { headers })).body['signedIn'] as {
      personId: string;
    };
    const feed = (
      await several.ask('pier', 'POST', '/feeds', {
        body: { id: 'feed-1', scope: 'company', by: personId },
        headers,
      })
    ).body;
    const path = `/calendars/${String(feed['token'])}.ics`;
    const calendar = (company: string) => several.ask(company, 'GET', path).then(({ status }) => status);
    expect([await calendar('pier'), await calendar('quay')]).toEqual([200, 404]);
  });

  it('asks for the company where none is named or none is there, and reads no folder by a name', async () => {
    for (const host of ['', 'nowhere', 'pier.quay', '..', 'pier%2f', 'quay.leaving', 'pier-']) {
      const session = await several.ask(host, 'GET', '/session', {
        headers: { cookie: cookies['pier'] ?? '' },
      });
      expect([host, session.body['signedIn'], session.body['companiesAt']]).toEqual([
        host,
        null,
        expect.stringMatching(/^http:\/\/localhost:\d+$/),
      ]);
      expect(
        (await several.ask(host, 'GET', '/owners', { headers: { cookie: cookies['pier'] ?? '' } })).status,
      ).toBe(404);
    }
    expect((await several.ask('', 'GET', '/health')).body).toEqual({ ready: true });
    // However it is written, it is the same company.
    expect(
      (await several.ask('PIER', 'GET', '/session', { headers: { cookie: cookies['pier'] ?? '' } })).body[
        'signedIn'
      ],
    ).not.toBeNull();
    expect((await several.ask('', 'GET', '/health', { headers: { host: 'elsewhere.example' } })).status).toBe(
      403,
    );
    expect(readdirSync(folder).sort()).toEqual(['pier', 'quay']);
  });

  it('finds a company that was made while it runs, and none where a folder holds no logbook', async () => {
    const token = await addCompany(folder, 'weir');
    const cookie = await several.firstManager('weir', token);
    expect((await writes('weir', 'mill', cookie)).status).toBe(201);
    await expect(addCompany(folder, '../weir')).rejects.toThrow('no name of a company');
  });

  it('a demo is not served beyond its computer, and its neighbours are', async () => {
    const url = `file:${join(folder, 'story', 'green-abacus.db')}`;
    const services = await openServices(url, systemClock(undefined));
    const { accounts, close } = await openAccounts(url, services);
    await addDemoAccounts(accounts);
    close();
    await services.close();
    const beyond = await serveFolder(folder, { ABACUS_HOST: '0.0.0.0', ABACUS_ADDRESS: 'http://localhost' });
    const asked = await beyond.ask('story', 'POST', '/demo/sign-in', { body: { person: 'odalys' } });
    expect([asked.status, JSON.stringify(asked.body)]).toEqual([
      503,
      expect.stringContaining('This is the demo'),
    ]);
    await beyond.close();
  });
});

describe('a company that leaves', () => {
  it('takes along all that was answered while others wrote, and those who are signed in; it stays nowhere twice', async () => {
    let written = 0;
    const refusals = new Set<number>();
    let moving = true;
    const writing = (async () => {
      while (moving) {
        const { status } = await writes('pier', `n-${String(written)}`, cookies['pier'] ?? '');
        if (status === 201) written += 1;
        else refusals.add(status);
      }
    })();
    const to = join(root, 'elsewhere');
    while (written < 20) await new Promise((resolve) => setTimeout(resolve, 10));
    const moved = await moveCompany(folder, 'pier', to, 30_000);
    moving = false;
    await writing;
    // While it is moved it says so; afterwards it is not there.
    expect([...refusals].every((status) => [503, 404].includes(status))).toBe(true);
    // The manager, the owner of before, the program, and what was answered.
    expect(moved).toMatchObject({ into: join(to, 'pier'), revisions: written + 3 });
    expect(readdirSync(folder).filter((name) => name === 'pier' || name.endsWith('leaving'))).toEqual([]);
    expect(existsSync(moved.left)).toBe(true);
    expect((await several.ask('pier', 'GET', '/session')).body['companiesAt']).toBeDefined();
    const other = await serveFolder(to);
    const headers = { cookie: cookies['pier'] ?? '' };
    expect((await other.ask('pier', 'GET', '/session', { headers })).body['signedIn']).toMatchObject({
      name: 'Manager of pier',
    });
    await other.close();
  }, 60_000);

  it('stays where something stands in the way, and is served on', async () => {
    await expect(moveCompany(folder, 'quay', folder, 1000)).rejects.toThrow('is there already');
    await expect(moveCompany(folder, 'nobody', root, 1000)).rejects.toThrow('holds no company');
    expect((await writes('quay', 'after', cookies['quay'] ?? '')).status).toBe(201);
  });
});

describe('a company that two servers could serve', () => {
  it('is served by the first alone, until that lets go', async () => {
    const headers = { cookie: cookies['quay'] ?? '' };
    expect((await several.ask('quay', 'GET', '/owners', { headers })).status).toBe(200);
    const second = await serveFolder(folder);
    const refused = await second.ask('quay', 'GET', '/owners', { headers });
    expect([refused.status, refused.body['title']]).toEqual([
      503,
      expect.stringContaining('Another process'),
    ]);
    await several.close();
    expect((await second.ask('quay', 'GET', '/owners', { headers })).status).toBe(200);
    await second.close();
    several = await serveFolder(folder);
  }, 60_000);
});
