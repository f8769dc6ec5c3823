/** A weight in words: as it was typed, and in the units of its machine. */
import type { GasSum } from '../core/visit/gasOfVisit';
import { type Mass, type MassSystem, exactGrams, grams, massText, typedText } from '../core/quantity/mass';

export const massWords = (mass: Mass, system: MassSystem): string => {
  const typed = typedText(mass);
  const shown = massText(grams(exactGrams(mass)), system);
  if (typed === null) return shown;
  // A bare number was meant in the unit of its field, which stands beside it.
  const said = /[a-z]/i.test(typed) ? typed : `${typed} ${mass.unit}`;
  return sameWeight(said, shown) ? said : `${said} (${shown})`;
};

/** `1,200 lb` and `1200 lb` are one weight in two spellings. */
const sameWeight = (said: string, shown: string): boolean =>
  said.replaceAll(/[,\s]/g, '') === shown.replaceAll(/[,\s]/g, '');

/** Gas of a visit or a day: what was weighed, and each time that nobody weighed, with its reason. */
export const gasSumWords = ({ weighed, times, notWeighed }: GasSum, system: MassSystem): string =>
  [
    times > notWeighed.length && massText(grams(weighed), system),
    ...notWeighed.map((why) => `not weighed: ${why}`),
  ]
    .filter(Boolean)
    .join('; ');

/** The weight that was typed, in the units that it was not typed in. */
export function echoOf(mass: Mass, typed: string): string {
  const weight = grams(exactGrams(mass));
  const both = [massText(weight, 'pounds'), massText(weight, 'kilograms')];
  return `= ${both.filter((each) => !sameWeight(typed, each)).join(' = ')}`;
}
