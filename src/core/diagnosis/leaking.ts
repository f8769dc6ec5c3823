/** A machine that leaks, as a forecast sees it: its fillings, its limit, and one course that it may take. kg, days. */
import type { LeakRateMethod } from '../logbook/fields';
import type { Kilograms } from '../quantity/si';

/** The time between two fillings. */
export interface Filling {
  /** days since the filling before */
  days: number;
  /** kg that went in at its end, net */
  added: Kilograms;
  /** known to be full afterwards; else nobody knows how much was missing still */
  full: boolean;
}

export interface LeakingMachine {
  /** kg */
  fullCharge: Kilograms;
  /** from the oldest that counts to the latest; none: no forecast */
  fillings: readonly Filling[];
  /** known to be full before the first of them */
  startedFull: boolean;
  /** share of the full charge below which it no longer does its work */
  workingMinimum: number;
  threshold: { percent: number; method: LeakRateMethod } | null;
  /** days since gas was last added: it has leaked since then */
  daysSinceGas: number;
  /** additions that the rolling window of a year still holds */
  additions: readonly { daysAgo: number; mass: number }[];
}

/** kg a day over all fillings, as if each had been to full. */
export const rateOf = ({ fillings }: Pick<LeakingMachine, 'fillings'>): number =>
  fillings.reduce((sum, each) => sum + each.added, 0) / fillings.reduce((sum, each) => sum + each.days, 0);

/** What leaks where: rate in kg a day, and kg that were missing still after the last filling. */
export interface Course {
  rate: number;
  missing: Kilograms;
}
