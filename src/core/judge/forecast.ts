/**
 * When will it run short, and from when would a top-off exceed the threshold? Closed form for one rate; many rates drawn
 * from the spread of the machine's own history give dates with a range, for one appliance or a fleet. kg, days from today.
 */
import type { Kilograms } from '../quantity/si';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { LeakRateMethod } from '../logbook/fields';

export interface LeakingMachine {
  /** kg */
  fullCharge: Kilograms;
  /** kg that were missing when gas was last added; 0 where it was filled to full */
  missing: number;
  /** kg a day, and its relative standard deviation */
  rate: number;
  spread: number;
  /** share of the full charge below which it no longer does its work */
  workingMinimum: number;
  threshold: { percent: number; method: LeakRateMethod } | null;
  /** days since gas was last added: it has leaked since then */
  daysSinceGas: number;
  /** additions that the rolling window of a year still holds */
  additions: readonly { daysAgo: number; mass: number }[];
}

/** Days from today, `exceeds` in whole ones; 0 is today, Infinity is never at this rate. */
export interface Dates {
  short: number;
  exceeds: number;
}

const YEAR = 365;

/** Both dates at a rate in kg a day. */
export function datesAt(machine: LeakingMachine, rate: number): Dates {
  const today = { ...machine, missing: machine.missing + rate * machine.daysSinceGas };
  return { short: shortAt(today, rate), exceeds: exceedsAt(today, rate) };
}

function shortAt({ fullCharge, missing, workingMinimum }: LeakingMachine, rate: number): number {
  const left = (1 - workingMinimum) * fullCharge - missing;
  return left <= 0 ? 0 : left / rate;
}

/** Here and below `missing` is what is missing today. First day on which filling up to full would exceed the threshold, strictly. */
function exceedsAt(machine: LeakingMachine, rate: number): number {
  if (!machine.threshold) return Infinity;
  const allowed = (machine.threshold.percent / 100) * machine.fullCharge;
  return machine.threshold.method === 'annualizing'
    ? exceedsAnnualizing(machine, rate, allowed)
    : exceedsRolling(machine, rate, allowed);
}

/** First whole day after a crossing: exactly at the threshold is not over it, and a float's dust is no crossing. */
const firstDayAfter = (crossing: number): number => Math.max(0, Math.floor(crossing + DUST_DAYS) + 1);
const DUST_DAYS = 1e-9;

/** lost × 365 ÷ days > allowed while days ≤ 365, lost > allowed afterwards. */
function exceedsAnnualizing(
  { missing, daysSinceGas }: LeakingMachine,
  rate: number,
  allowed: number,
): number {
  const since = Math.min(Math.max(daysSinceGas, 1), YEAR);
  const aDay = allowed / YEAR;
  if (missing > aDay * since) return 0;
  const growth = rate - aDay;
  if (growth > 0) {
    const day = firstDayAfter((aDay * since - missing) / growth);
    if (since + day <= YEAR) return day;
  }
  return rate > 0 ? Math.max(firstDayAfter((allowed - missing) / rate), YEAR - since) : Infinity;
}

/** lost + additions of the year before > allowed; an addition leaves the window after 365 days. */
function exceedsRolling({ missing, additions }: LeakingMachine, rate: number, allowed: number): number {
  const leaving = additions.filter((each) => each.daysAgo < YEAR).sort((a, b) => b.daysAgo - a.daysAgo);
  let held = leaving.reduce((sum, each) => sum + each.mass, 0);
  let from = 0;
  for (const each of [...leaving, null]) {
    if (missing + rate * from + held > allowed) return from;
    const until = each ? YEAR - each.daysAgo : Infinity;
    const day = rate > 0 ? firstDayAfter((allowed - held - missing) / rate) : Infinity;
    if (day < until) return day;
    from = until;
    held -= each?.mass ?? 0;
  }
  return Infinity;
}

/** One in ten, half, nine in ten of the draws come before; null: not within the horizon. */
export interface DateRange {
  early: number | null;
  middle: number | null;
  late: number | null;
}

export interface Forecast {
  short: DateRange;
  exceeds: DateRange;
}

export interface Drawing {
  draws: number;
  seed: number;
  horizonDays: number;
}

/** The first numbers of a freshly seeded generator resemble those of its neighbours. */
const BURN_IN = 32;

/**
 * One forecast a machine, in order. Rates come from a log-normal with the machine's mean and spread: never negative,
 * skewed as leaks are. The same seed and machines give the same forecasts.
 */
export function forecastFleet(
  machines: readonly LeakingMachine[],
  { draws, seed, horizonDays }: Drawing,
  progress: (share: number) => void = () => undefined,
): Forecast[] {
  const generator = xoroshiro128plus(seed);
  const uniform = (): number => uniformFloat64(generator);
  for (let index = 0; index < BURN_IN; index += 1) uniform();
  const stride = Math.max(1, Math.floor(machines.length / 100));
  const short = new Float64Array(draws);
  const exceeds = new Float64Array(draws);
  return machines.map((machine, index) => {
    if (index % stride === 0) progress(index / machines.length);
    for (let draw = 0; draw < draws; draw += 1) {
      const dates = datesAt(machine, drawnRate(machine, uniform));
      short[draw] = dates.short;
      exceeds[draw] = dates.exceeds;
    }
    return { short: rangeOf(short, horizonDays), exceeds: rangeOf(exceeds, horizonDays) };
  });
}

function drawnRate({ rate, spread }: LeakingMachine, uniform: () => number): number {
  const bell = Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  const variance = Math.log(1 + spread ** 2);
  return rate > 0 ? rate * Math.exp(Math.sqrt(variance) * bell - variance / 2) : 0;
}

function rangeOf(days: Float64Array, horizon: number): DateRange {
  days.sort();
  const at = (share: number): number | null => {
    const day = days[Math.min(days.length - 1, Math.floor(share * days.length))] ?? Infinity;
    return day <= horizon ? day : null;
  };
  return { early: at(0.1), middle: at(0.5), late: at(0.9) };
}
