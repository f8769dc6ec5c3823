/**
 * Which rule sets a site takes from its country, to begin with; a person can choose others. Codes of ISO 3166; a state
 * with rules of its own by its own code. House rules hold wherever no other covers.
 */
import type { PackId } from '../../logbook/packNames';

const UNION = [
  'AT',
  'BE',
  'BG',
  'CY',
  'CZ',
  'DE',
  'DK',
  'EE',
  'ES',
  'FI',
  'FR',
  'GR',
  'HR',
  'HU',
  'IE',
  'IT',
  'LT',
  'LU',
  'LV',
  'MT',
  'NL',
  'PL',
  'PT',
  'RO',
  'SE',
  'SI',
  'SK',
] as const;

export const PACKS_OF_COUNTRY: Readonly<Record<string, readonly PackId[]>> = {
  US: ['us-ods', 'us-hfc', 'house'],
  'US-CA': ['us-ods', 'us-hfc', 'us-ca', 'house'],
  GB: ['gb', 'house'],
  ...Object.fromEntries(UNION.map((code) => [code, ['eu', 'house']] as const)),
};

/** Where no set is known for a country, the house's own rule alone. */
export const packsOf = (country: string): readonly PackId[] => PACKS_OF_COUNTRY[country] ?? ['house'];
