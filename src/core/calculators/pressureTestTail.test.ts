/** A pressure test as a series: what settles, what goes on, and how often a hold of the promised time is decided rightly. */
import { describe, expect, test } from 'vitest';
import { valueOf } from '../testkit/bench';
import { countByKind } from '../testkit/confusion';
import { HELD, heldOf } from '../testkit/pressureTruths';
import { rollOf } from '../testkit/seeded';
import { fallFound, judgePressureTest, standingSeconds } from './pressureTest';
import { tailOf } from './pressureTestTail';

const bar = (value: number) => 101_325 + value * 1e5;
const GAUGE = { resolution: 1000, temperatureDoubt: 1 };
/** minutes, bar, °C */
const series = (...taken: [number, number, number?][]) =>
  taken.map(([minutes, pressure, celsius]) => ({
    at: minutes * 60,
    pressure: bar(pressure),
    temperature: celsius === undefined ? null : celsius + 273.15,
  }));
const judged = (readings: ReturnType<typeof series>, matters: number | null = null, resolution = 1000) =>
  valueOf(
    judgePressureTest({
      readings,
      changedShare: 1,
      gauge: { ...GAUGE, resolution },
      limits: { design: null, working: null },
      matters,
    }),
  );

describe('a clock that stands still', () => {
  test('what was read twice at one time counts as its mean, and two figures of a moment are no fall', () => {
    const once = judged(series([0, 9, 20], [30, 8.95, 20], [60, 8.9, 20]));
    const twice = judged(series([0, 9, 20], [30, 8.96, 20], [30, 8.94, 20], [60, 8.9, 20]));
    expect(twice.tail.loss.high).toBeCloseTo(once.tail.loss.high, 9);
    const end = judged(series([0, 9], [10, 9], [10, 8.9]));
    // 9 to 8.95 bar within ten minutes: 0.3 bar an hour in the middle.
    expect((end.tail.loss.low + end.tail.loss.high) / 2).toBeCloseTo(0.3e5 / 3600, 6);
  });
});

describe('a first fall that settles is no leak', () => {
  const settling = series([0, 9], [10, 8.76], [20, 8.72], [30, 8.72], [40, 8.72]);
  test('9, 8.76, 8.72, 8.72, 8.72 bar in 40 minutes: settled, and what the tail could hide is told', () => {
    const found = judged(settling);
    expect(found).toMatchObject({ word: 'settled', firm: false });
    expect(found.tail).toMatchObject({ settling: 'over', fell: true });
    expect(Math.abs(found.tail.fall / 0.28e5 - 1)).toBeLessThan(0.1);
    expect(found.tail.loss.high).toBeGreaterThan(0);
  });
  test('with temperatures and a size that the tail can show it is firm', () => {
    const warm = settling.map((each) => ({ ...each, temperature: 293.15 }));
    expect(judged(warm, 30_000 / 3600)).toMatchObject({ word: 'settled', firm: true });
    expect(judged(warm, 3000 / 3600)).toMatchObject({ word: 'cannotTell', firm: false });
  });
  test('a fall that is still slowing is not told yet, and says that it has not settled', () => {
    const found = judged(series([0, 10.3, 20], [20, 9.72, 20], [40, 9.37, 20], [60, 9.27, 20]), 5000 / 3600);
    expect(found).toMatchObject({ word: 'cannotTell', weak: ['tailNotSettled'] });
    expect(found.neededS).toBeGreaterThan(1200);
  });
});

describe('a fall that goes on is a leak', () => {
  test.each([
    ['with temperatures: firm', series([0, 9, 20], [10, 8.9, 20], [20, 8.8, 20], [30, 8.7, 20]), true],
    ['without: it may be the evening that cools', series([0, 9], [10, 8.9], [20, 8.8], [30, 8.7]), false],
  ])('%s', (_, readings, firm) => {
    const found = judged(readings);
    expect(found).toMatchObject({ word: 'losing', firm });
    // 0.1 bar in ten minutes: 60 kPa an hour.
    expect(found.tail.loss.low * 3600).toBeLessThan(60_000);
    expect(found.tail.loss.high * 3600).toBeGreaterThan(60_000);
  });
  test('no evening explains a tenth: firm without temperatures too', () => {
    expect(judged(series([0, 9], [10, 8.6], [20, 8.2], [30, 7.8]))).toMatchObject({
      word: 'losing',
      firm: true,
    });
  });
  test('two figures without temperatures could be warm gas that settles', () => {
    expect(judged(series([0, 9], [60, 8.5])).word).toBe('cannotTell');
  });
});

describe('temperature', () => {
  // 100 psig at 75 °F reads 92.49 psig at 40 °F (worked figure of the bench).
  const warm = { at: 0, pressure: 101_325 + 100 * 6894.757293168, temperature: 297.0389 };
  const cold = { at: 1800, pressure: 101_325 + 92.49 * 6894.757293168, temperature: 277.5944 };
  test('a fall that the cold explains is none', () => {
    const { loss } = tailOf([warm, cold], 1, GAUGE);
    expect(Math.abs(loss.low + loss.high) / 2).toBeLessThan(0.1);
  });
  test('without a temperature at one of them, the figures stand as read', () => {
    const found = tailOf([warm, { ...cold, temperature: null }], 1, GAUGE);
    expect(found.corrected).toBe(false);
    expect(((found.loss.low + found.loss.high) / 2) * 1800).toBeCloseTo(7.51 * 6894.757, -1);
  });
});

test('after the promised time a leak of just that size is found, and a tight system cleared, in 95 of 100', () => {
  const resolution = 2000;
  const kelvins = 0.5;
  const matters = 4000 / 3600;
  // As a gauge and a thermometer scatter: the last digit spread evenly, a quarter kelvin of one deviation.
  const gaugeDoubt = Math.hypot(resolution / Math.sqrt(12), (bar(10) * kelvins) / 2 / 293.15);
  const stood = standingSeconds(gaugeDoubt, matters) * 1.0001;
  expect(fallFound(gaugeDoubt, stood)).toBeCloseTo(matters, 3);
  const decided = (loss: number, seed: number) => {
    const { between, bell } = rollOf(seed);
    const read = (at: number) => {
      const temperature = 293.15 + (kelvins / 2) * bell();
      return { at, pressure: bar(10) - loss * at + between(-0.5, 0.5) * resolution, temperature };
    };
    return valueOf(
      judgePressureTest({
        readings: [read(0), read(stood)],
        changedShare: 1,
        gauge: { resolution, temperatureDoubt: kelvins },
        limits: { design: null, working: null },
        matters,
      }),
    ).word;
  };
  const words = (loss: number) => Array.from({ length: 1000 }, (_, i) => decided(loss, i + 1));
  const found = words(matters).filter((word) => word === 'losing').length;
  const cleared = words(0).filter((word) => word === 'holding' || word === 'risen').length;
  expect(found).toBeGreaterThanOrEqual(935);
  expect(cleared).toBeGreaterThanOrEqual(935);
});

test('800 made-up tests: of each kind at most one firm word in twenty is wrong, and most are firm', () => {
  const counts = countByKind(Array.from({ length: 800 }, (_, i) => heldOf(i + 1)));
  for (const kind of HELD) {
    const { met, firm, wrong } = counts.get(kind) ?? { met: 0, firm: 0, wrong: 0 };
    expect(met, kind).toBeGreaterThan(100);
    expect(firm / met, kind).toBeGreaterThan(0.55);
    expect(wrong / firm, kind).toBeLessThanOrEqual(0.05);
  }
});
