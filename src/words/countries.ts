/** Countries, and states with rules of their own, whose rule sets are known here. */
import { COUNTRIES_WITH_RULES } from '../core/rules/packs/countries';
import type { Choice } from './choice';

const names = new Intl.DisplayNames(['en'], { type: 'region' });

export const countryWords = (code: string): string => {
  const [region = code, state] = code.split('-');
  return COUNTRIES_WITH_RULES.get(code) ?? [names.of(region) ?? region, state].filter(Boolean).join(', ');
};

export const COUNTRIES: readonly Choice[] = [...COUNTRIES_WITH_RULES.keys()]
  .map((value) => ({ value, words: countryWords(value) }))
  .sort((a, b) => a.words.localeCompare(b.words));
