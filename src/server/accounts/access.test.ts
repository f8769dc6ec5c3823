/** Every operation × every role × own and foreign site: who is answered, who is refused, and that nothing is written then. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type ServedStory, serveStory } from '../../demo/servedStory';
import { ENDPOINTS, type EndpointName } from '../../contract/endpoints';
import { cookieOf } from '../served.testkit';

let story: ServedStory;
const cookies = new Map<string, string>();

/** The cookie of a person of the story. */
const signedIn = async (person: string): Promise<string> => {
  const response = await fetch(`${story.base}/demo/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ person }),
  });
  expect(response.status).toBe(200);
  return cookieOf(response);
};

const ask = (person: string | null, method: string, path: string, body?: unknown): Promise<Response> =>
  fetch(`${story.base}${path}`, {
    method,
    headers: {
      ...(person === null ? {} : { cookie: cookies.get(person) ?? '' }),
      ...(body === undefined ? {} : { 'content-type': 'application/json' }),
    },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });

beforeAll(async () => {
  story = await serveStory('2026-11-23', null);
  for (const person of ['odalys', 'marit', 'prue', 'auditor']) cookies.set(person, await signedIn(person));
}, 60_000);
afterAll(() => story.close());

// Written down here anew, by what each person does at work, and not read off the table that is tested.
const EVERYBODY = ['odalys', 'marit', 'prue', 'auditor', null];
const COMPANY = ['odalys', 'marit', 'auditor'];
const CREW = ['odalys', 'marit'];
const WHO: Record<EndpointName, readonly (string | null)[]> = {
  session: EVERYBODY,
  invitation: EVERYBODY,
  beginAccount: EVERYBODY,
  forgotPassword: EVERYBODY,
  unsubscribe: EVERYBODY,
  notices: EVERYBODY.slice(0, 4),
  setNotices: EVERYBODY.slice(0, 4),
  tryNotice: EVERYBODY.slice(0, 4),
  outbox: ['odalys'],
  backups: ['odalys'],
  programs: ['odalys'],
  makeToken: ['odalys'],
  withdrawToken: ['odalys'],
  makeWebhook: ['odalys'],
  withdrawWebhook: ['odalys'],
  health: EVERYBODY,
  clock: EVERYBODY,
  calendar: EVERYBODY,
  accounts: ['odalys'],
  invite: ['odalys'],
  withdrawInvitation: ['odalys'],
  changeRole: ['odalys'],
  endSessions: ['odalys'],
  closeAccount: ['odalys'],
  amend: ['odalys'],
  company: EVERYBODY.slice(0, 4),
  people: EVERYBODY.slice(0, 4),
  rules: EVERYBODY.slice(0, 4),
  photo: EVERYBODY.slice(0, 4),
  sites: EVERYBODY.slice(0, 4),
  machines: EVERYBODY.slice(0, 4),
  due: EVERYBODY.slice(0, 4),
  dueCounts: EVERYBODY.slice(0, 4),
  trips: EVERYBODY.slice(0, 4),
  leaking: EVERYBODY.slice(0, 4),
  visits: EVERYBODY.slice(0, 4),
  site: EVERYBODY.slice(0, 4),
  spaces: EVERYBODY.slice(0, 4),
  machine: EVERYBODY.slice(0, 4),
  machineEntries: EVERYBODY.slice(0, 4),
  papers: EVERYBODY.slice(0, 4),
  paperPreview: EVERYBODY.slice(0, 4),
  paperFile: EVERYBODY.slice(0, 4),
  logbook: EVERYBODY.slice(0, 4),
  logbookZip: EVERYBODY.slice(0, 4),
  workbook: EVERYBODY.slice(0, 4),
  tableFile: EVERYBODY.slice(0, 4),
  owners: EVERYBODY.slice(0, 4),
  instruments: COMPANY,
  cylinders: EVERYBODY.slice(0, 4),
  leaksOfKind: COMPANY,
  bottles: COMPANY,
  changes: COMPANY,
  row: COMPANY,
  verify: COMPANY,
  imports: COMPANY,
  append: CREW,
  addMachine: CREW,
  changeRows: CREW,
  storePhoto: CREW,
  feeds: CREW,
  makeFeed: CREW,
  withdrawFeed: CREW,
  labels: CREW,
  importState: CREW,
  sendImportFile: CREW,
  beginImport: CREW,
  stopImport: CREW,
  writeImport: CREW,
  undoPreview: CREW,
  undoImport: CREW,
  issuePaper: CREW,
};

describe('each operation answers those whom it is for', () => {
  it.each(Object.keys(ENDPOINTS) as EndpointName[])('%s', async (name) => {
    const { method, path } = ENDPOINTS[name];
    const filled = path.replace(/:\w+/g, 'none');
    for (const person of EVERYBODY) {
      const response = await ask(person, method, filled, method === 'POST' ? {} : undefined);
      // What is asked for does not exist, or the body is empty: whoever may ask is told that, and no more.
      const refused = response.status === 401 || response.status === 403;
      expect([person, refused], `${name} by ${person ?? 'nobody'}`).toEqual([
        person,
        !WHO[name].includes(person),
      ]);
      expect(response.status, name).not.toBe(500);
      if (refused) expect(response.status).toBe(person === null ? 401 : 403);
    }
  });
});

describe('an owner’s representative', () => {
  const get = async (path: string) => {
    const response = await ask('prue', 'GET', path);
    return { status: response.status, body: (await response.json()) as Record<string, unknown> };
  };
  const rowsOf = async (path: string) => (await get(path)).body['rows'] as Record<string, unknown>[];

  it('sees her sites in every list, and no others', async () => {
    expect((await rowsOf('/sites')).map((each) => each['id'])).toEqual(['fish-hall']);
    await ask('marit', 'POST', '/entries', {
      id: 'v-1',
      kind: 'readings',
      on: '2026-11-22',
      by: 'marit',
      visitId: 'visit-hall',
      applianceId: 'rack-a',
    });
    for (const path of ['/machines?limit=200', '/due?limit=100', '/visits?limit=200', '/due/trips']) {
      const rows = await rowsOf(path);
      expect(rows.length, path).toBeGreaterThan(0);
      expect(new Set(rows.map((each) => each['siteId'])), path).toEqual(new Set(['fish-hall']));
    }
    const all = (await (await ask('marit', 'GET', '/machines?limit=200')).json()) as { rows: unknown[] };
    expect(all.rows.length).toBeGreaterThan((await rowsOf('/machines?limit=200')).length);
    // Machines by their ids, too.
    expect(await rowsOf('/machines?ids=rack-a,kiosk-cooler')).toMatchObject([
      { appliance: { id: 'rack-a' } },
    ]);
  });

  it('counts what falls due at her sites alone', async () => {
    const counted = async (person: string, path: string) =>
      ((await (await ask(person, 'GET', path)).json()) as { groups: Record<string, number> }).groups;
    expect(await counted('prue', '/due/counts')).toEqual(
      await counted('marit', '/due/counts?site=fish-hall'),
    );
    expect(await counted('prue', '/due/counts?site=ferry')).toEqual({
      overdue: 0,
      week: 0,
      month: 0,
      later: 0,
    });
  });

  /** One that gas of her hall came from, and one that was never there. */
  let bottles: string[] = [];
  beforeAll(async () => {
    const { store } = story.services;
    const ofHall = new Set(await store.machinesOfSite('fish-hall'));
    const [hall, elsewhere] = [new Set<string>(), new Set<string>()];
    for await (const text of store.documents('entries')) {
      const { applianceId, cylinderId } = JSON.parse(text) as { applianceId?: string; cylinderId?: string };
      if (cylinderId) (ofHall.has(applianceId ?? '') ? hall : elsewhere).add(cylinderId);
    }
    bottles = [[...hall][0] ?? '', [...elsewhere].find((each) => !hall.has(each)) ?? ''];
    expect(bottles.every((each) => each !== '')).toBe(true);
  });

  it.each([
    ['/sites/fish-hall', '/sites/ferry'],
    ['/machines/rack-a', '/machines/kiosk-cooler'],
    ['/machines/rack-a/entries', '/machines/kiosk-cooler/entries'],
    ['/spaces?site=fish-hall', '/spaces?site=ferry'],
    ['/papers?machine=rack-a', '/papers?machine=kiosk-cooler'],
    ['/papers?machine=rack-a', '/papers'],
    [
      '/papers/preview?document=machineRecord&machine=rack-a',
      '/papers/preview?document=machineRecord&machine=kiosk-cooler',
    ],
    [
      '/papers/preview?document=machineRecord&machine=rack-a',
      '/papers/preview?document=serviceRecord&visit=visit-kiosk',
    ],
    ['/tables/gas?owner=fish-guild', '/tables/gas'],
    ['/tables/gas?site=fish-hall', '/tables/gas?site=ferry'],
    ['/tables/gas?site=fish-hall', '/tables/gas?site=fish-hall&owner=town'],
    ['/logbook?owner=fish-guild', '/logbook?owner=town'],
    ['/cylinders?ids=HALL', '/cylinders?ids=KIOSK'],
    ['/cylinders?ids=HALL', '/cylinders?ids=HALL,KIOSK'],
    ['/cylinders?ids=HALL', '/cylinders'],
  ])('reads %s, and not %s', async (own, foreign) => {
    const named = (path: string) => path.replace('HALL', bottles[0] ?? '').replace('KIOSK', bottles[1] ?? '');
    const answers = await Promise.all([own, foreign].map((path) => ask('prue', 'GET', named(path))));
    expect(answers.map(({ status }) => status)).toEqual([200, 404]);
    await Promise.all(answers.map((each) => each.arrayBuffer()));
  });

  it('knows her own owner, and no other', async () => {
    const owners = async (person: string) =>
      ((await (await ask(person, 'GET', '/owners')).json()) as { id: string }[]).map(({ id }) => id);
    expect(await owners('prue')).toEqual(['fish-guild']);
    expect((await owners('auditor')).length).toBeGreaterThan(1);
  });

  it('loses them on the day they are sold, and the next owner’s has them', async () => {
    const { store, rows } = story.services;
    const site = await store.site('fish-hall');
    const sold = { ...site, owners: [{ from: '2026-11-23', ownerId: 'town' }] };
    await rows.change([{ table: 'sites', id: 'fish-hall', row: sold }], { by: 'odalys', why: 'sold' });
    expect(await rowsOf('/sites')).toEqual([]);
    expect((await get('/machines/rack-a')).status).toBe(404);
    await rows.change([{ table: 'sites', id: 'fish-hall', row: { ...site } }], {
      by: 'odalys',
      why: 'not sold',
    });
    expect(await rowsOf('/sites')).toHaveLength(1);
  });
});

describe('who writes is who is signed in', () => {
  const entry = (id: string, by: string) => ({
    id,
    kind: 'leakInspection',
    methods: ['electronic'],
    on: '2026-11-22',
    by,
    applianceId: 'rack-a',
  });
  const stored = async (id: string) =>
    (await story.services.store.entriesById([id]))[0] as Record<string, unknown> | undefined;

  it('a technician under the own name alone', async () => {
    const refused = await ask('marit', 'POST', '/entries', entry('w-1', 'ike'));
    expect(refused.status).toBe(422);
    expect(JSON.stringify(await refused.json())).toContain('Marit Solane is signed in');
    expect(await stored('w-1')).toBeUndefined();
    expect((await ask('marit', 'POST', '/entries', entry('w-2', 'marit'))).status).toBe(201);
    expect(await stored('w-2')).not.toHaveProperty('x-writtenBy');
  });

  it('a manager for somebody else, which is sealed with it; sent again it is the same', async () => {
    for (let time = 0; time < 2; time += 1)
      expect((await ask('odalys', 'POST', '/entries', entry('w-3', 'marit'))).status).toBe(201);
    expect(await stored('w-3')).toMatchObject({ by: 'marit', 'x-writtenBy': 'odalys' });
    // What a client says of it counts for nothing.
    await ask('marit', 'POST', '/entries', { ...entry('w-4', 'marit'), 'x-writtenBy': 'odalys' });
    expect(await stored('w-4')).not.toHaveProperty('x-writtenBy');
  });

  it('rows and documents are by who is signed in, whatever name is sent', async () => {
    const row = { id: 'p-new', name: 'Somebody New' };
    await ask('odalys', 'POST', '/rows', {
      changes: [{ table: 'people', id: 'p-new', row }],
      by: 'marit',
      why: null,
    });
    expect((await story.services.store.revisionsOf('people', 'p-new')).map(({ by }) => by)).toEqual([
      'odalys',
    ]);
  });
});
