/** Worked examples of leak rates: label, source, facts, what the rule says. Figures are those of the handbook. */
import { describe, expect, it } from 'vitest';
import {
  type Fact,
  type Scene,
  added,
  documentOf,
  found,
  gas,
  initialPass,
  followUpPass,
  percents,
  recovered,
  repaired,
  topOff,
} from '../testkit/facts';

const AS_OF = '2026-11-23';
const rolling: Scene = { method: 'rolling' };

const TABLE: [label: string, cite: string, facts: Fact[], scene: Scene, rates: (number | null)[]][] = [
  [
    '12 lb after 92 days',
    '82.152 annualizing',
    [gas('2026-03-01'), topOff('2026-06-01', 12)],
    {},
    [47.608696],
  ],
  ['days stop at 365', '82.152 annualizing', [gas('2024-01-10'), topOff('2026-06-01', 20)], {}, [20]],
  [
    'rolling sum of a year',
    '82.152 rolling',
    [topOff('2026-03-01', 8), topOff('2026-06-01', 12)],
    rolling,
    [8, 20],
  ],
  [
    'rolling sum just above',
    '82.152 rolling',
    [topOff('2026-03-01', 8), topOff('2026-06-01', 12.1)],
    rolling,
    [8, 20.1],
  ],
  [
    'a recharge repays what was recovered first',
    'handbook 2.3',
    [gas('2026-01-08'), recovered('2026-05-04', 'repair', 60), added('2026-05-08', 'recharge', 100)],
    {},
    [121.666667],
  ],
  [
    'a season that comes back whole',
    '82.152 seasonal variance',
    [recovered('2025-10-15', 'seasonal', 30), added('2026-05-01', 'seasonal', 30)],
    {},
    [],
  ],
  [
    'a season that comes back with more',
    '82.152 seasonal variance',
    [recovered('2025-10-15', 'seasonal', 30), added('2026-05-01', 'seasonal', 34)],
    rolling,
    [4],
  ],
  [
    'a season, one day short of a year',
    'handbook 2.3',
    [recovered('2025-10-15', 'seasonal', 30), added('2026-10-14', 'seasonal', 30)],
    rolling,
    [],
  ],
  [
    'a season, twelve months later',
    'handbook 2.3',
    [recovered('2025-10-15', 'seasonal', 30), added('2026-10-15', 'seasonal', 30)],
    rolling,
    [30],
  ],
  [
    'a verified repair cuts the window, gas of that day drops out after it',
    'handbook 2.4',
    [
      topOff('2026-03-01', 3),
      repaired('2026-03-02'),
      initialPass('2026-03-03'),
      followUpPass('2026-04-15'),
      topOff('2026-04-15', 4),
      topOff('2026-05-01', 5),
      topOff('2026-06-01', 6),
    ],
    rolling,
    [3, 7, 5, 11],
  ],
  [
    'a second leak still open keeps the window whole',
    'handbook 2.4',
    [
      topOff('2026-03-01', 3),
      repaired('2026-03-02'),
      initialPass('2026-03-03'),
      found('2026-04-01', 'k2'),
      followUpPass('2026-04-15'),
      topOff('2026-04-15', 4),
      topOff('2026-05-01', 5),
      topOff('2026-06-01', 6),
    ],
    rolling,
    [3, 7, 12, 18],
  ],
  [
    'top-offs for the same leak are one chain',
    '82.152 annualizing, same leak',
    [gas('2026-01-01'), topOff('2026-03-01', 5, 'k1'), topOff('2026-04-10', 5, 'k1')],
    {},
    [30.932203, 36.868687],
  ],
  [
    '2.2 lb of 55 lb after 73 days is exactly 20',
    'handbook 2.7',
    [gas('2026-01-01'), topOff('2026-03-15', 2.2)],
    { pounds: 55 },
    [20],
  ],
  [
    'a day that nobody weighed',
    'handbook 2.3',
    [gas('2026-03-01'), topOff('2026-05-01', null), topOff('2026-06-01', 12)],
    {},
    [null, 141.290323],
  ],
  [
    'the same by the rolling average',
    'handbook 2.3',
    [gas('2026-03-01'), topOff('2026-05-01', null), topOff('2026-06-01', 12)],
    rolling,
    [null, null],
  ],
  [
    'a recovery that nobody weighed repays nothing',
    'handbook 2.3',
    [recovered('2026-05-04', 'repair', null), added('2026-05-08', 'recharge', 100)],
    rolling,
    [100],
  ],
  [
    'a recharge that nobody weighed uses up the balance',
    'handbook 2.3',
    [
      recovered('2025-02-04', 'repair', 60),
      added('2025-03-08', 'recharge', null),
      added('2026-05-08', 'recharge', 30),
    ],
    rolling,
    [null, 30],
  ],
  [
    'commissioned without a weight is only a gas day',
    'handbook 2.3',
    [added('2026-05-04', 'commission', null), topOff('2026-06-04', 1)],
    {},
    [11.774194],
  ],
  [
    'a chain reaches back 364 days',
    'handbook 2.4',
    [
      gas('2025-01-01'),
      topOff('2025-05-01', 5, 'k1'),
      topOff('2025-11-01', 5, 'k1'),
      topOff('2026-06-01', 5, 'k1'),
    ],
    { method: 'rolling' },
    [5, 10, 10],
  ],
];

describe('leak rates of the worked examples', () => {
  it.each(TABLE)('%s (%s)', (_, __, facts, scene, rates) => {
    expect(percents(documentOf(facts, AS_OF, scene))).toEqual(rates);
  });

  it('annualizes a chain over the days before its first gas (5 lb thrice for one leak)', () => {
    const facts = [
      topOff('2025-05-01', 5, 'k1'),
      topOff('2025-11-01', 5, 'k1'),
      topOff('2026-06-01', 5, 'k1'),
    ];
    expect(percents(documentOf(facts, AS_OF))).toEqual([5, 10, 10]);
  });

  it('exceeds only what is strictly greater than the threshold', () => {
    const exact = documentOf([gas('2026-01-01'), topOff('2026-03-15', 2.2)], AS_OF, { pounds: 55 });
    expect(exact.additions[0]?.exceeds).toEqual({ 'us-hfc': false });
    const above = documentOf([topOff('2026-03-01', 8), topOff('2026-06-01', 12.1)], AS_OF, rolling);
    expect(above.additions[1]?.exceeds).toEqual({ 'us-hfc': true });
  });

  it('gives null, not false, where an addition cannot be judged, and opens no case for it', () => {
    const document = documentOf(
      [gas('2026-03-01'), topOff('2026-05-01', null), topOff('2026-06-01', 12)],
      AS_OF,
      rolling,
    );
    expect(document.additions.map((each) => each.exceeds)).toEqual([{ 'us-hfc': null }, { 'us-hfc': null }]);
    expect(document.cases).toEqual([]);
    expect(document.headroom.grams).toBeNull();
    expect(document.calendarYears).toEqual([
      { year: 2026, netGrams: 5443.1084, percent: 12, chronic: false, unknownAdditions: 1 },
    ]);
    expect(document.notes).toEqual(['weightUnknown']);
  });

  it('says nothing about exceeding where no full charge is known', () => {
    const document = documentOf([topOff('2026-06-01', 12)], AS_OF, { pounds: null });
    expect(document.additions[0]).toMatchObject({ percent: null, exceeds: {}, netGrams: 5443.1084 });
    expect(document.notes).toEqual(['fullChargeUnknown']);
  });
});

describe('headroom', () => {
  it('by annualizing grows with the days since the last gas, and what was added today is subtracted', () => {
    // 20 % of 100 lb × 92/365 = 5.041096 lb = 2286.602631 g
    expect(documentOf([gas('2026-03-01')], '2026-06-01').headroom.grams).toBe(2286.6026);
    // 2 lb less: 907.18474 g
    expect(documentOf([gas('2026-03-01'), topOff('2026-06-01', 2)], '2026-06-01').headroom.grams).toBe(
      1379.4179,
    );
  });

  it('by the rolling average is the allowance less what the window holds', () => {
    // 20 lb less 8 lb = 12 lb = 5443.10844 g
    expect(documentOf([topOff('2026-03-01', 8)], '2026-06-01', rolling).headroom.grams).toBe(5443.1084);
    // on the 365th day after it, the 8 lb have left the window
    expect(documentOf([topOff('2026-03-01', 8)], '2027-03-01', rolling).headroom.grams).toBe(9071.8474);
    expect(documentOf([topOff('2026-03-01', 8)], '2027-02-28', rolling).headroom.grams).toBe(5443.1084);
  });

  it('is never below nothing, and none where no percent pack covers', () => {
    expect(documentOf([topOff('2026-03-01', 40)], '2026-03-01', rolling).headroom.grams).toBe(0);
    expect(documentOf([], '2026-03-01', { packs: ['us-ca'] }).headroom.grams).toBeNull();
  });
});

describe('calendar years', () => {
  it('takes each day by its own full charge, exactly', () => {
    // 10 of 100 lb and, after the charge was set to 50 lb, 10 of 50 lb: 10 % + 20 %
    const facts: Fact[] = [
      topOff('2026-02-01', 10),
      { kind: 'fullChargeSet', on: '2026-05-01', method: 'weighed', mass: { value: 50, unit: 'lb' } } as Fact,
      topOff('2026-06-01', 10),
    ];
    expect(documentOf(facts, AS_OF).calendarYears).toEqual([
      { year: 2026, netGrams: 9071.8474, percent: 30, chronic: false, unknownAdditions: 0 },
    ]);
  });

  it('calls 125 % of the full charge in one year chronic', () => {
    const years = (pounds: number) =>
      documentOf([topOff('2026-02-01', 65), topOff('2026-09-01', pounds)], AS_OF).calendarYears;
    expect(years(60)[0]).toMatchObject({ percent: 125, chronic: true });
    expect(years(59.9)[0]).toMatchObject({ percent: 124.9, chronic: false });
  });
});
