/** The word on a rise: curves written down by hand, the spikes of valves, gauges that lie, and the verdict by the goal. */
import { describe, expect, test } from 'vitest';
import { microns, refusalOf, valueOf } from '../../testkit/bench';
import { rollOf } from '../../testkit/seeded';
import { digitOf } from '../../testkit/vacuumTruths';
import { readTo } from './gauge';
import { type RiseInput, judgeRise } from './judgeRise';
import { FIVE_HUNDRED_AND_HOLD, SHAPE_DECIDES, evacuationVerdict } from './verdict';

/** Microns over seconds, read to the digit of a common gauge, with noise (a share) of a seed. */
const readings = (at: (s: number) => number, minutes: number, every: number, noise = 0, seed = 1) => {
  const { bell } = rollOf(seed);
  return Array.from({ length: Math.floor((minutes * 60) / every) + 1 }, (_, i) => {
    const seen = microns(at(i * every)) * (1 + noise * bell());
    const digit = digitOf(seen);
    return { at: i * every, pressure: Math.round(seen / digit) * digit };
  });
};
const judged = (given: RiseInput['readings'], rest: Partial<RiseInput> = {}) =>
  valueOf(judgeRise({ readings: given, ...rest }));
const perMinute = (pascals: number): number => (pascals * 60) / microns(1);

describe('a vacuum that was not isolated, or a gauge that lies', () => {
  test.each([
    ['480 to 150 with the pump on', (s: number) => 150 + 330 * Math.exp(-s / 200)],
    ['450 to 380 in ten minutes', (s: number) => 450 - (70 * s) / 600],
  ])('%s: not isolated, and no test', (_, curve) => {
    const found = judged(readings(curve, 10, 20, 0.01));
    expect(found).toMatchObject({ word: 'notIsolated', firm: true });
    expect(evacuationVerdict(found, FIVE_HUNDRED_AND_HOLD)).toEqual({
      outcome: 'noTest',
      reasons: ['notIsolated'],
    });
    // Nothing is known of a leak: any that the gauge could show may hide.
    expect(perMinute(found.leakRate.high)).toBeGreaterThan(1000);
  });
  test.each([
    ['stuck at 0', 0, 'outOfRange'],
    ['stuck at 400 to the micron', 400, 'stuck'],
    ['at its stop', 760_000, 'outOfRange'],
  ])('a gauge %s: gauge', (_, figure, fault) => {
    const found = judged(readings(() => figure, 10, 30));
    expect(found).toMatchObject({ word: 'gauge', firm: true, fault });
    expect(evacuationVerdict(found, FIVE_HUNDRED_AND_HOLD).outcome).toBe('noTest');
  });
  test('550 in steps of 5 may well stand at one figure: flat', () => {
    expect(judged(readings(() => 550, 10, 20))).toMatchObject({ word: 'flat', jumps: [] });
  });
});

describe('gas out of oil, with a time of a minute and one of ten, is never called a leak', () => {
  const oil = (s: number) => 300 + 200 * (1 - Math.exp(-s / 60)) + 200 * (1 - Math.exp(-s / 600));
  test.each([0, 0.01, 0.02])('noise of %d', (noise) => {
    for (const minutes of [10, 20, 30]) {
      const found = judged(readings(oil, minutes, 10, noise, 7));
      expect([found.word, found.firm], `${String(minutes)} min`).not.toEqual(['climbing', true]);
      expect([found.word, found.firm]).not.toEqual(['climbingAndLevelling', true]);
      if (minutes === 30) expect(found.word).toBe('levelling');
    }
  });
});

describe('a straight climb is a leak', () => {
  test.each([
    ['100 microns a minute over 20 minutes', 100, 20],
    ['157 microns a minute over 46 minutes', 157, 46],
    ['30 microns a minute over 30 minutes', 30, 30],
  ])('%s at 2 %% noise: firm', (_, rate, minutes) => {
    const found = judged(readings((s) => 300 + (rate * s) / 60, minutes, 10, 0.02, 3));
    expect(found).toMatchObject({ word: 'climbing', firm: true, neededS: null });
    // What was put in lies within what is told.
    expect(perMinute(found.leakRate.low)).toBeLessThan(rate);
    expect(perMinute(found.leakRate.high)).toBeGreaterThan(rate);
    expect(perMinute(found.leakRate.high)).toBeLessThan(rate * 1.1);
  });
  test('a climb that slows without end near may be a valve that passes, and says so', () => {
    // 4,000 microns on the other side, 120 a minute at first.
    const found = judged(readings((s) => 4000 - 3700 * Math.exp(-s / 1850), 40, 15, 0.01, 5));
    expect(found.word).toBe('climbingOrPassingValve');
    expect(found.leak).toBeGreaterThan(0.5);
  });
  test('three minutes of a slow climb are no firm word; it says how long to watch, and then it is firm', () => {
    const climb = (s: number) => 450 + (22 * s) / 60;
    const short = judged(readings(climb, 3, 10, 0.01));
    expect(short.firm).toBe(false);
    expect(short.neededS).toBeGreaterThan(60);
    const long = judged(readings(climb, 3 + (short.neededS ?? 0) / 60, 10, 0.01));
    expect(long).toMatchObject({ word: 'climbing', firm: true });
  });
});

describe('flat', () => {
  test('a gauge that drifts 4 microns in 20 minutes shows no leak', () => {
    expect(judged(readings((s) => 400 + (4 * s) / 1200, 20, 10)).word).toBe('flat');
    expect(judged(readings((s) => 400 + (4 * s) / 1200, 20, 10, 0.01)).word).toBe('flat');
  });
  test('says how small a leak could still hide, and a longer watch leaves less', () => {
    const ten = judged(readings(() => 400, 10, 10, 0.01));
    const thirty = judged(readings(() => 400, 30, 10, 0.01));
    expect(ten).toMatchObject({ word: 'flat', firm: true });
    expect(perMinute(ten.leakRate.high)).toBeLessThan(2);
    expect(thirty.leakRate.high).toBeLessThan(ten.leakRate.high);
  });
  test('moisture gives back its step and its time', () => {
    const found = judged(readings((s) => 300 + 700 * (1 - Math.exp(-s / 180)), 25, 10, 0.01));
    expect(found).toMatchObject({ word: 'levelling', firm: true });
    const [bend] = found.curves.moisture?.bends ?? [];
    expect(Math.abs((bend?.step ?? 0) / microns(700) - 1)).toBeLessThan(0.04);
    expect(Math.abs((bend?.time ?? 0) / 180 - 1)).toBeLessThan(0.08);
  });
});

describe('the spike of a valve', () => {
  test('as the first reading, 1,100 to 300 within seconds: marked, not "began too high"', () => {
    const found = judged(readings((s) => 300 + 800 * Math.exp(-s / 3), 12, 5, 0.005));
    expect(found.jumps.map(({ at }) => at)).toEqual(expect.arrayContaining([0, 5]));
    expect(found.word).toBe('flat');
    expect(evacuationVerdict(found, FIVE_HUNDRED_AND_HOLD).reasons).not.toContain('startTooHigh');
  });
  test('moved at minute five: marked, not fitted', () => {
    const found = judged(readings((s) => (s >= 300 && s < 315 ? 1800 : 400), 15, 5, 0.005));
    expect(found.jumps.map(({ at }) => at)).toEqual([300, 305, 310]);
    expect(found).toMatchObject({ word: 'flat', firm: true });
  });
  test('a step that does not come back is none', () => {
    expect(judged(readings((s) => (s < 300 ? 400 : 1300), 15, 5, 0.005)).jumps).toEqual([]);
  });
});

test('readings out of order give the same verdict', () => {
  const given = readings((s) => 450 + (36 * s) / 60, 20, 10, 0.01);
  const { shares } = judged(given);
  expect(judged(given.toReversed()).shares).toEqual(shares);
});

test('one reading carries no verdict, seven no firm one', () => {
  expect(refusalOf(judgeRise({ readings: readings(() => 400, 0, 10) }))).toEqual({
    reason: 'tooFewReadings',
    have: 1,
    need: 2,
  });
  expect(judged(readings(() => 400, 6, 60, 0.01)).firm).toBe(false);
});

test('progress rises to the end', () => {
  const shares: number[] = [];
  judgeRise({ readings: readings((s) => 400 + s / 20, 5, 10, 0.02) }, (share) => shares.push(share));
  expect(shares.at(-1)).toBe(1);
  expect(shares).toEqual(shares.toSorted((a, b) => a - b));
});

test('typed to the next five microns, the unrest of a fine gauge is not asked for', () => {
  const coarse = readings(() => 400, 10, 20).map((each) => ({ ...each, pressure: microns(400) }));
  expect(judged(coarse, { gauge: readTo(microns(5)) }).word).toBe('flat');
});

describe('verdict by the goal', () => {
  const after = (curve: (s: number) => number, minutes: number) => judged(readings(curve, minutes, 10, 0.01));
  test('400 microns, flat for twelve minutes: pass', () => {
    expect(
      evacuationVerdict(
        after(() => 400, 12),
        FIVE_HUNDRED_AND_HOLD,
      ).outcome,
    ).toBe('pass');
  });
  test('levelling at 800 microns passes', () => {
    const moist = after((s) => 400 + 400 * (1 - Math.exp(-s / 120)), 25);
    expect(evacuationVerdict(moist, FIVE_HUNDRED_AND_HOLD)).toEqual({ outcome: 'pass', reasons: [] });
  });
  test('a climb past 1,000 fails for both reasons', () => {
    const climbs = after((s) => 400 + (30 * s) / 60, 40);
    expect(evacuationVerdict(climbs, FIVE_HUNDRED_AND_HOLD)).toEqual({
      outcome: 'fail',
      reasons: ['endTooHigh', 'leak'],
    });
  });
  test('five minutes are too short even when flat', () => {
    expect(
      evacuationVerdict(
        after(() => 400, 5),
        FIVE_HUNDRED_AND_HOLD,
      ).reasons,
    ).toContain('tooShort');
  });
  test('flat at 1,200 fails one goal and passes the other', () => {
    const flat = after(() => 1200, 15);
    expect(evacuationVerdict(flat, FIVE_HUNDRED_AND_HOLD).reasons).toEqual(['startTooHigh', 'endTooHigh']);
    expect(evacuationVerdict(flat, SHAPE_DECIDES).outcome).toBe('pass');
  });
  test('tight for the goal, not for a machine in which less matters than could hide', () => {
    const flat = after(() => 400, 12);
    expect(evacuationVerdict(flat, FIVE_HUNDRED_AND_HOLD, flat.leakRate.high * 1.1).outcome).toBe('pass');
    expect(evacuationVerdict(flat, FIVE_HUNDRED_AND_HOLD, flat.leakRate.high * 0.9)).toEqual({
      outcome: 'watchOn',
      reasons: ['notTightEnough'],
    });
  });
});
