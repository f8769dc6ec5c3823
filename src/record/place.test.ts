/** The unit of a bare number: the usual one of the field, or what was chosen in its place for that quantity. */
import { expect, it } from 'vitest';
import { usualUnit } from './place';

it('stays as it was chosen for a quantity, and says nothing of others', () => {
  const place = { system: 'us' as const, units: { 'temperature °F': '°C' } };
  expect(usualUnit(place, 'temperature').unit).toBe('°C');
  expect(usualUnit(place, 'pressure')).toEqual({ usual: 'psig', unit: 'psig' });
  expect(usualUnit({ system: 'us' }, 'temperature').unit).toBe('°F');
});

it('is the field’s own before that of the system', () => {
  const own = { us: 'micron', metric: 'mbar' };
  expect(usualUnit({ system: 'metric', units: {} }, 'vacuum', own).unit).toBe('mbar');
  expect(usualUnit({ system: 'metric', units: { 'vacuum mbar': 'micron' } }, 'vacuum', own).unit).toBe(
    'micron',
  );
});
