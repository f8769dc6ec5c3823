/** What the HTTP layer refuses keeps its status; what is sent in lots is taken whole or not at all. */
import { readdirSync } from 'node:fs';
import { request } from 'node:http';
import { join } from 'node:path';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type ProblemDocument } from '../../contract/api';
import { MOST_ENTRIES } from '../../contract/paging';
import { type ServedStory, serveStory } from '../../demo/servedStory';
import { readLogbook } from '../../core/logbook/logbook';
import { TODAY, added, entry } from '../company.testkit';

let story: ServedStory;
beforeAll(async () => {
  story = await serveStory(TODAY);
  await story.services.rows.change([{ table: 'people', id: 'p', row: { id: 'p', name: 'Tester' } }], {
    by: 'p',
    why: null,
  });
}, 60_000);
afterAll(() => story.close());

/** As bytes on the wire: a client library would mend some of these. */
const raw = (method: string, path: string, headers: Record<string, string> = {}, body = '') =>
  new Promise<{ status: number; type: string; problem: ProblemDocument }>((resolve, reject) => {
    const url = new URL(story.base);
    const asked = request(
      { host: url.hostname, port: url.port, method, path: `/api${path}`, headers },
      (answer) => {
        let text = '';
        answer.on('data', (part: Buffer) => (text += part.toString()));
        answer.on('end', () =>
          resolve({
            status: answer.statusCode ?? 0,
            type: answer.headers['content-type'] ?? '',
            problem: JSON.parse(text) as ProblemDocument,
          }),
        );
      },
    );
    asked.on('error', reject);
    asked.end(body);
  });

describe('refusals of the HTTP layer', () => {
  const json = { 'content-type': 'application/json' };
  it.each<[string, string, string, Record<string, string>, string, number]>([
    [
      'an encoding that nobody knows',
      'POST',
      '/entries',
      { ...json, 'content-encoding': 'squeezed' },
      '{}',
      415,
    ],
    ['an encoding that it is not in', 'POST', '/entries', { ...json, 'content-encoding': 'gzip' }, '{}', 400],
    [
      'a charset that nobody knows',
      'POST',
      '/entries',
      { 'content-type': 'application/json; charset=klingon' },
      '{}',
      415,
    ],
    ['a malformed address', 'GET', '/machines/%E0%A4%A', {}, '', 400],
    ['a body that is no JSON', 'POST', '/entries', json, '{"id":', 422],
    ['a body that is too large', 'POST', '/entries', json, `"${'x'.repeat(5_000_000)}"`, 413],
    ['a method that is none', 'PUT', '/entries', json, '{}', 404],
  ])('%s keeps its status as a problem document', async (_, method, path, headers, body, status) => {
    const answer = await raw(method, path, headers, body);
    expect([answer.status, answer.type, answer.problem.status]).toEqual([
      status,
      'application/problem+json; charset=utf-8',
      status,
    ]);
    expect(answer.problem.title).toMatch(/^[A-Z].{15,}/);
    expect(answer.problem.title).not.toMatch(/\/|Error|ENO/);
    expect(JSON.stringify(answer.problem).includes('is no JSON')).toBe(status === 422);
  });

  it.each([
    'nonsense',
    Buffer.from('[1]').toString('base64url'),
    Buffer.from('{"a":1}').toString('base64url'),
  ])('a place that no list has (%s) is named', async (after) => {
    for (const list of ['machines', 'due', 'visits', 'sites'])
      expect((await raw('GET', `/${list}?after=${after}`)).problem.errors).toEqual([
        { path: '$.after', message: 'is no place of this list; ask for its first page' },
      ]);
  });

  it('a page that is too long, and a question that is none, are named with the remedy', async () => {
    const { status, problem } = await raw('GET', '/machines?limit=100000&sort=colour');
    expect(status).toBe(422);
    expect(problem.errors?.map((error) => error.path).sort()).toEqual(['$.limit', '$.sort']);
  });
});

describe('entries sent in a lot', () => {
  const post = async (body: unknown) => {
    const answer = await story.post('/entries', body);
    return { status: answer.status, problem: answer.body as unknown as ProblemDocument };
  };

  it('are limited in number, and the answer says what to do', async () => {
    const many = Array.from({ length: MOST_ENTRIES + 1 }, (_, index) =>
      entry(`lot${String(index)}`, 'rack-a', { kind: 'readings' }),
    );
    const { status, problem } = await post(many);
    expect(status).toBe(422);
    expect(problem.errors?.[0]?.message).toContain('further requests');
    expect((await post(many.slice(1))).status).toBe(201);
  });

  it('are held against what stands beside them: of two that correct the same entry the second is refused', async () => {
    expect((await post(added('first', 'flower-2', 0.1))).status).toBe(201);
    const again = (id: string) =>
      added(id, 'flower-2', 0.2, { supersedes: 'first', correctionReason: 'misread' });
    const { status, problem } = await post([again('one'), again('two')]);
    expect([status, problem.errors?.[0]?.path]).toEqual([422, '$[1].supersedes']);
    // Whole or not at all: the first of them was not taken either.
    expect((await post(again('three'))).status).toBe(201);
  });

  it('a machine is commissioned once, also within one lot', async () => {
    const commissioned = (id: string) =>
      added(id, 'flower-2', 0.1, { reason: 'commission', 'x-accepted': {} });
    const { status, problem } = await post([commissioned('c1'), commissioned('c2')]);
    expect([status, problem.warnings]).toEqual([422, ['commissionAgain']]);
  });

  it('two people who add the same machine at once get one machine, and one clear answer', async () => {
    const twin = (id: string) => ({
      appliance: {
        id,
        siteId: 'flowers',
        name: 'Orchid case',
        kind: 'reachIn',
        category: 'commercialRefrigeration',
        refrigerant: 'R-134a',
      },
    });
    const answers = await Promise.all(['t1', 't2', 't3'].map((id) => story.post('/machines', twin(id))));
    expect(answers.map((each) => each.status).sort()).toEqual([201, 422, 422]);
    const again = await story.post(
      '/machines',
      twin(['t1', 't2', 't3'][answers.findIndex((each) => each.status === 201)] ?? ''),
    );
    expect(again.status).toBe(201);
  });
});

it('a photo that is sent twice at once is kept once, and whole', async () => {
  const picture = await sharp({ create: { width: 900, height: 700, channels: 3, background: 'teal' } })
    .jpeg()
    .toBuffer();
  const send = async () => {
    const answer = await fetch(`${story.base}/photos`, {
      method: 'POST',
      headers: { 'content-type': 'image/jpeg' },
      body: new Uint8Array(picture),
    });
    return [answer.status, ((await answer.json()) as { file: string }).file];
  };
  const sent = await Promise.all(Array.from({ length: 6 }, send));
  expect(new Set(sent.map(String)).size).toBe(1);
  expect(sent[0]?.[0]).toBe(201);
  expect(readdirSync(join(story.folder, 'attachments'))).toEqual([sent[0]?.[1]]);
});

it('the export is of one moment, whatever is written while it is read', async () => {
  const writer = (async () => {
    for (let index = 0; index < 80; index += 1)
      await story.post('/entries', entry(`during${String(index)}`, 'rack-a', { kind: 'readings' }));
  })();
  const books = [readLogbook(await story.get('/logbook')), readLogbook(await story.get('/logbook'))];
  await writer;
  for (const book of books) {
    if (!book.ok) throw new Error('The export cannot be read.');
    // One chain over entries and revisions without a gap: each link is tied to one that is there.
    const links = [...book.value.entries, ...(book.value.revisions ?? [])];
    const hashes = new Set(links.map((link) => link.seal?.hash));
    const loose = links.filter((link) => !hashes.has(link.seal?.previous ?? undefined));
    expect(loose).toHaveLength(1);
  }
});
