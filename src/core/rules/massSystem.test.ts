/** Units belong to the place, weights to the machine: a cabinet in grams at a site of pounds keeps its psig. */
import { describe, expect, test } from 'vitest';
import { charge, kg, lb, standing } from '../testkit/facts';
import { bareUnit, chargedUnit, massSystemOf, unitSystemOf } from './massSystem';
import { packsOf } from './packs/countries';

const US = { packs: ['us-hfc', 'house'] as const };
const EU = { packs: ['eu', 'house'] as const };
const site = (of: { packs: readonly string[] }) =>
  ({ packs: [...of.packs] }) as Parameters<typeof massSystemOf>[0];

describe('units', () => {
  test.each([
    [US, null, 'pounds', 'lb', 'us'],
    [US, 'g', 'kilograms', 'g', 'us'],
    [US, 'oz', 'pounds', 'oz', 'us'],
    [EU, null, 'kilograms', 'kg', 'metric'],
    [EU, 'lb', 'pounds', 'lb', 'metric'],
    [EU, 'g', 'kilograms', 'g', 'metric'],
  ] as const)(
    '%j, charged in %s: weighs in %s, bare is %s, gauges are %s',
    (of, charged, system, bare, gauges) => {
      expect(massSystemOf(site(of), charged)).toBe(system);
      expect(bareUnit(massSystemOf(site(of), charged), charged)).toBe(bare);
      expect(unitSystemOf(site(of))).toBe(gauges);
    },
  );
  test('the unit of the charge in force, or none', () => {
    expect(chargedUnit(standing([charge('2020-01-01', kg(2))], '2026-11-23').history)).toBe('kg');
    expect(
      chargedUnit(standing([charge('2020-01-01', kg(2)), charge('2021-01-01', lb(4))], '2026-11-23').history),
    ).toBe('lb');
    expect(chargedUnit(standing([], '2026-11-23', { pounds: null }).history)).toBeNull();
  });
});

test('a country brings its rule sets; an unknown one brings the house rule alone, never nothing', () => {
  expect(packsOf('US')).toEqual(['us-ods', 'us-hfc', 'house']);
  expect(packsOf('DK')).toContain('eu');
  expect(packsOf('GB')).toContain('gb');
  // A state has the rules of its country and its own; one without any of its own has those of its country.
  expect(packsOf('US-CA')).toEqual(['us-ods', 'us-hfc', 'us-ca', 'house']);
  expect(packsOf('US-TX')).toEqual(['us-ods', 'us-hfc', 'house']);
  expect(packsOf('AQ-X')).toEqual(['house']);
  expect(packsOf('')).toEqual(['house']);
});
