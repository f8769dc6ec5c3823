/** Saturation tables are files of their own, so that a screen loads only the refrigerants it shows. */
import { isRefrigerant } from './refrigerant';
import type { SaturationTable } from './saturation';

/** R-1234ze(E) stands in R-1234zeE.json. */
const fileOf = (name: string): string => name.replace(/[()]/g, '');

/** Loads the table of a refrigerant; an unknown name is a mistake of the caller (see `isRefrigerant`). */
export async function loadSaturation(name: string): Promise<SaturationTable> {
  if (!isRefrigerant(name)) throw new Error(`No saturation table of ${name}: check it with isRefrigerant().`);
  const loaded = (await import(`./tables/${fileOf(name)}.json`)) as { default: SaturationTable };
  return loaded.default;
}
