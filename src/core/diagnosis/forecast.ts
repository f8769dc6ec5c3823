/**
 * When will it run short, and from when would a top-off exceed the threshold? Closed form for one rate and one level; many of
 * both, drawn from what the machine's own fillings leave open, give dates with a range, for one appliance or a fleet. kg, days
 * from today.
 */
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { bells, coursesOf } from './courses';
import type { Course, LeakingMachine } from './leaking';

/** Days from today, `exceeds` in whole ones; 0 is today, Infinity is never at this rate. */
export interface Dates {
  short: number;
  exceeds: number;
}

const YEAR = 365;

/** Both dates on one course. */
export function datesAt(machine: LeakingMachine, { rate, missing }: Course): Dates {
  // kg that are missing today. Handed on beside the machine: a copy of it for each draw would take most of the time.
  const gone = missing + rate * machine.daysSinceGas;
  return { short: shortAt(machine, gone, rate), exceeds: exceedsAt(machine, gone, rate) };
}

function shortAt({ fullCharge, workingMinimum }: LeakingMachine, missing: number, rate: number): number {
  const left = (1 - workingMinimum) * fullCharge - missing;
  return left <= 0 ? 0 : left / rate;
}

/** Here and below `missing` is what is missing today. First day on which filling up to full would exceed the threshold, strictly. */
function exceedsAt(machine: LeakingMachine, missing: number, rate: number): number {
  if (!machine.threshold) return Infinity;
  const allowed = (machine.threshold.percent / 100) * machine.fullCharge;
  return machine.threshold.method === 'annualizing'
    ? exceedsAnnualizing(machine, missing, rate, allowed)
    : exceedsRolling(machine, missing, rate, allowed);
}

/** First whole day after a crossing: exactly at the threshold is not over it, and a float's dust is no crossing. */
const firstDayAfter = (crossing: number): number => Math.max(0, Math.floor(crossing + DUST_DAYS) + 1);
const DUST_DAYS = 1e-9;

/** lost × 365 ÷ days > allowed while days ≤ 365, lost > allowed afterwards. */
function exceedsAnnualizing(
  { daysSinceGas }: LeakingMachine,
  missing: number,
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
function exceedsRolling(
  { additions }: LeakingMachine,
  missing: number,
  rate: number,
  allowed: number,
): number {
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
  /** kg a day: eight in ten of the draws lie between low and high */
  rate: { low: number; middle: number; high: number };
}

export interface Drawing {
  draws: number;
  seed: number;
  horizonDays: number;
}

/** The first numbers of a freshly seeded generator resemble those of its neighbours. */
const BURN_IN = 32;

/**
 * One forecast a machine, in order. Each draw takes a course that the fillings allow: levels that nobody knows, and a rate
 * that differs from filling to filling. The same seed and machines give the same forecasts.
 */
export function forecastFleet(
  machines: readonly LeakingMachine[],
  { draws, seed, horizonDays }: Drawing,
  progress: (share: number) => void = () => undefined,
): Forecast[] {
  const generator = xoroshiro128plus(seed);
  const uniform = (): number => uniformFloat64(generator);
  for (let index = 0; index < BURN_IN; index += 1) uniform();
  const bell = bells(uniform);
  const stride = Math.max(1, Math.floor(machines.length / 100));
  const [short, exceeds, rates] = [draws, draws, draws].map((size) => new Float64Array(size)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  return machines.map((machine, index) => {
    if (index % stride === 0) progress(index / machines.length);
    const courseOf = coursesOf(machine, bell);
    for (let draw = 0; draw < draws; draw += 1) {
      const course = courseOf();
      const dates = datesAt(machine, course);
      short[draw] = dates.short;
      exceeds[draw] = dates.exceeds;
      rates[draw] = course.rate;
    }
    return {
      short: rangeOf(short, horizonDays),
      exceeds: rangeOf(exceeds, horizonDays),
      rate: rateRange(rates),
    };
  });
}

function rateRange(rates: Float64Array): Forecast['rate'] {
  rates.sort();
  const at = (share: number): number =>
    rates[Math.min(rates.length - 1, Math.floor(share * rates.length))] ?? 0;
  return { low: at(0.1), middle: at(0.5), high: at(0.9) };
}

function rangeOf(days: Float64Array, horizon: number): DateRange {
  days.sort();
  const at = (share: number): number | null => {
    const day = days[Math.min(days.length - 1, Math.floor(share * days.length))] ?? Infinity;
    return day <= horizon ? day : null;
  };
  return { early: at(0.1), middle: at(0.5), late: at(0.9) };
}
