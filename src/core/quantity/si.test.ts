/** What is marked as one thing does not pass for another; plain numbers pass for any. Checked by the compiler. */
import { expect, test } from 'vitest';
import type { Kelvins, Pascals } from './si';
import { fromSi, parseMeasure, toSi } from './measure';

const gauge = (pressure: Pascals): number => fromSi('pressure', pressure, 'psig');

test('a temperature is no pressure', () => {
  const air: Kelvins = toSi('temperature', 77, '°F');
  // @ts-expect-error K where Pa are wanted
  expect(gauge(air)).not.toBeNaN();
  const read = parseMeasure('temperature', '77 °F', '°F');
  // @ts-expect-error what was read as a temperature is one
  expect(read.ok && gauge(read.value.si)).not.toBeNaN();
});

test('arithmetic has no units: its result is taken where it is wanted', () => {
  const [start, end]: Pascals[] = [toSi('pressure', 150, 'psig'), toSi('pressure', 148, 'psig')];
  expect(gauge(((start ?? 0) + (end ?? 0)) / 2)).toBeCloseTo(149, 9);
});
