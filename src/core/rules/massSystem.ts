/**
 * In which units weights are read: those in which a machine's own full charge was set, for a cabinet of 85 g is weighed
 * in grams wherever it stands; else those of the packs of its site, kilograms before pounds.
 */
import type { MassSystem, MassUnit } from '../quantity/mass';
import type { MachineHistory } from '../logbook/history';
import type { Site } from '../logbook/tables';
import { SHIPPED_PACKS } from './packs/shipped';

/** The unit in which the full charge that is in force was set, or null. */
export function chargedUnit({ fullCharges }: Pick<MachineHistory, 'fullCharges'>): MassUnit | null {
  const set = fullCharges.at(-1)?.entry;
  return set ? ((set.method === 'range' ? set.low : set.mass)?.unit ?? null) : null;
}

export function massSystemOf(site: Pick<Site, 'packs'>, charged: MassUnit | null = null): MassSystem {
  if (charged !== null) return charged === 'kg' || charged === 'g' ? 'kilograms' : 'pounds';
  return site.packs.some((id) => SHIPPED_PACKS[id].weighs === 'kilograms') ? 'kilograms' : 'pounds';
}

/** In which units pressures, temperatures and lengths are read: those of the place, whatever the machine is weighed in. */
export const unitSystemOf = (site: Pick<Site, 'packs'>): 'us' | 'metric' =>
  massSystemOf(site) === 'kilograms' ? 'metric' : 'us';

/** The unit of a bare number: grams or ounces only where the machine is charged in them. */
export const bareUnit = (system: MassSystem, charged: MassUnit | null = null): MassUnit =>
  charged ?? (system === 'kilograms' ? 'kg' : 'lb');
