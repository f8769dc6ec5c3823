/** What the screens read off a standing: summaries, gaps of the record, loose entries, the sense of an entry. */
import { describe, expect, it } from 'vitest';
import { dayOf } from '../quantity/day';
import { senseOf } from '../logbook/sense';
import type { Entry } from '../logbook/entry';
import {
  added,
  followUpPass,
  found,
  gas,
  initialPass,
  lb,
  note,
  recovered,
  repaired,
  standing,
  topOff,
} from '../testkit/facts';
import { looseEntries } from './loose';
import { recordGaps } from './recordGaps';
import { machineFacts } from './machineFacts';
import { summaryOf } from './summary';

const exceeded = [gas('2026-03-01'), topOff('2026-06-01', 12)];

describe('loose entries', () => {
  const loose = (rest: Parameters<typeof standing>[0]) =>
    looseEntries(standing([...exceeded, ...rest], '2026-08-01')).map(({ entry }) => entry.kind);
  it('are those on a day without a running case, or for a pack that the site does not list', () => {
    expect(loose([note('extension', '2026-05-31', { ground: 'parts' })])).toEqual(['extension']);
    expect(loose([note('planFiled', '2026-06-10', { plan: 'retire', pack: 'us-ca' })])).toEqual([
      'planFiled',
    ]);
    expect(loose([note('extension', '2026-06-01', { ground: 'parts' })])).toEqual([]);
  });
  it('count on the closing day, not after it', () => {
    const done = [
      found('2026-06-02'),
      repaired('2026-06-03'),
      initialPass('2026-06-04'),
      followUpPass('2026-06-10'),
      topOff('2026-07-10', 0.1),
    ];
    expect(loose([...done, note('processShutdown', '2026-07-10')])).toEqual([]);
    expect(loose([...done, note('processShutdown', '2026-07-11')])).toEqual(['processShutdown']);
  });
});

describe('a summary', () => {
  it.each<[string, Parameters<typeof standing>[0], string, Parameters<typeof standing>[2], string]>([
    ['overdue', exceeded, '2026-07-02', {}, 'overdue'],
    ['a case that runs', exceeded, '2026-06-10', {}, 'caseOpen'],
    ['a small headroom', [gas('2026-06-01')], '2026-06-20', {}, 'watch'],
    ['healthy', [gas('2026-01-01')], '2026-06-20', {}, 'healthy'],
    ['no full charge', [gas('2026-01-01')], '2026-06-20', { pounds: null }, 'unknown'],
    ['retired', [...exceeded, note('retired', '2026-06-05')], '2026-07-20', {}, 'retired'],
  ])('says %s', (_, facts, asOf, scene, state) => {
    expect(summaryOf(standing(facts, asOf, scene)).state).toBe(state);
  });

  it('says the rate and the limit of an unverified case, until it is verified', () => {
    const over = (facts: Parameters<typeof standing>[0], asOf: string) => {
      const { rod } = summaryOf(standing(facts, asOf));
      return rod.limit ? rod.exceeded : 'bare';
    };
    expect(over(exceeded, '2026-06-10')).toEqual({
      on: '2026-06-01',
      percent: 47.608696,
      bound: null,
      takenOut: [],
      limitPercent: 20,
      pack: 'us-hfc',
      method: 'annualizing',
    });
    expect(
      over(
        [...exceeded, repaired('2026-06-03'), initialPass('2026-06-04'), followUpPass('2026-06-10')],
        '2026-06-11',
      ),
    ).toBeNull();
  });
});

describe('gaps of the record', () => {
  const people = [
    {
      id: 'p',
      name: 'Marit Solane',
      certificates: [{ scheme: '608', number: 'T-1', expires: '2026-06-30' }],
    },
  ];
  const gaps = (facts: Parameters<typeof standing>[0]) =>
    recordGaps(standing(facts, '2026-11-23'), people).map((gap) => gap.code);
  it('names what an inspector would miss, and nothing else', () => {
    expect(gaps([{ ...topOff('2026-06-01', 1) }])).toEqual([]);
    expect(gaps([topOff('2026-06-01', null)])).toEqual(['notWeighed']);
    expect(gaps([topOff('2026-07-01', 1)])).toEqual(['certificateExpired']);
    expect(gaps([found('2026-05-01')])).toEqual(['leakWithoutPlace']);
    expect(gaps([note('leakInspection', '2026-05-01')])).toEqual(['inspectionWithoutMethod']);
    expect(gaps([initialPass('2026-05-01')])).toEqual(['testWithoutConditions']);
  });
  it('asks the conditions of a first test alone, and of a second one only how it was made', () => {
    const conditions = { section: 'low side', testGas: 'nitrogen', atJoint: true, method: 'bubbles' };
    expect(gaps([{ ...initialPass('2026-05-01'), ...conditions } as never])).toEqual([]);
    expect(gaps([followUpPass('2026-05-01')])).toEqual(['testWithoutConditions']);
    expect(gaps([{ ...followUpPass('2026-05-01'), method: 'bubbles' } as never])).toEqual([]);
  });
  it('lets a certificate hold on its last day', () => {
    expect(gaps([topOff('2026-06-30', 1)])).toEqual([]);
  });
  it('names what is overdue by its day, and no duty that is done or still has time', () => {
    // 12 of 100 lb after 92 days: 47.6 %; repaired on time, the second test never made.
    const work = [added('2026-03-01', 'commission', 10), topOff('2026-06-01', 12)];
    const overdue = recordGaps(standing(work, '2026-11-23'), people).filter(({ code }) => code === 'overdue');
    // Repair and first test 30 days after 1 June; 30 days after that the plan.
    expect(overdue).toMatchObject([
      { kind: 'initialTest', day: dayOf('2026-07-01') },
      { kind: 'repair', day: dayOf('2026-07-01') },
      { kind: 'plan', day: dayOf('2026-07-31') },
    ]);
    expect(recordGaps(standing(work, '2026-07-01'), people).map(({ code }) => code)).toEqual([]);
  });
});

describe('the sense of an entry', () => {
  const sense = (
    facts: Parameters<typeof standing>[0],
    entry: object,
    rest: { cylinder?: string; scene?: Parameters<typeof standing>[2] } = {},
  ) => {
    const made = { id: 'new', by: 'p', applianceId: 'a', on: '2026-11-20', ...entry } as Entry;
    const cylinder = rest.cylinder ? { id: 'c', serial: 'B-1', refrigerant: rest.cylinder } : null;
    return senseOf(made, {
      today: dayOf('2026-11-23'),
      cylinder,
      targetIsSuperseded: false,
      machine: machineFacts(made, standing(facts, '2026-11-23', rest.scene)),
    });
  };
  const gasIn = (pounds: number, reason = 'topOff') => ({
    kind: 'refrigerantAdded',
    mass: lb(pounds),
    reason,
  });

  it('is an error where it cannot be', () => {
    expect(sense([], { ...gasIn(1), on: '2026-11-24' }).errors).toEqual([
      { code: 'futureDate', field: 'on', today: dayOf('2026-11-23') },
    ]);
    expect(sense([], gasIn(100_001)).errors[0]?.code).toBe('moreThanAnyMachine');
    expect(
      sense([], { kind: 'fullChargeSet', method: 'range', low: lb(9), high: lb(8) }).errors[0]?.code,
    ).toBe('rangeReversed');
  });

  it('is a warning that asks for a reason where it may be', () => {
    expect(sense([], gasIn(101)).warnings).toEqual(['moreThanFullCharge']);
    expect(sense([gas('2026-01-01')], gasIn(1, 'commission')).warnings).toEqual(['commissionAgain']);
    expect(sense([note('retired', '2026-11-01')], gasIn(1)).warnings).toEqual(['retiredMachine']);
    expect(sense([], gasIn(1), { cylinder: 'R-22' }).warnings).toEqual(['wrongRefrigerant']);
    expect(sense([recovered('2026-11-01', 'repair', 5)], gasIn(6, 'recharge')).warnings).toEqual([
      'moreThanRecovered',
    ]);
    expect(sense([], gasIn(1), { scene: { appliance: { installedOn: '2026-11-21' } } }).warnings).toEqual([
      'beforeInstallation',
    ]);
  });

  it('is not asked again at the second bottle of a visit, but at the first of another', () => {
    const accepted = { visitId: 'v1', 'x-accepted': { moreThanRecovered: 'found empty' } };
    const before = [recovered('2026-11-01', 'repair', 5), added('2026-11-20', 'recharge', 6, accepted)];
    expect(sense(before, { ...gasIn(4, 'recharge'), visitId: 'v1' }).warnings).toEqual([]);
    expect(sense(before, { ...gasIn(4, 'recharge'), visitId: 'v2' }).warnings).toEqual(['moreThanRecovered']);
  });

  it('is neither for ordinary gas, and says when no rate can follow', () => {
    expect(sense([added('2026-01-01', 'commission', 50)], gasIn(1), { cylinder: 'R-448A' })).toEqual({
      errors: [],
      warnings: [],
      fullChargeUnknown: false,
    });
    expect(sense([], gasIn(1), { scene: { pounds: null } }).fullChargeUnknown).toBe(true);
  });

  it('judges the refrigerant and the charge that were in force on the day', () => {
    const converted = [note('retrofitted', '2026-06-01', { toRefrigerant: 'R-449A' })];
    expect(sense(converted, { ...gasIn(1), on: '2026-05-01' }, { cylinder: 'R-448A' }).warnings).toEqual([]);
    expect(sense(converted, gasIn(1), { cylinder: 'R-448A' }).warnings).toEqual(['wrongRefrigerant']);
  });
});
