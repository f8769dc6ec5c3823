/**
 * Leak rates: percent of full charge a year, by both methods of 40 CFR 82.152 and 84.102 (definitions of
 * “annualizing” and “rolling average”). Grams in, calendar days at the site. “Exceeds” is strictly greater,
 * after rounding the percent to 6 decimals, halves up on the exact value.
 */
import { type Day, addDays } from '../quantity/day';
import { roundedQuotient } from '../quantity/decimal';
import { type ExactGrams, NO_MASS } from '../quantity/mass';
import type { LeakRateMethod } from '../logbook/fields';
import type { PackId } from '../logbook/packNames';
import { valueOn } from './figure';
import { type GasDay, isAddition } from './gasDays';
import { type InForce, type PeriodInForce, methodOn, periodOn } from './inForce';
import type { Pack } from './pack';

export const YEAR_DAYS = 365;
/** first day that a window or a chain of day d may reach back to: d − 364 */
export const WINDOW_REACH = YEAR_DAYS - 1;

/** Percents are kept as integers of 10^-6 percent, so that exactly 20 % is exactly 20,000,000. */
export const PERCENT_SCALE = 1_000_000;
const MILLIONTHS_OF_PERCENT = 100 * PERCENT_SCALE;

/**
 * Annualizing: lost / full charge × 365 / days × 100, in millionths of a percent.
 * 12 lb of 100 lb after 92 days is 47.608696 %.
 * `annualizingMillionths(exactGrams({ value: 12, unit: 'lb' }), exactGrams({ value: 100, unit: 'lb' }), 92)` // => 47608696
 */
export const annualizingMillionths = (lost: ExactGrams, fullCharge: ExactGrams, days: number): number =>
  roundedQuotient(lost, fullCharge * BigInt(days), YEAR_DAYS * MILLIONTHS_OF_PERCENT);

/**
 * Rolling average: lost in the window / full charge × 100, in millionths of a percent.
 * `rollingMillionths(exactGrams({ value: 22, unit: 'lb' }), exactGrams({ value: 100, unit: 'lb' }))` // => 22000000
 */
export const rollingMillionths = (lost: ExactGrams, fullCharge: ExactGrams): number =>
  roundedQuotient(lost, fullCharge, MILLIONTHS_OF_PERCENT);

/** From what day the days of annualizing run, and what that day is. */
export interface DaysSince {
  since: Day | null;
  basis: 'gasDay' | 'installed' | 'unknown';
  days: number;
}

/** Gas days with running sums, so that any chain or window is a difference of two. */
export interface GasLedger {
  days: readonly GasDay[];
  /** sum of net before index i */
  netBefore: readonly ExactGrams[];
  /** count of unknown days before index i */
  unknownBefore: readonly number[];
  /** first index of the neighbours that carry the same leak as day i */
  runStart: readonly number[];
  shownRepairedOn: readonly Day[];
  installedOn: Day | null;
}

export function gasLedger(
  days: readonly GasDay[],
  shownRepairedOn: readonly Day[],
  installed: Day | null,
): GasLedger {
  const netBefore: ExactGrams[] = [NO_MASS];
  const unknownBefore: number[] = [0];
  const runStart: number[] = [];
  let net = NO_MASS;
  let unknown = 0;
  days.forEach((each, index) => {
    net = (net + each.net) as ExactGrams;
    if (each.unknown) unknown += 1;
    netBefore.push(net);
    unknownBefore.push(unknown);
    const sameAsBefore = each.leakId !== null && days[index - 1]?.leakId === each.leakId;
    runStart.push(sameAsBefore ? (runStart[index - 1] ?? index) : index);
  });
  return { days, netBefore, unknownBefore, runStart, shownRepairedOn, installedOn: installed };
}

/** Sum of net over indexes from … to (exclusive), null where one of them is unknown. */
export function sumOf(ledger: GasLedger, from: number, to: number): ExactGrams | null {
  if ((ledger.unknownBefore[to] ?? 0) > (ledger.unknownBefore[from] ?? 0)) return null;
  return weighedOf(ledger, from, to);
}

/** Sum of what was weighed over indexes from … to (exclusive): the least that counts where a day is unknown. */
export const weighedOf = (ledger: GasLedger, from: number, to: number): ExactGrams =>
  ((ledger.netBefore[to] ?? NO_MASS) - (ledger.netBefore[from] ?? NO_MASS)) as ExactGrams;

/** First index at or after `guess` whose day is `day` or later. */
export function firstIndexFrom(ledger: GasLedger, day: Day, guess = 0): number {
  let index = guess;
  for (let each = ledger.days[index]; each && each.day < day; each = ledger.days[++index]);
  return index;
}

/** Days from the last gas day before a chain's first day, or from installation, to `day`; at most 365. */
export function daysSince(ledger: GasLedger, chainStart: number, firstDay: Day, day: Day): DaysSince {
  const previous = ledger.days[chainStart - 1];
  if (previous)
    return { since: previous.day, basis: 'gasDay', days: Math.min(YEAR_DAYS, day - previous.day) };
  if (ledger.installedOn !== null && ledger.installedOn < firstDay) {
    return {
      since: ledger.installedOn,
      basis: 'installed',
      days: Math.min(YEAR_DAYS, day - ledger.installedOn),
    };
  }
  return { since: null, basis: 'unknown', days: YEAR_DAYS };
}

/** First day of the rolling window of `day`: 364 days back, or the day after all leaks were shown repaired. */
export function windowStart(ledger: GasLedger, day: Day): { from: Day; afterRepair: boolean } {
  const earliest = addDays(day, -WINDOW_REACH);
  const { shownRepairedOn } = ledger;
  for (let index = shownRepairedOn.length - 1; index >= 0; index -= 1) {
    const shown = shownRepairedOn[index];
    if (shown !== undefined && shown < day) {
      return shown >= earliest
        ? { from: addDays(shown, 1), afterRepair: true }
        : { from: earliest, afterRepair: false };
    }
  }
  return { from: earliest, afterRepair: false };
}

export interface AdditionRate {
  /** index among the gas days */
  index: number;
  gasDay: GasDay;
  periodInForce: PeriodInForce;
  method: LeakRateMethod;
  annualizing: { millionths: number | null; chainFrom: number; lost: ExactGrams | null; since: DaysSince };
  rolling: { millionths: number | null; from: Day; afterRepair: boolean; lost: ExactGrams | null };
  /** by the site's method */
  millionths: number | null;
  /** by the site's method from what was weighed alone, where `millionths` is unknown for lack of a weight */
  atLeastMillionths: number | null;
  exceeds: Partial<Record<PackId, boolean | null>>;
}

export const thresholdOn = (pack: Pack, periodInForce: PeriodInForce, day: Day): number => {
  const figure = pack.threshold[periodInForce.category];
  if (!figure) throw new Error(`${pack.id} covers no ${periodInForce.category}: ask only packs that cover.`);
  return valueOn(figure, day);
};

/** The rates of one gas day that stands in the list of additions. */
function rateOf(
  ledger: GasLedger,
  index: number,
  gasDay: GasDay,
  force: InForce,
  guesses: { reach: number; window: number },
): AdditionRate {
  const { day } = gasDay;
  const periodInForce = periodOn(force, day);
  const { fullCharge } = periodInForce;
  guesses.reach = firstIndexFrom(ledger, addDays(day, -WINDOW_REACH), guesses.reach);
  const chainFrom = Math.max(ledger.runStart[index] ?? index, guesses.reach);
  const chainLost = sumOf(ledger, chainFrom, index + 1);
  const since = daysSince(ledger, chainFrom, ledger.days[chainFrom]?.day ?? day, day);
  const window = windowStart(ledger, day);
  guesses.window = firstIndexFrom(ledger, window.from, guesses.window);
  const windowLost = sumOf(ledger, guesses.window, index + 1);
  const method = methodOn(force.site, day);
  const weighedAlone = (charge: ExactGrams): number =>
    method === 'annualizing'
      ? annualizingMillionths(weighedOf(ledger, chainFrom, index + 1), charge, since.days)
      : rollingMillionths(weighedOf(ledger, guesses.window, index + 1), charge);
  const annualizing =
    chainLost === null || fullCharge === null
      ? null
      : annualizingMillionths(chainLost, fullCharge, since.days);
  const rolling =
    windowLost === null || fullCharge === null ? null : rollingMillionths(windowLost, fullCharge);
  const millionths = method === 'annualizing' ? annualizing : rolling;
  const atLeastMillionths = millionths === null && fullCharge !== null ? weighedAlone(fullCharge) : null;
  const exceeds: AdditionRate['exceeds'] = {};
  if (fullCharge !== null) {
    for (const pack of periodInForce.covering) {
      const limit = thresholdOn(pack, periodInForce, day) * PERCENT_SCALE;
      exceeds[pack.id] = millionths === null ? (atLeastMillionths ?? 0) > limit || null : millionths > limit;
    }
  }
  return {
    index,
    gasDay,
    periodInForce,
    method,
    annualizing: { millionths: annualizing, chainFrom, lost: chainLost, since },
    rolling: { millionths: rolling, from: window.from, afterRepair: window.afterRepair, lost: windowLost },
    millionths,
    atLeastMillionths,
    exceeds,
  };
}

/** The rates of all additions, by day. */
export function additionRates(ledger: GasLedger, force: InForce): AdditionRate[] {
  const guesses = { reach: 0, window: 0 };
  const rates: AdditionRate[] = [];
  ledger.days.forEach((gasDay, index) => {
    if (isAddition(gasDay)) rates.push(rateOf(ledger, index, gasDay, force, guesses));
  });
  return rates;
}
