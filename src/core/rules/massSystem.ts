/** In which units a site reads its weights: those of the packs that it lists, kilograms before pounds. */
import type { MassSystem, MassUnit } from '../quantity/mass';
import type { Site } from '../logbook/tables';
import { SHIPPED_PACKS } from './packs/shipped';

export const massSystemOf = (site: Pick<Site, 'packs'>): MassSystem =>
  site.packs.some((id) => SHIPPED_PACKS[id].weighs === 'kilograms') ? 'kilograms' : 'pounds';

/** The unit of a bare number typed there. */
export const bareUnit = (system: MassSystem): MassUnit => (system === 'kilograms' ? 'kg' : 'lb');
