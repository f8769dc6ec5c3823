/** In which units a site reads its weights: kilograms under the European and British packs, else pounds. */
import type { MassSystem, MassUnit } from '../quantity/mass';
import type { Site } from './tables';

export const massSystemOf = (site: Pick<Site, 'packs'>): MassSystem =>
  site.packs.includes('eu') || site.packs.includes('gb') ? 'kilograms' : 'pounds';

/** The unit of a bare number typed there. */
export const bareUnit = (system: MassSystem): MassUnit => (system === 'kilograms' ? 'kg' : 'lb');
