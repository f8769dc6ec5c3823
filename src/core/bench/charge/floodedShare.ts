/**
 * How much of a condenser is flooded to hold 90 °F condensing in the cold, as a table.
 * Each figure is 1 − split ÷ (90 °F − ambient): the share that stays open must reject the same heat over the larger
 * difference. The split goes with the evaporating temperature, since condensers for colder work are chosen larger.
 */
export const FLOODED_SHARE = {
  /** °F */
  held: 90,
  ambients: [70, 60, 50, 40, 30, 20, 10, 0, -10, -20],
  rows: [
    { evaporating: 40, split: 30, shares: [0, 0, 0.25, 0.4, 0.5, 0.571, 0.625, 0.667, 0.7, 0.727] },
    { evaporating: 20, split: 25, shares: [0, 0.167, 0.375, 0.5, 0.583, 0.643, 0.688, 0.722, 0.75, 0.773] },
    { evaporating: 0, split: 20, shares: [0, 0.333, 0.5, 0.6, 0.667, 0.714, 0.75, 0.778, 0.8, 0.818] },
    { evaporating: -20, split: 15, shares: [0.25, 0.5, 0.625, 0.7, 0.75, 0.786, 0.813, 0.833, 0.85, 0.864] },
    {
      evaporating: -40,
      split: 12.5,
      shares: [0.375, 0.583, 0.688, 0.75, 0.792, 0.821, 0.844, 0.861, 0.875, 0.886],
    },
  ],
} as const;
