/** Every code of the core has words, read from the core's own lists so that none is forgotten. */
import { describe, expect, it } from 'vitest';
import { PACK_IDS } from '../core/logbook/packNames';
import { dayOf } from '../core/quantity/day';
import { figuresOf } from '../core/rules/amend';
import { OBLIGATION_KINDS } from '../core/rules/obligation';
import { SHIPPED_PACKS } from '../core/rules/packs/shipped';
import { answerOf } from '../record/answers';
import { FORM_KINDS, kindForm } from '../record/forms';
import { standing, gas, topOff } from '../core/testkit/facts';
import { headroomSummary } from '../core/rules/summary';
import { beadsOf } from '../web/parts/rodGeometry';
import { OBLIGATION_WORDS } from './codes';
import { untilWords } from './dates';
import { figureLabel } from './figures';
import { rodSentence, rodWords } from './rod';
import { whyWords } from './why';

describe('words', () => {
  it('stand for every obligation and figure of a pack', () => {
    for (const kind of OBLIGATION_KINDS) expect(OBLIGATION_WORDS[kind]).toBeTruthy();
    for (const id of PACK_IDS) {
      const pack = SHIPPED_PACKS[id];
      for (const { path } of figuresOf(pack))
        expect(figureLabel(pack, path), `${id} ${path.join('.')}`).not.toBeNull();
    }
  });

  it('every obligation leads to a form that exists', () => {
    const WHY = { rule: 'detectionFixed', installedOn: dayOf('2026-06-01') } as const;
    for (const kind of OBLIGATION_KINDS)
      expect(kindForm(answerOf({ kind, why: WHY }).kind).title).toBeTruthy();
    for (const kind of FORM_KINDS) expect(kindForm(kind).about).toBeTruthy();
  });

  it('say why with the figures put in, and how long', () => {
    const day = dayOf('2026-06-01');
    expect(whyWords({ rule: 'repairWindow', openedOn: day, days: 30, shutdown: false })).toBe(
      'Case opened 1 Jun 2026; 30 days to repair',
    );
    expect(
      whyWords({ rule: 'partsExtension', openedOn: day, deliveredOn: null, afterDelivery: 30, capDays: 180 }),
    ).toBe('Parts on order; at most 180 days from 1 Jun 2026');
    expect([-6, -1, 0, 1, 12].map((days) => untilWords((day + days) as typeof day, day))).toEqual([
      '6 days late',
      '1 day late',
      'today',
      'tomorrow',
      'in 12 days',
    ]);
  });
});

describe('the rod', () => {
  const rod = (facts: Parameters<typeof standing>[0], asOf: string, scene = {}) =>
    headroomSummary(standing(facts, asOf, scene));

  it('shows free beads rounded down and packs the rest against the stop', () => {
    // 92 of 365 days earned: 5.04 of 20 beads, and of 20 lb 5 lb 0.66 oz, which is rounded down
    const present = rod([gas('2026-03-01')], '2026-06-01');
    expect(present.limit && beadsOf(present)).toEqual({ free: 5, spent: 15, over: 0, overCapped: false });
    expect(rodWords(present, 'pounds')).toBe('5 lb left before 20 % a year');
    expect(rodSentence(present, 'pounds')).toBe(
      '5 lb of 20 lb may be added before 20 % a year (US HFC rules, annualizing).',
    );
  });

  it('counts diamonds beyond the stop while an exceedance is not verified', () => {
    // 22 % of a 20 % threshold: a tenth over, two beads
    const over = rod([topOff('2026-06-01', 22)], '2026-06-03', { method: 'rolling' });
    expect(over.limit && beadsOf(over)).toEqual({ free: 0, spent: 20, over: 2, overCapped: false });
    expect(rodWords(over, 'pounds')).toBe('22 % a year, limit 20 %');
    const far = rod([topOff('2026-06-01', 90)], '2026-06-03', { method: 'rolling' });
    expect(far.limit && beadsOf(far)).toMatchObject({ over: 5, overCapped: true });
  });

  it('is bare where there is no limit, and says why', () => {
    expect(rodWords(rod([], '2026-06-01', { packs: ['us-ca'] }), 'pounds')).toBe(
      'no limit here: any leak counts',
    );
    expect(rodWords(rod([], '2026-06-01', { packs: [] }), 'pounds')).toBe('no limit: no rule covers it');
    expect(rodWords(rod([], '2026-06-01', { pounds: null }), 'pounds')).toBe(
      'cannot be judged: full charge not known',
    );
    expect(rodWords(rod([topOff('2026-05-17', null)], '2026-06-01', { method: 'rolling' }), 'pounds')).toBe(
      'cannot be judged: 17 May 2026 was not weighed',
    );
  });

  it('of unknown charge says what is known all the same, and what to do', () => {
    const taken = rod([topOff('2026-06-01', 72)], '2026-06-03', { pounds: null });
    expect(rodSentence(taken, 'pounds')).toBe(
      'Cannot be judged: set the full charge (at least 72 lb is in it, so US HFC rules would cover it).',
    );
    expect(rodSentence(rod([], '2026-06-03', { pounds: null }), 'pounds')).toContain('nobody weighed');
  });
});
