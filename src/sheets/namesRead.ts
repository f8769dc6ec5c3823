/** Names as people write them: refrigerants, kinds of machines, and things of the logbook by name, with what may have been meant. */
import { distance } from 'fastest-levenshtein';
import type { ApplianceKind } from '../core/logbook/tables';
import type { Category, Detection } from '../core/logbook/fields';
import { REFRIGERANT_NAMES } from '../core/refrigerant/refrigerant';
import { nameKey } from './cells';

const bareGas = (name: string): string => name.toLowerCase().replace(/[^a-z0-9]/g, '');

const GASES = new Map(REFRIGERANT_NAMES.map((name) => [bareGas(name).replace(/^r/, ''), name]));
const TRADE: Readonly<Record<string, string>> = {
  propane: 'R-290',
  isobutane: 'R-600a',
  propylene: 'R-1270',
  propene: 'R-1270',
  ammonia: 'R-717',
  nh3: 'R-717',
  co2: 'R-744',
  carbondioxide: 'R-744',
};

/** `404a`, `R404A`, `R 404 A`, `HFC-134a`, `propane`; null: no refrigerant that is known here. */
export function refrigerantNamed(text: string): string | null {
  const bare = bareGas(text);
  return TRADE[bare] ?? GASES.get(bare.replace(/^(?:r|hfc|hcfc|cfc|hfo|hc)(?=\d)/, '')) ?? null;
}

export const nearestGas = (text: string): string | null =>
  nearest(
    bareGas(text).replace(/^[a-z]+(?=\d)/, ''),
    [...GASES].map(([key, name]) => ({ key, name })),
  );

const KIND_WORDS: readonly (readonly [RegExp, ApplianceKind])[] = [
  [/reach ?in|cabinet|display case|under ?counter|merchandis/, 'reachIn'],
  [/rack|parallel|central (?:plant|unit)/, 'rack'],
  [/condensing/, 'condensingUnit'],
  [/chiller/, 'chiller'],
  [/milk/, 'milkTank'],
  [/ice ?(?:machine|maker|plant)/, 'iceMachine'],
  // Last: a reach-in freezer is a reach-in.
  [/walk ?in|cold ?(?:room|store)|cool ?room|cooler|freezer/, 'walkIn'],
  [/^other$/, 'other'],
];

export const kindNamed = (text: string): ApplianceKind | null =>
  KIND_WORDS.find(([pattern]) => pattern.test(nameKey(text)))?.[1] ?? null;

const CATEGORY_WORDS: readonly (readonly [RegExp, Category])[] = [
  [/commercial|retail|food/, 'commercialRefrigeration'],
  [/industrial|process/, 'industrialProcess'],
  [/comfort|air condition/, 'comfortCooling'],
  [/^other$/, 'other'],
];

export const categoryNamed = (text: string): Category | null =>
  CATEGORY_WORDS.find(([pattern]) => pattern.test(nameKey(text.replace(/([a-z])([A-Z])/g, '$1 $2'))))?.[1] ??
  null;

/** The category that a kind of machine always has where nobody says one. */
export const usualCategory = (kind: ApplianceKind): Category | null =>
  kind === 'chiller' || kind === 'other' ? null : 'commercialRefrigeration';

export const detectionNamed = (text: string): Detection | null => {
  const key = nameKey(text);
  if (/^(?:none|no|n)$/.test(key)) return 'none';
  if (/whole|full|all|yes/.test(key)) return 'whole';
  return /part/.test(key) ? 'part' : null;
};

export const flagNamed = (text: string): boolean | null => {
  const key = nameKey(text);
  if (/^(?:yes|y|true|1|x)$/.test(key)) return true;
  return /^(?:no|n|false|0)$/.test(key) ? false : null;
};

const NEAR_SHARE = 0.4;
/** A name of fewer letters stands in others by chance. */
const TELLING = 3;

/** The name that was most likely meant; null: none is near. */
export function nearest(key: string, named: readonly { key: string; name: string }[]): string | null {
  if (key === '') return null;
  let best: { name: string; far: number } | null = null;
  for (const each of named) {
    const [short, long] = key.length < each.key.length ? [key, each.key] : [each.key, key];
    const far = short.length >= TELLING && long.includes(short) ? 1 : distance(key, each.key);
    if (far <= Math.max(1, NEAR_SHARE * Math.max(key.length, each.key.length)) && (!best || far < best.far))
      best = { name: each.name, far };
  }
  return best?.name ?? null;
}
