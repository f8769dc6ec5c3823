/** A pressure test as a series: what settles, what goes on, and what is only the temperature. */
import { describe, expect, test } from 'vitest';
import { holdTail } from './holdTail';

const bar = (value: number) => 101_325 + value * 1e5;
/** minutes, bar, °C */
const series = (...taken: [number, number, number?][]) =>
  taken.map(([minutes, pressure, celsius]) => ({
    at: minutes * 60,
    pressure: bar(pressure),
    temperature: celsius === undefined ? null : celsius + 273.15,
  }));
const wordOf = (readings: ReturnType<typeof series>, resolution = 1000) =>
  holdTail(readings, resolution)?.word;

describe('the word of a series', () => {
  test('9, 8.76, 8.72, 8.72, 8.72 bar in 40 minutes: a first fall that settled, no leak', () => {
    const found = holdTail(series([0, 9], [10, 8.76], [20, 8.72], [30, 8.72], [40, 8.72]), 1000);
    expect(found?.word).toBe('settled');
    expect(found?.tailLoss).toBe(0);
    expect(found?.loss).toBeCloseTo(0.28e5, 6);
    expect([found?.stood, found?.tail]).toEqual([2400, 1200]);
  });
  test.each([
    ['it goes on', series([0, 9], [10, 8.9], [20, 8.8], [30, 8.7]), 'falling'],
    ['it stands', series([0, 9], [30, 9]), 'still'],
    ['the last digit flickers', series([0, 9], [15, 8.99], [30, 9]), 'still'],
    ['it rises', series([0, 9], [20, 9], [40, 9.2]), 'rising'],
    ['two minutes', series([0, 9], [2, 9]), 'tooSoon'],
    ['one reading', series([0, 9]), 'oneReading'],
  ])('%s: %s', (_, readings, word) => {
    expect(wordOf(readings)).toBe(word);
  });
  test('nothing read is no word', () => {
    expect(holdTail([], 1000)).toBeNull();
  });
});

describe('temperature', () => {
  // 100 psig at 75 °F reads 92.49 psig at 40 °F (worked figure of the bench).
  const warm = { at: 0, pressure: 101_325 + 100 * 6894.757293168, temperature: 297.0389 };
  const cold = { at: 1800, pressure: 101_325 + 92.49 * 6894.757293168, temperature: 277.5944 };
  test('a fall that the cold explains is none', () => {
    expect(holdTail([warm, cold], 700)?.word).toBe('still');
    expect(Math.abs(holdTail([warm, cold], 700)?.loss ?? NaN)).toBeLessThan(100);
  });
  test('without a temperature at one of them, the figures stand as read', () => {
    const bare = holdTail([warm, { ...cold, temperature: null }], 700);
    expect(bare).toMatchObject({ word: 'falling', corrected: false });
    expect(bare?.loss).toBeCloseTo(7.51 * 6894.757, -1);
  });
});
