/** Short forms for writing packs: a figure with its unit and source. */
import type { Figure, Source } from '../figure';

/** the day on which the working summary was last read over */
const READ_ON = '2026-11-01';

export const cite = (text: string): Source => ({ cite: text, readOn: READ_ON });

/** A figure of ours, where the text names none. */
export const ours = (value: number, unit: Figure['unit'], source: string): Figure => ({
  ...figure(value, unit, source),
  source: { ...cite(source), ours: true },
});

export const figure = (value: number, unit: Figure['unit'], source: string): Figure => ({
  unit,
  periods: [{ from: null, value }],
  source: cite(source),
});
