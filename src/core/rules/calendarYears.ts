/** Sums per calendar year, and the chronic leakers: a share of the full charge or more within one year. */
import { type Day, civil, firstOfMarch, newYearsDay, dayOf } from '../quantity/day';
import { roundedQuotient } from '../quantity/decimal';
import { type ExactGrams, NO_MASS } from '../quantity/mass';
import type { MachineHistory } from '../logbook/history';
import { CHRONIC_PERCENT } from './definitions';
import { valueOn } from './figure';
import { type AdditionRate, PERCENT_SCALE } from './leakRate';
import type { Obligation } from './obligation';
import type { Pack } from './pack';

export interface CalendarYear {
  year: number;
  net: ExactGrams;
  /** millionths of a percent, each day by its own full charge; null where something counts without one */
  millionths: number | null;
  unknownAdditions: number;
  /** days on which gas was taken out that nobody weighed, and that what counts here may have put back */
  takenOut: readonly Day[];
  /** percent of the full charge from which the year is chronic: the lowest of the packs that covered in it */
  chronicPercent: number;
  chronic: boolean;
  additions: readonly AdditionRate[];
}

/** Sum of net / full charge over additions, in millionths of a percent, null where a full charge is missing. */
function percentOf(additions: readonly AdditionRate[]): number | null {
  const netByCharge = new Map<ExactGrams, bigint>();
  for (const { gasDay, periodInForce } of additions) {
    if (gasDay.net === 0n) continue;
    if (periodInForce.fullCharge === null) return null;
    netByCharge.set(periodInForce.fullCharge, (netByCharge.get(periodInForce.fullCharge) ?? 0n) + gasDay.net);
  }
  let numerator = 0n;
  let denominator = 1n;
  for (const [charge, net] of netByCharge) {
    numerator = numerator * charge + net * denominator;
    denominator *= charge;
  }
  return roundedQuotient(numerator, denominator, 100 * PERCENT_SCALE);
}

export function calendarYears(rates: readonly AdditionRate[]): CalendarYear[] {
  const byYear = new Map<number, AdditionRate[]>();
  for (const rate of rates) {
    const { year } = civil(rate.gasDay.day);
    const of = byYear.get(year);
    if (of) of.push(rate);
    else byYear.set(year, [rate]);
  }
  return [...byYear].map(([year, additions]) => {
    const millionths = percentOf(additions);
    const limit = chronicLimit(year, additions);
    return {
      year,
      net: additions.reduce((sum, each) => (sum + each.gasDay.net) as ExactGrams, NO_MASS),
      millionths,
      unknownAdditions: additions.filter((each) => each.gasDay.unknown).length,
      takenOut: [...new Set(additions.flatMap((each) => each.gasDay.mayRepay))],
      chronicPercent: limit,
      chronic: millionths !== null && millionths >= limit * PERCENT_SCALE,
      additions,
    };
  });
}

/** Percent of the full charge from which a year is chronic by a pack; by the definition where the pack has no figure. */
export const chronicPercentOf = (pack: Pick<Pack, 'chronic'> | null, year: number): number =>
  valueOn(pack?.chronic?.percent ?? CHRONIC_PERCENT, newYearsDay(year));

/** The lowest figure of the packs that covered in the year; where none has one, that of the definition. */
function chronicLimit(year: number, additions: readonly AdditionRate[]): number {
  const figures = additions.flatMap(({ periodInForce }) =>
    periodInForce.covering.flatMap((pack) => (pack.chronic ? chronicPercentOf(pack, year) : [])),
  );
  return figures.length > 0 ? Math.min(...figures) : chronicPercentOf(null, year);
}

/** First day on which the year's percent reaches a limit. */
function reachedOn(year: CalendarYear, percent: number): AdditionRate | null {
  if (year.millionths === null || year.millionths < percent * PERCENT_SCALE) return null;
  return (
    year.additions.find(
      (_, index) => (percentOf(year.additions.slice(0, index + 1)) ?? 0) >= percent * PERCENT_SCALE,
    ) ?? null
  );
}

/** Reports on chronic leakers, due on 1 March of the following year. Retirement does not end them. */
export function chronicReports(history: MachineHistory, years: readonly CalendarYear[]): Obligation[] {
  const obligations: Obligation[] = [];
  for (const year of years) {
    const candidates = new Set(year.additions.flatMap((each) => each.periodInForce.covering));
    for (const pack of candidates) {
      if (!pack.chronic || (pack.from !== null && dayOf(pack.from) > newYearsDay(year.year))) continue;
      const percent = chronicPercentOf(pack, year.year);
      const reached = reachedOn(year, percent);
      if (!reached?.periodInForce.covering.includes(pack)) continue;
      obligations.push({
        pack,
        kind: 'chronicReport',
        due: firstOfMarch(year.year + 1),
        doneOn: history.reports.find((report) => report.year === year.year)?.day ?? null,
        ended: false,
        caseOpenedOn: null,
        why: { rule: 'chronic', percent, reachedOn: reached.gasDay.day, year: year.year },
        source: pack.chronic.source,
      });
    }
  }
  return obligations;
}
