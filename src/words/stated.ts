/** A fact of a visit in words: its value, or in which of the ways there is none. */
import type { Dimension } from '../core/quantity/units';
import { type Felt, type Measured, type Quantity, isNotDone, isUnknown } from '../core/visit/notes/stated';

/** A value, or in words that there is none; null where nothing was recorded. */
export function statedWords<Value>(value: unknown, words: (value: Value) => string): string | null {
  if (value === null || value === undefined || value === '') return null;
  if (isNotDone(value as never)) return `not done: ${(value as { notDone: string }).notDone}`;
  if (isUnknown(value as never)) return 'unknown';
  return words(value as Value);
}

export const measuredWords = ({ typed, instrument }: Pick<Measured, 'typed' | 'instrument'>): string =>
  instrument ? `${typed} on ${instrument.name}${instrument.offset === 0 ? '' : ', offset put in'}` : typed;

export const FELT_WORDS: Readonly<Record<Felt, string>> = {
  inVacuum: 'in a vacuum',
  veryLow: 'very low',
  low: 'low',
  asUsual: 'as usual',
  high: 'high',
  veryHigh: 'very high',
  cold: 'cold to the hand',
  cool: 'cool to the hand',
  warm: 'warm to the hand',
  hot: 'hot to the hand',
};

const LEVELS: readonly Felt[] = ['veryLow', 'low', 'asUsual', 'high', 'veryHigh'];
/** What a hand or a glance can say of it. */
export const feltAt = (dimension: Dimension): readonly Felt[] => {
  switch (dimension) {
    case 'pressure':
      return ['inVacuum', ...LEVELS];
    case 'temperature':
      return ['cold', 'cool', 'warm', 'hot'];
    case 'current':
    case 'share':
    case 'temperatureDifference':
      return LEVELS;
    default:
      return [];
  }
};

/** A quantity in words, as it was typed or felt. */
export const quantityWords = (value: Quantity): string =>
  'felt' in value ? FELT_WORDS[value.felt] : measuredWords(value);
