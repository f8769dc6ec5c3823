/** Search and filters of the machines list. */
import type { MachineRow } from '../../contract/api';

export interface Filters {
  text: string;
  site: string;
  kind: string;
  state: string;
}

export const NO_FILTERS: Filters = { text: '', site: '', kind: '', state: '' };

/** Every word must stand somewhere in the name, the site, the refrigerant or the assembly. */
export function filtered(rows: readonly MachineRow[], { text, site, kind, state }: Filters): MachineRow[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  return rows.filter(({ appliance, siteId, siteName, summary }) => {
    if (site !== '' && siteId !== site) return false;
    if (kind !== '' && appliance.kind !== kind) return false;
    // What is retired stays in the record and leaves the daily lists; asked for, it is found.
    if (state === '' ? summary.state === 'retired' : summary.state !== state) return false;
    const all =
      `${appliance.name} ${siteName} ${summary.refrigerant} ${appliance.assembly ?? ''}`.toLowerCase();
    return words.every((word) => all.includes(word));
  });
}
