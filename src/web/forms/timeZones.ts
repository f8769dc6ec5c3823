/** Time zones of a country, as the browser knows them; that of this device first. */
import { HERE } from '../data/device/here';

interface Zoned {
  getTimeZones?: () => string[];
  timeZones?: string[];
}

/** `country`: a code of ISO 3166, also of a state; empty where nothing is known. */
export function zonesOf(country: string): string[] {
  const [region = ''] = country.split('-');
  if (region === '') return [];
  const locale = new Intl.Locale('und', { region }) as Intl.Locale & Zoned;
  const zones = locale.getTimeZones?.() ?? locale.timeZones ?? [];
  return zones.toSorted((a, b) => Number(b === HERE) - Number(a === HERE) || a.localeCompare(b));
}
