/** What a machine lost in a year, in words: never “0” where something is not known. */
import { type MassSystem, grams, massText } from '../core/quantity/mass';
import type { LossUnknown, YearLoss } from '../core/visit/yearLoss';
import { PERCENT_SCALE } from '../core/rules/leakRate';
import { dayWords } from './dates';
import { boundWords, percentText } from './rod';

export function lossWords({ net, unknown, bound }: YearLoss, system: MassSystem): string {
  if (net > 0n) return boundWords(massText(grams(net), system), bound);
  return unknown.length === 0 ? 'nothing' : 'not known yet';
}

/** The share of the full charge with what it bounds; a share alone would read as the whole loss. */
export const lossShareWords = ({ net, millionths, bound }: YearLoss): string =>
  net === 0n
    ? 'nothing was added that counts'
    : millionths === null
      ? 'cannot be judged: full charge not known'
      : boundWords(percentText(millionths / PERCENT_SCALE), bound);

export function lossUnknownWords(each: LossUnknown): string {
  switch (each.code) {
    case 'notWeighed':
      return `${each.days.map(dayWords).join(', ')} not weighed`;
    case 'takenOut':
      return `what was taken out on ${each.days.map(dayWords).join(', ')} was not weighed`;
    case 'foundEmpty':
      return `found empty ${dayWords(each.on)}, no gas in since`;
    case 'leakOpen':
      return 'a leak is open: what is missing by now is not weighed in yet';
  }
}
