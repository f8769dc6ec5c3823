/** A fact of a visit in words: its value, or in which of the ways there is none. */
import { type Measured, isNotDone, isUnknown } from '../core/visit/stated';

/** A value, or in words that there is none; null where nothing was recorded. */
export function statedWords<Value>(value: unknown, words: (value: Value) => string): string | null {
  if (value === null || value === undefined || value === '') return null;
  if (isNotDone(value as never)) return `not done: ${(value as { notDone: string }).notDone}`;
  if (isUnknown(value as never)) return 'unknown';
  return words(value as Value);
}

export const measuredWords = ({ typed, instrument }: Measured): string =>
  instrument ? `${typed} on ${instrument.name}${instrument.offset === 0 ? '' : ', offset put in'}` : typed;
