/** Figures as people say them, no finer than anybody knows. */
import { expect, test } from 'vitest';
import { roughRateWords } from './measures';

const A_YEAR = 365 * 86_400;

test.each([
  // 18.5 kg are 40.8 lb; 20 g are 0.705 oz.
  [18.5, 'us', '41 lb/yr'],
  [0.02, 'us', '0.71 oz/yr'],
  [18.5, 'metric', '19 kg/yr'],
  [0.0234, 'metric', '23 g/yr'],
  [1034.3, 'metric', '1,000 kg/yr'],
  [0, 'us', '0 oz/yr'],
] as const)('%d kg a year in the %s system: %s', (kilograms, system, words) => {
  expect(roughRateWords(kilograms / A_YEAR, system)).toBe(words);
});
