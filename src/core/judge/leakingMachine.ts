/** A machine's own additions as the ground of its forecast: what it lost between full charges, and where it stands. */
import { type Interval, presentRate } from '../bench/additionsRate';
import { type ExactGrams, grams } from '../quantity/mass';
import type { Standing } from '../rules/standing';
import type { LeakingMachine } from './forecast';

export type { LeakingMachine };

/** A leak of years ago says little of today's. */
const LATEST_INTERVALS = 3;
/** Nobody knows when within years of rest a leak began: at most a year counts, as in the rates of the rules. */
const MOST_DAYS = 365;
/** So few intervals cannot show a larger spread; beyond it the middle of the draws would say nothing. */
const MOST_SPREAD = 1;
/** Below four fifths of its charge a machine seldom holds its box. */
const WORKING_MINIMUM = 0.8;

const kilograms = (mass: ExactGrams): number => grams(mass) / 1000;

export type NoForecast = 'retired' | 'noFullCharge' | 'noIntervals';

/** Each addition is taken as a filling to full; days that were not weighed make no interval. */
export function leakingMachine(
  standing: Standing,
): { ok: true; machine: LeakingMachine } | { ok: false; why: NoForecast } {
  const { history, ledger, present, headroom } = standing;
  if (history.retiredOn !== null) return { ok: false, why: 'retired' };
  if (present.fullCharge === null) return { ok: false, why: 'noFullCharge' };
  const intervals = ledger.days.flatMap((each, index): Interval[] => {
    const before = ledger.days[index - 1]?.day ?? ledger.installedOn;
    if (before === null || before === undefined || each.unknown || each.day <= before) return [];
    return [{ days: Math.min(each.day - before, MOST_DAYS), lost: kilograms(each.net) }];
  });
  // Before the first loss stand commissioning and refilling: they end no leak's interval.
  const first = intervals.findIndex((each) => each.lost > 0);
  const latest = first === -1 ? [] : intervals.slice(first).slice(-LATEST_INTERVALS);
  const rate = presentRate(latest);
  const last = ledger.days.at(-1);
  if (!rate.ok || !last) return { ok: false, why: 'noIntervals' };
  const known = headroom.known ? headroom.headroom : null;
  return {
    ok: true,
    machine: {
      fullCharge: kilograms(present.fullCharge),
      missing: 0,
      rate: rate.value.value.rate,
      spread: Math.min(rate.value.value.spread, MOST_SPREAD),
      workingMinimum: WORKING_MINIMUM,
      threshold: known && { percent: known.thresholdPercent, method: known.method },
      daysSinceGas: history.asOf - last.day,
      additions: ledger.days
        .filter((each) => known?.windowFrom != null && each.day >= known.windowFrom && each.net > 0n)
        .map((each) => ({ daysAgo: history.asOf - each.day, mass: kilograms(each.net) })),
    },
  };
}
