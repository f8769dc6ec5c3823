/** Calendars as another program reads them: ids that stay, numbers that grow, cancellations, whole days. */
import ICAL from 'ical.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Entry } from '../../core/logbook/entry';
import { type ServedStory, serveStory } from '../../demo/servedStory';
import { type Deadline, toldNow } from './events';

const deadline = (uid: string, due: string, summary = 'Repair: Rack A'): Deadline => ({
  uid,
  due,
  summary,
  description: 'why',
  location: 'hall',
});

describe('what a calendar tells', () => {
  const first = toldNow([deadline('a', '2026-12-01'), deadline('b', '2026-12-05')], [], 't1').events;

  it('begins at 0, and stays as it was while nothing changes', () => {
    expect(first.map(({ uid, sequence }) => [uid, sequence])).toEqual([
      ['a', 0],
      ['b', 0],
    ]);
    const again = toldNow([deadline('a', '2026-12-01'), deadline('b', '2026-12-05')], first, 't2');
    expect([again.changed, again.events]).toEqual([[], first]);
  });

  it('a day that moves is the same event with the next number', () => {
    const { changed } = toldNow([deadline('a', '2026-12-20'), deadline('b', '2026-12-05')], first, 't2');
    expect(changed).toMatchObject([
      { uid: 'a', due: '2026-12-20', sequence: 1, cancelled: false, changedAt: 't2' },
    ]);
  });

  it('what is done is cancelled once, and comes back under its id when it comes back', () => {
    const gone = toldNow([deadline('b', '2026-12-05')], first, 't2');
    expect(gone.changed).toMatchObject([{ uid: 'a', sequence: 1, cancelled: true }]);
    expect(toldNow([deadline('b', '2026-12-05')], gone.events, 't3').changed).toEqual([]);
    const back = toldNow([deadline('a', '2026-12-01'), deadline('b', '2026-12-05')], gone.events, 't4');
    expect(back.changed).toMatchObject([{ uid: 'a', sequence: 2, cancelled: false }]);
  });
});

describe('a calendar behind its address', () => {
  let story: ServedStory;
  beforeAll(async () => {
    story = await serveStory('2026-11-23');
  }, 60_000);
  afterAll(() => story.close());

  const eventsOf = async (token: string) => {
    const text = (await story.services.calendars.textOf(token)) ?? '';
    const calendar = new ICAL.Component(ICAL.parse(text) as never);
    return calendar.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
  };

  it('holds each duty of a site as a whole day', async () => {
    const { calendars, board } = story.services;
    const feed = await calendars.make({ id: 'f1', scope: 'site', of: 'fish-hall', by: 'marit' });
    expect(feed.token.length).toBeGreaterThan(30);
    const events = await eventsOf(feed.token);
    const { rows } = await board.due({ site: 'fish-hall', limit: 100 } as never);
    expect(events.map(({ startDate }) => startDate.toString()).sort()).toEqual(
      rows.map(({ due }) => due).sort(),
    );
    expect(
      events.every(
        ({ startDate, endDate }) =>
          startDate.isDate && endDate.subtractDate(startDate).toSeconds() === 86_400,
      ),
    ).toBe(true);
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
    expect(events.every(({ sequence }) => sequence === 0)).toBe(true);
  });

  it('gives the address of the site as the place, where one is recorded', async () => {
    const { calendars, rows, store } = story.services;
    const feed = await calendars.make({ id: 'f0', scope: 'site', of: 'fish-hall', by: 'marit' });
    const placesOf = async () => [...new Set((await eventsOf(feed.token)).map(({ location }) => location))];
    const site = await store.site('fish-hall');
    if (!site) throw new Error('no hall');
    const put = (address: string | null) =>
      rows.change([{ table: 'sites', id: site.id, row: { ...site, address } }], {
        by: 'marit',
        why: 'asked',
      });
    await put('1 Auction Lane\nAlmery');
    expect(await placesOf()).toEqual([`${site.name}, 1 Auction Lane, Almery`]);
    await put(null);
    expect(await placesOf()).toEqual([site.name]);
    await put(site.address ?? null);
  });

  it('cancels a duty that was done, in the next look', async () => {
    const { calendars, appending, board } = story.services;
    const feed = await calendars.make({ id: 'f2', scope: 'company', by: 'marit' });
    const before = await eventsOf(feed.token);
    const { rows } = await board.due({ limit: 100 } as never);
    const test = rows.find(
      ({ kind, machineId }) => kind === 'followUpTest' && machineId === 'kitchen-freezer',
    );
    expect(test).toBeDefined();
    await appending.append([
      {
        id: 'done-1',
        kind: 'verificationTest',
        on: '2026-11-23',
        by: 'marit',
        applianceId: 'kitchen-freezer',
        stage: 'followUp',
        result: 'pass',
      } as never,
    ]);
    const after = await eventsOf(feed.token);
    const cancelled = after.filter((each) => each.component.getFirstPropertyValue('status') === 'CANCELLED');
    expect(cancelled.map(({ summary }) => summary)).toContain(
      `Second test after repair: ${test?.machineName ?? ''}`,
    );
    expect(cancelled.every(({ sequence }) => sequence === 1)).toBe(true);
    for (const each of before) expect(after.some(({ uid }) => uid === each.uid)).toBe(true);
  });

  it('of a person holds the duties of the machines that they serve, and of no others', async () => {
    const { calendars, appending, board, store } = story.services;
    const feed = await calendars.make({ id: 'f6', scope: 'person', of: 'ike', by: 'marit' });
    const machinesOf = async () =>
      (await eventsOf(feed.token))
        .filter(({ component }) => component.getFirstPropertyValue('status') === 'CONFIRMED')
        .filter(({ summary }) => !summary.startsWith('Certificate'))
        .map(({ summary }) => summary.split(': ')[1]);
    const wrote = async () => {
      const found = new Set<string>();
      for await (const text of store.documents('entries')) {
        const { by, applianceId, on, kind } = JSON.parse(text) as Entry;
        if (by === 'ike' && applianceId && on >= '2024-11-24' && kind !== 'void') found.add(applianceId);
      }
      return found;
    };
    const due = async () => (await board.due({ limit: 100 } as never)).rows;
    const expected = async () => {
      const own = await wrote();
      return (await due())
        .filter(({ machineId }) => own.has(machineId))
        .map(({ machineName }) => machineName);
    };
    const before = await machinesOf();
    expect(before.length).toBeGreaterThan(1);
    expect(before.sort()).toEqual((await expected()).sort());
    // A machine that he never touched, until he looks round it once.
    const own = await wrote();
    const other = (await due()).find(({ machineId }) => !own.has(machineId));
    expect(other).toBeDefined();
    expect(before).not.toContain(other?.machineName);
    await appending.append([
      {
        id: 'ike-1',
        kind: 'leakInspection',
        on: '2026-11-23',
        by: 'ike',
        applianceId: other?.machineId,
        methods: ['electronic'],
      } as never,
    ]);
    expect(await machinesOf()).toContain(other?.machineName);
  });

  it('of a person holds their certificates', async () => {
    const feed = await story.services.calendars.make({
      id: 'f3',
      scope: 'person',
      of: 'tobiah',
      by: 'marit',
    });
    expect((await eventsOf(feed.token)).map(({ summary }) => summary)).toContain(
      'Certificate ends: Tobiah Renn',
    );
  });

  it('answers nothing once it is withdrawn, nor to a guess', async () => {
    const { calendars } = story.services;
    const feed = await calendars.make({ id: 'f4', scope: 'company', by: 'marit' });
    expect((await calendars.withdraw('f4')).withdrawnAt).not.toBeNull();
    expect(await calendars.textOf(feed.token)).toBeNull();
    expect(await calendars.textOf('guess')).toBeNull();
    await expect(calendars.make({ id: 'f5', scope: 'site', of: 'nowhere', by: 'marit' })).rejects.toThrow();
  });
});
