/**
 * A fact of a visit as it was stated. Four things that never turn into one another: a value (nought is one), not done with
 * its reason, unknown to whoever was asked, and not recorded, which is the absence of the field.
 */
import { z } from 'zod';
import { calendarDate, filledText, maybe } from '../../logbook/fields';

export interface NotDone {
  notDone: string;
}
export interface Unknown {
  unknown: true;
}
export type Stated<Value> = Value | NotDone | Unknown;

export const notDone = z.object({ notDone: filledText });
export const unknown = z.object({ unknown: z.literal(true) });
export const stated = <Schema extends z.ZodType>(value: Schema) => maybe(z.union([value, notDone, unknown]));

/** The instrument that a reading was taken with, as it stood that day: the offset is already in the SI value. */
export const usedInstrument = z.object({
  id: z.string(),
  name: z.string(),
  /** SI of the dimension: what was added to the reading */
  offset: z.number(),
  checkedOn: maybe(calendarDate),
});

/** What was typed beside its SI value; pressures are Pa absolute. */
export const measured = z.object({
  typed: filledText,
  /** of a range its middle */
  si: z.number(),
  /** SI of both ends, where somebody knows no more than that it lies between them */
  range: maybe(z.tuple([z.number(), z.number()])),
  unit: z.string(),
  instrument: maybe(usedInstrument),
});
export type Measured = z.infer<typeof measured>;

/** One end of a figure, where no more is known: `<10 psig`. No calculation takes the end for the figure. */
export const bounded = z.object({
  typed: filledText,
  bound: z.enum(['below', 'above']),
  /** SI */
  limit: z.number(),
  unit: z.string(),
  instrument: maybe(usedInstrument),
});
export type Bounded = z.infer<typeof bounded>;

export const FELT = [
  'inVacuum',
  'veryLow',
  'low',
  'asUsual',
  'high',
  'veryHigh',
  'cold',
  'cool',
  'warm',
  'hot',
] as const;
/** How something reads to a hand or an eye that has no figure. */
export type Felt = (typeof FELT)[number];
export const felt = z.object({ felt: z.enum(FELT) });

/** What people know of a quantity: a figure or its range, one end of it, or a word. */
export const quantity = z.union([measured, bounded, felt]);
export type Quantity = z.infer<typeof quantity>;

type MaybeStated<Value> = Stated<Value> | null | undefined;

export const isNotDone = (given: MaybeStated<unknown>): given is NotDone =>
  typeof given === 'object' && given !== null && 'notDone' in given;
export const isUnknown = (given: MaybeStated<unknown>): given is Unknown =>
  typeof given === 'object' && given !== null && 'unknown' in given;

/** The value, or null for each of the three ways in which there is none. */
export function valueOf<Value>(given: MaybeStated<Value>): Value | null {
  return given === null || given === undefined || isNotDone(given) || isUnknown(given) ? null : given;
}

/** Recorded in any way: a reason why it was not done is a record too. */
export const isRecorded = (given: MaybeStated<unknown>): boolean => given !== null && given !== undefined;

/** The measure, or null where there is no figure: not done, unknown, a bound, a word. */
export function measuredOf(given: MaybeStated<Quantity>): Measured | null {
  const value = valueOf(given);
  return value !== null && 'si' in value ? value : null;
}

/** SI of a measure that was read, else null. */
export const siOf = (given: MaybeStated<Quantity>): number | null => measuredOf(given)?.si ?? null;

/** SI between which a quantity lies, as far as it was said; null: nobody said that end. */
export function endsOf(given: MaybeStated<Quantity>): { low: number | null; high: number | null } {
  const value = valueOf(given);
  if (value === null || 'felt' in value) return { low: null, high: null };
  if ('bound' in value)
    return value.bound === 'below' ? { low: null, high: value.limit } : { low: value.limit, high: null };
  const [low, high] = value.range ?? [value.si, value.si];
  return { low, high };
}

/** The word that somebody had for it in place of a figure. */
export function feltOf(given: MaybeStated<Quantity>): Felt | null {
  const value = valueOf(given);
  return value !== null && 'felt' in value ? value.felt : null;
}
