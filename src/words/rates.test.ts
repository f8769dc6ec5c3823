/** A rate in words: its limit beside it, and what a weight that nobody took makes of it. */
import { describe, expect, it } from 'vitest';
import { type Fact, type Scene, added, gas, recovered, standing, topOff } from '../core/testkit/facts';
import { judgedRate } from '../core/rules/judgedRate';
import { headroomSummary } from '../core/rules/summary';
import { unjudged } from '../core/rules/unjudged';
import { exceedsWords, rateFigure, rateWords, rodSentence, rodWords } from './rod';
import { annualizingWorking } from './working';

function lastRate(facts: Fact[], scene: Scene = {}) {
  const one = standing(facts, '2026-11-23', scene);
  const rate = one.additions.at(-1);
  if (!rate) throw new Error('no addition');
  return { one, rate, judged: judgedRate(rate, one.ledger), rod: headroomSummary(one) };
}

describe('at least', () => {
  // 12 lb of 100 lb in 92 days, and some that nobody weighed
  const { one, rate, judged, rod } = lastRate([
    gas('2026-03-01'),
    topOff('2026-06-01', 12),
    topOff('2026-06-01', null),
  ]);

  it('stands before the rate, the limit behind it', () => {
    expect(rateWords(judged)).toBe('at least 47.6 % a year, annualizing, limit 20 % (US HFC rules)');
    expect(rateFigure(judged)).toBe('at least 47.6 %');
    expect(exceedsWords(judged)).toBe('yes');
    expect(rodWords(rod, 'pounds')).toBe('at least 47.6 % a year, limit 20 %');
    expect(unjudged(one)).toBeNull();
  });

  it('stands in the working with what was weighed', () => {
    const { formula, steps } = annualizingWorking(rate, one.ledger, 'pounds');
    expect(formula).toBe(
      '12 lb ÷ 100 lb × 365 ÷ 92 days × 100 = 47.608696 %, at least: from what was weighed alone',
    );
    expect(steps).toContain('1 Jun 2026: 12 lb counts, and some was not weighed');
  });

  it('is told beside “cannot be judged” where it does not exceed', () => {
    const within = lastRate([gas('2026-03-01'), topOff('2026-06-01', 2), topOff('2026-06-01', null)]);
    expect(rateWords(within.judged)).toBe(
      'cannot be judged: 1 Jun 2026 not weighed (at least 7.9 % a year, annualizing, limit 20 % (US HFC rules))',
    );
    expect(unjudged(within.one)).toMatchObject({ code: 'notWeighed' });
    const nothing = lastRate([gas('2026-03-01'), topOff('2026-06-01', null)]);
    expect(rateWords(nothing.judged)).toBe('cannot be judged: 1 Jun 2026 not weighed');
    expect(rateFigure(nothing.judged)).toBe('cannot be judged');
  });
});

describe('at most', () => {
  const facts = [
    gas('2026-01-08'),
    recovered('2026-05-03', 'repair', null),
    added('2026-05-08', 'recharge', 2.5),
  ];
  // 2.5 lb of 2.5 lb in 120 days
  const { judged, rod } = lastRate(facts, { pounds: 2.5, packs: ['house'] });

  it('stands behind the rate with what was not weighed', () => {
    expect(rateWords(judged)).toBe(
      '304.2 % a year at most, annualizing, limit 15 % (House rule): what was taken out on 3 May 2026 was not weighed',
    );
    expect(rodWords(rod, 'pounds')).toBe(
      '304.2 % a year at most, limit 15 %: what was taken out on 3 May 2026 was not weighed',
    );
    expect(rodSentence(rod, 'pounds')).toContain('304.2 % a year at most on 8 May 2026');
  });

  it('is neither where something that went in was not weighed', () => {
    const both = lastRate([...facts, topOff('2026-05-08', null)], { pounds: 2.5, packs: ['house'] });
    expect(rateFigure(both.judged)).toBe('304.2 % by what was weighed alone');
  });
});
