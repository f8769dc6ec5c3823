/** The API is what its description says: every operation is called, and its answer held against the document. */
import Ajv from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ENDPOINTS, type EndpointName } from '../../../contract/endpoints';
import { type ServedStory, serveStory } from '../../../demo/servedStory';

interface Operation {
  operationId: string;
  parameters: { name: string; in: string; required: boolean }[];
  requestBody?: { content: Record<string, { schema: object }> };
  responses: Record<string, { content: Record<string, { schema: object }> }>;
}

interface Call {
  path?: Record<string, string>;
  query?: Record<string, string>;
  body?: unknown;
}

let story: ServedStory;
let operations: Map<string, { method: string; path: string; operation: Operation }>;
let problem: object;

beforeAll(async () => {
  story = await serveStory('2026-11-23');
  const description = (await story.get('/docs/openapi.json')) as {
    openapi: string;
    paths: Record<string, Record<string, Operation>>;
    components: { schemas: { Problem: object } };
  };
  expect(description.openapi).toBe('3.1.0');
  problem = description.components.schemas.Problem;
  operations = new Map(
    Object.entries(description.paths).flatMap(([path, methods]) =>
      Object.entries(methods).map(
        ([method, operation]) => [operation.operationId, { method, path, operation }] as const,
      ),
    ),
  );
  const send = async (path: string, body: BodyInit, type: string) =>
    (await (
      await fetch(`${story.base}${path}`, { method: 'POST', headers: { 'content-type': type }, body })
    ).json()) as Record<string, string>;
  for (const [id, machine] of [
    ['import-1', 'Rack B'],
    ['import-2', 'Rack A'],
  ]) {
    const { file } = await send(
      '/imports/files?name=log.csv',
      `Date,Machine,Added\n2026-11-20,${machine ?? ''},1 lb\n`,
      'text/csv',
    );
    await story.post('/imports', { id, file, name: 'log.csv', mapping: {} });
    while (((await story.get(`/imports/${id ?? ''}`)) as { state: string }).state === 'reading')
      await new Promise((resolve) => setTimeout(resolve, 50));
  }
  await story.post('/imports/import-2/write', { by: 'marit' });
  await story.post('/papers', {
    id: 'paper-1',
    request: { document: 'fullCharge', machine: 'rack-a' },
    by: 'marit',
    to: 'a file',
  });
  await story.post('/feeds', { id: 'feed-1', scope: 'company', by: 'marit' });
}, 90_000);
afterAll(() => story.close());

const invited = (personId: string) => story.accounts.joining.invite({ personId, role: 'technician' });
const accountOf = async (personId: string): Promise<string> =>
  (await story.accounts.list()).accounts.find((each) => each.personId === personId)?.id ?? '';

/** As it stands in the mail of somebody. */
async function unsubscribeToken(): Promise<string> {
  await story.accounts.notices.tryNow('ike');
  const { rows } = await story.accounts.notices.outbox.page(null, 1);
  return /unsubscribe\?token=(\S+)/.exec(rows[0]?.text ?? '')?.[1] ?? '';
}

const CALLS: Record<EndpointName, () => Call | Promise<Call>> = {
  session: () => ({}),
  accounts: () => ({}),
  invitation: async () => ({ query: { token: (await invited('ike')).token } }),
  invite: () => ({ body: { personId: 'tobiah', role: 'technician' } }),
  withdrawInvitation: async () => ({ path: { id: (await invited('tobiah')).id }, body: {} }),
  beginAccount: async () => ({
    body: {
      token: (await invited('ike')).token,
      email: 'ike@brindle-hook.example',
      password: 'a long enough one',
    },
  }),
  changeRole: async () => ({ path: { id: await accountOf('ike') }, body: { role: 'auditor' } }),
  endSessions: async () => ({ path: { id: await accountOf('ike') }, body: {} }),
  closeAccount: async () => ({ path: { id: await accountOf('auditor') }, body: {} }),
  forgotPassword: () => ({ body: { email: 'nobody@brindle-hook.example' } }),
  notices: () => ({}),
  setNotices: () => ({
    body: { digest: 'weekly', hour: 6, quietFrom: 21, quietTo: 5, timezone: 'America/Chicago' },
  }),
  tryNotice: () => ({ body: {} }),
  unsubscribe: async () => ({ body: { token: await unsubscribeToken() } }),
  outbox: () => ({}),
  backups: () => ({}),
  programs: () => ({}),
  makeToken: () => ({ body: { name: 'Monitor', scope: 'alarms', siteId: 'fish-hall', days: 30 } }),
  withdrawToken: async () => ({
    path: { id: (await story.accounts.tokens.make({ name: 'Old', scope: 'gas', days: 1 }, 'odalys')).id },
    body: {},
  }),
  makeWebhook: () => ({ body: { name: 'Shop', url: 'http://127.0.0.1:9/due' } }),
  withdrawWebhook: async () => ({
    path: {
      id: (await story.accounts.webhooks.make({ name: 'Old', url: 'http://127.0.0.1:9/' }, 'odalys')).id,
    },
    body: {},
  }),
  health: () => ({}),
  clock: () => ({}),
  company: () => ({}),
  people: () => ({}),
  owners: () => ({}),
  instruments: () => ({}),
  rules: () => ({}),
  sites: () => ({}),
  site: () => ({ path: { id: 'fish-hall' } }),
  spaces: () => ({ query: { site: 'fish-hall' } }),
  cylinders: () => ({}),
  machines: () => ({}),
  machine: () => ({ path: { id: 'rack-a' } }),
  machineEntries: () => ({ path: { id: 'rack-a' } }),
  due: () => ({}),
  dueCounts: () => ({}),
  trips: () => ({}),
  leaking: () => ({}),
  leaksOfKind: () => ({ path: { kind: 'rack' } }),
  bottles: () => ({ path: { refrigerant: 'R-448A' } }),
  visits: () => ({}),
  changes: () => ({}),
  row: () => ({ path: { table: 'appliances', id: 'rack-a' } }),
  verify: () => ({}),
  papers: () => ({}),
  paperPreview: () => ({ query: { document: 'fullCharge', machine: 'rack-a' } }),
  paperFile: () => ({ path: { id: 'paper-1' } }),
  logbook: () => ({}),
  logbookZip: () => ({ query: { site: 'fish-hall' } }),
  workbook: () => ({ query: { site: 'fish-hall' } }),
  tableFile: () => ({ path: { table: 'gas' } }),
  photo: () => ({ path: { file: 'none.jpg' } }),
  append: () => ({
    body: [{ id: 'd-1', kind: 'normalOperation', on: '2026-11-20', by: 'marit', applianceId: 'rack-a' }],
  }),
  addMachine: () => ({
    body: {
      appliance: {
        id: 'd-2',
        siteId: 'fish-hall',
        name: 'Described',
        kind: 'rack',
        category: 'commercialRefrigeration',
        refrigerant: 'R-448A',
      },
      spaces: [],
      entries: [],
      by: 'marit',
    },
  }),
  changeRows: () => ({
    body: {
      changes: [{ table: 'people', id: 'd-3', row: { id: 'd-3', name: 'Described' } }],
      by: 'marit',
      why: null,
    },
  }),
  amend: () => ({
    body: {
      pack: 'house',
      figure: ['threshold', 'commercialRefrigeration'],
      from: '2026-12-01',
      value: 12,
      reason: 'tried',
      by: 'marit',
    },
  }),
  storePhoto: () => ({ body: Buffer.from('no picture') }),
  feeds: () => ({}),
  makeFeed: () => ({ body: { id: 'feed-2', scope: 'site', of: 'fish-hall', by: 'marit' } }),
  withdrawFeed: () => ({ path: { id: 'feed-2' }, body: {} }),
  calendar: async () => ({
    path: { file: `${((await story.get('/feeds')) as { token: string }[])[0]?.token ?? ''}.ics` },
  }),
  labels: () => ({ query: { kind: 'machine', machine: 'rack-a', base: 'http://127.0.0.1' } }),
  imports: () => ({}),
  importState: () => ({ path: { id: 'import-1' } }),
  sendImportFile: () => ({ query: { name: 'x.csv' }, body: Buffer.from('a,b\n') }),
  beginImport: () => ({ body: { id: 'import-9', file: '0'.repeat(64), name: 'x' } }),
  stopImport: () => ({ path: { id: 'import-1' }, body: {} }),
  writeImport: () => ({ path: { id: 'import-1' }, body: { by: 'marit' } }),
  undoPreview: () => ({ path: { id: 'import-1' } }),
  undoImport: () => ({ path: { id: 'import-2' }, body: { by: 'marit' } }),
  issuePaper: () => ({
    body: { id: 'paper-2', request: { document: 'machineRecord', machine: 'rack-a' }, by: 'marit', to: 'x' },
  }),
};

const ajv = new Ajv({ strict: false, allErrors: true });
addFormats(ajv);
const held = (schema: object, value: unknown): unknown => {
  const check = ajv.compile(schema);
  check(value);
  return check.errors?.slice(0, 3) ?? [];
};

describe('every operation answers what its description says', () => {
  it('and every endpoint is described', () => {
    expect([...operations.keys()].sort()).toEqual(Object.keys(ENDPOINTS).sort());
  });

  it.each(Object.keys(CALLS) as EndpointName[])('%s', async (name) => {
    const found = operations.get(name);
    if (!found) throw new Error(name);
    const { path = {}, query = {}, body } = await CALLS[name]();
    const { operation } = found;
    // Every part of the path is described, and what is asked is what may be asked.
    const described = operation.parameters.map((each) => each.name);
    for (const key of [...Object.keys(path), ...Object.keys(query)]) expect(described).toContain(key);
    const sent = operation.requestBody?.content['application/json'];
    if (sent && !Buffer.isBuffer(body)) expect(held(sent.schema, body)).toEqual([]);
    const address = found.path.replace(/\{(\w+)\}/g, (_, key: string) => encodeURIComponent(path[key] ?? ''));
    const response = await fetch(`${story.base}${address}?${new URLSearchParams(query).toString()}`, {
      method: found.method.toUpperCase(),
      ...(body === undefined || found.method === 'get'
        ? {}
        : Buffer.isBuffer(body)
          ? { body: new Uint8Array(body), headers: { 'content-type': 'application/octet-stream' } }
          : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
    });
    const told = operation.responses[String(response.status)];
    if (!told) {
      // Whatever else comes is a problem document.
      expect(['photo', 'storePhoto', 'beginImport']).toContain(name);
      expect(response.headers.get('content-type')).toContain('application/problem+json');
      expect(held(problem, await response.json())).toEqual([]);
      return;
    }
    const schema = told.content['application/json']?.schema;
    if (schema) expect(held(schema, await response.json())).toEqual([]);
    else expect((await response.arrayBuffer()).byteLength).toBeGreaterThan(100);
  });

  it('can be browsed from files of this machine alone, under the content policy', async () => {
    const page = await fetch(`${story.base}/docs/`);
    const html = await page.text();
    expect(html).not.toMatch(/https?:\/\//);
    expect(page.headers.get('content-security-policy')).toContain("script-src 'self'");
    for (const [, address] of html.matchAll(/(?:src|href)="\/api([^"]+)"/g))
      expect((await fetch(`${story.base}${address ?? ''}`)).status).toBe(200);
  });
});
