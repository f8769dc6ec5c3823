/** Present leak rate from what was added: gas lost between full charges, the days between as exposure. kg, days. */
import { YEAR_S } from '../quantity/units';
import { refused } from '../result';
import { type Outcome, calculated, figure, notPositive } from './calculated';

export interface Interval {
  /** days from one full charge to the next */
  days: number;
  /** kg lost in them: what the next full charge took */
  lost: number;
}

export interface PresentRate {
  /** kg a day */
  rate: number;
  /** eight in ten: kg a day */
  low: number;
  high: number;
  /** relative standard deviation of the rate in the coming half year */
  spread: number;
  /** one interval only: the range is an assumption, half to double */
  assumed: boolean;
}

/** Student's t, 90 % one-sided, by degrees of freedom from 1. */
const T_90 = [3.078, 1.886, 1.638, 1.533, 1.476, 1.44, 1.415, 1.397, 1.383, 1.372] as const;
const T_90_MANY = 1.282;
const ASSUMED_SPREAD = 0.5;
const AHEAD_DAYS = 182;

/** rate = Σ lost ÷ Σ days, with the spread of the intervals about it, each weighing as its days. */
export function presentRate(intervals: readonly Interval[]): Outcome<PresentRate> {
  if (intervals.length === 0) return refused({ reason: 'tooFewReadings', have: 0, need: 1 });
  for (const [index, { days, lost }] of intervals.entries()) {
    const bad = notPositive({ [`days of interval ${String(index + 1)}`]: days });
    if (bad) return bad;
    if (!(lost >= 0))
      return refused({ reason: 'notPositive', field: `gas of interval ${String(index + 1)}` });
  }
  const days = intervals.reduce((sum, each) => sum + each.days, 0);
  const lost = intervals.reduce((sum, each) => sum + each.lost, 0);
  const rate = lost / days;
  const value = intervals.length === 1 ? single(rate) : several(intervals, rate, days);
  const DAY_RATE = 365 / YEAR_S;
  return calculated(value, {
    formula: 'rate = gas lost between full charges ÷ days between them',
    figures: [
      figure('gas lost', 'mass', lost),
      figure('days', 'duration', days * 86_400),
      figure('rate', 'massRate', rate * DAY_RATE),
      figure('low', 'massRate', value.low * DAY_RATE),
      figure('high', 'massRate', value.high * DAY_RATE),
    ],
    source: 'Additions of this machine; eight in ten by Student’s t over the intervals',
    validity:
      intervals.length === 1
        ? 'One interval says nothing of its spread: half to double is an assumption.'
        : 'Only as true as “filled to full” was each time; a repair in between makes the rate too high.',
  });
}

const single = (rate: number): PresentRate => ({
  rate,
  low: rate / 2,
  high: rate * 2,
  spread: ASSUMED_SPREAD,
  assumed: true,
});

function several(intervals: readonly Interval[], rate: number, days: number): PresentRate {
  const squares = intervals.reduce((sum, each) => sum + each.days * (each.lost / each.days - rate) ** 2, 0);
  // Variance of a day's exposure; an interval of d days has this divided by d.
  const variance = squares / (intervals.length - 1);
  const error = Math.sqrt(variance / days);
  const t = T_90[intervals.length - 2] ?? T_90_MANY;
  return {
    rate,
    low: Math.max(0, rate - t * error),
    high: rate + t * error,
    spread: rate === 0 ? 0 : Math.sqrt(variance / days + variance / AHEAD_DAYS) / rate,
    assumed: false,
  };
}
