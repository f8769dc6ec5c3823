/** At what a leak is told, and which one must not hide, where nobody said otherwise. */
import type { Pascals } from '../quantity/si';
import { type SaturationTable, saturationPressure } from '../refrigerant/saturation';
import { ROOM_K } from './calculated';

/** Pa absolute that a circuit stands at, at rest at 20 °C. */
export function restPressure(table: SaturationTable): Pascals {
  const dew = saturationPressure(table, 'dew', ROOM_K);
  // No table of ours begins above or ends below 20 °C.
  if (!dew.ok) throw new Error(`${table.name} has no saturation at 20 °C.`);
  return dew.value;
}

/** Without anybody's word, a tenth of the full charge a year must not hide. */
export const SHARE_THAT_MATTERS = 0.1;
