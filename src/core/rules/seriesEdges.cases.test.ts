/**
 * The edges of an inspection series (handbook 2.5, inspections after a case): the day before, on and after each. F = 600 lb of
 * R-448A, commercial, verified on v = 2026-06-10, so that inspections are due on 09-10, 12-10, 03-10 and 06-10.
 */
import { describe, expect, it } from 'vitest';
import {
  type Fact,
  type Scene,
  documentOf,
  duties,
  followUpPass,
  found,
  gas,
  initialPass,
  inspected,
  note,
  repaired,
  topOff,
} from '../testkit/facts';

const LARGE: Scene = { pounds: 600, packs: ['us-hfc'] };
const SMALL: Scene = { pounds: 100, packs: ['us-hfc'] };
const AS_OF = '2030-01-01';

const verified = (pounds: number): Fact[] => [
  gas('2026-03-01'),
  topOff('2026-06-01', pounds),
  found('2026-06-02'),
  repaired('2026-06-03'),
  initialPass('2026-06-04'),
  followUpPass('2026-06-10'),
];
const series = (more: Fact[], scene = LARGE, asOf = AS_OF) =>
  duties(documentOf([...verified(scene === LARGE ? 200 : 40), ...more], asOf, scene), 'us-hfc', 'inspection');
const last = (more: Fact[], scene = LARGE) => series(more, scene).at(-1)?.split(' ')[1];

describe('a quarterly series ends with the first of four quiet quarters in a row', () => {
  it.each([
    ['the day of the second test, judged before it', '2026-06-10', 4, '2027-06-10'],
    ['the day after it', '2026-06-11', 5, '2027-09-10'],
    ['the day before the first is due', '2026-09-09', 5, '2027-09-10'],
    ['the day on which the first is due', '2026-09-10', 5, '2027-09-10'],
    ['the day after the first is due', '2026-09-11', 6, '2027-12-10'],
    ['the day on which the second is due', '2026-12-10', 6, '2027-12-10'],
    ['the day before twelve months', '2027-06-09', 8, '2028-06-10'],
    ['twelve months exactly', '2027-06-10', 8, '2028-06-10'],
    ['the day after twelve months', '2027-06-11', 4, '2027-06-10'],
  ])('exceeded on %s', (_, day, count, end) => {
    const more = [topOff(day, 400)];
    expect([series(more).length, last(more)]).toEqual([count, end]);
  });
});

describe('a yearly series ends with the first quiet year', () => {
  it.each([
    ['the day of the second test', '2026-06-10', 1],
    ['the day after it', '2026-06-11', 2],
    ['twelve months exactly', '2027-06-10', 2],
    ['the day after twelve months', '2027-06-11', 1],
  ])('exceeded on %s', (_, day, count) => {
    expect(series([topOff(day, 99)], SMALL)).toHaveLength(count);
  });
});

describe('the next case', () => {
  // Verified anew on v2: what was due after it is void, and an exceedance on it still lengthens the old series.
  const next = (v2: string): Fact[] => [
    topOff('2026-08-01', 1),
    topOff('2026-11-01', 400),
    found('2026-11-02', 'k2'),
    repaired('2026-11-03', 'k2'),
    initialPass('2026-11-04', 'k2'),
    followUpPass(v2, 'k2'),
  ];
  const old = (v2: string, more: Fact[] = []) =>
    documentOf([...verified(200), ...next(v2), ...more], AS_OF, LARGE)
      .obligations.filter(({ kind, caseOpenedOn }) => kind === 'inspection' && caseOpenedOn === '2026-06-01')
      .map(({ due, state }) => `${due} ${state}`);

  it.each([
    ['the day before one is due', '2026-12-09', 'void'],
    ['the day on which one is due', '2026-12-10', 'overdue'],
    ['the day after one is due', '2026-12-11', 'overdue'],
  ])('verified on %s', (_, v2, state) => {
    expect(old(v2)).toContain(`2026-12-10 ${state}`);
    expect(old(v2)).toContain('2027-03-10 void');
  });

  it.each([
    ['on v2 lengthens the old series', '2026-12-20', 6],
    ['after v2 lengthens it no more', '2026-12-21', 6],
  ])('an exceedance %s', (_, day, count) => {
    // 2026-11-01 alone makes six; the one of 12-20 lies in no window of a later end before seven.
    expect(old('2026-12-20', [topOff(day, 400)])).toHaveLength(day === '2026-12-20' ? 7 : count);
  });
});

describe('what ends a series', () => {
  const ended = (kind: 'retired' | 'retrofitted', on: string, rest: object = {}) => note(kind, on, rest);

  it.each([
    ['retired on the day of the second test', ended('retired', '2026-06-10')],
    [
      'converted on the day of the second test',
      ended('retrofitted', '2026-06-10', { toRefrigerant: 'R-449A' }),
    ],
    ['retired later', ended('retired', '2026-07-01')],
  ])('%s: all that is undone is void', (_, end) => {
    const states = series([end]).map((each) => each.split(' ')[2]);
    expect(states).toEqual(['void', 'void', 'void', 'void']);
  });

  it('converted before the second test ends nothing', () => {
    expect(series([ended('retrofitted', '2026-06-09', { toRefrigerant: 'R-449A' })])).not.toContain(
      'inspection 2026-09-10 void',
    );
  });

  it.each([
    ['on the day it ends', '2026-09-05', 'done 2026-09-05'],
    ['on the day after', '2026-09-06', 'void'],
  ])('inspected %s', (_, day, state) => {
    expect(series([ended('retired', '2026-09-05'), inspected(day)])[0]).toBe(
      `inspection 2026-09-10 ${state}`,
    );
  });
});

describe('an inspection serves the first that is open after the day on which the one before was due', () => {
  it.each([
    ['the day of the second test serves none', '2026-06-10', ['overdue', 'overdue']],
    ['the day after it', '2026-06-11', ['done 2026-06-11', 'overdue']],
    ['the day on which the first is due', '2026-09-10', ['done 2026-09-10', 'overdue']],
    ['the day after the first is due', '2026-09-11', ['done 2026-09-11', 'done 2026-09-11']],
  ])('%s', (_, day, states) => {
    expect(series([inspected(day)]).slice(0, 2)).toEqual(
      ['2026-09-10', '2026-12-10'].map((due, index) => `inspection ${due} ${states[index] ?? ''}`),
    );
  });
});

describe('a checked detector of the whole stands for an inspection', () => {
  const fitted = note('applianceChanged', '2026-07-01', { automaticDetection: 'whole' });
  it.each([
    ['checked on the day it is due', '2026-09-10', ['2026-12-10', '2027-03-10', '2027-06-10'], []],
    ['checked on the day after', '2026-09-11', ['2026-12-10', '2027-03-10', '2027-06-10'], ['2026-09-10']],
    ['checked twelve months before', '2026-03-10', [], ['2027-06-10']],
    ['checked twelve months and a day before', '2026-03-09', [], ['2027-03-10', '2027-06-10']],
  ])('%s', (_, day, gone, listed) => {
    const due = series([fitted, note('detectionCheck', day)]).map((each) => each.split(' ')[1]);
    expect(due.filter((each) => gone.includes(each ?? ''))).toEqual([]);
    expect(due).toEqual(expect.arrayContaining(listed));
  });

  it.each([
    ['on the due day', '2026-09-10', false],
    ['a day later', '2026-09-11', true],
  ])('fitted %s', (_, day, listed) => {
    const later = note('applianceChanged', day, { automaticDetection: 'whole' });
    const due = series([note('detectionCheck', '2026-08-01'), later]).map((each) => each.split(' ')[1]);
    expect(due.includes('2026-09-10')).toBe(listed);
  });
});

describe('the class of a series', () => {
  it.each([
    ['500 lb is quarterly', 500, 4],
    ['less is yearly', 499.9, 1],
    ['15 lb is yearly', 15, 1],
    ['below that the rule does not cover', 14.9, 0],
  ])('%s', (_, pounds, count) => {
    const facts = [gas('2026-03-01'), topOff('2026-06-01', pounds / 2), ...verified(0).slice(2)];
    expect(
      duties(documentOf(facts, AS_OF, { pounds, packs: ['us-hfc'] }), 'us-hfc', 'inspection'),
    ).toHaveLength(count);
  });
});
