/** Whatever a gauge's log holds, each line gets an answer of the contract's shape, or an error that names the field. */
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { PRESSURE_TEST_CODES } from '../core/calculators/pressureTest';
import { RISE_WORDS } from '../core/calculators/evacuation/lookAt';
import { verdictLine } from './verdictLine';

const SEED = 20261127;
/** Logs as they come: steady, climbing, falling, with spikes, with clocks that stand still. */
const log = (least: number, most: number) =>
  fc
    .tuple(
      fc.array(fc.tuple(fc.constantFrom(0, 1, 5, 10, 60, 600), fc.double({ min: -1, max: 1, noNaN: true })), {
        minLength: 1,
        maxLength: 60,
      }),
      fc.double({ min: least, max: most, noNaN: true }),
      fc.double({ min: -2, max: 2, noNaN: true }),
      fc.double({ min: 0, max: 0.2, noNaN: true }),
    )
    .map(([steps, start, slope, unrest]) => {
      let at = 0;
      return steps.map(([gap, noise]): [number, number] => {
        at += gap;
        return [at, Math.max(0, start + (slope * start * at) / 3600 + unrest * start * noise)];
      });
    });
const maybe = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: undefined });

/** As a program reads it: what cannot be written as JSON is no answer. */
const answered = async (asked: object): Promise<Record<string, unknown>> =>
  JSON.parse(JSON.stringify(await verdictLine(JSON.stringify(asked)))) as Record<string, unknown>;

function holdsShape(found: Record<string, unknown>, words: readonly string[], bounds: string): void {
  if ('error' in found) {
    expect(found['error']).toMatch(/readings|[a-zA-Z]+: /);
    return;
  }
  expect(words).toContain(found['word']);
  expect(typeof found['firm']).toBe('boolean');
  for (const key of [bounds, 'hiddenGramsPerYear']) {
    const pair = found[key] as [number, number] | null;
    if (key === 'hiddenGramsPerYear' && pair === null) continue;
    expect(pair, key).toEqual([expect.any(Number), expect.any(Number)]);
    const [low, high] = pair as [number, number];
    expect(low, key).toBeLessThanOrEqual(high);
  }
  const { neededS } = found;
  if (neededS !== null) expect(neededS).toBeGreaterThanOrEqual(0);
}

describe('any log', () => {
  test('of a vacuum', { timeout: 120_000 }, () =>
    fc.assert(
      fc.asyncProperty(
        log(0, 3000),
        maybe(fc.double({ min: 0.01, max: 500, noNaN: true })),
        maybe(fc.double({ min: 1, max: 1e6, noNaN: true })),
        maybe(fc.constantFrom('R-404A', 'R-600a', 'R-744', 'R-717')),
        async (readings, volumeL, fullChargeGrams, refrigerant) => {
          const found = await answered({ test: 'vacuum', readings, volumeL, fullChargeGrams, refrigerant });
          holdsShape(found, RISE_WORDS, 'leakMicronsPerMinute');
          if ('error' in found) return;
          expect(found['hiddenGramsPerYear'] === null).toBe(volumeL === undefined);
          const times = readings.map(([at]) => at);
          for (const jump of found['jumps'] as number[]) expect(times).toContain(jump);
          // What is firm needs no more watching.
          if (found['firm'] === true) expect(found['neededS']).toBeNull();
        },
      ),
      { numRuns: 150, seed: SEED },
    ),
  );

  test('of a pressure test', { timeout: 60_000 }, () =>
    fc.assert(
      fc.asyncProperty(
        log(50_000, 4_000_000),
        fc.constantFrom('nitrogen', 'nitrogenTrace', 'nitrogenHydrogen', 'refrigerant'),
        maybe(fc.double({ min: 0.01, max: 500, noNaN: true })),
        maybe(fc.double({ min: 0.1, max: 1e5, noNaN: true })),
        maybe(fc.constantFrom(100, 2000, 50_000)),
        fc.boolean(),
        async (log, testGas, volumeL, leakGramsPerYear, resolutionPa, warm) => {
          const readings = log.map(([at, pressure], index) =>
            warm ? [at, pressure, 20 + (index % 3)] : [at, pressure],
          );
          const found = await answered({
            test: 'pressure',
            readings,
            testGas,
            volumeL,
            leakGramsPerYear,
            resolutionPa,
          });
          holdsShape(found, PRESSURE_TEST_CODES, 'lossPaPerHour');
          // Green is never said where nobody knows what must not hide.
          if (volumeL === undefined || leakGramsPerYear === undefined)
            expect(found['word'] === 'holding' && found['firm'] === true).toBe(false);
        },
      ),
      { numRuns: 300, seed: SEED },
    ),
  );

  test('what is no log at all names its field', async () => {
    await fc.assert(
      fc.asyncProperty(fc.jsonValue(), async (value) => {
        const found = await answered({ test: 'vacuum', readings: value });
        holdsShape(found, RISE_WORDS, 'leakMicronsPerMinute');
      }),
      { numRuns: 200, seed: SEED },
    );
    for (const line of ['', '[]', 'null', '{', '{"test":"oil"}'])
      expect(await verdictLine(line)).toEqual({ error: expect.any(String) as string });
  });
});
