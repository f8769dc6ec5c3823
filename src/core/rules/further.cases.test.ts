/**
 * Further cases worked out by hand: source, facts, what the rule says. Dates are counted on paper: a window of
 * n days reaches to and includes day D + n; months keep the day of the month or take the last of a shorter one.
 */
import { describe, expect, it } from 'vitest';
import {
  type Fact,
  type Scene,
  added,
  caseOf,
  charge,
  documentOf,
  duties,
  followUpFail,
  followUpPass,
  found,
  gas,
  initialFail,
  initialPass,
  inspected,
  lb,
  normal,
  note,
  recovered,
  repaired,
  topOff,
} from '../testkit/facts';

/** 47.6 % on 1 June 2026: the case opens, repair due 1 July */
const exceeded = [gas('2026-03-01'), topOff('2026-06-01', 12)];
const verified = [
  ...exceeded,
  found('2026-06-02'),
  repaired('2026-06-03'),
  initialPass('2026-06-04'),
  followUpPass('2026-06-10'),
];
const california: Scene = { packs: ['us-ca'] };
const europe: Scene = { packs: ['eu'], appliance: { refrigerant: 'R-404A' }, kilograms: 20, pounds: null };
const house: Scene = { packs: ['house'], pounds: 10, appliance: { refrigerant: 'R-134a' } };
const industrial: Scene = { appliance: { category: 'industrialProcess' } };
const ozone: Scene = { appliance: { refrigerant: 'R-22' } };

type Line = [
  rule: string,
  cite: string,
  facts: Fact[],
  asOf: string,
  scene: Scene,
  pack: string,
  kinds: string[],
  expected: string[],
];

const TABLE: Line[] = [
  // repair windows
  [
    'repair is due through the 30th day',
    '84.106 (d)',
    exceeded,
    '2026-07-01',
    {},
    'us-hfc',
    ['repair'],
    ['repair 2026-07-01 dueSoon'],
  ],
  [
    'and late the day after',
    '84.106 (d)',
    exceeded,
    '2026-07-02',
    {},
    'us-hfc',
    ['repair'],
    ['repair 2026-07-01 overdue'],
  ],
  [
    'the same window under the ozone rules',
    '82.157 (d)',
    exceeded,
    '2026-06-02',
    ozone,
    'us-ods',
    ['repair'],
    ['repair 2026-07-01 upcoming'],
  ],
  [
    'a shutdown gives an industrial process 120 days',
    '84.106 (d)',
    [...exceeded, note('processShutdown', '2026-06-20')],
    '2026-06-25',
    industrial,
    'us-hfc',
    ['repair'],
    ['repair 2026-09-29 upcoming'],
  ],
  [
    'a shutdown gives others nothing',
    '84.106 (d)',
    [...exceeded, note('processShutdown', '2026-06-20')],
    '2026-06-22',
    {},
    'us-hfc',
    ['repair'],
    ['repair 2026-07-01 upcoming'],
  ],
  [
    'a shutdown recorded late still holds',
    '84.106 (d)',
    [...exceeded, note('processShutdown', '2026-08-01')],
    '2026-08-02',
    industrial,
    'us-hfc',
    ['repair'],
    ['repair 2026-09-29 upcoming'],
  ],
  [
    'parts with a shutdown: at most 270 days',
    '84.106 (f)',
    [
      ...exceeded,
      note('processShutdown', '2026-06-20'),
      note('extension', '2026-06-21', { ground: 'parts' }),
    ],
    '2026-06-25',
    industrial,
    'us-hfc',
    ['repair'],
    ['repair 2027-02-26 upcoming'],
  ],
  [
    'another rule extends until its day',
    '84.106 (f)',
    [...exceeded, note('extension', '2026-06-10', { ground: 'otherRule', until: '2026-08-15' })],
    '2026-06-22',
    {},
    'us-hfc',
    ['repair'],
    ['repair 2026-08-15 upcoming'],
  ],
  [
    'an earlier day shortens nothing',
    '84.106 (f)',
    [...exceeded, note('extension', '2026-06-10', { ground: 'radiological', until: '2026-06-15' })],
    '2026-06-22',
    {},
    'us-hfc',
    ['repair'],
    ['repair 2026-07-01 upcoming'],
  ],
  [
    'the last extension counts',
    '84.106 (f)',
    [
      ...exceeded,
      note('extension', '2026-06-10', { ground: 'parts' }),
      note('extension', '2026-06-12', { ground: 'otherRule', until: '2026-07-20' }),
    ],
    '2026-06-22',
    {},
    'us-hfc',
    ['repair'],
    ['repair 2026-07-20 upcoming'],
  ],
  [
    'California: 14 days of the detection',
    '17 CCR 95386',
    [found('2026-06-01')],
    '2026-06-02',
    california,
    'us-ca',
    ['repair'],
    ['repair 2026-06-15 upcoming'],
  ],
  [
    'California: 45 days with a shutdown, any category',
    '17 CCR 95386',
    [found('2026-06-01'), note('processShutdown', '2026-06-02')],
    '2026-06-03',
    california,
    'us-ca',
    ['repair'],
    ['repair 2026-07-16 upcoming'],
  ],
  [
    'California: 45 days for parts',
    '17 CCR 95386',
    [
      found('2026-06-01'),
      note('extension', '2026-06-02', { ground: 'parts', partsDeliveredOn: '2026-06-05' }),
    ],
    '2026-06-03',
    california,
    'us-ca',
    ['repair'],
    ['repair 2026-07-16 upcoming'],
  ],
  [
    'California: another rule extends nothing',
    '17 CCR 95386',
    [found('2026-06-01'), note('extension', '2026-06-02', { ground: 'otherRule', until: '2026-12-01' })],
    '2026-06-03',
    california,
    'us-ca',
    ['repair'],
    ['repair 2026-06-15 upcoming'],
  ],
  [
    'European Union: 14 days are planned',
    '2024/573 art. 4',
    [found('2026-02-20')],
    '2026-02-21',
    europe,
    'eu',
    ['repair'],
    ['repair 2026-03-06 upcoming'],
  ],
  [
    'house rule: 30 days, no extension',
    'house',
    [gas('2026-01-01'), topOff('2026-02-01', 2), note('extension', '2026-02-02', { ground: 'parts' })],
    '2026-02-03',
    house,
    'house',
    ['repair'],
    ['repair 2026-03-03 upcoming'],
  ],
  // follow-up tests
  [
    '10 days from the first test',
    '84.106 (e)',
    [...exceeded, found('2026-06-02'), repaired('2026-06-28'), initialPass('2026-06-28')],
    '2026-06-29',
    {},
    'us-hfc',
    ['followUpTest'],
    ['followUpTest 2026-07-08 upcoming'],
  ],
  [
    '14 days in California',
    '17 CCR 95386',
    [found('2026-06-01'), repaired('2026-06-02'), initialPass('2026-06-03')],
    '2026-06-04',
    california,
    'us-ca',
    ['followUpTest'],
    ['followUpTest 2026-06-17 upcoming'],
  ],
  [
    'one month of the repair, from 31 January',
    '2024/573 art. 4',
    [found('2026-01-30'), repaired('2026-01-31')],
    '2026-02-01',
    europe,
    'eu',
    ['followUpTest'],
    ['followUpTest 2026-02-28 upcoming'],
  ],
  [
    'one month of the repair, in a leap year',
    '2024/573 art. 4',
    [found('2028-01-30'), repaired('2028-01-31')],
    '2028-02-01',
    europe,
    'eu',
    ['followUpTest'],
    ['followUpTest 2028-02-29 upcoming'],
  ],
  [
    'a pause moves no deadline in months',
    'handbook 2.5',
    [found('2026-01-30'), repaired('2026-01-31'), note('mothballed', '2026-02-05')],
    '2026-02-15',
    europe,
    'eu',
    ['followUpTest'],
    ['followUpTest 2026-02-28 upcoming'],
  ],
  [
    'that of the repaired leak while another is only found',
    '2024/573 art. 4',
    [found('2026-01-30'), repaired('2026-01-31'), found('2026-02-01', 'k2')],
    '2026-02-02',
    europe,
    'eu',
    ['followUpTest'],
    ['followUpTest 2026-02-28 upcoming'],
  ],
  [
    'not known while no leak of the case is repaired',
    '2024/573 art. 4',
    [found('2026-01-30'), found('2026-02-01', 'k2')],
    '2026-02-02',
    europe,
    'eu',
    ['followUpTest'],
    [],
  ],
  [
    '30 days for the house',
    'house',
    [gas('2026-01-01'), topOff('2026-02-01', 2), repaired('2026-02-02'), initialPass('2026-02-03')],
    '2026-02-04',
    house,
    'house',
    ['followUpTest'],
    ['followUpTest 2026-03-05 upcoming'],
  ],
  [
    'a case without leaks takes tests of the whole machine',
    'handbook 2.5',
    [...exceeded, initialPass('2026-06-05')],
    '2026-06-06',
    {},
    'us-hfc',
    ['repair', 'followUpTest'],
    ['followUpTest 2026-06-15 upcoming', 'repair 2026-07-01 done 2026-06-05'],
  ],
  [
    'but not once a leak has joined',
    'handbook 2.5',
    [...exceeded, initialPass('2026-06-05'), found('2026-06-06')],
    '2026-06-07',
    {},
    'us-hfc',
    ['initialTest', 'followUpTest'],
    ['initialTest 2026-07-01 upcoming'],
  ],
  // failed tests
  [
    'a failed first test makes the repair open again',
    '84.106 (e)',
    [...exceeded, found('2026-06-02'), repaired('2026-06-03'), initialFail('2026-06-03', 'k1')],
    '2026-06-04',
    {},
    'us-hfc',
    ['repair'],
    ['repair 2026-07-01 upcoming'],
  ],
  [
    'a failed second test of the whole machine leaves the repair done',
    'handbook 2.5',
    [
      ...exceeded,
      found('2026-06-02'),
      repaired('2026-06-03'),
      initialPass('2026-06-04'),
      followUpFail('2026-06-10'),
    ],
    '2026-06-11',
    {},
    'us-hfc',
    ['repair', 'initialTest'],
    ['initialTest 2026-07-01 upcoming', 'repair 2026-07-01 done 2026-06-03'],
  ],
  [
    'a failed second test after the window leads to the plan',
    '84.106 (h)',
    [...verified, followUpFail('2026-07-05', 'k1')],
    '2026-07-06',
    {},
    'us-hfc',
    ['plan'],
    ['plan 2026-07-31 upcoming'],
  ],
  // plans
  [
    'a plan is due 30 days after the extended repair',
    '84.106 (h)',
    [...exceeded, note('extension', '2026-06-10', { ground: 'otherRule', until: '2026-08-15' })],
    '2026-08-16',
    {},
    'us-hfc',
    ['plan'],
    ['plan 2026-09-14 upcoming'],
  ],
  [
    'California: 60 days of the detection, done within 6 months',
    '17 CCR 95387',
    [found('2026-06-01'), note('planFiled', '2026-07-10', { plan: 'retire' })],
    '2026-07-11',
    california,
    'us-ca',
    ['plan', 'planDone'],
    ['plan 2026-07-31 done 2026-07-10', 'planDone 2027-01-10 upcoming'],
  ],
  [
    'twelve months from 29 February end on 28 February',
    '84.106 (h)',
    [gas('2027-12-01'), topOff('2028-02-20', 12), note('planFiled', '2028-02-29', { plan: 'retrofit' })],
    '2028-03-01',
    {},
    'us-hfc',
    ['planDone'],
    ['planDone 2029-02-28 upcoming'],
  ],
  [
    'retirement carries a plan out',
    '84.106 (h)',
    [...exceeded, note('planFiled', '2026-06-20', { plan: 'retire' }), note('retired', '2026-09-01')],
    '2026-09-02',
    {},
    'us-hfc',
    ['planDone'],
    ['planDone 2027-06-20 done 2026-09-01'],
  ],
  [
    'the house rule knows no plan',
    'house',
    [gas('2026-01-01'), topOff('2026-02-01', 2), note('planFiled', '2026-02-02', { plan: 'retire' })],
    '2026-05-01',
    house,
    'house',
    ['plan', 'planDone'],
    [],
  ],
  // inspections
  [
    'yearly below 500 lb',
    '84.106 (g)',
    verified,
    '2026-06-11',
    {},
    'us-hfc',
    ['inspection'],
    ['inspection 2027-06-10 upcoming'],
  ],
  [
    'comfort cooling is yearly whatever its charge',
    '84.106 (g)',
    verified,
    '2026-06-11',
    { pounds: 600, appliance: { category: 'comfortCooling' } },
    'us-hfc',
    ['inspection'],
    [],
  ],
  [
    'an inspection that left accessible parts out serves none',
    '84.106 (g)',
    [...verified, inspected('2027-06-01', { allAccessibleInspected: false })],
    '2027-06-05',
    {},
    'us-hfc',
    ['inspection'],
    ['inspection 2027-06-10 dueSoon'],
  ],
  [
    'retirement voids what was not done',
    'handbook 2.5',
    [...verified, note('retired', '2026-12-01')],
    '2026-12-02',
    {},
    'us-hfc',
    ['inspection'],
    ['inspection 2027-06-10 void'],
  ],
  [
    'California from 200 lb: every three months',
    '17 CCR 95385',
    [inspected('2026-05-31')],
    '2026-06-01',
    { ...california, pounds: 200 },
    'us-ca',
    ['inspection'],
    ['inspection 2026-08-31 upcoming'],
  ],
  [
    'California from 2,000 lb: monthly',
    '17 CCR 95385',
    [inspected('2026-05-31')],
    '2026-06-01',
    { ...california, pounds: 2000 },
    'us-ca',
    ['inspection'],
    ['inspection 2026-06-30 upcoming'],
  ],
  [
    'unless all of it is under detection',
    '17 CCR 95385',
    [inspected('2026-05-31')],
    '2026-06-01',
    { ...california, pounds: 2000, appliance: { automaticDetection: 'whole' } },
    'us-ca',
    ['inspection'],
    [],
  ],
  [
    'California at an addition of 5 lb, done the same day',
    '17 CCR 95385',
    [topOff('2026-06-01', 5), inspected('2026-06-01')],
    '2026-06-02',
    california,
    'us-ca',
    ['inspection'],
    ['inspection 2026-06-01 done 2026-06-01', 'inspection 2027-06-01 upcoming'],
  ],
  [
    'not below 1 % of the full charge',
    '17 CCR 95385',
    [topOff('2026-06-01', 5.9), inspected('2026-05-31')],
    '2026-06-02',
    { ...california, pounds: 600 },
    'us-ca',
    ['inspection'],
    ['inspection 2026-08-31 upcoming'],
  ],
  // 20 kg of R-404A: 20 × 3921.6 / 1000 = 78.4 t
  [
    'European Union from 50 t: every six months',
    '2024/573 art. 5',
    [inspected('2026-05-31')],
    '2026-06-01',
    europe,
    'eu',
    ['inspection'],
    ['inspection 2026-11-30 upcoming'],
  ],
  [
    'doubled where detection is fitted',
    '2024/573 art. 5',
    [inspected('2026-05-31')],
    '2026-06-01',
    { ...europe, appliance: { refrigerant: 'R-404A', automaticDetection: 'part' } },
    'eu',
    ['inspection'],
    ['inspection 2027-05-31 upcoming'],
  ],
  [
    'Great Britain: the same by CO2e',
    '517/2014 art. 4',
    [inspected('2026-05-31')],
    '2026-06-01',
    { ...europe, packs: ['gb'] },
    'gb',
    ['inspection'],
    ['inspection 2026-11-30 upcoming'],
  ],
  [
    'without any, from the day the pack began',
    'handbook 2.5',
    [],
    '2024-06-01',
    europe,
    'eu',
    ['inspection'],
    ['inspection 2024-09-11 upcoming'],
  ],
  [
    'house: yearly from installation',
    'house',
    [],
    '2026-06-01',
    { ...house, appliance: { refrigerant: 'R-134a', installedOn: '2026-02-10' } },
    'house',
    ['inspection'],
    ['inspection 2027-02-10 upcoming'],
  ],
  ['house without an installation day: none', 'house', [], '2026-06-01', house, 'house', ['inspection'], []],
  // automatic detection
  [
    'large machines of 2017 to 2025 by 2027',
    '84.108',
    [],
    '2026-06-01',
    { pounds: 1500, appliance: { installedOn: '2020-01-01' } },
    'us-hfc',
    ['detection'],
    ['detection 2027-01-01 upcoming'],
  ],
  [
    'large new ones within 30 days',
    '84.108',
    [],
    '2026-06-01',
    { pounds: 1500, appliance: { installedOn: '2026-05-20' } },
    'us-hfc',
    ['detection'],
    ['detection 2026-06-19 upcoming'],
  ],
  [
    'older than 2017: none',
    '84.108',
    [],
    '2026-06-01',
    { pounds: 1500, appliance: { installedOn: '2016-12-31' } },
    'us-hfc',
    ['detection'],
    [],
  ],
  [
    'fitted: a check every year',
    '84.108',
    [note('detectionCheck', '2026-02-28')],
    '2026-06-01',
    { pounds: 1500, appliance: { installedOn: '2020-01-01', automaticDetection: 'part' } },
    'us-hfc',
    ['detection', 'detectionCheck'],
    ['detectionCheck 2027-02-28 upcoming'],
  ],
  // chronic leakers
  [
    'a filed report is done, however late',
    '84.106 (j)',
    [topOff('2026-02-01', 65), topOff('2026-09-01', 65), note('reportFiled', '2027-04-02', { year: 2026 })],
    '2027-05-01',
    {},
    'us-hfc',
    ['chronicReport'],
    ['chronicReport 2027-03-01 done 2027-04-02'],
  ],
  [
    'no report for a year that began before the pack',
    '84.106 (j)',
    [topOff('2025-02-01', 65), topOff('2025-09-01', 65)],
    '2026-01-10',
    {},
    'us-hfc',
    ['chronicReport'],
    [],
  ],
  [
    'retirement ends no report',
    'handbook 2.5',
    [topOff('2026-02-01', 130), note('retired', '2026-03-01')],
    '2026-04-01',
    {},
    'us-hfc',
    ['chronicReport'],
    ['chronicReport 2027-03-01 upcoming'],
  ],
  // mothballing
  [
    'a pause before the clock started counts from its start',
    'handbook 2.5',
    [
      gas('2026-03-01'),
      topOff('2026-06-01', 12),
      note('mothballed', '2026-06-21'),
      added('2026-06-26', 'commission', 1),
    ],
    '2026-06-30',
    {},
    'us-hfc',
    ['repair'],
    ['repair 2026-07-06 dueSoon'],
  ],
  [
    'a second mothballing within the pause changes nothing',
    'handbook 2.5',
    [
      ...exceeded,
      note('mothballed', '2026-06-11'),
      note('mothballed', '2026-06-20'),
      added('2026-07-01', 'commission', 1),
    ],
    '2026-07-02',
    {},
    'us-hfc',
    ['repair'],
    ['repair 2026-07-21 upcoming'],
  ],
];

describe('deadlines worked out by hand', () => {
  it.each(TABLE)('%s (%s)', (_rule, _cite, facts, asOf, scene, pack, kinds, expected) => {
    expect(duties(documentOf(facts, asOf, scene), pack, ...kinds)).toEqual(expected);
  });
});

describe('corrections', () => {
  const correct = (id: string, fact: Fact, rest: object): Fact =>
    ({ ...fact, id, correctionReason: 'test', ...rest }) as Fact;

  it('an exceedance undone by a correction takes the whole case and its duties with it', () => {
    const facts = [
      gas('2026-03-01'),
      { ...topOff('2026-06-01', 12), id: 'wrong' } as Fact,
      repaired('2026-06-03'),
    ];
    expect(documentOf(facts, '2026-06-10').cases).toHaveLength(1);
    const corrected = [...facts, correct('right', topOff('2026-06-01', 1.2), { supersedes: 'wrong' })];
    const document = documentOf(corrected, '2026-06-10');
    expect(document.cases).toEqual([]);
    expect(document.obligations).toEqual([]);
  });

  it('a correction whose day lies after today removes the old entry and adds nothing yet', () => {
    const facts = [
      gas('2026-03-01'),
      { ...topOff('2026-06-01', 12), id: 'wrong' } as Fact,
      correct('right', topOff('2026-07-01', 12), { supersedes: 'wrong' }),
    ];
    expect(documentOf(facts, '2026-06-10').additions).toEqual([]);
    expect(documentOf(facts, '2026-07-01').additions).toHaveLength(1);
  });

  it('what a superseded entry had superseded stays superseded, and of two corrections the greater id lives', () => {
    const first = { ...topOff('2026-06-01', 10), id: 'a1' } as Fact;
    const second = correct('a2', topOff('2026-06-01', 20), { supersedes: 'a1' });
    const rival = correct('a3', topOff('2026-06-01', 30), { supersedes: 'a1' });
    const voided = {
      ...note('void', '2026-06-02'),
      id: 'a4',
      supersedes: 'a3',
      correctionReason: 'test',
    } as Fact;
    const nets = (facts: Fact[]) => documentOf(facts, '2026-06-10').additions.map((each) => each.netGrams);
    expect(nets([first, second])).toEqual([9071.8474]);
    expect(nets([first, second, rival])).toEqual([13607.7711]);
    expect(nets([first, second, rival, voided])).toEqual([]);
  });

  it('a paper from last week, typed in today, takes its place in the past', () => {
    const late = [gas('2026-03-01'), topOff('2026-06-01', 12), added('2026-05-31', 'commission', 1)];
    expect(documentOf(late, '2026-06-10').additions[0]).toMatchObject({ percent: 4380 });
  });
});

describe('one day', () => {
  it('orders by instant across offsets, entries without one first, then by id', () => {
    // recovered 10:00 in the east, recharged 09:30 in the west: the recovery came first
    const facts = [
      gas('2026-01-01'),
      { ...added('2026-06-01', 'recharge', 30), at: '2026-06-01T09:30:00-06:00' } as Fact,
      { ...recovered('2026-06-01', 'repair', 30), at: '2026-06-01T10:00:00-04:00' } as Fact,
    ];
    expect(documentOf(facts, '2026-06-02').additions).toEqual([]);
    const reversed = [
      gas('2026-01-01'),
      { ...recovered('2026-06-01', 'repair', 30), at: '2026-06-01T23:00:00Z' } as Fact,
      added('2026-06-01', 'recharge', 30),
    ];
    expect(documentOf(reversed, '2026-06-02').additions[0]?.netGrams).toBe(13607.7711);
  });

  it('a leak found again after it was verified is a new leak and opens a case of its own in California', () => {
    const facts = [
      found('2026-06-01'),
      repaired('2026-06-02'),
      initialPass('2026-06-02'),
      followUpPass('2026-06-05'),
      found('2026-06-20'),
    ];
    const document = documentOf(facts, '2026-06-21', california);
    expect(document.cases.map((each) => [each.openedOn, each.state])).toEqual([
      ['2026-06-01', 'closed'],
      ['2026-06-20', 'open'],
    ]);
  });

  it('conversion closes every running case on its day, and the new refrigerant is judged that day', () => {
    const facts = [
      ...exceeded,
      note('retrofitted', '2026-06-20', { toRefrigerant: 'R-290' }),
      charge('2026-06-20', lb(80)),
    ];
    const document = documentOf(facts, '2026-06-21');
    expect(caseOf(document)).toMatchObject({
      state: 'closed',
      closedOn: '2026-06-20',
      closedBecause: 'retrofitted',
    });
    expect(document.packs).toEqual([]);
    expect(document.fullChargeGrams).toBe(36287.3896);
  });

  it('normal operation counts from the day of the first pass on', () => {
    const facts = [
      ...exceeded,
      found('2026-06-02'),
      repaired('2026-06-10', 'k1', true),
      initialPass('2026-06-11'),
      normal('2026-06-11'),
    ];
    expect(caseOf(documentOf(facts, '2026-06-12'))?.followUpDue).toBe('2026-06-21');
  });
});
