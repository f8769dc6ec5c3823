/**
 * Instruments lie by an offset and age: each has what must be added to its reading (SI of its dimension) and the day of its
 * last check. The machine's own display is one too.
 */
import { z } from 'zod';
import { calendarDate, filledText, id, maybe } from '../logbook/fields';
import { type Day, addMonths, dayOf } from '../quantity/day';

/** What an instrument reads; a leak detector tells yes or no, and is checked like the others. */
export const INSTRUMENT_DIMENSIONS = [
  'pressure',
  'temperature',
  'vacuum',
  'mass',
  'current',
  'detector',
] as const;

export const instrumentRow = z.object({
  id,
  name: filledText,
  dimension: z.enum(INSTRUMENT_DIMENSIONS),
  /** added to the reading; Pa, K, kg or A; 0 for a detector */
  offset: z.number(),
  checkedOn: maybe(calendarDate),
  checkEveryMonths: maybe(z.int().min(1).max(120)),
});
export type Instrument = z.infer<typeof instrumentRow>;

/** `corrected(300, { offset: -2 })` // => 298 */
export const corrected = (reading: number, instrument: Pick<Instrument, 'offset'>): number =>
  reading + instrument.offset;

export type CheckState = { state: 'neverChecked' } | { state: 'inDate' | 'overdue'; due: Day };

/** Without an interval of its own an instrument is checked once a year. */
const USUAL_MONTHS = 12;

export function checkState(instrument: Instrument, today: Day): CheckState {
  if (instrument.checkedOn == null) return { state: 'neverChecked' };
  const due = addMonths(dayOf(instrument.checkedOn), instrument.checkEveryMonths ?? USUAL_MONTHS);
  return { state: today > due ? 'overdue' : 'inDate', due };
}
