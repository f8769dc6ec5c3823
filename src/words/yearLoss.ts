/** What a machine lost in a year, in words: never “0” where something is not known. */
import { type MassSystem, grams, massText } from '../core/quantity/mass';
import type { LossUnknown, YearLoss } from '../core/visit/yearLoss';
import { dayWords } from './dates';

export function lossWords({ net, unknown }: YearLoss, system: MassSystem): string {
  if (unknown.length === 0) return net > 0n ? massText(grams(net), system) : 'nothing';
  return net > 0n ? `at least ${massText(grams(net), system)}` : 'not known yet';
}

export function lossUnknownWords(each: LossUnknown): string {
  switch (each.code) {
    case 'notWeighed':
      return `${each.days.map(dayWords).join(', ')} not weighed`;
    case 'foundEmpty':
      return `found empty ${dayWords(each.on)}, no gas in since`;
    case 'leakOpen':
      return 'a leak is open: what is missing by now is not weighed in yet';
  }
}
