/** Measures as people type them, in and out of SI; expected figures are worked by hand from the definitions. */
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { SEA_LEVEL_PA, atmosphereAt } from './atmosphere';
import { fromSi, measureText, parseMeasure, toSi } from './measure';
import { type Dimension, UNITS } from './units';

describe('what people type', () => {
  test.each([
    ['pressure', '100', 'psig', 101_325 + 689_475.7293168],
    ['pressure', '100 psig', 'bar', 101_325 + 689_475.7293168],
    ['pressure', '-12 inHg', 'psig', 101_325 - 12 * 3386.389],
    ['pressure', '12 in Hg', 'psig', 101_325 - 12 * 3386.389],
    ['pressure', '2.1 bar', 'psig', 311_325],
    ['pressure', '−0.2 bar', 'psig', 81_325],
    ['pressure', '14.696 psia', 'psig', 14.696 * 6894.757293168],
    ['vacuum', '500', 'micron', 66.6611842],
    ['vacuum', '0.5 torr', 'micron', 66.6611842],
    ['vacuum', '500 microns', 'mbar', 66.6611842],
    ['temperature', '-40', '°F', 233.15],
    ['temperature', '32 °F', '°C', 273.15],
    ['temperature', '75F', '°C', 297.038888888889],
    ['temperatureDifference', '10 F', 'K', 50 / 9],
    ['length', '5 ft 6 in', 'm', 1.6764],
    ['length', '3/8', 'in', 0.009525],
    ['length', '1 1/8 in', 'mm', 0.028575],
    ['length', '5ft6in', 'm', 1.6764],
    ['volume', '1 gal', 'L', 0.003785411784],
    ['volume', '23.8', 'L', 0.0238],
    ['duration', '1 h 30 min', 'min', 5400],
    ['duration', '10', 'min', 600],
    ['mass', '12 lb 6 oz', 'kg', 12.375 * 0.45359237],
    ['mass', '70', 'g', 0.07],
    ['flow', '6 cfm', 'L/s', (6 * 0.028316846592) / 60],
  ] as const)('%s “%s” (bare: %s)', (dimension, text, bare, si) => {
    const read = parseMeasure(dimension, text, bare as never);
    expect(read.ok && read.value.si).toBeCloseTo(si, 9);
  });

  test('what was typed is kept', () => {
    expect(parseMeasure('length', ' 5 ft 6 in ', 'm')).toMatchObject({
      ok: true,
      value: { typed: '5 ft 6 in', unit: 'ft' },
    });
  });

  test.each([
    ['pressure', '', 'empty'],
    ['pressure', '1,5 bar', 'decimalComma'],
    ['pressure', '12 bananas', 'unknownUnit'],
    ['pressure', '12 5', 'notAMeasure'],
    ['pressure', 'high', 'notAMeasure'],
    ['pressure', '-20 psig', 'belowZero'],
    ['pressure', '31 inHg', 'belowZero'],
    ['temperature', '-500 °F', 'belowZero'],
    ['length', '5 in 6 ft', 'notAMeasure'],
    ['length', '1/0 in', 'notAMeasure'],
    ['mass', '-2 lb', 'belowZero'],
    ['mass', '2 bar', 'unknownUnit'],
    ['duration', '-5 min', 'belowZero'],
  ] as const)('%s “%s” is refused as %s', (dimension, text, reason) => {
    const read = parseMeasure(dimension, text, Object.keys(UNITS[dimension])[0] as never);
    expect(read.ok ? 'accepted' : read.refusal.reason).toBe(reason);
  });
});

test('altitude moves the gauge: a mile up the air stands near 83.4 kPa', () => {
  const mile = atmosphereAt(1609.344);
  expect(mile.ok && mile.value).toBeCloseTo(83_437, -2);
  expect(atmosphereAt(0)).toEqual({ ok: true, value: SEA_LEVEL_PA });
  expect(atmosphereAt(20_000)).toMatchObject({
    ok: false,
    refusal: { reason: 'altitudeOutside', toM: 11_000 },
  });
  expect(atmosphereAt(Number.NaN).ok).toBe(false);
  const read = parseMeasure('pressure', '0 psig', 'psig', 83_437);
  expect(read.ok && read.value.si).toBe(83_437);
});

test('any unit there and back gives the same figure, and one fact in two units is one SI value', () => {
  const dimensions = Object.keys(UNITS) as Dimension[];
  fc.assert(
    fc.property(
      fc.constantFrom(...dimensions),
      fc.nat(10),
      fc.nat(10),
      fc.double({ min: 0.1, max: 25, noNaN: true }),
      fc.double({ min: 60_000, max: 105_000, noNaN: true }),
      (dimension, one, two, figure, atmosphere) => {
        const names = Object.keys(UNITS[dimension]);
        const first = names[one % names.length] ?? '';
        const second = names[two % names.length] ?? '';
        // Inches of mercury cannot say what lies above the atmosphere.
        fc.pre(second !== 'inHg' || first === 'inHg');
        const si = toSi(dimension, figure, first, atmosphere);
        expect(fromSi(dimension, si, first, atmosphere)).toBeCloseTo(figure, 9);
        const other = fromSi(dimension, si, second, atmosphere);
        expect(toSi(dimension, other, second, atmosphere) / si).toBeCloseTo(1, 9);
      },
    ),
    { numRuns: 2000 },
  );
});

test('figures are shown with the decimals of an instrument, and very small ones keep three digits', () => {
  expect(measureText('pressure', 739_000, 'psig')).toBe('92.5 psig');
  expect(measureText('temperature', 233.15, '°F')).toBe('−40 °F');
  expect(measureText('vacuum', 66.6611842, 'micron')).toBe('500 micron');
  expect(measureText('throughput', 1.234e-6, 'mbar·L/s')).toBe('1.23 × 10⁻⁵ mbar·L/s');
  expect(measureText('mass', 5443.1084, 'lb')).toBe('12,000 lb');
});

test('what is shown can be typed again: text and back is the same measure to its last digit', () => {
  const typed = ['pressure', 'vacuum', 'temperature', 'length', 'volume', 'flow', 'duration'] as const;
  fc.assert(
    fc.property(
      fc.constantFrom(...typed),
      fc.nat(10),
      fc.double({ min: 0.5, max: 900, noNaN: true }),
      (dimension, pick, figure) => {
        const names = Object.keys(UNITS[dimension]).filter((name) => name !== 'inHg');
        const name = names[pick % names.length] ?? '';
        const si = toSi(dimension, figure, name);
        const read = parseMeasure(
          dimension,
          measureText(dimension, si, name).replaceAll(',', ''),
          name as never,
        );
        const shown = read.ok ? fromSi(dimension, read.value.si, name) : NaN;
        const { decimals } = (UNITS[dimension] as Record<string, { decimals: number }>)[name] ?? {
          decimals: 0,
        };
        expect(Math.abs(shown - figure)).toBeLessThanOrEqual(0.5 * 10 ** -decimals + 1e-9);
      },
    ),
    { numRuns: 1000 },
  );
});
