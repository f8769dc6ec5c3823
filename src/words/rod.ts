/**
 * The rod in words, and rates wherever they stand: the rate and the limit of its day, never a difference of percents,
 * which would be read as the rate.
 */
import { type MassSystem, massText, roomText } from '../core/quantity/mass';
import type { Bound, JudgedRate } from '../core/rules/judgedRate';
import type { HeadroomSummary, UnjudgedSummary } from '../core/rules/summary';
import { METHOD_WORDS, PACK_WORDS } from './codes';
import { dayText } from '../core/quantity/day';
import { dateWords, dayWords } from './dates';
import { capped, listAnd } from './list';
import { ofCount } from './counts';

/** `47.6 %`; six decimals only in the working */
export const percentText = (percent: number): string =>
  `${String(Number(percent.toFixed(percent < 1 ? 2 : 1)))} %`;

/** `17 May 2026 was not weighed` */
export const notWeighedWords = (days: readonly string[]): string =>
  `${listAnd(days.map(dateWords))} ${ofCount(days.length, 'was', 'were')} not weighed`;

/** `at least 28.6 % a year`, `100 % a year at most`: what a figure is of the whole. */
export function boundWords(figure: string, bound: Bound): string {
  switch (bound) {
    case null:
      return figure;
    case 'atLeast':
      return `at least ${figure}`;
    case 'atMost':
      return `${figure} at most`;
    case 'neither':
      return `${figure} by what was weighed alone`;
  }
}

/** `: what was taken out on 3 May 2026 was not weighed`, behind a figure that this makes the most. */
export const takenOutWords = (days: readonly string[]): string =>
  days.length === 0 ? '' : `: what was taken out on ${listAnd(days.map(dateWords))} was not weighed`;

/** Why a machine cannot be judged, as short as a row has room for. */
export function unjudgedShort(unjudged: UnjudgedSummary): string {
  switch (unjudged.code) {
    case 'refrigerant':
      return 'cannot be judged: refrigerant not known';
    case 'fullCharge':
      return 'cannot be judged: full charge not known';
    case 'notWeighed':
      return `cannot be judged: ${notWeighedWords(unjudged.days)}`;
  }
}

/** The same as a sentence, with what is known all the same and what to do. */
export function unjudgedSentence(unjudged: UnjudgedSummary, system: MassSystem): string {
  if (unjudged.code === 'refrigerant')
    return 'Cannot be judged: say the refrigerant (which rules cover it depends on that).';
  if (unjudged.code === 'notWeighed')
    return `Cannot be judged: ${notWeighedWords(unjudged.days)}, so no rate that holds that gas can be given.`;
  const { atLeastGrams, wouldCover } = unjudged;
  if (atLeastGrams === null) return 'Cannot be judged: set the full charge (nobody weighed what is in it).';
  const cover =
    wouldCover.length > 0
      ? `so ${listAnd(wouldCover.map((pack) => PACK_WORDS[pack]))} would cover it`
      : 'at that charge no rule but the house’s would cover it; it may hold more';
  return `Cannot be judged: set the full charge (at least ${massText(atLeastGrams, system)} is in it, ${cover}).`;
}

export function rodWords(rod: HeadroomSummary, system: MassSystem): string {
  if (rod.limit) {
    const { exceeded } = rod;
    if (exceeded)
      return `${boundWords(`${percentText(exceeded.percent)} a year`, exceeded.bound)}, limit ${percentText(exceeded.limitPercent)}${takenOutWords(exceeded.takenOut)}`;
    const room = `${roomText(rod.freeGrams, system)} left before ${percentText(rod.thresholdPercent)} a year`;
    return rod.notWeighed.length === 0 ? room : `${room}: ${notWeighedWords(rod.notWeighed)}`;
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
export function rodSentence(rod: HeadroomSummary, system: MassSystem): string {
  if (!rod.limit) {
    if (rod.why === 'cannotJudge') return unjudgedSentence(rod.unjudged, system);
    return `${capped(rodWords(rod, system))}.`;
  }
  const { exceeded } = rod;
  const allowance = massText(rod.allowanceGrams, system);
  const unweighed =
    rod.notWeighed.length === 0
      ? ''
      : `; ${notWeighedWords(rod.notWeighed)}, and what was weighed leaves nothing`;
  const room = `${roomText(rod.freeGrams, system)} of ${allowance} may be added before ${percentText(rod.thresholdPercent)} a year (${PACK_WORDS[rod.pack]}, ${METHOD_WORDS[rod.method]})${unweighed}.`;
  return exceeded
    ? `${capped(boundWords(`${percentText(exceeded.percent)} a year`, exceeded.bound))} on ${dateWords(exceeded.on)}, ${METHOD_WORDS[exceeded.method]}; limit ${percentText(exceeded.limitPercent)} (${PACK_WORDS[exceeded.pack]})${takenOutWords(exceeded.takenOut)}. Not verified since. Today ${room}`
    : room;
}

/** A rate with the method and the limit of its day: `47.6 % a year, annualizing, limit 20 % (US HFC rules)`. */
export function rateWords(rate: JudgedRate): string {
  const percent = rate.percent ?? rate.atLeastPercent;
  if (percent === null) return missingWords(rate);
  const figure = `${boundWords(`${percentText(percent)} a year`, rate.bound)}, ${METHOD_WORDS[rate.method]}, ${limitWords(rate)}${takenOutWords(rate.takenOut.map(dayText))}`;
  if (rate.percent !== null || rate.exceeds === true) return figure;
  return percent > 0 ? `${missingWords(rate)} (${figure})` : missingWords(rate);
}

const missingWords = ({ missing }: Pick<JudgedRate, 'missing'>): string =>
  missing?.code === 'notWeighed'
    ? `cannot be judged: ${missing.days.map(dayWords).join(', ')} not weighed`
    : 'cannot be judged: full charge not known';

/** The figure alone, for a cell or a heading: `at least 28.6 %`; “cannot be judged” where nothing is known. */
export const rateFigure = (rate: JudgedRate): string => knownRateFigure(rate) ?? 'cannot be judged';

/** The same; null where it cannot be judged. */
export function knownRateFigure(rate: JudgedRate): string | null {
  const percent = rate.percent ?? (rate.atLeastPercent || null);
  return percent === null ? null : boundWords(percentText(percent), rate.bound);
}

export const limitWords = ({ limit, anyLeak }: Pick<JudgedRate, 'limit' | 'anyLeak'>): string =>
  limit
    ? `limit ${percentText(limit.percent)} (${PACK_WORDS[limit.pack.id]})`
    : anyLeak
      ? 'no limit that day: any leak counts'
      : 'no rule covered that day';

/** Whether it exceeds, never “no” where nothing could be judged. */
export function exceedsWords({ exceeds, missing, limit, anyLeak }: JudgedRate): string {
  if (exceeds === true && limit !== null) return 'yes';
  if (exceeds === null || missing) return missingWords({ missing });
  if (limit === null) return anyLeak ? 'no limit: any leak counts' : 'no rule covered';
  return exceeds ? 'yes' : 'no';
}
