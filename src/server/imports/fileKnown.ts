/** What a logbook file holds already, for an import by the command line; and the file with what came in. */
import type { RowTable } from '../../contract/rows';
import type { Entry } from '../../core/logbook/entry';
import { FORMAT, FORMAT_VERSION, type Logbook } from '../../core/logbook/logbook';
import { bearingByMachine } from '../../core/logbook/order';
import type { Revision } from '../../core/logbook/tables';
import type { KnownRows } from '../../sheets/lookups';
import type { Clock } from '../clock';
import { figuresIn, instrumentsOf, issuedOf, rowsOfLogbook } from '../exports/logbookRows';
import type { Present } from './merge';
import type { StagedRow } from '../../sheets/understood';
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
    beside: {
      figures: new Map(figuresIn(logbook).map(({ id, amendment }) => [id, amendment.value])),
      issued: issuedOf(logbook),
    },
    rowOf: (table, id) => rows.get(`${table} ${id}`) ?? null,
    entryOf: (id) => entries.get(id) ?? null,
    idHere: (id) => id,
  };
}

const LISTED = ['owners', 'sites', 'spaces', 'people', 'appliances', 'cylinders'] as const;

/** The logbook with what was chosen of a plan; everything that it held stays as it was. */
export function logbookWith(
  logbook: Logbook,
  chosen: readonly PlannedRow[],
  history: readonly Revision[],
  recordedAt: string,
): Logbook {
  const rows = new Map(
    chosen.flatMap((each) => each.rows.map((row): [string, StagedRow] => [`${row.table} ${row.id}`, row])),
  );
  const added = (table: RowTable): object[] =>
    [...rows.values()].filter((each) => each.table === table).map(({ row }) => row);
  const entries = chosen
    .flatMap((each) => each.entries)
    .map((entry): Entry => ({ ...entry, recordedAt: entry.recordedAt ?? recordedAt }));
  const figures = chosen
    .flatMap((each) => each.figures ?? [])
    .map(({ id, amendment, recordedAt: at }) => ({
      table: 'figures',
      id,
      row: amendment,
      recordedAt: at,
      by: amendment.by,
      why: amendment.reason,
    }));
  const lists = [
    ...LISTED.map((table) => [table, [...(logbook[table] ?? []), ...added(table)]] as const),
    [
      'revisions',
      [
        ...(logbook.revisions ?? []),
        ...history.filter(({ table, id }) => rows.has(`${table} ${id}`)),
        ...figures,
      ],
    ] as const,
    ['x-instruments', [...instrumentsOf(logbook), ...added('instruments')]] as const,
    ['x-issued', [...issuedOf(logbook), ...chosen.flatMap((each) => each.issued ?? [])]] as const,
  ].filter(([key, list]) => key in logbook || list.length > 0);
  const [company] = added('company');
  return {
    ...logbook,
    ...(company ? { company } : {}),
    ...Object.fromEntries(lists),
    entries: [...logbook.entries, ...entries],
  } as Logbook;
}
