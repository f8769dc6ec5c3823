/** The least squares and the bounds under the verdict, against other ways of reckoning the same. */
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { dice, vacuumCurve } from '../../testkit/vacuumCurves';
import { valueOf } from '../../testkit/bench';
import { judgeRise } from './judgeRise';
import { type Normal, bestFit } from './leastSquares';
import { fitRise, prepared, riseAt } from './rise';
import { cleaned, median, noiseOf } from './samples';

/** Sums of products of columns, written out plainly. */
function normalOf(columns: number[][], y: number[]): Normal {
  const dot = (a: number[], b: number[]): number => a.reduce((sum, each, i) => sum + each * (b[i] ?? 0), 0);
  return {
    gram: columns.map((a) => columns.map((b) => dot(a, b))),
    right: columns.map((a) => dot(a, y)),
    yy: dot(y, y),
  };
}

describe('least squares with factors that may not be negative', () => {
  const times = Array.from({ length: 20 }, (_, i) => i);
  const columns = [times.map(() => 1), times, times.map((t) => 1 - Math.exp(-t / 5))];

  test('factors that are put in come out', () => {
    const y = times.map((t) => 50 + 2 * t + 30 * (1 - Math.exp(-t / 5)));
    const { factors, squares } = bestFit(normalOf(columns, y));
    expect(factors[0]).toBeCloseTo(50, 6);
    expect(factors[1]).toBeCloseTo(2, 6);
    expect(factors[2]).toBeCloseTo(30, 6);
    expect(squares).toBeLessThan(1e-6);
  });

  test('a falling line is fitted by its mean: nothing leaks outwards', () => {
    const { factors } = bestFit(
      normalOf(
        columns,
        times.map((t) => 100 - 3 * t),
      ),
    );
    expect(factors[0]).toBeCloseTo(100 - 3 * 9.5, 6);
    expect(factors.slice(1)).toEqual([0, 0]);
  });

  test('no allowed point nearby is better than the one found', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10_000 }), (seed) => {
        const roll = dice(seed);
        const y = times.map((t) => 50 + 3 * (roll() - 0.5) * t + 40 * (roll() - 0.5));
        const { factors, squares } = bestFit(normalOf(columns, y));
        const squaresAt = (at: number[]): number =>
          y.reduce((sum, value, i) => {
            const fitted = at.reduce((total, factor, c) => total + factor * (columns[c]?.[i] ?? 0), 0);
            return sum + (value - fitted) ** 2;
          }, 0);
        expect(squaresAt(factors)).toBeCloseTo(squares, 4);
        for (let nudge = 0; nudge < 40; nudge += 1) {
          const near = factors.map((factor, i) => {
            const moved = factor + (roll() - 0.5) * 2;
            return i === 0 ? moved : Math.max(0, moved);
          });
          expect(squaresAt(near)).toBeGreaterThanOrEqual(squares - 1e-6);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('samples', () => {
  test('the middle one, or the mean of the two in the middle', () => {
    expect(median([5, 1, 3])).toBe(3);
    expect(median([4, 1, 3, 2])).toBe(2.5);
  });

  test('noise is seen through a straight rise', () => {
    const roll = dice(3);
    const bell = (): number => Math.sqrt(-2 * Math.log(1 - roll())) * Math.cos(2 * Math.PI * roll());
    const readings = Array.from({ length: 4000 }, (_, at) => ({
      at,
      pressure: 60 + 0.2 * at + 1.5 * bell(),
    }));
    expect(noiseOf(readings)).toBeCloseTo(1.5, 1);
  });

  test('two readings of one moment become their mean', () => {
    const { kept } = cleaned(
      [
        { at: 10, pressure: 62 },
        { at: 0, pressure: 60 },
        { at: 10, pressure: 64 },
      ],
      0.1,
    );
    expect(kept).toEqual([
      { at: 0, pressure: 60 },
      { at: 10, pressure: 63 },
    ]);
  });
});

test('richer explanations never fit worse, and each curve runs through its own readings', () => {
  for (let seed = 1; seed <= 25; seed += 1) {
    const { readings, resolution } = vacuumCurve(seed);
    const data = prepared(readings, { resolution, relative: 0.01 });
    const [flat, climbing, levelling, both] = (['flat', 'climbing', 'levelling', 'both'] as const).map(
      (rise) => fitRise(data, rise),
    );
    if (!flat || !climbing || !levelling || !both) throw new Error('a fit is missing');
    expect(climbing.scatter).toBeLessThanOrEqual(flat.scatter + 1e-9);
    expect(levelling.scatter).toBeLessThanOrEqual(flat.scatter + 1e-9);
    expect(both.scatter).toBeLessThanOrEqual(Math.min(climbing.scatter, levelling.scatter) * 1.001 + 1e-9);
    const middle = readings[Math.floor(readings.length / 2)];
    if (middle) expect(Math.abs(riseAt(both, middle.at) / middle.pressure - 1)).toBeLessThan(0.25);
  }
});

test('the bound on a leak holds: of leaks that are there, nine in ten lie below it', () => {
  let curves = 0;
  let held = 0;
  for (let seed = 1; seed <= 120; seed += 1) {
    const roll = dice(seed);
    const slope = 0.01 + 0.05 * roll();
    const bell = (): number => Math.sqrt(-2 * Math.log(1 - roll())) * Math.cos(2 * Math.PI * roll());
    const readings = Array.from({ length: 60 }, (_, i) => {
      const at = i * 15;
      return { at, pressure: (60 + slope * at) * (1 + 0.01 * bell()) };
    });
    curves += 1;
    if (valueOf(judgeRise({ readings, resolution: 0.13 })).bounds.slope >= slope) held += 1;
  }
  expect(held / curves).toBeGreaterThan(0.9);
});
