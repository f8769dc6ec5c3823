/** The full charge in words: how much, how it is known, since when. An estimate is called one, with both its ends. */
import { type MassSystem, grams, massText } from '../core/quantity/mass';
import type { MachineHistory } from '../core/logbook/history';
import { FULL_CHARGE_WORDS } from './codes';
import { dayWords } from './dates';
import { massWords } from './weights';

export function fullChargeWords({ fullCharges }: MachineHistory, system: MassSystem): string | null {
  const set = fullCharges.at(-1);
  if (!set) return null;
  const { entry, day } = set;
  if (entry.method === 'range' && entry.low && entry.high)
    return `estimated at ${massWords(entry.low, system)} to ${massWords(entry.high, system)} (${massText(grams(set.grams), system)} counts) ${dayWords(day)}`;
  return `${entry.mass ? massWords(entry.mass, system) : massText(grams(set.grams), system)}, ${FULL_CHARGE_WORDS[entry.method]} ${dayWords(day)}`;
}
