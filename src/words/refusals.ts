/** Words for refusals and warnings of the core: what is wrong and the remedy. */
import type { SenseError, SenseWarning } from '../core/logbook/sense';
import { dayText } from '../core/quantity/day';
import { type MassRefusal, massText } from '../core/quantity/mass';
import { dayWords } from './dates';

const letOutWords = (refrigerant: string | null): string =>
  refrigerant === null
    ? 'What nobody knows is never let out: it may be no hydrocarbon'
    : `${refrigerant} is never let out`;

export function massRefusalWords(refusal: MassRefusal): string {
  switch (refusal.reason) {
    case 'empty':
      return 'Type the amount, such as 12.5, 12 lb 6 oz or 5.4 kg.';
    case 'notAMass':
      return 'That reads as no weight. Type it as 12.5, 12 lb 6 oz or 5.4 kg.';
    case 'decimalComma':
      return 'A comma can mean two things. Use a point for decimals, and no comma for thousands.';
    case 'unknownUnit':
      return `“${refusal.unit}” is no unit of weight here. Use lb, oz, kg or g.`;
    case 'negative':
      return 'A weight cannot be negative. For gas taken out, log it as recovered.';
  }
}

export function senseErrorWords(error: SenseError): string {
  switch (error.code) {
    case 'futureDate':
      return `That day has not come yet; today at the site is ${dayWords(error.today)}.`;
    case 'moreThanAnyMachine':
      return `More than any machine holds (${massText(error.limitGrams, 'pounds')}). Check the figure and its unit.`;
    case 'rangeReversed':
      return 'The high end must not be less than the low end.';
    case 'notToBeLetOut':
      return `${letOutWords(error.refrigerant)}. Recover it into a bottle.`;
    case 'supersedesDead':
      return 'This entry was corrected already. Correct the one that replaced it.';
  }
}

/** The same of a field by its name, as a problem of the API says it. */
export function senseProblemWords(error: SenseError): string {
  switch (error.code) {
    case 'futureDate':
      return `lies in the future; today at the site is ${dayText(error.today)}`;
    case 'moreThanAnyMachine':
      return 'is more than any machine holds; check the figure and its unit';
    case 'rangeReversed':
      return 'must not be less than the low end';
    case 'notToBeLetOut':
      return `must not be outdoors: ${letOutWords(error.refrigerant)}; recover it into a bottle`;
    case 'supersedesDead':
      return 'was corrected or voided already; correct the entry that replaced it';
  }
}

export const WARNING_WORDS: Record<SenseWarning, string> = {
  retiredMachine: 'This machine was retired before that day.',
  moreThanFullCharge: 'That is more than the full charge of this machine.',
  commissionAgain:
    'This machine has been charged before; commissioning is for a new machine. Nothing of it will count as leaked.',
  wrongRefrigerant: 'The bottle holds another refrigerant than the machine.',
  moreThanRecovered: 'More goes back than was recovered; the rest counts as leaked.',
  beforeInstallation: 'That day lies before the machine was installed.',
};
