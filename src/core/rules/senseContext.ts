/** What the sense check of an entry needs to know, read off the machine's standing without the entry it replaces. */
import type { Entry } from '../logbook/entry';
import type { SenseContext } from '../logbook/sense';
import type { Cylinder } from '../logbook/tables';
import { dayOf } from '../quantity/day';
import { spellOn } from './inForce';
import type { Standing } from './standing';

export function senseContext(
  entry: Entry,
  standing: Standing,
  cylinder: Cylinder | null,
  targetIsDead: boolean,
): SenseContext {
  const spell = spellOn(standing.force, dayOf(entry.on));
  return {
    history: standing.history,
    today: standing.history.asOf,
    refrigerant: spell.refrigerant.name,
    fullCharge: spell.fullCharge,
    repairBalance: standing.balances.repair,
    cylinder,
    targetIsDead,
  };
}
