/** What the database holds already of what a file names; read by whoever plans an import. */
import { ROW_TABLES, type RowTable, figureId } from '../../contract/rows';
import type { Entry } from '../../core/logbook/entry';
import type { Appliance, Cylinder, Owner, Person, Site } from '../../core/logbook/tables';
import type { Worksheet } from '../../sheets/cells';
import { idAgain } from '../../sheets/understood';
import type { KnownRows } from '../../sheets/lookups';
import { type Mapping, mappingSchema } from '../../sheets/mapping';
import type { Clock } from '../clock';
import { type Tables, openReading } from '../store/database';
import { ImportStore } from '../store/imports';
import { IssuedStore } from '../store/issued';
import { Store } from '../store/store';
import { isWithdrawn } from '../store/withdrawn';
import type { Present } from './merge';
import { machinesNamed } from './plan';

export interface KnownStore {
  store: Store;
  clock: Clock;
  present: (entries: readonly string[]) => Promise<Present>;
  remembered: (headings: string) => Promise<Mapping | null>;
  /** hash of the last link of the chain */
  chainEnd: () => Promise<string>;
}

const IDS_OF_A_PART = 500;

export function knownStore(db: Tables, clock: Clock): KnownStore {
  const store = new Store(db);
  const imports = new ImportStore(db);
  const issued = new IssuedStore(db);
  return {
    store,
    clock,
    chainEnd: async () => (await store.endOfChain()).previous,
    remembered: async (headings) => {
      const kept = mappingSchema.safeParse(await imports.mapping(headings));
      return kept.success ? kept.data : null;
    },
    present: async (entries) => {
      const rows = new Map<string, object>();
      for (const table of ROW_TABLES)
        for (const { id, row } of await store.rowsOf(table))
          if (!isWithdrawn(row)) rows.set(`${table} ${id}`, row);
      const undone = new Set(await store.undoneIds());
      const idHere = (id: string): string => idAgain(id, (each) => undone.has(each));
      const ids = entries.map(idHere);
      const there = new Map<string, Entry>();
      for (let start = 0; start < ids.length; start += IDS_OF_A_PART)
        for (const entry of await store.entriesById(ids.slice(start, start + IDS_OF_A_PART)))
          there.set(entry.id, entry);
      return {
        beside: {
          figures: new Map((await store.amendments()).map((each) => [figureId(each), each.value])),
          issued: await issued.all(),
        },
        rowOf: (table: RowTable, id: string) => rows.get(`${table} ${id}`) ?? null,
        entryOf: (id: string) => there.get(id) ?? null,
        idHere,
      };
    },
  };
}

export function openKnown(url: string, clock: Clock): KnownStore {
  const { db } = openReading(url);
  return knownStore(db, clock);
}

export async function knownOfStore(
  { store, clock }: KnownStore,
  sheets: readonly Worksheet[],
  machines: readonly string[] = [],
): Promise<KnownRows> {
  const rowsOf = async <Row extends object>(table: RowTable): Promise<Row[]> =>
    (await store.rowsOf(table)).map(({ row }) => row as Row).filter((row) => !isWithdrawn(row));
  const rows = {
    sites: await rowsOf<Site>('sites'),
    owners: await rowsOf<Owner>('owners'),
    people: await rowsOf<Person>('people'),
    appliances: await rowsOf<Appliance>('appliances'),
    cylinders: await rowsOf<Cylinder>('cylinders'),
    todayAt: (timezone: string) => clock.todayIn(timezone),
  };
  const entries = new Map<string, Entry[]>();
  const ids = new Set<string>();
  const undone = new Set<string>();
  // Machines that were taken back have entries under ids that an import of the same list makes again.
  const back = (await store.rowsOf('appliances')).filter(({ row }) => isWithdrawn(row)).map(({ id }) => id);
  for (const machine of new Set([...machinesNamed(sheets, rows), ...machines, ...back])) {
    const own = await store.entriesBearingOn(machine);
    entries.set(machine, own);
    for (const entry of own) {
      ids.add(entry.id);
      if (entry.kind === 'void' && 'x-undone' in entry && entry.supersedes != null)
        undone.add(entry.supersedes);
    }
  }
  return {
    ...rows,
    entriesOf: (id) => entries.get(id) ?? [],
    hasEntry: (id) => ids.has(id),
    isUndone: (id) => undone.has(id),
  };
}
