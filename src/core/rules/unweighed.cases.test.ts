/** Weights that nobody took, moves and unknown refrigerants: worked cases. Figures are those of the handbook, or reckoned beside them. */
import { describe, expect, it } from 'vitest';
import {
  type Fact,
  type Scene,
  added,
  caseOf,
  documentOf,
  duties,
  followUpPass,
  found,
  gas,
  initialPass,
  note,
  recovered,
  repaired,
  standing,
  topOff,
} from '../testkit/facts';
import { dayOf, dayText } from '../quantity/day';
import { roomText } from '../quantity/mass';
import { yearLoss } from '../visit/yearLoss';
import { unjudged } from './unjudged';

const AS_OF = '2026-11-23';
const rolling: Scene = { method: 'rolling' };
const last = (facts: Fact[], scene: Scene = {}, asOf = AS_OF) =>
  documentOf(facts, asOf, scene).additions.at(-1);

describe('an addition that nobody weighed, example 21', () => {
  const story = (pounds: number | null): Fact[] => [
    gas('2026-03-01'),
    topOff('2026-05-01', null),
    topOff('2026-06-01', pounds),
  ];

  it('is at least 0 on its own day, and opens nothing', () => {
    const document = documentOf(story(12), AS_OF);
    expect(document.additions[0]).toMatchObject({
      on: '2026-05-01',
      netGrams: null,
      annualizingPercent: null,
      rollingPercent: null,
      percent: null,
      atLeastPercent: 0,
      exceeds: { 'us-hfc': null },
    });
    // 12 lb of 100 lb in 31 days
    expect(document.additions[1]).toMatchObject({
      percent: 141.290323,
      atLeastPercent: null,
      rollingPercent: null,
      exceeds: { 'us-hfc': true },
    });
    expect(document.calendarYears).toEqual([
      { year: 2026, netGrams: 5443.1084, percent: 12, chronic: false, unknownAdditions: 1 },
    ]);
  });

  it('leaves at least 12 % at a rolling site: no verdict, no case, no room', () => {
    const document = documentOf(story(12), AS_OF, rolling);
    expect(document.additions[1]).toMatchObject({
      percent: null,
      atLeastPercent: 12,
      exceeds: { 'us-hfc': null },
    });
    expect(document.cases).toEqual([]);
    expect(document.headroom.grams).toBeNull();
  });

  it.each([
    ['above the limit it exceeds, opens a case, leaves no room', 25, true, 1, 0],
    ['exactly at the limit it leaves no room, and cannot be judged', 20, null, 0, 0],
    ['just below it nothing can be said', 19.9, null, 0, null],
  ])('rolling: %s', (_, pounds, exceeds, cases, room) => {
    const document = documentOf(story(pounds), '2026-06-01', rolling);
    expect(document.additions[1]?.exceeds['us-hfc']).toBe(exceeds);
    expect(document.additions[1]?.atLeastPercent).toBe(pounds);
    expect(document.cases).toHaveLength(cases);
    expect(document.headroom.grams).toBe(room);
  });

  it('takes no duty away from what was weighed on the same day', () => {
    const document = documentOf(
      [gas('2026-03-01'), topOff('2026-06-01', 12), topOff('2026-06-01', null)],
      AS_OF,
    );
    expect(document.additions[0]).toMatchObject({
      netGrams: null,
      percent: null,
      atLeastPercent: 47.608696,
      exceeds: { 'us-hfc': true },
    });
    expect(caseOf(document)?.openedOn).toBe('2026-06-01');
    expect(duties(document, 'us-hfc', 'repair')).toEqual(['repair 2026-07-01 overdue']);
  });

  it('is the next addition where what was weighed of it exceeds', () => {
    const verified = [
      gas('2026-03-01'),
      topOff('2026-06-01', 12),
      found('2026-06-02'),
      repaired('2026-06-03'),
      initialPass('2026-06-04'),
      followUpPass('2026-06-10'),
    ];
    const next = [topOff('2026-09-01', 60), topOff('2026-09-01', null)];
    expect(caseOf(documentOf([...verified, ...next], AS_OF))?.state).toBe('plan');
    // 1 lb in 83 days is 4.4 %: at least that, which decides nothing
    const little = [topOff('2026-09-01', 1), topOff('2026-09-01', null)];
    expect(caseOf(documentOf([...verified, ...little], '2027-06-11'))?.state).toBe('verified');
  });

  it('counts nothing toward any leak, but what was weighed beside it does', () => {
    const scene: Scene = { packs: ['us-ca'] };
    expect(last([topOff('2026-05-01', null)], scene)?.exceeds).toEqual({ 'us-ca': null });
    expect(last([topOff('2026-05-01', null), topOff('2026-05-01', 1)], scene)?.exceeds).toEqual({
      'us-ca': true,
    });
  });

  it.each([
    ['a least of nothing took no 365 days', [topOff('2026-05-01', null)], false],
    ['a least above nothing did', [topOff('2026-05-01', null), topOff('2026-05-01', 1)], true],
  ])('%s', (_, facts, noted) => {
    expect(documentOf(facts, '2026-05-02').notes.includes('daysUnknown')).toBe(noted);
  });
});

describe('gas that was taken out and not weighed', () => {
  const facts = [
    gas('2026-01-08'),
    recovered('2026-05-03', 'repair', null),
    added('2026-05-08', 'recharge', 2.5),
  ];

  it('makes what goes back the most that it can be', () => {
    const one = standing(facts, AS_OF, { pounds: 2.5, packs: ['house'] });
    expect(yearLoss(one, 2026)).toMatchObject({
      millionths: 100_000_000,
      bound: 'atMost',
      unknown: [{ code: 'takenOut', days: [dayOf('2026-05-03')] }],
    });
  });

  it.each([
    ['a top-off repays nothing', [...facts.slice(0, 2), topOff('2026-05-08', 2)], null],
    ['a recharge before it', [gas('2026-01-08'), added('2026-02-01', 'recharge', 2), facts[1] as Fact], null],
    ['a season repays its own only', [...facts.slice(0, 2), added('2026-05-08', 'seasonal', 2)], null],
    [
      'a season of more than a year ago',
      [recovered('2025-05-08', 'seasonal', null), added('2026-05-08', 'seasonal', 2)],
      null,
    ],
    [
      'a season of less than a year ago',
      [recovered('2025-05-09', 'seasonal', null), added('2026-05-08', 'seasonal', 2)],
      'atMost',
    ],
    [
      'a conversion between',
      [
        ...facts.slice(0, 2),
        note('retrofitted', '2026-05-05', { toRefrigerant: 'R-449A' }),
        added('2026-05-08', 'recharge', 2),
      ],
      null,
    ],
    ['a second portion', [...facts, added('2026-05-09', 'recharge', 1)], 'atMost'],
    ['an unweighed addition in the same year', [...facts, topOff('2026-06-01', null)], 'neither'],
    [
      'a recharge that nobody weighed used it up',
      [...facts.slice(0, 2), added('2026-05-08', 'recharge', null), added('2027-05-09', 'recharge', 2)],
      null,
    ],
  ])('%s', (_, story, bound) => {
    const one = standing(story, '2027-11-23');
    const year = Number(
      one.additions.at(-1) ? dayText(one.additions.at(-1)?.gasDay.day ?? (0 as never)).slice(0, 4) : 2026,
    );
    expect(yearLoss(one, year).bound).toBe(bound);
  });
});

describe('gas that was moved from another machine', () => {
  it('counts whole, repays nothing, and leaves no balance', () => {
    const document = documentOf(
      [
        gas('2026-01-01'),
        recovered('2026-02-01', 'repair', 10),
        added('2026-03-01', 'moved', 4, { moveId: 'm1' }),
        recovered('2026-03-02', 'moved', 3),
        added('2026-04-01', 'recharge', 12),
      ],
      AS_OF,
    );
    // 4 lb moved here; of the 12 lb recharged 10 repay the repair, and none the 3 lb that were moved away.
    expect(document.additions.map((each) => each.netGrams)).toEqual([1814.3695, 907.1847]);
  });
});

describe('a refrigerant that nobody knows', () => {
  const scene: Scene = { appliance: { refrigerant: null }, packs: ['us-hfc', 'eu', 'house'] };
  const facts = [gas('2026-03-01'), topOff('2026-06-01', 12)];

  it('is covered by the house rule alone, and noted', () => {
    const document = documentOf(facts, AS_OF, scene);
    expect(document.packs).toEqual(['house']);
    expect(document.notes).toContain('refrigerantUnknown');
    expect(document.additions[0]?.exceeds).toEqual({ house: true });
    expect(unjudged(standing(facts, AS_OF, scene))).toEqual({ code: 'refrigerant' });
  });

  it('asks for it only where a law could hang on it', () => {
    expect(unjudged(standing(facts, AS_OF, { ...scene, packs: ['house'] }))).toBeNull();
  });

  it('is known from a conversion on, and was not before', () => {
    const converted = [...facts, note('retrofitted', '2026-07-01', { toRefrigerant: 'R-448A' })];
    const document = documentOf(converted, AS_OF, scene);
    expect(document.packs).toContain('us-hfc');
    expect(document.notes).toContain('refrigerantUnknown');
  });
});

describe('room in words', () => {
  it.each([
    ['28.8 oz', 28.8 * 28.349523125, 'pounds', '1 lb 12 oz'],
    ['a whole pound', 453.59237, 'pounds', '1 lb'],
    ['twelve pounds', 12 * 453.59237, 'pounds', '12 lb'],
    ['nearly a pound', 15.99 * 28.349523125, 'pounds', '15.9 oz'],
    ['nearly a hundred pounds', 99.99 * 453.59237, 'pounds', '99 lb 15 oz'],
    ['above a hundred pounds', 123.49 * 453.59237, 'pounds', '123.4 lb'],
    ['seven grams and a half', 7.59, 'kilograms', '7.5 g'],
    ['999.9 g', 999.9, 'kilograms', '999 g'],
    ['3.149 kg', 3149, 'kilograms', '3.14 kg'],
    ['123.49 kg', 123_490, 'kilograms', '123.4 kg'],
    ['nothing', 0, 'pounds', '0 oz'],
  ] as const)('%s', (_, grams, system, words) => {
    expect(roomText(grams, system)).toBe(words);
  });
});
