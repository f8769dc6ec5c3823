/**
 * Gas days: what was added on each calendar day, and how much of it counts as lost gas made good. Additions of
 * one day are one. Gas that was taken out for a repair or a season is repaid first; unknown weights never
 * become zero and never a guess, and always take the side on which no loss can hide.
 */
import { type Day, addMonths } from '../quantity/day';
import { type ExactGrams, NO_MASS, exactGrams } from '../quantity/mass';
import type { EntryOf } from '../logbook/entry';
import { SEASON } from './definitions';
import { valueOn } from './figure';
import type { GasEntry } from '../logbook/history';

export interface GasDay {
  day: Day;
  /** what counts of the weights that are known */
  net: ExactGrams;
  /** an addition that counts was not weighed: the day's net is unknown */
  unknown: boolean;
  /** the leak that every addition of the day names, or null */
  leakId: string | null;
  /**
   * days on which gas was taken out that nobody weighed and that this day's additions may have put back: what counts of
   * the day is then the most that it can be
   */
  mayRepay: readonly Day[];
}

/** What was recovered and not yet put back, as of the last entry read. */
export interface OpenBalances {
  repair: ExactGrams;
  seasonal: readonly { day: Day; grams: ExactGrams }[];
}

const minus = (a: ExactGrams, b: ExactGrams): ExactGrams => (a - b) as ExactGrams;
const plus = (a: ExactGrams, b: ExactGrams): ExactGrams => (a + b) as ExactGrams;

/** Gas that was taken out and not weighed, and the reason of the additions that put such gas back. */
interface Unweighed {
  day: Day;
  repaidBy: 'recharge' | 'seasonal';
}
const dayOfEach = ({ day }: Unweighed): Day => day;
const seasonEnds = (taken: Day): Day => addMonths(taken, valueOn(SEASON, taken));
const repays = (added: EntryOf<'refrigerantAdded'>, day: Day, taken: Unweighed): boolean =>
  added.reason === taken.repaidBy && (taken.repaidBy === 'recharge' || day < seasonEnds(taken.day));

/** Reads gas entries in their order. */
export function foldGas(entries: readonly GasEntry[]): { gasDays: GasDay[]; balances: OpenBalances } {
  const gasDays: GasDay[] = [];
  let repair = NO_MASS;
  let seasonal: { day: Day; grams: ExactGrams }[] = [];
  let unweighed: Unweighed[] = [];

  const counted = (day: Day, entry: EntryOf<'refrigerantAdded'>): ExactGrams | null => {
    const mass = entry.mass ? exactGrams(entry.mass) : null;
    switch (entry.reason) {
      case 'topOff':
      case 'moved':
        return mass;
      case 'commission':
      case 'retrofit':
        return NO_MASS;
      case 'recharge': {
        const repaid = mass === null || mass > repair ? repair : mass;
        repair = minus(repair, repaid);
        return mass === null ? null : minus(mass, repaid);
      }
      case 'seasonal': {
        let left = mass;
        seasonal = seasonal.filter((taken) => day < seasonEnds(taken.day));
        if (left === null) {
          seasonal = [];
          return null;
        }
        for (const taken of seasonal) {
          const repaid = left > taken.grams ? taken.grams : left;
          taken.grams = minus(taken.grams, repaid);
          left = minus(left, repaid);
        }
        seasonal = seasonal.filter((taken) => taken.grams > 0n);
        return left;
      }
    }
  };

  for (const { day, entry } of entries) {
    if (entry.kind === 'retrofitted') {
      repair = NO_MASS;
      seasonal = [];
      unweighed = [];
    } else if (entry.kind === 'refrigerantRecovered') {
      if (!entry.mass && (entry.reason === 'repair' || entry.reason === 'seasonal'))
        unweighed.push({ day, repaidBy: entry.reason === 'repair' ? 'recharge' : 'seasonal' });
      if (entry.mass && entry.reason === 'repair') repair = plus(repair, exactGrams(entry.mass));
      if (entry.mass && entry.reason === 'seasonal') seasonal.push({ day, grams: exactGrams(entry.mass) });
    } else {
      const net = counted(day, entry);
      const leakId = entry.leakId ?? null;
      const mayRepay = net === 0n ? [] : unweighed.filter((each) => repays(entry, day, each)).map(dayOfEach);
      // By law an addition that nobody weighed uses up all that it could repay.
      if (net === null) unweighed = unweighed.filter((each) => !repays(entry, day, each));
      const last = gasDays.at(-1);
      if (last?.day === day) {
        last.net = plus(last.net, net ?? NO_MASS);
        last.unknown ||= net === null;
        if (last.leakId !== leakId) last.leakId = null;
        last.mayRepay = [...new Set([...last.mayRepay, ...mayRepay])];
      } else {
        gasDays.push({ day, net: net ?? NO_MASS, unknown: net === null, leakId, mayRepay });
      }
    }
  }
  return { gasDays, balances: { repair, seasonal } };
}

/** Days that stand in the list of additions: something counts, or what counts is unknown. */
export const isAddition = (gasDay: GasDay): boolean => gasDay.unknown || gasDay.net > 0n;
