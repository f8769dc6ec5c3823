/** What people say of a measure that they do not know exactly; SI figures worked by hand. */
import { describe, expect, test } from 'vitest';
import { parseExtent } from './extent';

const SEA = 101_325;
const read = (dimension: Parameters<typeof parseExtent>[0], text: string, bare: string) => {
  const found = parseExtent(dimension, text, bare as never);
  return found.ok ? found.value : found.refusal.reason;
};

describe('one end of a figure', () => {
  test.each([
    ['<10', 'below', SEA + 68_947.57293168],
    ['< 10 psig', 'below', SEA + 68_947.57293168],
    ['under 2 bar', 'below', SEA + 200_000],
    ['less than 0', 'below', SEA],
    ['>90', 'above', SEA + 620_528.15638512],
    ['over 90 psig', 'above', SEA + 620_528.15638512],
    ['more than 5 bar', 'above', SEA + 500_000],
    // A vacuum of less than 10 inHg lies nearer to the atmosphere.
    ['<10 inHg', 'above', SEA - 33_863.89],
    ['>10 inHg', 'below', SEA - 33_863.89],
  ])('%s', (text, extent, limit) => {
    const found = read('pressure', text, 'psig');
    expect(found).toMatchObject({ extent, typed: text });
    expect((found as { limit: number }).limit).toBeCloseTo(limit, 6);
  });
});

describe('between two figures', () => {
  test.each([
    ['pressure', '8 to 9 bar', 'psig', SEA + 8e5, SEA + 9e5],
    ['pressure', '8-9 bar', 'psig', SEA + 8e5, SEA + 9e5],
    ['pressure', '8–9', 'bar', SEA + 8e5, SEA + 9e5],
    ['pressure', '0.5 bar to 10 psig', 'psig', SEA + 5e4, SEA + 68_947.57293168],
    ['pressure', '5 to 8 inHg', 'psig', SEA - 8 * 3386.389, SEA - 5 * 3386.389],
    ['temperature', '-10 to -5', '°C', 263.15, 268.15],
    ['temperature', '-5 - -10 °C', '°F', 263.15, 268.15],
    ['share', '30-40 %', '%', 0.3, 0.4],
  ] as const)('%s “%s”', (dimension, text, bare, low, high) => {
    const found = read(dimension, text, bare) as { low: number; high: number };
    expect(found).toMatchObject({ extent: 'range' });
    expect([found.low, found.high].map((each) => Number(each.toFixed(6)))).toEqual(
      [low, high].map((each) => Number(each.toFixed(6))),
    );
  });
});

test('a figure stays a figure, and what is neither is refused', () => {
  expect(read('pressure', '-12 inHg', 'psig')).toMatchObject({ extent: 'exact' });
  expect(read('pressure', '68', 'psig')).toMatchObject({ extent: 'exact', measure: { typed: '68' } });
  expect(read('pressure', '', 'psig')).toBe('empty');
  expect(read('pressure', '<', 'psig')).toBe('empty');
  expect(read('length', '1-1/2', 'in')).toBe('unknownUnit');
  expect(read('pressure', '5 to', 'psig')).toBe('unknownUnit');
  expect(read('pressure', '8 to 9 yd', 'psig')).toBe('unknownUnit');
  expect(read('pressure', 'about ten', 'psig')).toBe('notAMeasure');
});
