/**
 * A figure of a rule: a number with its unit, its source and the days from which each value holds. Nothing is
 * overwritten: a changed figure is one more period. Periods are half-open, sorted, and the first reaches back
 * without end (a pack's own `from` says since when the pack speaks at all).
 */
import { z } from 'zod';
import { type Day, dayOf } from '../quantity/day';
import { calendarDate } from '../logbook/fields';

export const FIGURE_UNITS = [
  'percent',
  'days',
  'months',
  'quarters',
  'years',
  'times',
  'lb',
  'kg',
  'tCO2e',
  'GWP',
] as const;

export const sourceSchema = z.strictObject({
  cite: z.string().min(3),
  readOn: calendarDate,
  /** a planning figure of ours where the text names none */
  ours: z.literal(true).optional(),
});

export const figureSchema = z
  .strictObject({
    unit: z.enum(FIGURE_UNITS),
    periods: z
      .array(
        z.strictObject({
          from: calendarDate.nullable(),
          value: z.number().min(0),
          /** who changed it and why, for a company's own value */
          changed: z.strictObject({ by: z.string().min(1), reason: z.string().min(1) }).optional(),
        }),
      )
      .min(1),
    source: sourceSchema,
  })
  .superRefine((figure, context) => {
    figure.periods.forEach((period, index) => {
      const earlier = figure.periods[index - 1];
      const sorted = earlier
        ? period.from !== null && (earlier.from === null || earlier.from < period.from)
        : period.from === null;
      if (!sorted) {
        context.addIssue({
          code: 'custom',
          path: ['periods', index, 'from'],
          message: `periods begin with null and ascend; got ${String(period.from)} after ${String(earlier?.from)}`,
        });
      }
    });
  });

export type Figure = z.infer<typeof figureSchema>;
export type Source = z.infer<typeof sourceSchema>;

/** The value in force on a day. */
export function valueOn(figure: Figure, day: Day): number {
  const { periods } = figure;
  for (let index = periods.length - 1; index > 0; index -= 1) {
    const period = periods[index];
    if (period?.from != null && dayOf(period.from) <= day) return period.value;
  }
  const [first] = periods;
  if (!first) throw new Error('A figure has at least one period: build packs with definePack().');
  return first.value;
}
