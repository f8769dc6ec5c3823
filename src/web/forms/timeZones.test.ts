/** Time zones of a country: one is set, of several somebody chooses, and nothing is claimed where nothing is known. */
import { expect, it } from 'vitest';
import { zonesOf } from './timeZones';

it('are those of the country, also of a state with rules of its own', () => {
  expect(zonesOf('FR')).toEqual(['Europe/Paris']);
  expect(zonesOf('US')).toContain('America/Chicago');
  expect(zonesOf('US-CA')).toEqual(zonesOf('US'));
});

it('are none where the country is not said', () => {
  expect(zonesOf('')).toEqual([]);
});
