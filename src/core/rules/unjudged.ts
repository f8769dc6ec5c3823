/**
 * What cannot be judged of a machine today, and what is known all the same: where nobody knows the full charge, the
 * least that must have been in it and the packs that would cover at that. Unknown is never “nothing due”.
 */
import type { GasEntry } from '../logbook/history';
import { type ExactGrams, NO_MASS, exactGrams } from '../quantity/mass';
import type { Day } from '../quantity/day';
import { coveredAt } from './inForce';
import { judgedRate } from './judgedRate';
import type { Pack } from './pack';
import type { Standing } from './standing';

export type Unjudged =
  /** nobody knows what it is charged with, so no law can be said to cover it or not */
  | { code: 'refrigerant' }
  | {
      code: 'fullCharge';
      /** the most that was seen in it at once; null where nothing was ever weighed */
      atLeast: ExactGrams | null;
      /** packs of the site that would cover at that charge; the full charge may be larger still */
      wouldCover: readonly Pack[];
    }
  /** gas that nobody weighed stands in the chain or the window of today, or in that of the last addition */
  | { code: 'notWeighed'; days: readonly Day[] };

/**
 * The most gas that a machine was seen to hold on one day, by weights: what went in that day, or what came out of it.
 * Days are not added up, for what went in earlier may have leaked. Gas from before a conversion says nothing. Null
 * where nothing was weighed.
 */
export function leastFullCharge(gas: readonly GasEntry[]): ExactGrams | null {
  let most: ExactGrams | null = null;
  let day: Day | null = null;
  let inside = NO_MASS;
  const seen = (grams: ExactGrams): void => {
    if (grams > 0n && (most === null || grams > most)) most = grams;
  };
  for (const { day: on, entry } of gas) {
    if (on !== day) inside = NO_MASS;
    day = on;
    if (entry.kind === 'retrofitted') {
      most = null;
      inside = NO_MASS;
      continue;
    }
    const mass = entry.mass ? exactGrams(entry.mass) : NO_MASS;
    if (entry.kind === 'refrigerantAdded') {
      inside = (inside + mass) as ExactGrams;
      seen(inside);
    } else {
      seen(mass);
      inside = (inside > mass ? inside - mass : 0n) as ExactGrams;
    }
  }
  return most;
}

/** Null where the machine can be judged, or where no rule asks for it: no packs at the site, or retired. */
export function unjudged(standing: Standing): Unjudged | null {
  const { history, force, present, headroom, additions, ledger } = standing;
  if (history.retiredOn !== null || force.packs.length === 0) return null;
  if (present.refrigerant === null && force.packs.some((pack) => !pack.onlyWhereNoOther))
    return { code: 'refrigerant' };
  if (present.fullCharge === null) {
    const atLeast = leastFullCharge(history.gas);
    return {
      code: 'fullCharge',
      atLeast,
      wouldCover: atLeast === null ? [] : coveredAt(force, { ...present, fullCharge: atLeast }),
    };
  }
  if (!headroom.known && headroom.why === 'notWeighed') return { code: 'notWeighed', days: headroom.days };
  // Room there may be: but whether the last addition exceeded, and so a case should run, nobody can tell.
  const last = additions.at(-1);
  const missing =
    last && Object.values(last.exceeds).includes(null) ? judgedRate(last, ledger).missing : null;
  return missing?.code === 'notWeighed' ? missing : null;
}
