/**
 * The rod in words, and rates wherever they stand: the rate and the limit of its day, never a difference of percents,
 * which would be read as the rate.
 */
import { type MassSystem, massText } from '../core/quantity/mass';
import type { JudgedRate } from '../core/rules/judgedRate';
import type { Rod, UnjudgedSummary } from '../core/rules/summary';
import { METHOD_WORDS, PACK_WORDS } from './codes';
import { dateWords, dayWords } from './dates';

/** `47.6 %`; six decimals only in the working */
export const percentText = (percent: number): string =>
  `${String(Number(percent.toFixed(percent < 1 ? 2 : 1)))} %`;

const and = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`;

/** `17 May 2026 was not weighed` */
export const notWeighedWords = (days: readonly string[]): string =>
  `${and(days.map(dateWords))} ${days.length === 1 ? 'was' : 'were'} not weighed`;

/** Why a machine cannot be judged, as short as a row has room for. */
export const unjudgedShort = (unjudged: UnjudgedSummary): string =>
  `cannot be judged: ${
    unjudged.code === 'fullCharge' ? 'full charge not known' : notWeighedWords(unjudged.days)
  }`;

/** The same as a sentence, with what is known all the same and what to do. */
export function unjudgedSentence(unjudged: UnjudgedSummary, system: MassSystem): string {
  if (unjudged.code === 'notWeighed')
    return `Cannot be judged: ${notWeighedWords(unjudged.days)}, so no rate that holds that gas can be given.`;
  const { atLeastGrams, wouldCover } = unjudged;
  if (atLeastGrams === null) return 'Cannot be judged: set the full charge (nobody weighed what is in it).';
  const cover =
    wouldCover.length > 0
      ? `so ${and(wouldCover.map((pack) => PACK_WORDS[pack]))} would cover it`
      : 'at that charge no rule but the house’s would cover it; it may hold more';
  return `Cannot be judged: set the full charge (at least ${massText(atLeastGrams, system)} is in it, ${cover}).`;
}

export function rodWords(rod: Rod, system: MassSystem): string {
  if (rod.limit) {
    if (rod.exceeded)
      return `${percentText(rod.exceeded.percent)} a year, limit ${percentText(rod.exceeded.limitPercent)}`;
    return `${massText(rod.freeGrams, system)} left before ${percentText(rod.thresholdPercent)} a year`;
  }
  switch (rod.why) {
    case 'retired':
      return 'retired';
    case 'noLimit':
      return rod.anyLeak ? 'no limit here: any leak counts' : 'no limit: no rule covers it';
    case 'cannotJudge':
      return unjudgedShort(rod.unjudged);
  }
}

/** One sentence that says all that the drawing says. */
export function rodSentence(rod: Rod, system: MassSystem): string {
  if (!rod.limit) {
    if (rod.why === 'cannotJudge') return unjudgedSentence(rod.unjudged, system);
    const words = rodWords(rod, system);
    return `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;
  }
  const { exceeded } = rod;
  const allowance = massText(rod.allowanceGrams, system);
  const room = `${massText(rod.freeGrams, system)} of ${allowance} may be added before ${percentText(rod.thresholdPercent)} a year (${PACK_WORDS[rod.pack]}, ${METHOD_WORDS[rod.method]}).`;
  return exceeded
    ? `${percentText(exceeded.percent)} a year on ${dateWords(exceeded.on)}, ${METHOD_WORDS[exceeded.method]}; limit ${percentText(exceeded.limitPercent)} (${PACK_WORDS[exceeded.pack]}). Not verified since. Today ${room}`
    : room;
}

/** A rate with the method and the limit of its day: `47.6 % a year, annualizing, limit 20 % (US HFC rules)`. */
export function rateWords(rate: JudgedRate): string {
  if (rate.percent === null)
    return rate.missing?.code === 'notWeighed'
      ? `cannot be judged: ${rate.missing.days.map(dayWords).join(', ')} not weighed`
      : 'cannot be judged: full charge not known';
  return `${percentText(rate.percent)} a year, ${METHOD_WORDS[rate.method]}, ${limitWords(rate)}`;
}

export const limitWords = ({ limit, anyLeak }: Pick<JudgedRate, 'limit' | 'anyLeak'>): string =>
  limit
    ? `limit ${percentText(limit.percent)} (${PACK_WORDS[limit.pack.id]})`
    : anyLeak
      ? 'no limit that day: any leak counts'
      : 'no rule covered that day';

/** Whether it exceeds, never “no” where nothing could be judged. */
export function exceedsWords({ exceeds, missing, limit, anyLeak }: JudgedRate): string {
  if (exceeds === null || missing)
    return missing?.code === 'notWeighed'
      ? `cannot be judged: ${missing.days.map(dayWords).join(', ')} not weighed`
      : 'cannot be judged: full charge not known';
  if (limit === null) return anyLeak ? 'no limit: any leak counts' : 'no rule covered';
  return exceeds ? 'yes' : 'no';
}
