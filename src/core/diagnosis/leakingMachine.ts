/** A machine's own additions as the ground of its forecast: what it lost between full charges, and where it stands. */
import { type ExactGrams, grams } from '../quantity/mass';
import type { Standing } from '../rules/standing';
import type { LeakingMachine } from './leaking';

export type { LeakingMachine };

/** A leak of years ago says little of today's. */
const LATEST_FILLINGS = 6;
/** Below four fifths of its charge a machine seldom holds its box. */
const WORKING_MINIMUM = 0.8;
/** Charged by weight after it was empty: full. A top-off may have stopped short of it. */
const TO_FULL: readonly string[] = ['commission', 'recharge', 'retrofit'];

const kilograms = (mass: ExactGrams): number => grams(mass) / 1000;

export type NoForecast = 'retired' | 'noFullCharge' | 'noIntervals';

/**
 * Intervals as long as they were; of a top-off nobody knows whether it was to full. An unweighed day joins its interval to
 * nothing: what was lost in it is not known.
 */
export function leakingMachine(
  standing: Standing,
): { ok: true; machine: LeakingMachine } | { ok: false; why: NoForecast } {
  const { history, ledger, present, headroom } = standing;
  if (history.retiredOn !== null) return { ok: false, why: 'retired' };
  if (present.fullCharge === null) return { ok: false, why: 'noFullCharge' };
  const fullOn = new Set(
    history.gas.flatMap(({ day, entry }) =>
      entry.kind === 'refrigerantAdded' && TO_FULL.includes(entry.reason) ? [day] : [],
    ),
  );
  const spans = ledger.days.map((each, index) => {
    const before = ledger.days[index - 1]?.day ?? ledger.installedOn;
    return { ...each, before, counts: before != null && !each.unknown && each.day > before };
  });
  // Before the first loss stand commissioning and refilling: they end no leak's interval. After an unweighed day it begins anew.
  const broken = spans.findLastIndex((each) => each.unknown);
  const first = spans.findIndex((each, index) => index > broken && each.counts && each.net > 0n);
  const counted = first === -1 ? [] : spans.slice(first).filter((each) => each.counts);
  const latest = (counted.length > 0 ? counted : spans.filter((each) => each.counts && each.net > 0n)).slice(
    -LATEST_FILLINGS,
  );
  const last = ledger.days.at(-1);
  const [opening] = latest;
  if (!opening || !last) return { ok: false, why: 'noIntervals' };
  const known = headroom.known ? headroom.headroom : null;
  return {
    ok: true,
    machine: {
      fullCharge: kilograms(present.fullCharge),
      fillings: latest.map((each) => ({
        days: each.day - (each.before ?? each.day),
        added: kilograms(each.net),
        full: fullOn.has(each.day),
      })),
      startedFull:
        opening.before !== null && (fullOn.has(opening.before) || opening.before === ledger.installedOn),
      workingMinimum: WORKING_MINIMUM,
      threshold: known && { percent: known.thresholdPercent, method: known.method },
      daysSinceGas: history.asOf - last.day,
      additions: ledger.days
        .filter((each) => known?.windowFrom != null && each.day >= known.windowFrom && each.net > 0n)
        .map((each) => ({ daysAgo: history.asOf - each.day, mass: kilograms(each.net) })),
    },
  };
}
