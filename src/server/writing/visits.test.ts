/** Visits, photos, instruments and what feeds what, as a client of the API meets them. */
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import * as api from '../../contract/api';
import { type ServedStory, serveStory } from '../../demo/servedStory';

const TODAY = '2026-11-23';
let story: ServedStory;

beforeAll(async () => {
  story = await serveStory(TODAY);
}, 60_000);
afterAll(() => story.close());

const get = (path: string) => story.get(path);
const post = (path: string, body: unknown) => story.post(path, body);
const sendPhoto = async (bytes: Buffer) => {
  const response = await fetch(`${story.base}/photos`, {
    method: 'POST',
    headers: { 'content-type': 'image/jpeg' },
    body: new Uint8Array(bytes),
  });
  return { status: response.status, body: (await response.json()) as Record<string, unknown> };
};
const begun = (id: string, visitId: string, applianceId = 'rack-a') => ({
  id,
  kind: 'readings',
  tool: 'visitBegun',
  on: TODAY,
  by: 'marit',
  visitId,
  applianceId,
});

describe('photos', () => {
  /** 40 × 20, red at the left and blue at the right, with a camera's note to turn it. */
  const half = (background: string) =>
    sharp({ create: { width: 20, height: 20, channels: 3, background } })
      .png()
      .toBuffer();
  const pictured = async (orientation?: number) => {
    const image = sharp({ create: { width: 40, height: 20, channels: 3, background: 'blue' } }).composite([
      { input: await half('red'), left: 0, top: 0 },
    ]);
    return (orientation === undefined ? image : image.withMetadata({ orientation }))
      .jpeg({ quality: 100 })
      .toBuffer();
  };

  it('are turned upright, and lose what the camera wrote into them', async () => {
    const { status, body } = await sendPhoto(await pictured(6));
    expect(status).toBe(201);
    const stored = api.storedPhoto.parse(body);
    expect([stored.width, stored.height]).toEqual([20, 40]);
    const answer = await fetch(`${story.base}/photos/${stored.file}`);
    expect(answer.headers.get('cache-control')).toContain('immutable');
    const kept = sharp(Buffer.from(await answer.arrayBuffer()));
    expect((await kept.metadata()).orientation).toBeUndefined();
    // Turned a quarter to the right, what was left is above.
    const { data, info } = await kept.raw().toBuffer({ resolveWithObject: true });
    const at = (x: number, y: number) => (y * info.width + x) * info.channels;
    expect(data[at(10, 5)]).toBeGreaterThan(200);
    expect(data[at(10, 35) + 2]).toBeGreaterThan(200);
  });

  it('are made smaller, and the same picture is kept once', async () => {
    const large = await sharp({ create: { width: 4000, height: 1000, channels: 3, background: 'green' } })
      .jpeg()
      .toBuffer();
    const first = api.storedPhoto.parse((await sendPhoto(large)).body);
    const count = readdirSync(join(story.folder, 'attachments')).length;
    expect([first.width, first.height]).toEqual([1600, 400]);
    expect((await sendPhoto(large)).body).toEqual(first);
    expect(readdirSync(join(story.folder, 'attachments'))).toHaveLength(count);
  });

  it.each([
    ['a text', Buffer.from('this is no picture'), 'is no picture'],
    ['nothing', Buffer.alloc(0), 'is missing'],
    ['half a picture', null, 'is no picture'],
  ])('%s is refused, and nothing is written', async (_, bytes, words) => {
    const before = existsSync(join(story.folder, 'attachments'))
      ? readdirSync(join(story.folder, 'attachments')).length
      : 0;
    const whole = await pictured();
    const { status, body } = await sendPhoto(bytes ?? whole.subarray(0, whole.length >> 1));
    expect(status).toBe(422);
    expect(JSON.stringify(body['errors'])).toContain(words);
    expect(readdirSync(join(story.folder, 'attachments'))).toHaveLength(before);
  });

  it('a huge file, and more pixels than any camera makes, are refused clearly', async () => {
    const huge = await sendPhoto(Buffer.alloc(26 * 1024 * 1024));
    expect(huge.status).toBe(413);
    expect(huge.body['title']).toContain('too large');
    const pixels = await sharp({ create: { width: 10_000, height: 9000, channels: 3, background: 'white' } })
      .png({ compressionLevel: 9 })
      .toBuffer();
    const many = await sendPhoto(pixels);
    expect([many.status, JSON.stringify(many.body['errors'])]).toEqual([
      422,
      expect.stringContaining('more pixels'),
    ]);
  });

  it('no name leads out of the folder', async () => {
    expect((await fetch(`${story.base}/photos/..%2Fvisits.db`)).status).toBe(404);
    expect((await fetch(`${story.base}/photos/${'0'.repeat(64)}.jpg`)).status).toBe(404);
  });
});

describe('visits', () => {
  const own = async (visitId: string) => api.visitsAnswer.parse(await get(`/visits?visit=${visitId}`)).rows;

  it('are listed by machine as soon as they are begun, the last written first', async () => {
    await post('/entries', [begun('v1-a', 'v1'), begun('v1-b', 'v1', 'rack-b')]);
    const rows = await own('v1');
    expect(rows.map((each) => each.applianceId).sort()).toEqual(['rack-a', 'rack-b']);
    expect(rows[0]).toMatchObject({ siteName: 'Almery Fish Hall', from: TODAY, handedOver: false });
    expect(api.visitsAnswer.parse(await get('/visits')).rows[0]?.visitId).toBe('v1');
  });

  it('are handed over once signed', async () => {
    await post('/entries', begun('v2-a', 'v2'));
    await post('/entries', { ...begun('v2-b', 'v2'), kind: 'handover', tool: 'signed', name: 'Prue' });
    expect((await own('v2'))[0]?.handedOver).toBe(true);
  });

  it('are found for ever: by words of machine and site, by machine, page by page', async () => {
    for (let number = 0; number < 45; number += 1)
      await post('/entries', begun(`page-${String(number)}`, `page-${String(number)}`, 'rack-b'));
    const first = api.visitsAnswer.parse(await get('/visits?text=fish%20rack%20b'));
    expect([first.rows.length, first.rows[0]?.visitId]).toEqual([40, 'page-44']);
    const second = api.visitsAnswer.parse(
      await get(`/visits?text=fish%20rack%20b&after=${first.next ?? ''}`),
    );
    expect(second.rows.map((each) => each.visitId)).toEqual(expect.arrayContaining(['page-0', 'page-4']));
    expect(second.next).toBeNull();
    const ofMachine = api.visitsAnswer.parse(await get('/visits?machine=rack-a')).rows;
    expect(new Set(ofMachine.map((each) => each.applianceId))).toEqual(new Set(['rack-a']));
    expect(api.visitsAnswer.parse(await get('/visits?text=nowhere')).rows).toEqual([]);
  });

  it('vanish from the list when all of them is voided', async () => {
    await post('/entries', begun('v3-a', 'v3'));
    await post('/entries', {
      id: 'v3-void',
      kind: 'void',
      on: TODAY,
      by: 'marit',
      applianceId: 'rack-a',
      supersedes: 'v3-a',
      correctionReason: 'wrong machine',
    });
    expect(await own('v3')).toEqual([]);
  });

  it('take no note that breaks its promise, and write nothing then', async () => {
    const { status, body } = await post('/entries', [
      begun('v4-a', 'v4'),
      { ...begun('v4-b', 'v4'), tool: 'decision', choice: 'runOn' },
    ]);
    expect(status).toBe(422);
    expect(JSON.stringify(body['errors'])).toContain('$[1].why');
    expect(await own('v4')).toEqual([]);
  });
});

it('says how often each type of part leaked on machines of a kind, corrected ones left out', async () => {
  const before = api.leaksOfKindAnswer.parse(await get('/leaks-of-kind/rack'));
  const leak = {
    id: 'flare',
    kind: 'leakFound',
    on: TODAY,
    by: 'marit',
    applianceId: 'rack-a',
    leakId: 'k90',
    component: 'flare nut',
  };
  await post('/entries', leak);
  const after = api.leaksOfKindAnswer.parse(await get('/leaks-of-kind/rack'));
  expect((after.flareNut ?? 0) - (before.flareNut ?? 0)).toBe(1);
  await post('/entries', {
    ...leak,
    id: 'not-flare',
    component: 'drier',
    supersedes: 'flare',
    correctionReason: 'other part',
  });
  expect(api.leaksOfKindAnswer.parse(await get('/leaks-of-kind/rack')).flareNut).toBe(before.flareNut);
});

it('says what went into and out of the bottles of a refrigerant', async () => {
  // The story: 210 lb recovered into bottle 8 and put back from it; 9.5 + 64 lb taken from bottle 5.
  const flows = api.cylinderFlowsAnswer.parse(await get('/bottles/R-507A'));
  expect(flows.find((each) => each.cylinderId === 'bottle-8')).toMatchObject({
    putIn: 95_254.3977,
    takenOut: 95_254.3977,
  });
  expect(flows.find((each) => each.cylinderId === 'bottle-5')?.takenOut).toBeCloseTo(73.5 * 453.59237, 3);
  expect(await get('/bottles/R-999')).toEqual([]);
});
