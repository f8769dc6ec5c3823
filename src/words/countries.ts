/** Countries, and states with rules of their own, whose rule sets are known here. */
import { PACKS_OF_COUNTRY } from '../core/rules/packs/countries';
import type { Choice } from './choice';

const names = new Intl.DisplayNames(['en'], { type: 'region' });
/** A state has rules of its own, and no name that a browser knows. */
const STATES: Readonly<Record<string, string>> = { 'US-CA': 'United States, California' };

export const countryWords = (code: string): string => {
  const [region = code, state] = code.split('-');
  return STATES[code] ?? [names.of(region) ?? region, state].filter(Boolean).join(', ');
};

export const COUNTRIES: readonly Choice[] = Object.keys(PACKS_OF_COUNTRY)
  .map((value) => ({ value, words: countryWords(value) }))
  .sort((a, b) => a.words.localeCompare(b.words));
