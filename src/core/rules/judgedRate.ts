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
  /** the lowest limit of the packs that covered that day; null where none has one */
  limit: { pack: Pack; percent: number } | null;
  /** packs without a limit covered that day: any leak counts */
  anyLeak: boolean;
  /** whether any pack that covered says that it exceeds; null where that cannot be judged */
  exceeds: boolean | null;
  missing: Missing | null;
}

/** The rate of an addition by the method of its day, with the limit of that day. */
export function judgedRate(rate: AdditionRate, ledger: GasLedger): JudgedRate {
  const { gasDay, spell, method, millionths, exceeds, index } = rate;
  const from =
    method === 'annualizing' ? rate.annualizing.chainFrom : firstIndexFrom(ledger, rate.rolling.from);
  const strictest = strictestOf(spell, gasDay.day);
  const answers = Object.values(exceeds);
  return {
    on: gasDay.day,
    method,
    percent: millionths === null ? null : millionths / PERCENT_SCALE,
    limit: strictest,
    anyLeak: spell.covering.some((pack) => pack.opens === 'anyLeak'),
    exceeds: millionths === null || answers.includes(null) ? null : answers.includes(true),
    missing:
      spell.fullCharge === null
        ? { code: 'fullCharge' }
        : millionths === null
          ? {
              code: 'notWeighed',
              days: ledger.days.slice(from, index + 1).flatMap((each) => (each.unknown ? [each.day] : [])),
            }
          : null,
  };
}
