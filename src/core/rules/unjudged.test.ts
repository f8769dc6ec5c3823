/** What nobody can judge, with what is known all the same. Figures by hand. */
import { describe, expect, test } from 'vitest';
import { dayOf } from '../quantity/day';
import { grams } from '../quantity/mass';
import { added, note, recovered, standing, topOff } from '../testkit/facts';
import { judgedRate } from './judgedRate';
import { leastFullCharge, unjudged } from './unjudged';

const TODAY = '2026-11-23';
const unknownCharge = { pounds: null };
const LB = 453.59237;
const judged = (facts: Parameters<typeof standing>[0], scene: object = unknownCharge) =>
  unjudged(standing(facts, TODAY, scene));
const least = (facts: Parameters<typeof standing>[0]) => {
  const most = leastFullCharge(standing(facts, TODAY, unknownCharge).history.gas);
  return most === null ? null : grams(most) / LB;
};

describe('a machine whose full charge nobody knows', () => {
  test('is never fine: with gas of 61 lb on a day, US HFC rules would cover it', () => {
    const found = judged([topOff('2026-09-04', 61), topOff('2026-11-17', 17)]);
    expect(found).toMatchObject({ code: 'fullCharge' });
    if (found?.code !== 'fullCharge') throw new Error('cannot be');
    expect(found.atLeast === null ? null : grams(found.atLeast) / LB).toBeCloseTo(61, 6);
    expect(found.wouldCover.map((pack) => pack.id)).toEqual(['us-hfc']);
  });
  test('with 4 lb seen, no rule of the site would cover it, and that is not a finding either', () => {
    expect(judged([topOff('2026-09-04', 4)])).toMatchObject({ code: 'fullCharge', wouldCover: [] });
  });
  test('with nothing weighed, nothing is known of it', () => {
    expect(judged([])).toMatchObject({ code: 'fullCharge', atLeast: null });
  });
  test('is judged by nobody once it is retired, or where no rule set holds', () => {
    expect(judged([note('retired', '2026-10-01')])).toBeNull();
    expect(judged([topOff('2026-09-04', 61)], { pounds: null, packs: [] })).toBeNull();
  });
});

describe('the least that was in it', () => {
  test('is what went in on one day, not the sum of days, for it may have leaked between', () => {
    expect(least([topOff('2026-01-01', 20), topOff('2026-01-01', 12), topOff('2026-02-01', 15)])).toBeCloseTo(
      32,
      6,
    );
  });
  test('is what came out, where that is more; what went back in the same day counts once', () => {
    expect(least([recovered('2026-01-01', 'repair', 38), added('2026-01-01', 'recharge', 40)])).toBeCloseTo(
      40,
      6,
    );
    expect(least([recovered('2026-01-01', 'repair', 38)])).toBeCloseTo(38, 6);
    expect(
      least([
        added('2026-01-01', 'recharge', 10),
        recovered('2026-01-01', 'repair', 10),
        topOff('2026-01-01', 6),
      ]),
    ).toBeCloseTo(10, 6);
  });
  test('says nothing of the gas from before a conversion, nor of what nobody weighed', () => {
    expect(
      least([topOff('2026-01-01', 90), note('retrofitted', '2026-02-01', { toRefrigerant: 'R-449A' })]),
    ).toBeNull();
    expect(least([topOff('2026-01-01', null)])).toBeNull();
  });
});

describe('gas that nobody weighed', () => {
  test('keeps the machine from being judged and names its day, until the rate is known again', () => {
    const found = judged([topOff('2026-03-01', null)], { pounds: 100 });
    expect(found).toEqual({ code: 'notWeighed', days: [dayOf('2026-03-01')] });
    expect(judged([topOff('2026-03-01', 2)], { pounds: 100 })).toBeNull();
  });
  test('stands as missing in the rate of a later addition', () => {
    const made = standing([topOff('2026-03-01', null), topOff('2026-06-01', 2)], TODAY, {
      pounds: 100,
      method: 'rolling',
    });
    const last = made.additions.at(-1);
    if (!last) throw new Error('No addition.');
    expect(judgedRate(last, made.ledger)).toMatchObject({
      percent: null,
      exceeds: null,
      missing: { code: 'notWeighed', days: [dayOf('2026-03-01')] },
    });
  });
});

test('a known rate stands with the limit of its day: 12 of 100 lb in 92 days is 47.6 % against 20 %', () => {
  const made = standing([{ ...topOff('2026-03-01', 0.0001) }, topOff('2026-06-01', 12)], TODAY, {
    pounds: 100,
  });
  const last = made.additions.at(-1);
  if (!last) throw new Error('No addition.');
  const rate = judgedRate(last, made.ledger);
  expect(rate.percent).toBeCloseTo((12 / 100) * (365 / 92) * 100, 4);
  expect(rate).toMatchObject({ limit: { percent: 20 }, exceeds: true, missing: null, anyLeak: false });
});
