/** The unit of a bare number: the usual one of the field, or what was chosen in its place for that quantity. */
import { expect, it } from 'vitest';
import { usualUnit } from './place';

it('stays as it was chosen for a quantity, and says nothing of others', () => {
  const place = { system: 'us' as const, mass: 'lb' as const, units: { 'temperature °F': '°C' } };
  expect(usualUnit(place, 'temperature').unit).toBe('°C');
  expect(usualUnit(place, 'pressure')).toEqual({ usual: 'psig', unit: 'psig' });
  expect(usualUnit({ system: 'us', mass: 'lb' }, 'temperature').unit).toBe('°F');
});

it('is that of the machine for a weight: a cabinet weighed in grams at a site of psig', () => {
  expect(usualUnit({ system: 'us', mass: 'g' }, 'mass').unit).toBe('g');
});

it('is the field’s own before that of the system', () => {
  const metric = { system: 'metric' as const, mass: 'kg' as const };
  const own = { us: 'micron', metric: 'mbar' };
  expect(usualUnit(metric, 'vacuum', own).unit).toBe('mbar');
  expect(usualUnit({ ...metric, units: { 'vacuum mbar': 'micron' } }, 'vacuum', own).unit).toBe('micron');
});
