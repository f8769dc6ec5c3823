/** The sums, the evidence and the shares under the verdicts, against other ways of reckoning the same. */
import { describe, expect, test } from 'vitest';
import { rollOf } from '../../testkit/seeded';
import { components } from './evidence';
import { explain } from './explain';
import { type Explanation, curveAt } from './explanation';
import { cut, shareBelow } from './normal';
import { CONSTANT, type SeriesReading, TIME, columnsOf, whitened } from './whitened';

const series = (value: (at: number) => number, count: number, every: number, deviation: number, seed = 1) => {
  const { bell } = rollOf(seed);
  return Array.from({ length: count }, (_, i): SeriesReading => {
    const at = i * every;
    return { at, value: value(at) + deviation * bell(), deviation };
  });
};

describe('a normal distribution cut to a range', () => {
  test.each([
    // Published: 68.27 % within one deviation, 15.87 % beyond; the mean of the upper half is √(2/π) deviations.
    [-1, 1, 0.6827, 0],
    [1, 50, 0.1587, 1.5251],
    [0, 50, 0.5, 0.7979],
  ])('from %d to %d: share %d, mean %d', (low, high, share, mean) => {
    const part = cut(0, 1, low, high);
    expect(part?.share).toBeCloseTo(share, 4);
    expect(part?.mean).toBeCloseTo(mean, 3);
  });
  test('where next to nothing lies there is no part', () => {
    expect(cut(0, 1, 8, 9)).toBeNull();
    expect(shareBelow(0, 0, 1)).toBeCloseTo(0.5, 6);
    expect([shareBelow(1, 2, 0), shareBelow(2, 2, 0)]).toEqual([0, 1]);
  });
});

describe('whitened sums', () => {
  const readings = series((at) => 50 + 0.3 * at, 12, 10, 2);
  test('noise of its own: plain weighted sums', () => {
    const sums = whitened(columnsOf(readings, []), 0);
    expect(sums.product(CONSTANT, CONSTANT)).toBeCloseTo(12 / 4, 9);
    expect(sums.product(CONSTANT, TIME)).toBeCloseTo((10 * 66) / 4, 9);
    expect(sums.squares).toBeCloseTo(readings.reduce((sum, { value }) => sum + value * value, 0) / 4, 6);
  });
  test('fading noise: as the inverse of the whole covariance would give it', () => {
    // 2 readings: covariance 4 × [[1, r], [r, 1]], inverse ÷ (4 (1 − r²)): the constant's sum is 2 (1 − r) ÷ (4 (1 − r²)).
    const [a, b] = readings;
    if (!a || !b) throw new Error('two readings');
    const r = Math.exp(-10 / 25);
    const sums = whitened(columnsOf([a, b], []), 25);
    expect(sums.product(CONSTANT, CONSTANT)).toBeCloseTo((2 * (1 - r)) / (4 * (1 - r * r)), 12);
    // Determinant of the covariance: 16 (1 − r²).
    expect(sums.logScale).toBeCloseTo(-0.5 * Math.log(16 * (1 - r * r)), 12);
  });
});

describe('evidence', () => {
  const steady: Explanation = {
    name: 'steady',
    share: 0.5,
    slope: null,
    bends: [],
    step: null,
    flow: null,
    sign: 1,
  };
  const sloped: Explanation = { ...steady, name: 'sloped', slope: { low: 0.01, high: 2 } };
  const FREEDOM = 5;

  /**
   * The same by brute force: every start, slope and noise on a fine grid, nothing in closed form. `scaled`: what the gauge
   * drifts grows with its noise.
   */
  function bruteForce(
    readings: readonly SeriesReading[],
    slopes: readonly { slope: number; weight: number }[],
    scaled: boolean,
  ): number {
    let sum = 0;
    const middle = readings.reduce((total, { value }) => total + value, 0) / readings.length;
    for (const { slope, weight } of slopes)
      for (let start = middle - 40; start <= middle + 40; start += 0.5)
        for (let k = 0.4; k <= 6; k *= 1.06) {
          let squares = 0;
          for (const { at, value, deviation } of readings)
            squares += ((value - start - slope * (scaled ? k : 1) * at) / deviation) ** 2;
          // The stated noise counts as so many readings, each as far off as stated.
          const log = -(squares + FREEDOM) / (2 * k * k) - (readings.length + FREEDOM) * Math.log(k);
          sum += weight * Math.exp(log) * 0.5 * Math.log(1.06);
        }
    return Math.log(sum);
  }
  const slopesIn = (low: number, high: number) => {
    const ratio = 1.02;
    const grid: { slope: number; weight: number }[] = [];
    for (let slope = low; slope < high; slope *= ratio)
      grid.push({ slope, weight: Math.log(ratio) / Math.log(high / low) });
    return grid;
  };
  const drifts = (deviation: number) =>
    Array.from({ length: 41 }, (_, i) => (i - 20) / 5).map((z) => ({
      slope: z * deviation,
      weight: (0.2 * Math.exp((-z * z) / 2)) / Math.sqrt(2 * Math.PI),
    }));

  test.each([
    ['steady', () => 100],
    ['a slope of 0.05', (at: number) => 100 + 0.05 * at],
    ['a slope of 0.2', (at: number) => 100 + 0.2 * at],
  ])('%s: the odds of a slope are those of brute force', (_, value) => {
    const readings = series(value, 14, 10, 3, 4);
    const drift = 0.01;
    const sums = whitened(columnsOf(readings, []), 0);
    const prior = { drift, freedom: FREEDOM, noise: 1, squares: Infinity };
    const [flat] = components(sums, [], steady, prior);
    const [slope] = components(sums, [], sloped, prior);
    const odds = (slope?.log ?? NaN) - (flat?.log ?? NaN);
    const expected =
      bruteForce(readings, slopesIn(0.01, 2), false) - bruteForce(readings, drifts(drift), true);
    // A fifth of a logarithm: sizes stand at the middle of what their range leaves.
    expect(Math.abs(odds - expected)).toBeLessThan(0.3);
  });

  test('bounds hold: of slopes that are there, nine in ten lie between them', () => {
    let within = 0;
    for (let seed = 1; seed <= 60; seed += 1) {
      const { rateAt } = explain(
        series((at) => 100 + 0.3 * at, 40, 10, 4, seed),
        [steady, sloped],
        {
          drift: 0.001,
          freedom: FREEDOM,
        },
      );
      if (rateAt(0.05) <= 0.3 && 0.3 <= rateAt(0.95)) within += 1;
    }
    expect(within / 60).toBeGreaterThanOrEqual(0.82);
    expect(within / 60).toBeLessThanOrEqual(1);
  });

  test('shares sum to 1, and the best curve runs through the readings', () => {
    const bend: Explanation = {
      ...steady,
      name: 'bend',
      bends: [{ low: 30, high: 900 }],
      step: { low: 1, high: 500 },
    };
    const truth = { start: 100, slope: 0, bends: [{ step: 80, time: 120 }] };
    const found = explain(
      series((at) => curveAt(truth, at), 60, 10, 1, 9),
      [steady, sloped, bend],
      {
        drift: 0.001,
        freedom: FREEDOM,
      },
    );
    const { shares, curves } = found as {
      shares: Record<string, number>;
      curves: Record<string, typeof truth | null>;
    };
    expect(Object.values(shares).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
    expect(shares['bend']).toBeGreaterThan(0.99);
    const curve = curves['bend'];
    for (const at of [0, 100, 300, 590])
      expect(Math.abs(curveAt(curve ?? truth, at) - curveAt(truth, at))).toBeLessThan(2);
  });
});
