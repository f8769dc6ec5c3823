/** How many beads lie where: 20 between the frame and the stop, together the whole allowance. */
import type { HeadroomSummary } from '../../core/rules/summary';

export const BEADS = 20;
const MOST_DIAMONDS = 5;
/** a bead that is free but for float dust is free */
const DUST = 1e-9;

export interface Beads {
  free: number;
  spent: number;
  over: number;
  /** there would be more diamonds than fit */
  overCapped: boolean;
}

/** Free beads are rounded down, so that the rod never promises more than there is. */
export function beadsOf(rod: Extract<HeadroomSummary, { limit: true }>): Beads {
  const overBeads =
    rod.exceeded && rod.exceeded.limitPercent > 0
      ? Math.max(0, Math.ceil((rod.exceeded.percent / rod.exceeded.limitPercent - 1) * BEADS - DUST))
      : 0;
  const share = rod.allowanceGrams > 0 ? Math.max(0, Math.min(1, rod.freeGrams / rod.allowanceGrams)) : 0;
  const free = Math.floor(share * BEADS + DUST);
  return {
    free,
    spent: BEADS - free,
    over: Math.min(overBeads, MOST_DIAMONDS),
    overCapped: overBeads > MOST_DIAMONDS,
  };
}
