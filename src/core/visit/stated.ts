/**
 * A fact of a visit as it was stated. Four things that never turn into one another: a value (nought is one), not done with
 * its reason, unknown to whoever was asked, and not recorded, which is the absence of the field.
 */
import { z } from 'zod';
import { calendarDate, filledText, maybe } from '../logbook/fields';

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
  si: z.number(),
  unit: z.string(),
  instrument: maybe(usedInstrument),
});
export type Measured = z.infer<typeof measured>;

type Given<Value> = Stated<Value> | null | undefined;

export const isNotDone = (given: Given<unknown>): given is NotDone =>
  typeof given === 'object' && given !== null && 'notDone' in given;
export const isUnknown = (given: Given<unknown>): given is Unknown =>
  typeof given === 'object' && given !== null && 'unknown' in given;

/** The value, or null for each of the three ways in which there is none. */
export function valueOf<Value>(given: Given<Value>): Value | null {
  return given === null || given === undefined || isNotDone(given) || isUnknown(given) ? null : given;
}

/** Recorded in any way: a reason why it was not done is a record too. */
export const isRecorded = (given: Given<unknown>): boolean => given !== null && given !== undefined;

/** SI of a measure that was read, else null. */
export const siOf = (given: Given<Measured>): number | null => valueOf(given)?.si ?? null;
