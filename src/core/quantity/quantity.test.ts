import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addMonths, civil, dayOf, dayText, parseDay } from './day';
import { halfUp, roundedQuotient, scaledDecimal } from './decimal';
import { MASS_UNITS, exactGrams, grams, massText, parseMass } from './mass';
import { dayAt, isTimezone } from './zone';

describe('masses', () => {
  it.each<[string, 'lb' | 'kg', number, string]>([
    ['12.5', 'lb', 12.5, 'lb'],
    ['12.5', 'kg', 12.5, 'kg'],
    ['12 lb 6 oz', 'kg', 12.375, 'lb'],
    ['12lb6oz', 'lb', 12.375, 'lb'],
    ['3 lb 0.1 oz', 'lb', 3.00625, 'lb'],
    ['5.4 kg', 'lb', 5.4, 'kg'],
    ['.5 LBS', 'lb', 0.5, 'lb'],
    ['90 Grams', 'lb', 90, 'g'],
    [' 7 oz. ', 'lb', 7, 'oz'],
    ['0', 'lb', 0, 'lb'],
  ])('reads %s (bare numbers in %s)', (text, bare, value, unit) => {
    expect(parseMass(text, bare)).toEqual({ ok: true, value: { value, unit } });
  });

  it.each([
    ['', 'empty'],
    ['-3', 'negative'],
    ['12 lb -6 oz', 'negative'],
    ['lots', 'notAMass'],
    ['3 stone', 'unknownUnit'],
    ['1,5 kg', 'decimalComma'],
    ['12 oz 6 lb', 'notAMass'],
    ['12 lb 16 oz', 'notAMass'],
    ['1 2', 'notAMass'],
    ['1e9', 'unknownUnit'],
  ])('refuses “%s” as %s', (text, reason) => {
    const read = parseMass(text, 'lb');
    expect(read.ok ? null : read.refusal.reason).toBe(reason);
  });

  it('is exact: 50 lb are 22.6796185 kg, ten times 0.1 kg are 1 kg, 16 oz are a pound', () => {
    expect(exactGrams({ value: 50, unit: 'lb' })).toBe(exactGrams({ value: 22.6796185, unit: 'kg' }));
    const tenth = exactGrams({ value: 0.1, unit: 'kg' });
    expect(10n * tenth).toBe(exactGrams({ value: 1, unit: 'kg' }));
    expect(16n * exactGrams({ value: 1, unit: 'oz' })).toBe(exactGrams({ value: 1, unit: 'lb' }));
  });

  it('takes the short and the long way to the same grams', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1e7, noNaN: true }),
        fc.constantFrom(...MASS_UNITS),
        (value, unit) => {
          const nanograms = { lb: 453592370000n, oz: 28349523125n, kg: 10n ** 12n, g: 10n ** 9n }[unit];
          expect(exactGrams({ value, unit })).toBe(scaledDecimal(value, 31) * nanograms);
        },
      ),
    );
  });

  it('gives grams to four places, halves up', () => {
    expect(grams(exactGrams({ value: 0.00005, unit: 'g' }))).toBe(0.0001);
    expect(grams(exactGrams({ value: 0.00004999, unit: 'g' }))).toBe(0);
    expect(grams(exactGrams({ value: 1, unit: 'oz' }))).toBe(28.3495);
  });

  it.each<[number, 'pounds' | 'kilograms', string]>([
    [453.59237 * 12.375, 'pounds', '12 lb 6 oz'],
    [453.59237 * 0.999, 'pounds', '1 lb'],
    [453.59237 * 640.25, 'pounds', '640.3 lb'],
    [85, 'pounds', '3 oz'],
    [85, 'kilograms', '85 g'],
    [2400, 'kilograms', '2.4 kg'],
    [0, 'pounds', '0 oz'],
  ])('prints %f g in %s as %s', (value, system, text) => {
    expect(massText(value, system)).toBe(text);
  });
});

describe('decimals', () => {
  it('rounds halves up, also below zero', () => {
    expect([halfUp(5n, 2n), halfUp(4n, 3n), halfUp(-5n, 2n), halfUp(-7n, 2n)]).toEqual([3n, 1n, -2n, -3n]);
  });

  it('gives the exact rounding of every quotient, fast way or slow', () => {
    fc.assert(
      fc.property(
        fc.bigInt(0n, 10n ** 60n),
        fc.bigInt(1n, 10n ** 60n),
        fc.constantFrom(1, 100, 36_500_000_000),
        (n, d, factor) => {
          expect(roundedQuotient(n, d, factor)).toBe(Number(halfUp(n * BigInt(factor), d)));
        },
      ),
      { numRuns: 2000 },
    );
    expect(roundedQuotient(1n, 2n, 1)).toBe(1);
    expect(roundedQuotient(10n ** 40n - 1n, 2n * 10n ** 40n, 1)).toBe(0);
  });
});

describe('days', () => {
  it('agrees with the calendar of the platform on every day of eight centuries', () => {
    for (let day = dayOf('1700-01-01'); day < dayOf('2500-01-01'); day = (day + 7) as typeof day) {
      const text = new Date(day * 86_400_000).toISOString().slice(0, 10);
      expect(dayText(day)).toBe(text);
      expect(dayOf(text)).toBe(day);
    }
  });

  it.each([
    ['2026-01-31', 1, '2026-02-28'],
    ['2026-01-31', 2, '2026-03-31'],
    ['2028-01-31', 1, '2028-02-29'],
    ['2028-02-29', 12, '2029-02-28'],
    ['2026-11-30', 3, '2027-02-28'],
    ['2026-12-15', 1, '2027-01-15'],
  ])('%s and %d months is %s', (from, months, to) => {
    expect(dayText(addMonths(dayOf(from), months))).toBe(to);
  });

  it('refuses dates that do not exist', () => {
    expect(
      ['2026-02-29', '2026-13-01', '2026-00-10', '26-01-01', '2026-1-1', '2026-04-31', '0000-01-01'].map(
        parseDay,
      ),
    ).toEqual(Array(7).fill(null));
    expect(civil(dayOf('2028-02-29'))).toEqual({ year: 2028, month: 2, dayOfMonth: 29 });
  });

  it('knows what day it is at a site', () => {
    const instant = Date.parse('2026-11-23T05:30:00Z');
    expect([dayAt(instant, 'America/Chicago'), dayAt(instant, 'Europe/Copenhagen')].map(dayText)).toEqual([
      '2026-11-22',
      '2026-11-23',
    ]);
    expect([isTimezone('America/Chicago'), isTimezone('Port Almery')]).toEqual([true, false]);
  });
});
