/** Who may come in, and what goes out: own names only, writers who exist, files and figures that stay whole. */
import { rmSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { join } from 'node:path';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readLogbook } from '../../core/logbook/logbook';
import { dayOf } from '../../core/quantity/day';
import { valueOn } from '../../core/rules/figure';
import { type ServedStory, serveStory } from '../../demo/servedStory';
import { holdFiles } from '../files/attachments';
import { entry, machine, openCompany, site } from '../company.testkit';
import { exported } from '../exported.testkit';
import { loadLogbook, verifyChain } from './logbooks';

let story: ServedStory;
beforeAll(async () => {
  story = await serveStory('2026-11-23');
}, 60_000);
afterAll(() => story.close());

/** Browsers do not let a page say whom it asks: a request of our own does. */
function statusOf(path: string, headers: Record<string, string>, method = 'GET'): Promise<number> {
  const { hostname, port, pathname } = new URL(story.base + path);
  return new Promise((resolve, reject) => {
    const asked = request({ hostname, port, path: pathname, method, headers }, (answer) => {
      answer.resume();
      resolve(answer.statusCode ?? 0);
    });
    asked.on('error', reject);
    asked.end();
  });
}

describe('the server', () => {
  it('answers under its own names, and to its own pages, alone', async () => {
    const own = new URL(story.base).host;
    expect(await statusOf('/people', { host: own })).toBe(200);
    expect(await statusOf('/people', { host: 'localhost:4400' })).toBe(200);
    expect(await statusOf('/people', { host: 'rebound.example' })).toBe(403);
    expect(await statusOf('/people', { host: own, origin: `http://${own}` })).toBe(200);
    expect(await statusOf('/people', { host: own, origin: 'http://elsewhere.example' })).toBe(403);
    expect(await statusOf('/entries', { host: own, origin: 'null' }, 'POST')).toBe(403);
  });

  it('takes nothing from a writer who is nobody, and says which entry it is', async () => {
    const note = (id: string, by: string) => ({
      id,
      by,
      kind: 'leakInspection',
      on: '2026-11-20',
      applianceId: 'flower-1',
      methods: ['visual'],
    });
    const { status, body } = await story.post('/entries', [note('w1', 'marit'), note('w2', 'nobody')]);
    const [error] = (body as { errors: { path: string; message: string }[] }).errors;
    expect([status, error?.path, error?.message]).toEqual([
      422,
      '$[1].by',
      expect.stringContaining('names nobody') as string,
    ]);
    expect(await story.services.store.entriesById(['w1', 'w2'])).toEqual([]);
  });
});

describe('photos', () => {
  it('are named by an entry only once they are kept; one that is lost or altered later is told', async () => {
    const seen = {
      id: 'seen',
      by: 'marit',
      kind: 'leakFound',
      on: '2026-11-20',
      applianceId: 'flower-1',
      leakId: 'l-seen',
      component: 'valve',
    };
    const lost = `${'a'.repeat(64)}.jpg`;
    const { status, body } = await story.post('/entries', { ...seen, attachments: [lost] });
    expect([status, (body as { errors: { path: string }[] }).errors[0]?.path]).toEqual([
      422,
      '$.attachments[0]',
    ]);

    const company = await openCompany();
    try {
      const folder = join(company.folder, 'attachments');
      const held = () => holdFiles(company.services.database.db, folder);
      const jpeg = await sharp({ create: { width: 8, height: 8, channels: 3, background: '#444' } })
        .jpeg()
        .toBuffer();
      const { file } = await company.services.photos.store(jpeg);
      await company.addSite(site('s'));
      await company.addMachine(machine('m', 's'), 100);
      await company.services.appending.append([
        entry('seen', 'm', { kind: 'leakFound', leakId: 'l-seen', component: 'valve', attachments: [file] }),
      ]);
      expect(await held()).toEqual({ alteredFiles: [], missingFiles: [] });
      writeFileSync(join(folder, file), 'something else');
      expect(await held()).toEqual({ alteredFiles: [file], missingFiles: [] });
      rmSync(join(folder, file));
      expect(await held()).toEqual({ alteredFiles: [], missingFiles: [file] });
    } finally {
      await company.close();
    }
  });
});

describe('the company’s own figures', () => {
  it('come back with the logbook: machines are judged by them, and the chain holds', async () => {
    const own = {
      pack: 'us-hfc',
      figure: ['threshold', 'commercialRefrigeration'],
      from: '2026-11-01',
      value: 4,
      reason: 'stricter',
      by: 'odalys',
    };
    expect((await story.post('/rules/amendments', own)).status).toBe(201);
    const document = await exported(story.services);
    const read = readLogbook(document);
    if (!read.ok) throw new Error('the export does not read back');
    const company = await openCompany();
    try {
      await loadLogbook(company.services, read.value);
      expect(await verifyChain(company.services.database)).toMatchObject({ intact: true });
      const packs = await company.services.keeper.currentPacks();
      const { commercialRefrigeration } = packs['us-hfc'].threshold;
      const on = (day: string) => commercialRefrigeration && valueOn(commercialRefrigeration, dayOf(day));
      expect([on('2026-10-31'), on('2026-11-20')]).toEqual([20, 4]);
      expect((await company.services.store.amendments()).map(({ by, value }) => [by, value])).toEqual([
        ['odalys', 4],
      ]);
    } finally {
      await company.close();
    }
  });
});

describe('a part for an owner', () => {
  it('holds no other owner, and nobody who wrote nothing there', async () => {
    const whole = await exported(story.services);
    const owner = whole.sites.find(({ ownerId }) => ownerId != null)?.ownerId ?? '';
    const part = await exported(story.services, { owner });
    expect(part.owners?.map(({ id }) => id)).toEqual([owner]);
    const wrote = new Set(part.entries.map(({ by }) => by));
    expect(part.people.every(({ id }) => wrote.has(id))).toBe(true);
    expect(part.people.length).toBeLessThan(whole.people.length);
  });
});
