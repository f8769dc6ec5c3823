/** The word on made-up rises of every kind: right when firm, firm when it can be, and watching as long as promised makes it so. */
import { expect, test } from 'vitest';
import { countByKind, total } from '../../testkit/confusion';
import { toldOfSeeds } from '../../testkit/vacuumTold';
import { rollOf } from '../../testkit/seeded';
import { TRUTHS, lookOf, readThrough, truthOf } from '../../testkit/vacuumTruths';
import { judgeRise } from './judgeRise';

const MICRON = 0.1333223684;

test(
  '280 made-up rises: of each kind nearly all firm words are right, and a good part is firm',
  { timeout: 60_000 },
  () => {
    const counts = countByKind(toldOfSeeds(50_001, 280));
    const all = total(counts.values());
    expect(all.wrong / all.firm).toBeLessThanOrEqual(0.05);
    expect(all.firm / all.met).toBeGreaterThan(0.42);
    for (const kind of TRUTHS) {
      const { met, firm, wrong } = counts.get(kind) ?? { met: 0, firm: 0, wrong: 0 };
      expect(met, kind).toBeGreaterThan(20);
      expect(firm, kind).toBeGreaterThan(5);
      // Forty of a kind cannot tell one in twenty from two: the bench has 2,400.
      expect(wrong, kind).toBeLessThanOrEqual(2);
    }
  },
);

test(
  'of straight leaks of 10 microns a minute and more, watched ten minutes and more, most are firm',
  { timeout: 60_000 },
  () => {
    let firm = 0;
    let wrong = 0;
    for (let seed = 1; seed <= 40; seed += 1) {
      const roll = rollOf(seed);
      const truth = { ...truthOf('leak', roll), leak: (roll.logBetween(10, 200) * MICRON) / 60 };
      const look = { ...lookOf(roll), watch: roll.between(600, 1800), sampling: roll.between(2, 30) };
      const outcome = judgeRise({ readings: readThrough(truth, look, roll, false).readings, promise: false });
      if (!outcome.ok) throw new Error('refused');
      if (!outcome.value.value.firm) continue;
      firm += 1;
      if (!outcome.value.value.word.startsWith('climbing')) wrong += 1;
    }
    expect(firm).toBeGreaterThanOrEqual(26);
    expect(wrong).toBe(0);
  },
);

test('who watches on as long as was said has a firm word in four of five', { timeout: 60_000 }, () => {
  let promised = 0;
  let kept = 0;
  for (let seed = 1; promised < 24; seed += 1) {
    const roll = rollOf(seed);
    const truth = truthOf(TRUTHS[seed % 5] ?? 'flat', roll);
    const look = lookOf(roll);
    const read = (watch: number) =>
      judgeRise({ readings: readThrough(truth, { ...look, watch }, rollOf(seed + 1e6), false).readings });
    const first = read(look.watch);
    if (!first.ok || first.value.value.neededS === null) continue;
    promised += 1;
    const later = read(look.watch + first.value.value.neededS);
    if (later.ok && later.value.value.firm) kept += 1;
  }
  expect(kept / promised).toBeGreaterThanOrEqual(0.8);
});
