/**
 * Figures of the definitions that hold whatever packs a site lists: rates and years are told everywhere, and do
 * not depend on packs. Dated and with their source like the figures of a pack.
 */
import { figure } from './packs/figures';

/** gas taken out for a season repays what is put back before so long has gone by */
export const SEASON = figure(12, 'months', '40 CFR 82.152, 84.102 “seasonal variance”');

/** a year is called chronic from this share of the full charge on, where no pack that covers says another */
export const CHRONIC_PERCENT = figure(125, 'percent', '40 CFR 82.157 (j), 84.106 (j)');
