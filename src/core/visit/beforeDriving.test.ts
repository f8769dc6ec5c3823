/** What the history says before driving, from logbooks written by hand. */
import { describe, expect, test } from 'vitest';
import { dayOf } from '../quantity/day';
import { exactGrams } from '../quantity/mass';
import { type Fact, added, found, gas, lb, note, recovered, standing, topOff } from '../testkit/facts';
import { beforeDriving } from './beforeDriving';
import { fittedParts, replacedAgain, temporaryParts } from './partsFitted';

const POUND = 0.45359237;
const TODAY = '2026-11-23';
const digest = (facts: readonly Fact[]) => beforeDriving(standing(facts, TODAY));
const leakAt = (on: string, leakId: string, component: string, location: string) =>
  note('leakFound', on, { leakId, component, location });

test('a machine that nobody wrote about says nothing, and guesses nothing', () => {
  expect(digest([])).toEqual({
    leakPlaces: [],
    lastGas: null,
    missing: null,
    handover: null,
    control: null,
    temporary: [],
    again: [],
    roof: false,
  });
});

test('where it leaked before: the most frequent place first, however it was written', () => {
  const { leakPlaces, roof } = digest([
    leakAt('2025-01-10', 'k1', 'Flare nut', 'roof'),
    leakAt('2025-06-01', 'k2', 'U-bend', 'coil'),
    leakAt('2026-02-03', 'k3', 'flare nut', 'Roof'),
    found('2026-03-01', 'k4'),
  ]);
  expect(leakPlaces.map((each) => [each.place, each.times])).toEqual([
    ['flare nut, Roof', 2],
    ['U-bend, coil', 1],
  ]);
  expect(leakPlaces[0]?.lastOn).toBe(dayOf('2026-02-03'));
  expect(roof).toBe(true);
});

test('last gas, and what is likely missing by now', () => {
  // 10 lb in 200 days, then 232 days: 11.6 lb; never more than the full charge.
  const slow = digest([gas('2025-09-17'), topOff('2026-04-05', 10)]);
  expect(slow.lastGas).toMatchObject({
    on: dayOf('2026-04-05'),
    added: { times: 1 },
    recovered: { times: 0 },
  });
  expect((slow.missing ?? 0) / POUND).toBeCloseTo(11.6, 6);
  const fast = digest([gas('2026-03-01'), topOff('2026-03-11', 60)]);
  expect((fast.missing ?? 0) / POUND).toBeCloseTo(100, 6);
  // Not weighed is said, not guessed.
  expect(digest([added('2026-04-05', 'topOff', null)]).lastGas?.added.notWeighed).toEqual(['no scale']);
  // All of the last day: two bottles in are one sum, and what came out stands beside it.
  const day = digest([
    topOff('2026-04-01', 9),
    topOff('2026-04-05', 2),
    topOff('2026-04-05', 3),
    recovered('2026-04-05', 'repair', 1),
  ]);
  expect(Number(day.lastGas?.added.weighed ?? 0n)).toBe(Number(exactGrams(lb(5))));
  expect(day.lastGas?.recovered.times).toBe(1);
});

describe('notes to the next person', () => {
  const handover = (on: string, fields: object) => note('handover', on, fields);

  test('the last that says something counts', () => {
    const found = digest([
      handover('2026-05-01', { nextPerson: 'Key is with the florist.', bring: 'long ladder' }),
      handover('2026-06-01', { nextPerson: '  ' }),
    ]).handover;
    expect(found).toEqual({
      on: dayOf('2026-05-01'),
      by: 'p',
      notes: 'Key is with the florist.',
      oddSettings: null,
      bring: 'long ladder',
    });
  });

  test('what another tool wrote is read where it can be and passed over where not', () => {
    expect(digest([handover('2026-05-01', { nextPerson: 7 })]).handover).toBeNull();
    expect(digest([handover('2026-05-01', { note: 'Fan rattles.' })]).handover?.notes).toBe('Fan rattles.');
  });

  test('the last control settings that were kept', () => {
    const kept = (on: string, summary: string) => note('readings', on, { tool: 'control', summary });
    const { control } = digest([
      kept('2026-01-01', 'cut-in 31 psig'),
      kept('2026-02-01', 'cut-in 28 psig'),
      note('readings', '2026-03-01', { tool: 'superheat', summary: 'superheat 10 °F' }),
    ]);
    expect(control).toEqual({ on: dayOf('2026-02-01'), words: 'cut-in 28 psig' });
  });
});

describe('parts', () => {
  const part = (id: string, on: string, fields: object): Fact => ({ ...note('partFitted', on, fields), id });
  const partsOf = (facts: readonly Fact[]) => fittedParts(standing(facts, TODAY).history.entries);

  test('temporary ones stay on the register until something takes them out', () => {
    const facts = [
      part('t1', '2026-01-10', { part: 'Clamp-on valve', temporary: true, removeBy: '2026-03-01' }),
      part('t2', '2026-02-10', { part: 'Burn-out drier', temporary: true }),
      part('t3', '2026-02-11', { part: 'Drier', temporary: false }),
    ];
    expect(temporaryParts(partsOf(facts)).map((each) => each.part)).toEqual([
      'Burn-out drier',
      'Clamp-on valve',
    ]);
    const removed = [...facts, part('t4', '2026-03-05', { part: 'Drier', removes: 't2' })];
    expect(temporaryParts(partsOf(removed)).map((each) => each.part)).toEqual(['Clamp-on valve']);
  });

  test.each([
    ['twice within a year', '2026-02-01', 1],
    ['a year and a day before today', '2025-11-22', 0],
    ['just a year before today', '2025-11-23', 1],
  ])('the same part fitted again, first %s', (_, first, count) => {
    const facts = [
      part('a', first, { part: 'Contactor', place: 'roof' }),
      part('b', '2026-09-01', { part: 'contactor ', place: 'Roof' }),
      part('c', '2026-09-02', { part: 'Contactor', place: 'cellar' }),
    ];
    const again = replacedAgain(partsOf(facts), dayOf(TODAY));
    expect(again).toHaveLength(count);
    if (count > 0) expect(again[0]?.days).toEqual([dayOf(first), dayOf('2026-09-01')]);
  });

  test('a part without a name is no part, and a bad date is not read', () => {
    expect(partsOf([part('a', '2026-01-01', { part: ' ' })])).toEqual([]);
    expect(partsOf([part('a', '2026-01-01', { part: 'Drier', removeBy: 'soon' })])).toEqual([]);
  });
});
