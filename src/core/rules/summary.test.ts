/** What a list says of a machine: its state, from the worst to the best, and its rod. Figures by hand. */
import { describe, expect, test } from 'vitest';
import { added, found, initialPass, inspected, kg, note, repaired, standing, topOff } from '../testkit/facts';
import { headroomSummary, summaryOf } from './summary';

const TODAY = '2026-11-23';
const of = (facts: Parameters<typeof standing>[0], scene: object = {}) =>
  summaryOf(standing(facts, TODAY, scene));
const commissioned = added('2026-01-02', 'commission', 10);

describe('the state of a machine', () => {
  test('is healthy with room and nothing due, and watch with little room', () => {
    expect(of([commissioned, topOff('2026-06-01', 1)]).state).toBe('healthy');
    // The year allows 20 lb of 100; 17 went in, 3 are left: less than a fifth of them.
    expect(of([topOff('2026-02-01', 8), topOff('2026-05-01', 9)], { method: 'rolling' }).state).toBe('watch');
  });
  test('is watch while a leak is open, case open after an exceedance, overdue past its day', () => {
    expect(of([commissioned, found('2026-11-20')]).state).toBe('watch');
    expect(of([commissioned, topOff('2026-11-20', 60)]).state).toBe('caseOpen');
    expect(of([commissioned, topOff('2026-06-01', 60)]).state).toBe('overdue');
  });
  test('stays a case that runs between its two tests, and while a plan is asked for', () => {
    const mended = [commissioned, topOff('2026-11-01', 60), found('2026-11-02'), repaired('2026-11-03')];
    expect(of([...mended, initialPass('2026-11-20')]).state).toBe('caseOpen');
    // Repair fell due on 20 November, the plan does on 20 December.
    expect(of([commissioned, topOff('2026-10-21', 60), found('2026-10-22')]).state).toBe('overdue');
    const filed = [
      topOff('2026-10-21', 60),
      found('2026-10-22'),
      note('planFiled', '2026-11-01', { plan: 'retrofit' }),
    ];
    expect(of([commissioned, ...filed]).state).toBe('caseOpen');
  });
  test('watches below a fifth of its allowance, and not at a fifth', () => {
    const used = (kilograms: number) =>
      of([{ ...topOff('2026-02-01', 1), mass: kg(kilograms) } as never], {
        method: 'rolling',
        kilograms: 100,
      }).state;
    expect([used(16), used(16.01)]).toEqual(['healthy', 'watch']);
  });
  test('says the rate of its last addition; none where that one was not weighed', () => {
    // 1 lb of 100 after 150 days: 2.433333 % a year
    expect(of([commissioned, topOff('2026-06-01', 1)]).latest?.percent).toBe(2.433333);
    expect(of([commissioned, topOff('2026-06-01', null)]).latest).toMatchObject({
      on: '2026-06-01',
      percent: null,
    });
  });
  test('cannot be judged rather than healthy or watch: unknown charge, or a last addition that nobody weighed', () => {
    expect(of([topOff('2026-06-01', 12)], { pounds: null }).state).toBe('unknown');
    expect(of([topOff('2026-06-01', 12), found('2026-11-20')], { pounds: null }).state).toBe('unknown');
    expect(of([commissioned, topOff('2026-06-01', null)]).state).toBe('unknown');
    expect(of([commissioned, topOff('2026-06-01', null), topOff('2026-09-01', 1)]).state).toBe('healthy');
  });
  test('is retired, whatever else was open', () => {
    expect(of([commissioned, topOff('2026-06-01', 60), note('retired', '2026-07-01')]).state).toBe('retired');
  });
});

describe('the rod', () => {
  test('shows the room of today: 20 lb a year of 100, 4 lb went in 150 days ago', () => {
    // Annualizing from the last gas day, 2 November: 20 % of 100 lb × 21/365 = 1.150685 lb.
    const rod = headroomSummary(standing([commissioned, topOff('2026-11-02', 4)], TODAY));
    if (!rod.limit) throw new Error('It has a limit.');
    expect(rod.thresholdPercent).toBe(20);
    expect(rod.freeGrams / 453.59237).toBeCloseTo((20 * 21) / 365, 4);
    expect(rod.exceeded).toBeNull();
  });
  test('shows the rate with the limit of its own day while it is not verified', () => {
    const rod = headroomSummary(
      standing([commissioned, topOff('2026-06-01', 60), repaired('2026-06-02')], TODAY),
    );
    // 60 of 100 lb in 150 days
    expect(rod.limit && rod.exceeded).toMatchObject({
      on: '2026-06-01',
      percent: 146,
      limitPercent: 20,
      pack: 'us-hfc',
      method: 'annualizing',
    });
  });
  test('shows what exceeds most of several limits, and gas of today before a case has opened', () => {
    // The limit is 20 lb of 100 in a rolling year; at it is not above it.
    const exactly = standing([topOff(TODAY, 20)], TODAY, { method: 'rolling' });
    const above = standing([topOff(TODAY, 20.001)], TODAY, { method: 'rolling' });
    const exceeded = (each: typeof exactly) => {
      const rod = headroomSummary(each);
      return rod.limit
        ? rod.exceeded && [rod.exceeded.on, rod.exceeded.percent, rod.exceeded.limitPercent]
        : 'none';
    };
    expect([exceeded(exactly), exceeded(above)]).toEqual([null, [TODAY, 20.001, 20]]);
    // An older, smaller exceedance of the running case stands behind the larger one of today.
    expect(
      exceeded(standing([topOff('2026-11-01', 21), topOff(TODAY, 9)], TODAY, { method: 'rolling' })),
    ).toEqual([TODAY, 30, 20]);
  });
  test('says why it has none: no rule set, any leak counts, unknown, retired', () => {
    expect(headroomSummary(standing([commissioned], TODAY, { packs: [] }))).toMatchObject({
      why: 'noLimit',
      anyLeak: false,
    });
    expect(
      headroomSummary(standing([inspected('2026-01-01')], TODAY, { packs: ['eu'], kilograms: 20 })),
    ).toMatchObject({
      why: 'noLimit',
      anyLeak: true,
    });
    expect(headroomSummary(standing([topOff('2026-06-01', 61)], TODAY, { pounds: null }))).toMatchObject({
      why: 'cannotJudge',
      unjudged: { code: 'fullCharge', wouldCover: ['us-hfc'] },
    });
    expect(headroomSummary(standing([note('retired', '2026-07-01')], TODAY))).toMatchObject({
      why: 'retired',
    });
  });
});
