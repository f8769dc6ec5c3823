/** Which rows of a plan hang on others: an entry on the row of its machine, a machine on that of its site. */
import type { Entry } from '../core/logbook/entry';
import type { Appliance, Space } from '../core/logbook/tables';
import type { KnownRows } from './lookups';
import type { StagedRow } from './understood';

export interface Staging {
  rows: readonly StagedRow[];
  entries: readonly Entry[];
}

const keyOf = (table: string, id: string): string => `${table} ${id}`;

/** Rows that a row or entry cannot be written without, as `table id`. */
export function needsOf({ rows, entries }: Staging): string[] {
  const needs: string[] = [];
  for (const { applianceId } of entries)
    if (applianceId != null) needs.push(keyOf('appliances', applianceId));
  if (rows.length === 0) return needs;
  for (const { table, row } of rows)
    if (table === 'appliances' || table === 'spaces')
      needs.push(keyOf('sites', (row as Appliance | Space).siteId));
  const own = new Set(rows.map(({ table, id }) => keyOf(table, id)));
  return needs.filter((need) => !own.has(need));
}

/** Those that need a row which is neither there nor brought by another one of them, nor by one that is itself left. */
export function hanging<Each extends Staging>(
  all: readonly Each[],
  isThere: (key: string) => boolean,
): Set<Each> {
  const left = new Set<Each>();
  for (;;) {
    const standing = all.filter((each) => !left.has(each));
    const brought = new Set(standing.flatMap(({ rows }) => rows.map(({ table, id }) => keyOf(table, id))));
    const falling = standing.filter((each) =>
      needsOf(each).some((need) => !brought.has(need) && !isThere(need)),
    );
    if (falling.length === 0) return left;
    for (const each of falling) left.add(each);
  }
}

/** Whether the logbook has the row of a key, of those tables that rows and entries hang on. */
export function isThereIn({ sites, appliances }: Pick<KnownRows, 'sites' | 'appliances'>) {
  const there = new Set([
    ...sites.map(({ id }) => keyOf('sites', id)),
    ...appliances.map(({ id }) => keyOf('appliances', id)),
  ]);
  return (key: string): boolean => there.has(key);
}
