/**
 * Headroom: the largest addition on a day that would not exceed the lowest threshold of the percent packs that
 * cover on it. Exact grams; never below 0.
 */
import { type Day, addDays } from '../quantity/day';
import { halfUp, scaledDecimal } from '../quantity/decimal';
import { type ExactGrams, NO_MASS } from '../quantity/mass';
import type { LeakRateMethod } from '../logbook/fields';
import type { MachineHistory } from '../logbook/history';
import { type InForce, type PeriodInForce, methodOn, periodOn } from './inForce';
import {
  type DaysSince,
  type GasLedger,
  WINDOW_REACH,
  YEAR_DAYS,
  daysSince,
  firstIndexFrom,
  thresholdOn,
  weighedOf,
  windowStart,
} from './leakRate';
import type { LeakAccount } from './leaks';
import type { Pack } from './pack';

export interface Headroom {
  on: Day;
  method: LeakRateMethod;
  pack: Pack;
  thresholdPercent: number;
  fullCharge: ExactGrams;
  /** the whole allowance: threshold × full charge */
  allowance: ExactGrams;
  /** what the days since the last gas have earned of it; all of it by the rolling average */
  earned: ExactGrams;
  /** what the chain or the window holds already; at least that where some of it was not weighed */
  spent: ExactGrams;
  free: ExactGrams;
  /** days of the chain or the window that nobody weighed; what was weighed alone leaves no room then */
  notWeighed: readonly Day[];
  since: DaysSince | null;
  windowFrom: Day | null;
  /** the leak that the addition is taken to carry */
  leakId: string | null;
}

/** Of the packs that cover in a period in force, the percent pack with the lowest threshold on a day of it, with that threshold. */
export function strictestOf(periodInForce: PeriodInForce, day: Day): { pack: Pack; percent: number } | null {
  let strictest: { pack: Pack; percent: number } | null = null;
  for (const pack of periodInForce.covering) {
    if (pack.opens !== 'percent') continue;
    const percent = thresholdOn(pack, periodInForce, day);
    if (strictest === null || percent < strictest.percent) strictest = { pack, percent };
  }
  return strictest;
}

const PERCENT_PLACES = 8;
const PERCENT_UNIT = 10n ** BigInt(PERCENT_PLACES) * 100n;
const share = (fullCharge: ExactGrams, percent: number, numerator: number): bigint =>
  fullCharge * scaledDecimal(percent, PERCENT_PLACES) * BigInt(numerator);

export type HeadroomAnswer =
  | { known: true; headroom: Headroom }
  | { known: false; why: 'retired' | 'noFullCharge' | 'noLimit' }
  /** days of the chain or the window that nobody weighed */
  | { known: false; why: 'notWeighed'; days: readonly Day[] };

/** Headroom as of the history's day. */
export function headroom(
  history: MachineHistory,
  ledger: GasLedger,
  force: InForce,
  account: LeakAccount,
): HeadroomAnswer {
  const on = history.asOf;
  if (history.retiredOn !== null) return { known: false, why: 'retired' };
  const periodInForce = periodOn(force, on);
  const { fullCharge } = periodInForce;
  if (fullCharge === null) return { known: false, why: 'noFullCharge' };
  const strictest = strictestOf(periodInForce, on);
  if (strictest === null) return { known: false, why: 'noLimit' };
  const { pack, percent } = strictest;
  const method = methodOn(force.site, on);
  const common = { on, method, pack, thresholdPercent: percent, fullCharge };
  const allowance = halfUp(share(fullCharge, percent, 1), PERCENT_UNIT) as ExactGrams;

  if (method === 'rolling') {
    const window = windowStart(ledger, on);
    const first = firstIndexFrom(ledger, window.from);
    return roomOver(ledger, first, {
      ...common,
      allowance,
      earned: allowance,
      since: null,
      windowFrom: window.from,
      leakId: null,
    });
  }

  const chain = chainOfNext(ledger, on, account);
  const since = daysSince(ledger, chain.from, ledger.days[chain.from]?.day ?? on, on);
  const earned = halfUp(
    share(fullCharge, percent, since.days),
    PERCENT_UNIT * BigInt(YEAR_DAYS),
  ) as ExactGrams;
  return roomOver(ledger, chain.from, {
    ...common,
    allowance,
    earned,
    since,
    windowFrom: null,
    leakId: chain.leakId,
  });
}

/** What is left of what was earned over the days from an index on: nothing, where what was weighed alone leaves nothing. */
function roomOver(
  ledger: GasLedger,
  from: number,
  earned: Omit<Headroom, 'spent' | 'free' | 'notWeighed'>,
): HeadroomAnswer {
  const spent = weighedOf(ledger, from, ledger.days.length);
  const notWeighed = ledger.days.slice(from).flatMap((each) => (each.unknown ? [each.day] : []));
  if (notWeighed.length > 0 && spent < earned.earned)
    return { known: false, why: 'notWeighed', days: notWeighed };
  const free = (earned.earned > spent ? earned.earned - spent : NO_MASS) as ExactGrams;
  return { known: true, headroom: { ...earned, spent, free, notWeighed } };
}

/**
 * The chain of an addition on `on`. It is taken to carry the leak of the last gas day, unless that day is
 * earlier and the leak has been verified since.
 */
function chainOfNext(
  ledger: GasLedger,
  on: Day,
  account: LeakAccount,
): { from: number; leakId: string | null } {
  const lastIndex = ledger.days.length - 1;
  const last = ledger.days[lastIndex];
  if (!last) return { from: 0, leakId: null };
  const { leakId } = last;
  const carries = leakId !== null && (last.day === on || account.byId.get(leakId)?.state !== 'verified');
  if (!carries) return { from: last.day === on ? lastIndex : lastIndex + 1, leakId: null };
  const reach = firstIndexFrom(ledger, addDays(on, -WINDOW_REACH));
  return { from: Math.max(ledger.runStart[lastIndex] ?? lastIndex, reach), leakId };
}
