/**
 * Fields of ours from before the format had a name for them. What is sealed stays as it was written; whoever reads an entry
 * reads it under the names of today.
 */
import type { Entry, EntryKind } from './entry';
import type { Appliance } from './tables';

const OF_KINDS: Partial<Record<EntryKind, Readonly<Record<string, string>>>> = {
  leakFound: { 'x-part': 'part' },
  leakRepaired: {
    'x-part': 'part',
    'x-suspected': 'onSuspicion',
    'x-joint': 'joint',
    'x-renewed': 'renewed',
  },
};
const OF_MACHINES = { 'x-tag': 'tag' } as const;

function renamed<Row extends object>(row: Row, names: Readonly<Record<string, string>>): Row {
  if (!Object.keys(names).some((older) => older in row)) return row;
  const fields = Object.entries(row).filter(([key]) => !(key in names));
  const present = Object.fromEntries(fields);
  for (const [older, name] of Object.entries(names))
    if (older in row) present[name] ??= (row as Record<string, unknown>)[older];
  return present as Row;
}

/** An entry under today's names; the very same one where it has no older. */
export function asNamedToday(entry: Entry): Entry {
  const names = OF_KINDS[entry.kind];
  return names ? renamed(entry, names) : entry;
}

export const machineAsNamedToday = (appliance: Appliance): Appliance => renamed(appliance, OF_MACHINES);
