/** What the sense check of an entry asks of its machine, read off the standing without the entry that it replaces. */
import type { Entry } from '../logbook/entry';
import type { MachineFacts } from '../logbook/sense';
import { dayOf } from '../quantity/day';
import { spellOn } from './inForce';
import type { Standing } from './standing';

export function machineFacts(entry: Entry, standing: Standing): MachineFacts {
  const spell = spellOn(standing.force, dayOf(entry.on));
  return {
    history: standing.history,
    refrigerant: spell.refrigerant?.name ?? null,
    fullCharge: spell.fullCharge,
    repairBalance: standing.balances.repair,
  };
}
