/** Worked examples of cases and deadlines from the handbook, each with its number there. */
import { describe, expect, it } from 'vitest';
import { dayOf } from '../quantity/day';
import {
  type Fact,
  type Scene,
  caseOf,
  documentOf,
  duties,
  followUpPass,
  found,
  gas,
  initialPass,
  inspected,
  normal,
  note,
  recovered,
  added,
  repaired,
  standing,
  topOff,
} from '../testkit/facts';

/** F = 100 lb, gas on 1 March, 12 lb on 1 June 2026: 47.6 %, the case opens that day */
const exceedance = [gas('2026-03-01'), topOff('2026-06-01', 12)];
const case12 = [
  ...exceedance,
  found('2026-06-02'),
  repaired('2026-06-03'),
  initialPass('2026-06-04'),
  followUpPass('2026-06-10'),
];
const hfc = (facts: Fact[], asOf: string, scene: Scene = {}) =>
  duties(documentOf(facts, asOf, scene), 'us-hfc');
const summary = (facts: Fact[], asOf: string, scene: Scene = {}, pack = 'us-hfc') =>
  documentOf(facts, asOf, scene)
    .cases.filter((each) => each.pack === pack)
    .map((each) =>
      [each.openedOn, each.state, each.closedOn, each.closedBecause]
        .filter((part) => part !== null)
        .join(' '),
    );

describe('opening', () => {
  it('1: an exceedance is due for repair and first test in 30 days', () => {
    expect(hfc(exceedance, '2026-06-20')).toEqual([
      'initialTest 2026-07-01 upcoming',
      'repair 2026-07-01 upcoming',
    ]);
    expect(hfc(exceedance, '2026-06-24')).toEqual([
      'initialTest 2026-07-01 dueSoon',
      'repair 2026-07-01 dueSoon',
    ]);
    expect(hfc(exceedance, '2026-07-01')).toEqual([
      'initialTest 2026-07-01 dueSoon',
      'repair 2026-07-01 dueSoon',
    ]);
  });

  it('13: what was done before the opening counts', () => {
    const before = [
      gas('2026-01-08'),
      found('2026-05-04'),
      recovered('2026-05-04', 'repair', 60),
      repaired('2026-05-06', 'k1', true),
      initialPass('2026-05-07'),
    ];
    const facts = [...before, added('2026-05-08', 'recharge', 100)];
    expect(caseOf(documentOf(facts, '2026-05-10'))).toMatchObject({
      openedOn: '2026-05-08',
      state: 'tested',
      initialPassedOn: '2026-05-07',
      followUpDue: '2026-05-17',
    });
    expect(hfc(facts, '2026-05-10')).toContain('repair 2026-06-07 done 2026-05-06');
    const due = (day: string) => caseOf(documentOf([...facts, normal(day)], '2026-05-16'))?.followUpDue;
    expect([due('2026-05-07'), due('2026-05-08'), due('2026-05-09'), due('2026-05-06')]).toEqual([
      '2026-05-17',
      '2026-05-18',
      '2026-05-19',
      '2026-05-17',
    ]);
    expect(
      summary([...before, followUpPass('2026-05-08'), added('2026-05-08', 'recharge', 100)], '2026-05-10'),
    ).toEqual(['2026-05-08 verified']);
  });

  it('26: one entry bears on every case, or on that of its pack', () => {
    const scene: Scene = { packs: ['us-ods', 'us-hfc', 'us-ca'], appliance: { refrigerant: 'R-408A' } };
    const facts = [found('2026-05-31'), gas('2026-03-01'), topOff('2026-07-01', 12)];
    const due = (rest: object) => {
      const document = documentOf(
        [...facts, note('extension', '2026-07-10', { ground: 'parts', ...rest })],
        '2026-07-12',
        scene,
      );
      return Object.fromEntries(document.cases.map((each) => [each.pack, each.repairDue]));
    };
    expect(due({})).toEqual({ 'us-ods': '2026-12-28', 'us-hfc': '2026-12-28', 'us-ca': '2026-07-15' });
    expect(due({ pack: 'us-hfc' })).toEqual({
      'us-ods': '2026-07-31',
      'us-hfc': '2026-12-28',
      'us-ca': '2026-06-14',
    });
  });

  it('26: an extension counts from the opening day to the closing day', () => {
    const closed = [...case12, topOff('2026-09-01', 1)];
    const repairDue = (day: string) =>
      caseOf(documentOf([...closed, note('extension', day, { ground: 'parts' })], '2026-10-01'))?.repairDue;
    expect(['2026-05-31', '2026-06-01', '2026-09-01', '2026-09-02'].map(repairDue)).toEqual([
      '2026-07-01',
      '2026-11-28',
      '2026-11-28',
      '2026-07-01',
    ]);
  });

  it('27: the record of the day decides the threshold', () => {
    const facts = [gas('2026-03-01'), topOff('2026-06-01', 7)];
    const exceeds = (on: string | null) =>
      documentOf(
        on === null ? facts : [...facts, note('applianceChanged', on, { category: 'industrialProcess' })],
        '2026-07-01',
      ).additions[0];
    expect(exceeds(null)).toMatchObject({ percent: 27.771739, exceeds: { 'us-hfc': true } });
    expect(exceeds('2026-06-01')).toMatchObject({ exceeds: { 'us-hfc': false } });
    expect(exceeds('2026-06-02')).toMatchObject({ exceeds: { 'us-hfc': true } });
  });
});

describe('repair', () => {
  it('8: parts on order move the day, within the cap, and never back', () => {
    const due = (partsDeliveredOn: string | null) =>
      caseOf(
        documentOf(
          [...exceedance, note('extension', '2026-06-10', { ground: 'parts', partsDeliveredOn })],
          '2026-06-12',
        ),
      )?.repairDue;
    expect([due('2026-08-20'), due('2026-11-20'), due(null), due('2026-05-20')]).toEqual([
      '2026-09-19',
      '2026-11-28',
      '2026-11-28',
      '2026-07-01',
    ]);
  });

  it('15: tests and repairs count strictly in order', () => {
    const early = [
      ...exceedance,
      found('2026-06-02'),
      initialPass('2026-06-04'),
      followUpPass('2026-06-05'),
      repaired('2026-06-06'),
      followUpPass('2026-06-06'),
    ];
    expect(summary(early, '2026-06-06')).toEqual(['2026-06-01 open']);
    const tested = [...early, initialPass('2026-06-07'), initialPass('2026-06-09')];
    expect(caseOf(documentOf(tested, '2026-06-09'))).toMatchObject({
      state: 'tested',
      initialPassedOn: '2026-06-07',
      followUpDue: '2026-06-17',
    });
    const second = [...tested, found('2026-06-10', 'k2'), followUpPass('2026-06-12')];
    expect(caseOf(documentOf(second, '2026-06-12'))).toMatchObject({
      state: 'open',
      initialPassedOn: null,
      followUpPassedOn: null,
    });
    const done = [
      ...second,
      repaired('2026-06-13', 'k2'),
      initialPass('2026-06-13', 'k2'),
      followUpPass('2026-06-15', 'k2'),
    ];
    expect(caseOf(documentOf(done, '2026-06-15'))).toMatchObject({
      state: 'verified',
      initialPassedOn: '2026-06-13',
      followUpPassedOn: '2026-06-15',
    });
  });

  it('16: days of the follow-up start at normal operation only after an evacuation', () => {
    const due = (evacuated: boolean, ...days: string[]) =>
      caseOf(
        documentOf(
          [
            ...exceedance,
            found('2026-06-02'),
            repaired('2026-06-19', 'k1', evacuated),
            initialPass('2026-06-20'),
            ...days.map(normal),
          ],
          '2026-06-26',
        ),
      )?.followUpDue;
    expect(due(false, '2026-06-23')).toBe('2026-06-30');
    expect(due(true, '2026-06-23', '2026-06-25')).toBe('2026-07-03');
    expect(due(true, '2026-06-19')).toBe('2026-06-30');
    expect(due(true)).toBe('2026-06-30');
  });

  it('20: mothballing stops what counts in days', () => {
    const shut = [...exceedance, note('mothballed', '2026-06-11')];
    expect(caseOf(documentOf(shut, '2026-08-11'))?.repairDue).toBe('2026-08-31');
    expect(caseOf(documentOf([...shut, topOff('2026-09-01', 1)], '2026-10-11'))?.repairDue).toBe(
      '2026-09-21',
    );
  });
});

describe('how a case ends', () => {
  it('12: an addition on the day of the follow-up is not yet the next one', () => {
    const same = [...case12, topOff('2026-06-10', 1)];
    expect(documentOf(same, '2026-06-20').additions[1]).toMatchObject({
      percent: 40.555556,
      exceeds: { 'us-hfc': true },
    });
    expect(summary(same, '2026-06-20')).toEqual(['2026-06-01 verified']);
    const next = [...same, topOff('2026-09-01', 1)];
    expect(documentOf(next, '2026-09-02').additions[2]).toMatchObject({ percent: 4.39759 });
    expect(summary(next, '2026-09-02')).toEqual(['2026-06-01 closed 2026-09-01 confirmed']);
  });

  it('14: twelve months without an addition presume the repair', () => {
    expect(summary(case12, '2027-06-09')).toEqual(['2026-06-01 verified']);
    expect(summary(case12, '2027-06-10')).toEqual(['2026-06-01 closed 2027-06-10 presumed']);
    const last = documentOf([...case12, topOff('2027-06-10', 60)], '2027-06-12');
    expect(caseOf(last)?.state).toBe('plan');
    expect(duties(last, 'us-hfc', 'plan')).toEqual(['plan 2027-07-10 upcoming']);
    expect(summary([...case12, topOff('2027-06-11', 60)], '2027-06-12')).toEqual([
      '2026-06-01 closed 2027-06-10 presumed',
      '2027-06-11 open',
    ]);
  });

  it('22: an addition that nobody weighed decides nothing, but prevents the presumption', () => {
    const unknown = [...case12, topOff('2026-09-01', null)];
    expect(summary(unknown, '2028-06-11')).toEqual(['2026-06-01 verified']);
    expect(summary([...unknown, topOff('2027-08-01', 1)], '2028-06-11')).toEqual([
      '2026-06-01 closed 2027-08-01 confirmed',
    ]);
    expect(summary([...unknown, topOff('2027-08-01', 60)], '2027-08-02')).toEqual(['2026-06-01 plan']);
  });

  it('25: an unrelated leak closes the old case on the day of its addition', () => {
    const again = [...case12, topOff('2026-09-01', 30)];
    expect(hfc(again, '2026-09-20')).toContain('plan 2026-10-01 upcoming');
    const told = documentOf([...again, note('unrelatedLeak', '2026-09-15')], '2026-09-20');
    expect(told.cases.map((each) => [each.openedOn, each.state, each.closedBecause])).toEqual([
      ['2026-06-01', 'closed', 'unrelated'],
      ['2026-09-01', 'open', null],
    ]);
    expect(told.cases[1]?.repairDue).toBe('2026-10-01');
    expect(duties(told, 'us-hfc', 'plan')).toEqual([]);
  });
});

describe('plan', () => {
  const leak = [...exceedance, found('2026-06-02')];

  it('17: falls due 30 days after the repair did, and is void once the test passes late', () => {
    expect(summary(leak, '2026-07-01')).toEqual(['2026-06-01 open']);
    expect(summary(leak, '2026-07-02')).toEqual(['2026-06-01 plan']);
    expect(hfc(leak, '2026-07-02')).toContain('plan 2026-07-31 upcoming');
    const late = [...leak, repaired('2026-07-04'), initialPass('2026-07-05')];
    expect(summary(late, '2026-07-06')).toEqual(['2026-06-01 tested']);
    expect(hfc(late, '2026-07-06')).toContain('plan 2026-07-31 void');
  });

  it('says whether it follows from the repair that is late or from the gas that exceeded again', () => {
    const why = (facts: readonly Fact[], asOf: string) =>
      standing(facts, asOf).obligations.flatMap((each) => (each.kind === 'plan' ? [each.why] : []));
    expect(why(leak, '2026-07-02')).toEqual([
      { rule: 'planAfterRepairDue', repairDue: dayOf('2026-07-01'), days: 30 },
    ]);
    expect(why([...case12, topOff('2026-09-01', 30)], '2026-09-20')).toEqual([
      { rule: 'planAfterExceedance', exceededOn: dayOf('2026-09-01'), days: 30 },
    ]);
  });

  it('17: once filed it stands for the repair', () => {
    const filed = [...leak, note('planFiled', '2026-06-20', { plan: 'retrofit' })];
    expect(hfc(filed, '2026-07-06')).toEqual([
      'initialTest 2026-07-01 void',
      'repair 2026-07-01 void',
      'plan 2026-07-31 done 2026-06-20',
      'planDone 2027-06-20 upcoming',
    ]);
    expect(summary([...filed, note('planCompleted', '2027-01-20')], '2027-02-01')).toEqual([
      '2026-06-01 closed 2027-01-20 planCompleted',
    ]);
  });
});

describe('inspections', () => {
  const scene600: Scene = { pounds: 600 };

  it('7: every three months from the follow-up test', () => {
    const facts = [
      gas('2026-03-01'),
      topOff('2026-06-01', 72),
      found('2026-06-02'),
      repaired('2026-06-19', 'k1', true),
      initialPass('2026-06-20'),
      normal('2026-06-23'),
      followUpPass('2026-07-02'),
    ];
    const document = documentOf(facts, '2026-07-05', scene600);
    expect(caseOf(document)?.followUpDue).toBe('2026-07-03');
    expect(duties(document, 'us-hfc', 'inspection')).toEqual([
      'inspection 2026-10-02 upcoming',
      'inspection 2027-01-02 upcoming',
      'inspection 2027-04-02 upcoming',
      'inspection 2027-07-02 upcoming',
    ]);
  });

  const case18 = [
    gas('2026-03-01'),
    topOff('2026-06-01', 72),
    found('2026-06-02'),
    repaired('2026-06-03'),
    initialPass('2026-06-04'),
    followUpPass('2026-06-10'),
  ];
  const inspections = (facts: Fact[], asOf: string) =>
    duties(documentOf(facts, asOf, scene600), 'us-hfc', 'inspection');

  it('18: four quiet quarters in a row end the series; a later case takes over', () => {
    expect(inspections(case18, '2026-06-20').map((each) => each.split(' ')[1])).toEqual([
      '2026-09-10',
      '2026-12-10',
      '2027-03-10',
      '2027-06-10',
    ]);
    const again = [...case18, topOff('2026-08-01', 1), topOff('2026-12-01', 90)];
    expect(summary(again, '2026-12-02', scene600)).toEqual([
      '2026-06-01 closed 2026-08-01 confirmed',
      '2026-12-01 open',
    ]);
    expect(inspections(again, '2026-12-02').at(-1)).toBe('inspection 2027-12-10 upcoming');
    const verified = [
      ...again,
      found('2026-12-02', 'k2'),
      repaired('2026-12-03', 'k2'),
      initialPass('2026-12-04'),
      followUpPass('2026-12-08'),
    ];
    expect(inspections(verified, '2026-12-08')).toEqual([
      'inspection 2026-09-10 overdue',
      'inspection 2026-12-10 void',
      'inspection 2027-03-08 upcoming',
      'inspection 2027-03-10 void',
      'inspection 2027-06-08 upcoming',
      'inspection 2027-06-10 void',
      'inspection 2027-09-08 upcoming',
      'inspection 2027-09-10 void',
      'inspection 2027-12-08 upcoming',
      'inspection 2027-12-10 void',
    ]);
  });

  it('19: late and missed ones', () => {
    const facts = [...case18, inspected('2026-06-10'), inspected('2026-09-01'), inspected('2027-01-05')];
    expect(inspections(facts, '2027-06-01')).toEqual([
      'inspection 2026-09-10 done 2026-09-01',
      'inspection 2026-12-10 done 2027-01-05',
      'inspection 2027-03-10 done 2027-01-05',
      'inspection 2027-06-10 upcoming',
    ]);
  });

  it('27: a checked detector of the whole machine replaces those due while it holds', () => {
    const facts = [
      ...case18,
      note('applianceChanged', '2027-03-01', { automaticDetection: 'whole' }),
      note('detectionCheck', '2027-03-01'),
    ];
    expect(inspections(facts, '2027-03-05')).toEqual([
      'inspection 2026-09-10 overdue',
      'inspection 2026-12-10 overdue',
    ]);
  });

  it('32: an HFO in the European Union by kilograms', () => {
    const due = (kilograms: number) =>
      duties(
        documentOf([inspected('2026-04-02')], '2026-05-01', {
          kilograms,
          packs: ['eu'],
          appliance: { refrigerant: 'R-1234yf' },
        }),
        'eu',
      );
    expect([due(9.9), due(10), due(100)]).toEqual([
      ['inspection 2027-04-02 upcoming'],
      ['inspection 2026-10-02 upcoming'],
      ['inspection 2026-07-02 upcoming'],
    ]);
  });
});

it('10: a chronic leaker is reported by 1 March', () => {
  const document = documentOf([topOff('2026-02-01', 65), topOff('2026-09-01', 65)], '2026-11-23');
  expect(document.calendarYears[0]).toMatchObject({ percent: 130, chronic: true });
  expect(duties(document, 'us-hfc', 'chronicReport')).toEqual(['chronicReport 2027-03-01 upcoming']);
});

describe('32: who is covered', () => {
  const all: Scene['packs'] = ['us-ods', 'us-hfc', 'us-ca', 'eu', 'gb'];
  const covered = (refrigerant: string, pounds: number, hermetic = false) =>
    documentOf([], '2026-11-23', { pounds, packs: all, appliance: { refrigerant, hermetic } }).packs;
  it.each<[string, number, boolean, string[]]>([
    ['R-123', 60, false, ['us-ods', 'us-ca']],
    ['R-454C', 60, false, ['us-hfc']],
    ['R-408A', 60, false, ['us-ods', 'us-hfc', 'us-ca', 'eu', 'gb']],
    ['R-404A', 3, false, ['eu', 'gb']],
    ['R-404A', 3, true, []],
    ['R-1234yf', 3, false, ['eu']],
    ['R-1234yf', 3, true, []],
  ])('%s, %d lb, hermetic %s: %j', (refrigerant, pounds, hermetic, packs) => {
    expect(covered(refrigerant, pounds, hermetic)).toEqual(packs);
  });
});
