/** What a logbook file holds already, for an import by the command line; and the file with what came in. */
import type { RowTable } from '../../contract/rows';
import type { Entry } from '../../core/logbook/entry';
import { FORMAT, FORMAT_VERSION, type Logbook } from '../../core/logbook/logbook';
import { bearingByMachine } from '../../core/logbook/order';
import type { KnownRows } from '../../sheets/lookups';
import type { Clock } from '../clock';
import { rowsOfLogbook } from '../logbookRows';
import type { Present } from './merge';
import type { PlannedRow } from './plan';

export const EMPTY_LOGBOOK: Logbook = {
  format: FORMAT,
  version: FORMAT_VERSION,
  sites: [],
  people: [],
  appliances: [],
  cylinders: [],
  entries: [],
};

export function knownOfFile(logbook: Logbook, clock: Clock): KnownRows {
  const byMachine = bearingByMachine(logbook.entries);
  const ids = new Set(logbook.entries.map(({ id }) => id));
  return {
    sites: logbook.sites,
    owners: logbook.owners ?? [],
    people: logbook.people,
    appliances: logbook.appliances,
    cylinders: logbook.cylinders,
    entriesOf: (id) => byMachine.get(id) ?? [],
    hasEntry: (id) => ids.has(id),
    isUndone: () => false,
    todayAt: (timezone) => clock.todayIn(timezone),
  };
}

export function presentOfFile(logbook: Logbook): Present {
  const rows = new Map(rowsOfLogbook(logbook).map(({ table, id, row }) => [`${table} ${id}`, row]));
  const entries = new Map(logbook.entries.map((entry) => [entry.id, entry]));
  return {
    rowOf: (table, id) => rows.get(`${table} ${id}`) ?? null,
    entryOf: (id) => entries.get(id) ?? null,
  };
}

const LISTED = ['owners', 'sites', 'spaces', 'people', 'appliances', 'cylinders'] as const;

/** The logbook with what was planned; everything that it held stays as it was. */
export function logbookWith(logbook: Logbook, planned: readonly PlannedRow[], recordedAt: string): Logbook {
  const rows = new Map(
    planned.flatMap((each) => each.rows.map((row) => [`${row.table} ${row.id}`, row] as const)),
  );
  const added = (table: RowTable): object[] =>
    [...rows.values()].filter((each) => each.table === table).map(({ row }) => row);
  const entries = planned
    .flatMap((each) => each.entries)
    .map((entry): Entry => ({ ...entry, recordedAt: entry.recordedAt ?? recordedAt }));
  const lists = Object.fromEntries(
    LISTED.map((table) => [table, [...(logbook[table] ?? []), ...added(table)]] as const).filter(
      ([table, list]) => logbook[table] != null || list.length > 0,
    ),
  );
  return { ...logbook, ...lists, entries: [...logbook.entries, ...entries] } as Logbook;
}
