/** A backup a day of a company that goes on writing: made, restored to be sure, kept, and forgotten. */
import { mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { contentHash } from '../files/keptFile';
import { systemClock } from '../clock';
import { type Services, openServices } from '../services';
import { restoreBackup } from './copy';
import { DailyBackups } from './daily';

const DAY_MS = 86_400_000;
const folder = mkdtempSync(join(tmpdir(), 'abacus-backups-'));
const data = join(folder, 'data');
const into = join(folder, 'backups');
const url = `file:${join(data, 'any-name.db')}`;
let nowMs = Date.parse('2026-11-23T05:00:00Z');
let services: Services;
let daily: DailyBackups;
const picture = Buffer.from('a picture');
const file = `${contentHash(picture)}.jpg`;
const clock = systemClock(undefined, () => nowMs);
const opened = () => new DailyBackups(url, { folder: into, keepDays: 2 }, clock);
const addOwner = (id: string) =>
  services.rows.change([{ table: 'owners', id, row: { id, name: `Owner ${id}` } }], { by: 'p', why: null });
const photoOf = (day: string) => statSync(join(into, day, 'attachments', file));

beforeAll(async () => {
  services = await openServices(url, clock);
  await services.rows.change(
    [
      {
        table: 'people',
        id: 'p',
        row: { id: 'p', name: 'Ike', certificates: [{ number: '1', 'x-photo': file }] },
      },
    ],
    { by: 'p', why: null },
  );
  await services.photos.keep(file, picture);
  daily = opened();
});
afterAll(async () => {
  await services.close();
  rmSync(folder, { recursive: true });
});

describe('a backup a day', () => {
  it('is made once a day, also over a restart, and was restored before it counts', async () => {
    expect(daily.state()).toEqual({ keepDays: 2, kept: [], last: null });
    await Promise.all([daily.turn(), daily.turn()]);
    expect(daily.state()).toMatchObject({ kept: ['2026-11-23'], last: { entries: 0, fault: null } });
    await addOwner('a');
    daily = opened();
    await daily.turn();
    expect(daily.state().kept).toEqual(['2026-11-23']);
    expect(readdirSync(into).sort()).toEqual(['2026-11-23', 'last.json']);
    // It holds what was there when it was made.
    const back = join(folder, 'back');
    expect(await restoreBackup(join(into, '2026-11-23'), back)).toEqual({ entries: 0, revisions: 1 });
    expect(readdirSync(join(back, 'attachments'))).toEqual([file]);
  }, 60_000);

  it('shares pictures with the day before, and is kept for so many days', async () => {
    nowMs += DAY_MS;
    await daily.turn();
    expect(photoOf('2026-11-24').ino).toBe(photoOf('2026-11-23').ino);
    // Of the server's own file it is a copy: what happens to that happens to no backup.
    expect(photoOf('2026-11-24').ino).not.toBe(statSync(join(data, 'attachments', file)).ino);
    nowMs += DAY_MS;
    await daily.turn();
    expect(daily.state().kept).toEqual(['2026-11-24', '2026-11-25']);
  }, 60_000);

  it('that would not restore is none: it says why, keeps the days before, and is tried again after an hour', async () => {
    nowMs += 20 * DAY_MS;
    await services.rows.change(
      [
        {
          table: 'people',
          id: 'q',
          row: { id: 'q', name: 'Vi', certificates: [{ number: '2', 'x-photo': `${'c'.repeat(64)}.jpg` }] },
        },
      ],
      { by: 'p', why: null },
    );
    await expect(daily.turn()).rejects.toThrow(/missing or altered \(c{64}\.jpg\)/);
    expect(daily.state().last?.fault).toContain('missing or altered');
    expect(daily.state().kept).toEqual(['2026-11-24', '2026-11-25']);
    const before = daily.state().last?.at;
    await daily.turn();
    expect(daily.state().last?.at).toBe(before);
    nowMs += 2 * 3_600_000;
    await expect(daily.turn()).rejects.toThrow();
    // The missing picture is found again.
    writeFileSync(join(data, 'attachments', `${'c'.repeat(64)}.jpg`), 'x');
    nowMs += 2 * 3_600_000;
    await expect(daily.turn()).rejects.toThrow(/altered/);
    rmSync(join(data, 'attachments', `${'c'.repeat(64)}.jpg`));
    expect(readdirSync(into).filter((name) => /part|restored/.test(name))).toEqual([]);
  }, 60_000);
});
