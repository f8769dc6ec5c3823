/**
 * What every calculation of the bench returns: its value with its working, so that a screen can open "show the
 * working" under any number. Everything inside is SI: K, Pa absolute, kg, m, m³, s. Out of range is a refusal.
 */
import type { Pascals } from '../quantity/si';
import { type Result, ok, refused } from '../result';
import type { Si } from '../quantity/si';
import type { Dimension } from '../quantity/units';
import type { OutsideTable } from '../refrigerant/saturation';

/** A figure of a working, in SI; `pressure` is absolute and shown on the gauge, `pressureDifference` is not. */
export interface WorkingFigure {
  name: string;
  dimension: Dimension;
  si: number;
}

export interface Working {
  formula: string;
  figures: readonly WorkingFigure[];
  source: string;
  /** the range in which the result holds, and what it leaves out */
  validity: string;
}

export interface Calculated<Value> {
  value: Value;
  working: Working;
}

export type CalculatorRefusal =
  | OutsideTable
  | { reason: 'outOfRange'; field: string; dimension: Dimension; given: number; from: number; to: number }
  | { reason: 'notPositive'; field: string }
  | { reason: 'aboveDesignPressure'; given: number; limit: number }
  | { reason: 'notAboveAtmosphere'; field: string; given: number; atmosphere: Pascals }
  | { reason: 'tooFewReadings'; have: number; need: number }
  | { reason: 'notInOrder'; first: string; second: string }
  | { reason: 'mixedGases'; held: string; given: string }
  /** Pa absolute at 77 °F */
  | { reason: 'beyondBottle'; refrigerant: string; pressure: Pascals }
  /** kg: what the bottle may take yet, and what was to go in */
  | { reason: 'beyondFill'; room: number; given: number };

export type Outcome<Value> = Result<Calculated<Value>, CalculatorRefusal>;

export const calculated = <Value>(value: Value, working: Working): { ok: true; value: Calculated<Value> } =>
  ok({ value, working });

export const figure = <D extends Dimension>(name: string, dimension: D, si: Si<D>): WorkingFigure => ({
  name,
  dimension,
  si,
});

/** The first of these that is not a number above zero, as a refusal; null when all are. */
export function notPositive(
  fields: Record<string, number>,
): { ok: false; refusal: CalculatorRefusal } | null {
  for (const [field, value] of Object.entries(fields)) {
    if (!(value > 0 && Number.isFinite(value))) return refused({ reason: 'notPositive', field });
  }
  return null;
}

const FLOAT_DUST = 1e-12;

export function outOfRange(
  field: string,
  dimension: Dimension,
  given: number,
  from: number,
  to: number,
): { ok: false; refusal: CalculatorRefusal } | null {
  // 70 °F is 294.2611111111111 K or a last digit more, by the way it was reckoned: that is still 70 °F.
  const dust = FLOAT_DUST * Math.max(Math.abs(from), Math.abs(to));
  return given >= from - dust && given <= to + dust
    ? null
    : refused({ reason: 'outOfRange', field, dimension, given, from, to });
}

/** J/(mol·K), exact since 2019. */
export const GAS_CONSTANT = 8.31446261815324;
/** kg/mol */
export const NITROGEN_MOLAR_MASS = 0.0280134;
/** 20 °C in K: where leak throughputs and conductances are stated. */
export const ROOM_K = 293.15;
/**
 * Differences in °F as K.
 * `fahrenheitDegrees(9)` // => 5
 */
export const fahrenheitDegrees = (degrees: number): number => (degrees * 5) / 9;

export const TABLE_SOURCE = 'Saturation table of the refrigerant (Helmholtz equations of state)';

/** For these the tables were tuned to boiling points only: a verdict that rests on less than 1 K is in doubt. */
const TUNED: readonly string[] = ['R-401A', 'R-409A', 'R-438A', 'R-455A', 'R-502'];
export const DOUBT_K = 1;
export const isTuned = (refrigerant: string): boolean => TUNED.includes(refrigerant);
export const tableValidity = (refrigerant: string, rest: string): string =>
  isTuned(refrigerant) ? `${rest} ${refrigerant}: no verdict that rests on less than 1 K is firm.` : rest;
