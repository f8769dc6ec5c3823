/**
 * How much of a condenser is flooded to hold 90 °F condensing in the cold: 1 − split ÷ (90 °F − ambient), since the share
 * that stays open must reject the same heat over the larger difference. As data: the split goes with the evaporating
 * temperature, for condensers of colder work are chosen larger. °F.
 */
export const FLOODED_SHARE = {
  held: 90,
  ambients: { from: -20, to: 70 },
  rows: [
    { evaporating: 40, split: 30 },
    { evaporating: 20, split: 25 },
    { evaporating: 0, split: 20 },
    { evaporating: -20, split: 15 },
    { evaporating: -40, split: 12.5 },
  ],
} as const;
