/**
 * Several readings of one pressure test: brought to one temperature where temperatures are known, and parted into the first
 * fall and the tail. A fall that settles is no leak. How sure the word is belongs to the verdicts; this is the series as it
 * reads. Pa absolute, K, s.
 */
import type { Kelvins, Pascals } from '../quantity/si';

export interface HoldTaken {
  /** s since the first */
  at: number;
  pressure: Pascals;
  /** K of the gas where it was read; null: not taken */
  temperature: Kelvins | null;
}

export type TailWord = 'oneReading' | 'tooSoon' | 'still' | 'settled' | 'falling' | 'rising';

export interface HoldTail {
  word: TailWord;
  /** s from the first reading to the last */
  stood: number;
  /** s over which the tail was watched */
  tail: number;
  /** Pa that the tail lost; below 0: it rose */
  tailLoss: Pascals;
  /** Pa lost in all, at one temperature */
  loss: Pascals;
  /** every reading carries its temperature, and they differ no more than the figures say */
  corrected: boolean;
}

/** A shorter tail says nothing, s. */
const LEAST_TAIL_S = 600;

/**
 * `p × T_first / T` where all temperatures are known; the tail is what was read in the later half of the time, at least two
 * readings. `resolution`: Pa, the last digit that was typed. 9, 8.76, 8.72, 8.72, 8.72 bar in 40 minutes: settled.
 */
export function holdTail(readings: readonly HoldTaken[], resolution: Pascals): HoldTail | null {
  const [first] = readings;
  const last = readings.at(-1);
  if (!first || !last) return null;
  const corrected = readings.every((each) => each.temperature !== null);
  const level = ({ pressure, temperature }: HoldTaken): number =>
    corrected && temperature !== null && first.temperature !== null
      ? (pressure * first.temperature) / temperature
      : pressure;
  const stood = last.at - first.at;
  const later = readings.filter((each) => each.at >= first.at + stood / 2);
  const from = later.length >= 2 ? later[0] : readings.at(-2);
  const tail = from ? last.at - from.at : 0;
  const tailLoss = from ? level(from) - level(last) : 0;
  const loss = level(first) - level(last);
  // A digit that flickers is no fall; a hair more, since the figures themselves are rounded.
  const seen = resolution * 1.001;
  const word = (): TailWord => {
    if (readings.length < 2) return 'oneReading';
    if (tail < LEAST_TAIL_S) return 'tooSoon';
    if (tailLoss > seen) return 'falling';
    if (tailLoss < -seen) return 'rising';
    return loss > seen ? 'settled' : 'still';
  };
  return { word: word(), stood, tail, tailLoss, loss, corrected };
}
