/** Refrigerants as people write them. Spelling only: a gas of another composition is never suggested. */
import { REFRIGERANT_NAMES } from '../core/refrigerant/refrigerant';

const bare = (name: string): string => name.toLowerCase().replace(/[^a-z0-9]/g, '');
const numberOf = (name: string): string => bare(name).replace(/^(?:r|hfc|hcfc|cfc|hfo|hc)(?=\d)/, '');

const GASES = new Map(REFRIGERANT_NAMES.map((name) => [numberOf(name), name]));
const TRADE: Readonly<Record<string, string>> = {
  propane: 'R-290',
  propan: 'R-290',
  isobutane: 'R-600a',
  isobutan: 'R-600a',
  propylene: 'R-1270',
  propene: 'R-1270',
  ammonia: 'R-717',
  ammoniak: 'R-717',
  nh3: 'R-717',
  co2: 'R-744',
  carbondioxide: 'R-744',
};

/** Gases whose number this is, with a letter behind it that the list left out. */
export function gasesWithNumber(text: string): string[] {
  const number = numberOf(text);
  if (!/^\d{2,4}$/.test(number)) return [];
  return [...GASES].filter(([key]) => new RegExp(`^${number}[a-z]+$`).test(key)).map(([, name]) => name);
}

/** `404a`, `R404A`, `R 404 A`, `HFC-134a`, `R-507` (of which there is one), `propane`; null: none that is known, or several. */
export function refrigerantNamed(text: string): string | null {
  const known = TRADE[bare(text)] ?? GASES.get(numberOf(text));
  if (known !== undefined) return known;
  const [only, ...more] = gasesWithNumber(text);
  return only !== undefined && more.length === 0 ? only : null;
}

/** Somebody says that nobody knows it. */
export const isGasUnknown = (text: string): boolean =>
  /^(?:unknown|not known|\?+|tbd|to be determined|unbekannt)$/i.test(text.trim());
