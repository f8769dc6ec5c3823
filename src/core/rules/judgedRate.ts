/**
 * A leak rate with what it is held against: the method and the lowest limit of its own day, and where it cannot be
 * judged, which weights are missing. Percent of full charge a year; days at the site.
 */
import type { LeakRateMethod } from '../logbook/fields';
import type { Day } from '../quantity/day';
import { strictestOf } from './headroom';
import { type AdditionRate, type GasLedger, PERCENT_SCALE, firstIndexFrom } from './leakRate';
import type { Pack } from './pack';

/** What keeps a rate from being known. */
export type Missing = { code: 'fullCharge' } | { code: 'notWeighed'; days: readonly Day[] };

export interface JudgedRate {
  on: Day;
  method: LeakRateMethod;
  /** null where it is not known: see `missing` */
  percent: number | null;
  /** from what was weighed alone, where `percent` is not known for lack of a weight */
  atLeastPercent: number | null;
  /** how the figure that is given bounds the rate */
  bound: Bound;
  /** days on which gas was taken out that nobody weighed, and that lies behind the rate */
  takenOut: readonly Day[];
  /** the lowest limit of the packs that covered that day; null where none has one */
  limit: { pack: Pack; percent: number } | null;
  /** packs without a limit covered that day: any leak counts */
  anyLeak: boolean;
  /** whether any pack that covered says that it exceeds; null where that cannot be judged */
  exceeds: boolean | null;
  missing: Missing | null;
}

/**
 * What a figure is of the whole: all of it (null); the least, for something that counts was not weighed; the most, for
 * what was taken out and put back was not; or neither, for both.
 */
export type Bound = 'atLeast' | 'atMost' | 'neither' | null;

export const boundOf = (atLeast: boolean, atMost: boolean): Bound =>
  atLeast ? (atMost ? 'neither' : 'atLeast') : atMost ? 'atMost' : null;

/** The rate of an addition by the method of its day, with the limit of that day. */
export function judgedRate(rate: AdditionRate, ledger: GasLedger): JudgedRate {
  const { gasDay, periodInForce, method, millionths, exceeds, index } = rate;
  const from =
    method === 'annualizing' ? rate.annualizing.chainFrom : firstIndexFrom(ledger, rate.rolling.from);
  const strictest = strictestOf(periodInForce, gasDay.day);
  const answers = Object.values(exceeds);
  const behind = ledger.days.slice(from, index + 1);
  const takenOut = [...new Set(behind.flatMap((each) => each.mayRepay))];
  const { atLeastMillionths } = rate;
  return {
    on: gasDay.day,
    method,
    percent: millionths === null ? null : millionths / PERCENT_SCALE,
    atLeastPercent: atLeastMillionths === null ? null : atLeastMillionths / PERCENT_SCALE,
    bound: boundOf(millionths === null, takenOut.length > 0),
    takenOut,
    limit: strictest,
    anyLeak: periodInForce.covering.some((pack) => pack.opens === 'anyLeak'),
    exceeds: answers.includes(true) ? true : millionths === null || answers.includes(null) ? null : false,
    missing:
      periodInForce.fullCharge === null
        ? { code: 'fullCharge' }
        : millionths === null
          ? {
              code: 'notWeighed',
              days: behind.flatMap((each) => (each.unknown ? [each.day] : [])),
            }
          : null,
  };
}
