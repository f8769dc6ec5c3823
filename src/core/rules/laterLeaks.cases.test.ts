/** Worked examples 15 and 28 to 31: leaks after the second test, decisions made anew, days of each leak, a late record. */
import { describe, expect, it } from 'vitest';
import { SHIPPED_PACKS } from './packs/shipped';
import { amended } from './amend';
import { standingFromEntries } from './standing';
import { standingDocument } from './standingDocument';
import { dayOf } from '../quantity/day';
import {
  type Fact,
  caseOf,
  documentOf,
  duties,
  followUpFail,
  followUpPass,
  found,
  gas,
  initialPass,
  inspected,
  normal,
  note,
  repaired,
  sceneOf,
  storyOf,
  topOff,
} from '../testkit/facts';

const exceedance = [gas('2026-03-01'), topOff('2026-06-01', 12)];
const summary = (facts: readonly Fact[], asOf: string) => {
  const { state, initialPassedOn, followUpDue, followUpPassedOn } = caseOf(documentOf(facts, asOf)) ?? {};
  return [state, initialPassedOn, followUpDue, followUpPassedOn];
};

describe('15: the first test of one leak, the second of another', () => {
  const first = [
    ...exceedance,
    found('2026-06-02'),
    initialPass('2026-06-04'),
    followUpPass('2026-06-05'),
    repaired('2026-06-06'),
    followUpPass('2026-06-06'),
    initialPass('2026-06-07'),
    initialPass('2026-06-09'),
    found('2026-06-10', 'k2'),
  ];
  it('a second leak does not take the second test of the first away', () => {
    expect(summary(first, '2026-06-11')).toEqual(['open', null, '2026-06-17', null]);
  });
  const whole = [...first, followUpPass('2026-06-12')];
  it('once that is passed, none is due while the second leak is only found', () => {
    expect(summary(whole, '2026-06-12')).toEqual(['open', null, null, null]);
    expect(duties(documentOf(whole, '2026-06-12'), 'us-hfc', 'followUpTest')).toEqual([]);
  });
  it('verified when both are', () => {
    const done = [
      ...whole,
      repaired('2026-06-13', 'k2'),
      initialPass('2026-06-13', 'k2'),
      followUpPass('2026-06-15', 'k2'),
    ];
    expect(summary(done, '2026-06-15')).toEqual(['verified', '2026-06-13', '2026-06-23', '2026-06-15']);
  });
});

describe('28: a leak after the second test', () => {
  const facts = [
    gas('2026-01-08'),
    topOff('2026-06-01', 150),
    initialPass('2026-06-02'),
    followUpPass('2026-06-03'),
    found('2026-08-01', 'k2'),
    topOff('2026-09-01', 150),
  ];
  const document = documentOf(facts, '2026-09-05', { pounds: 600 });
  it('puts the case into a plan and moves none of its dates', () => {
    expect(caseOf(document)).toMatchObject({
      state: 'plan',
      initialPassedOn: '2026-06-02',
      followUpPassedOn: '2026-06-03',
      closedOn: null,
    });
    expect(duties(document, 'us-hfc', 'repair', 'initialTest', 'followUpTest', 'plan')).toEqual([
      'followUpTest 2026-06-12 done 2026-06-03',
      'initialTest 2026-07-01 done 2026-06-02',
      'repair 2026-07-01 done 2026-06-02',
      'plan 2026-10-01 upcoming',
    ]);
  });
  it('the series goes on, one quarter longer', () => {
    expect(duties(document, 'us-hfc', 'inspection')).toEqual([
      'inspection 2026-09-03 overdue',
      'inspection 2026-12-03 upcoming',
      'inspection 2027-03-03 upcoming',
      'inspection 2027-06-03 upcoming',
      'inspection 2027-09-03 upcoming',
    ]);
  });
  it('after an unrelated leak it joins the case that opens', () => {
    const other = documentOf([...facts, note('unrelatedLeak', '2026-09-02')], '2026-09-05', { pounds: 600 });
    expect(caseOf(other)).toMatchObject({ closedOn: '2026-09-01', closedBecause: 'unrelated' });
    expect(caseOf(other, 'us-hfc', 1)).toMatchObject({
      openedOn: '2026-09-01',
      state: 'open',
      repairDue: '2026-10-01',
    });
    const repairedThen = documentOf(
      [
        ...facts,
        note('unrelatedLeak', '2026-09-02'),
        repaired('2026-09-03', 'k2'),
        initialPass('2026-09-04', 'k2'),
      ],
      '2026-09-05',
      { pounds: 600 },
    );
    expect(caseOf(repairedThen, 'us-hfc', 1)).toMatchObject({ state: 'tested' });
  });
});

describe('29: a second test that fails is decided anew', () => {
  const facts = [
    gas('2026-03-01'),
    topOff('2026-06-01', 25),
    found('2026-06-01'),
    note('planFiled', '2026-06-02', { plan: 'retrofit' }),
    repaired('2026-06-02'),
    initialPass('2026-06-03'),
    followUpPass('2026-06-04'),
    topOff('2026-08-01', 1),
    followUpFail('2026-08-02', 'k1'),
    repaired('2026-08-03'),
    initialPass('2026-08-04'),
    followUpPass('2026-08-05'),
  ];
  it('the addition after the new v decides', () => {
    const plan = (all: readonly Fact[]) => duties(documentOf(all, '2026-09-25'), 'us-hfc', 'plan');
    expect(plan(facts)).toEqual(['plan 2026-07-31 done 2026-06-02']);
    expect(plan([...facts, topOff('2026-09-20', 40)])).toEqual(['plan 2026-10-20 done 2026-06-02']);
  });
  it('what exceeded stays decided, whatever becomes of v', () => {
    const again = [
      ...exceedance,
      repaired('2026-06-02'),
      initialPass('2026-06-03'),
      followUpPass('2026-06-04'),
      topOff('2026-07-15', 30),
      followUpFail('2026-07-16', 'k1'),
      repaired('2026-07-17'),
      initialPass('2026-07-18'),
      followUpPass('2026-07-19'),
      topOff('2026-12-30', 0.1),
    ];
    const document = documentOf(again, '2028-01-01');
    expect(caseOf(document)).toMatchObject({ state: 'plan', followUpPassedOn: '2026-07-19', closedOn: null });
    expect(duties(document, 'us-hfc', 'plan')).toEqual(['plan 2026-08-14 overdue']);
  });
});

describe('30: two leaks, two second tests', () => {
  const facts = [
    ...exceedance,
    found('2026-06-02'),
    found('2026-06-02', 'k2'),
    repaired('2026-06-05', 'k1', true),
    initialPass('2026-06-05', 'k1'),
    normal('2026-06-06'),
  ];
  const followUp = (all: readonly Fact[], asOf: string) =>
    duties(documentOf(all, asOf), 'us-hfc', 'followUpTest');
  it('the tested one does not wait for the parts of the other', () => {
    expect(summary(facts, '2026-06-10')).toEqual(['open', null, '2026-06-16', null]);
    expect(followUp(facts, '2026-06-17')).toEqual(['followUpTest 2026-06-16 overdue']);
  });
  it('then the other has days of its own', () => {
    const passed = [...facts, followUpPass('2026-06-15', 'k1')];
    expect(followUp(passed, '2026-06-17')).toEqual([]);
    const second = [...passed, repaired('2026-07-20', 'k2'), initialPass('2026-07-21', 'k2')];
    expect(followUp(second, '2026-07-22')).toEqual(['followUpTest 2026-07-31 upcoming']);
    expect(summary([...second, followUpPass('2026-07-25', 'k2')], '2026-07-25')).toEqual([
      'verified',
      '2026-07-21',
      '2026-07-31',
      '2026-07-25',
    ]);
  });
});

describe('31: a machine that comes late into the book', () => {
  const due = (asOf: string, facts: readonly Fact[], appliance: object) =>
    duties(documentOf(facts, asOf, { kilograms: 12, packs: ['eu'], appliance }), 'eu');
  const old = { refrigerant: 'R-404A', installedOn: '2008-05-01', recordFrom: '2026-11-01' };
  it('is not late for the years before its record', () => {
    expect(due('2026-11-23', [], old)).toEqual(['inspection 2027-11-01 upcoming']);
    expect(due('2026-11-23', [], { ...old, recordFrom: null })).toEqual(['inspection 2025-03-11 overdue']);
  });
  it('an inspection of before the record counts, but is never due before it', () => {
    expect(due('2026-11-23', [inspected('2024-01-10')], old)).toEqual(['inspection 2026-11-01 overdue']);
    expect(due('2026-11-23', [inspected('2026-02-10')], old)).toEqual(['inspection 2027-02-10 upcoming']);
  });
  it('the house asks once a beginning is known', () => {
    const house = (appliance: object) =>
      duties(documentOf([], '2026-11-23', { packs: ['house'], appliance }), 'house', 'inspection');
    expect(house({})).toEqual([]);
    expect(house({ recordFrom: '2026-11-01' })).toEqual(['inspection 2027-11-01 upcoming']);
  });
  it('additions before the record ask for no inspection', () => {
    const california = (recordFrom: string) =>
      duties(
        documentOf([gas('2026-01-01'), topOff('2026-06-01', 12)], '2026-11-23', {
          packs: ['us-ca'],
          appliance: { recordFrom },
        }),
        'us-ca',
        'inspection',
      );
    expect(california('2026-06-01')).toContain('inspection 2026-06-01 overdue');
    expect(california('2026-06-02')).not.toContain('inspection 2026-06-01 overdue');
  });
});

describe('figures of the company in place of those of the text', () => {
  const withFigure = (path: string[], value: number, facts: readonly Fact[], asOf: string) => {
    const changed = amended(SHIPPED_PACKS['us-hfc'], {
      pack: 'us-hfc',
      figure: path,
      from: '2025-01-01',
      value,
      reason: 'stricter',
      by: 'Odalys Brandt',
    });
    if (!changed.ok) throw new Error(changed.refusal.reason);
    const { site, appliance } = sceneOf({});
    const packs = { ...SHIPPED_PACKS, 'us-hfc': changed.value };
    return standingDocument(
      standingFromEntries(appliance, site, storyOf(facts, { pounds: 600 }), dayOf(asOf), packs),
    );
  };
  const verified = [
    gas('2026-01-08'),
    topOff('2026-06-01', 150),
    initialPass('2026-06-02'),
    followUpPass('2026-06-03'),
  ];
  it('a chronic figure below 125 % is heeded', () => {
    const document = withFigure(['chronic', 'percent'], 25, verified, '2026-11-23');
    expect(document.calendarYears[0]).toMatchObject({ percent: 25, chronic: true });
    expect(duties(document, 'us-hfc', 'chronicReport')).toEqual(['chronicReport 2027-03-01 upcoming']);
  });
  it('two quiet quarters end a series, and six months presume a repair', () => {
    const short = withFigure(['seriesInspections', 'quietQuarters'], 2, verified, '2026-11-23');
    expect(duties(short, 'us-hfc', 'inspection')).toEqual([
      'inspection 2026-09-03 overdue',
      'inspection 2026-12-03 upcoming',
    ]);
    expect(caseOf(withFigure(['presumedAfter'], 6, verified, '2026-12-05'))).toMatchObject({
      closedOn: '2026-12-03',
      closedBecause: 'presumed',
    });
  });
  it('a check of a detector holds as long as the pack says', () => {
    const detector = [
      ...verified,
      note('applianceChanged', '2026-07-01', { automaticDetection: 'whole' }),
      note('detectionCheck', '2026-07-01'),
    ];
    const document = withFigure(['seriesInspections', 'checkedDetectionHolds'], 3, detector, '2026-11-23');
    expect(duties(document, 'us-hfc', 'inspection')[0]).toBe('inspection 2026-12-03 upcoming');
  });
});
