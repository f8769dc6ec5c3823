/** What a reading without a figure says of the machine: a word for it, or one end of it where that settles the side. */
import type { Observed, Reading } from '../../diagnosis/readings';
import { type Felt, type Quantity, type Stated, feltOf, valueOf } from '../notes/stated';
import type { ReadingsSoFar } from '../visitRecord';

type Side = 'low' | 'normal' | 'high';
const SIDES: Partial<Record<Felt, Side>> = {
  veryLow: 'low',
  low: 'low',
  asUsual: 'normal',
  high: 'high',
  veryHigh: 'high',
};

/** Places whose words are signs of the same name. */
const WORDED = ['suction', 'head', 'superheat', 'subcooling', 'amps'] as const satisfies readonly Reading[];

/** Of these a figure at the bound tells the side on which everything beyond it lies. */
const BEYOND = {
  suction: { below: ['low', 'vacuum'], above: ['high'] },
  head: { below: ['nearAmbient'], above: ['high'] },
} as const;

const limitOf = (given: Stated<Quantity> | undefined, name: keyof typeof BEYOND) => {
  const value = valueOf(given);
  return value !== null && 'bound' in value ? { limit: value.limit, sides: BEYOND[name][value.bound] } : null;
};

/**
 * `observed`: what the machine would show with these pressures (Pa absolute) in place of figures that nobody has. A middle
 * that is neither side says nothing.
 */
export function roughly(
  { numbers }: ReadingsSoFar,
  observed: (limits: { suction: number | null; head: number | null }) => Observed,
): Observed {
  const found: Partial<Record<Reading, string>> = {};
  for (const name of WORDED) {
    const word = feltOf(numbers[name]);
    const side = word === null ? undefined : SIDES[word];
    if (side) found[name] = side;
    if (name === 'suction' && word === 'inVacuum') found.suction = 'vacuum';
  }
  const suction = limitOf(numbers['suction'], 'suction');
  const head = limitOf(numbers['head'], 'head');
  if (suction || head) {
    const at = observed({ suction: suction?.limit ?? null, head: head?.limit ?? null });
    if (suction && at.suction && (suction.sides as readonly string[]).includes(at.suction))
      found.suction = at.suction;
    if (head && at.head && (head.sides as readonly string[]).includes(at.head)) found.head = at.head;
  }
  return found as Observed;
}
