/** The whole logbook, out and in: export as the open format, load into an empty store, verify the chain. */
import { setImmediate as turnOfOthers } from 'node:timers/promises';
import type { AnswerOf } from '../../contract/endpoints';
import { ROW_TABLES, figureId, isRowTable } from '../../contract/rows';
import type { ExportScope } from '../../contract/exports';
import type { Entry } from '../../core/logbook/entry';
import { FORMAT, FORMAT_VERSION, type Logbook } from '../../core/logbook/logbook';
import { supersededIds, entriesByMachine } from '../../core/logbook/order';
import type { Owner, Revision } from '../../core/logbook/tables';
import { packsWith } from '../../core/rules/amend';
import { SHIPPED_PACKS } from '../../core/rules/packs/shipped';
import { isWithdrawn } from '../store/withdrawn';
import type { Clock } from '../clock';
import { type GivenMachine, MACHINES_OF_A_LOT } from '../standings/standingThread';
import { begunHere } from './begunHere';
import { type Scope, scopeOf } from './scope';
import { figuresIn, issuedOf, rowsOfLogbook } from './logbookRows';
import type { Services } from '../services';
import type { Database, Statement, Tables } from '../store/database';
import { type Broken, canonical, chainWalk, inChainOrder } from '../store/seal';
import { Chain, type ChainEnd } from '../store/chain';
import { IssuedStore } from '../store/issued';
import { Store } from '../store/store';
import { visitsAnew } from '../store/visits';

const LOAD_PART = 2000;

/** The logbook, or a part of it, as text of the open format, piece by piece: neither it nor a table has to fit into memory. */
export async function* exportText(db: Tables, clock: Clock, asked: ExportScope = {}): AsyncGenerator<string> {
  const store = new Store(db);
  const scope = await scopeOf(db, store, clock, asked);
  yield `{"format":${JSON.stringify(FORMAT)},"version":${String(FORMAT_VERSION)}`;
  if (scope.part) yield `,"x-part":${JSON.stringify(scope.part)}`;
  const company = await store.company();
  if (company) yield `,"company":${JSON.stringify(company)}`;
  const owners = (await store.rowsOf('owners')).flatMap(({ row }) =>
    scope.owner(row as Owner) ? [row] : [],
  );
  if (owners.length > 0) yield `,"owners":${JSON.stringify(owners)}`;
  for (const [table, told] of Object.entries(toldBy(scope)) as [
    keyof ReturnType<typeof toldBy>,
    RowFilter,
  ][]) {
    yield `,"${table}":[`;
    let first = true;
    for await (const document of store.documents(table)) {
      const text = scope.part ? told(document) : document;
      if (text === null) continue;
      yield first ? text : `,${text}`;
      first = false;
    }
    yield ']';
  }
  const instruments = scope.narrow ? [] : await store.instruments();
  // No table of the format: kept beside it, for readings name the instruments that they came from.
  if (instruments.length > 0) yield `,"x-instruments":${JSON.stringify(instruments)}`;
  const issued = scope.part ? [] : await new IssuedStore(db).all();
  if (issued.length > 0) yield `,"x-issued":${JSON.stringify(issued)}`;
  yield '}';
}

/** A row as it stands in the part; null: it belongs to none of it. */
type RowFilter = (document: string) => string | null;

/** Tables in their order, each with what of it belongs to a part. */
function toldBy(scope: Scope) {
  const of =
    <Row>(holds: (row: Row) => boolean): RowFilter =>
    (document) =>
      holds(JSON.parse(document) as Row) ? document : null;
  return {
    sites: of(scope.site),
    spaces: of(scope.space),
    people: of(scope.person),
    appliances: of(scope.appliance),
    cylinders: of(scope.cylinder),
    entries: (document) => {
      const entry = JSON.parse(document) as Entry;
      if (!scope.entry(entry.id)) return null;
      return scope.cut(entry.id) ? JSON.stringify(begunHere(entry)) : document;
    },
    revisions: of(({ table, id }: Revision) => scope.row(table, id)),
  } as const satisfies Record<string, RowFilter>;
}

const same = (a: object, b: object): boolean => canonical(a) === canonical(b);

/** Revisions of the file, and one for each row that none of them gives as it stands. */
function revisionsOf(logbook: Logbook, recordedAt: string): Revision[] {
  const given = logbook.revisions ?? [];
  const latest = new Map(given.map((each) => [`${each.table} ${each.id}`, each]));
  const loose = rowsOfLogbook(logbook).filter(({ table, id, row }) => {
    const revision = latest.get(`${table} ${id}`);
    return !revision || !same(revision.row, row);
  });
  return [
    ...given,
    ...loose.map(({ table, id, row }) => ({
      table,
      id,
      row: row as Revision['row'],
      recordedAt,
      by: null,
      why: 'as it stood in the file that was loaded',
    })),
  ];
}

export type LoadProgress = (done: number, of: number, what: 'entries' | 'machines') => void;

/**
 * Loads a logbook that `readLogbook` has read into an empty store, whole or not at all: a thread judges its machines while
 * its entries are sealed and stored.
 */
export async function loadLogbook(
  { database, store, standings, keeper, clock }: Services,
  logbook: Logbook,
  progress: LoadProgress = () => undefined,
): Promise<void> {
  const links = inChainOrder([
    ...revisionsOf(logbook, new Date(clock.nowMs()).toISOString()),
    ...logbook.entries,
  ]);
  const figures = figuresIn(logbook);
  const thread = await keeper.thread(
    null,
    packsWith(
      SHIPPED_PACKS,
      figures.map(({ amendment }) => amendment),
    ),
  );
  for (const lot of givenMachines(logbook)) thread.give(lot);
  thread.give(null);
  await database.write(async () =>
    database.batches(
      partsOf(await store.indexesOf(['entries', 'standings', 'duties']), await store.endOfChain()),
    ),
  );
  keeper.forgetPacks();

  async function* partsOf(
    indexes: readonly { name: string; sql: string }[],
    end: ChainEnd,
  ): AsyncGenerator<Statement[]> {
    yield store.putRows(rowsOfLogbook(logbook));
    yield issuedOf(logbook).map((row) => new IssuedStore(database.db).insert(row));
    yield figures.map(({ amendment, recordedAt }) => store.insertAmendment(amendment, recordedAt));
    // Indexes that are made when all is there are made in a fraction of the time.
    yield indexes.map(({ name }) => `DROP INDEX "${name}"`);
    const chain = new Chain(end);
    for (let start = 0; start < links.length; start += LOAD_PART) {
      yield chain.seal(links.slice(start, start + LOAD_PART));
      progress(Math.min(start + LOAD_PART, links.length), links.length, 'entries');
      await turnOfOthers();
      yield standings.putAll(thread.ready());
    }
    let judged = 0;
    for await (const lot of thread.judged()) {
      yield standings.putAll(lot);
      progress((judged += lot.length), logbook.appliances.length, 'machines');
    }
    yield [...indexes.map(({ sql }) => sql), ...visitsAnew()];
    yield logbook.sites.map(({ id, timezone }) => keeper.trip({ siteId: id, timezone }));
  }
}

/** The machines of a logbook with their entries, in lots for the thread of standings. */
function* givenMachines(logbook: Logbook): Generator<GivenMachine[]> {
  const superseded = supersededIds(logbook.entries);
  const sites = new Map(logbook.sites.map((site) => [site.id, JSON.stringify(site)]));
  const entries = entriesByMachine(logbook.entries);
  // A machine that was taken back with its import stands in no list.
  const appliances = logbook.appliances.filter((appliance) => !isWithdrawn(appliance));
  for (let start = 0; start < appliances.length; start += MACHINES_OF_A_LOT)
    yield appliances.slice(start, start + MACHINES_OF_A_LOT).map((appliance) => {
      const own = entries.get(appliance.id) ?? [];
      return {
        appliance: JSON.stringify(appliance),
        site: sites.get(appliance.siteId) ?? '',
        entries: JSON.stringify(own),
        superseded: own.flatMap(({ id }) => (superseded.has(id) ? [id] : [])),
      };
    });
}

/** A figure or a document that went with the import that brought it stands in no table any more. */
const isTakenBack = (table: string, row: object): boolean => !isRowTable(table) && isWithdrawn(row);

/** The chain of entries and revisions, and whether each row still is what its latest revision says; as of one moment. */
export function verifyChain(database: Database): Promise<AnswerOf<'verify'>> {
  return database.snapshot(async (db) => {
    const store = new Store(db);
    const walk = chainWalk();
    let brokenAt: Broken | null = null;
    let [entries, revisions] = [0, 0];
    const latest = new Map<string, Revision>();
    for await (const link of store.chain()) {
      brokenAt ??= walk.next(link);
      if ('kind' in link.sealed) entries += 1;
      else {
        revisions += 1;
        latest.set(`${link.sealed.table} ${link.sealed.id}`, link.sealed);
      }
    }
    const alteredRows: { table: string; id: string }[] = [];
    const seen = new Set<string>();
    const hold = (table: string, id: string, row: object) => {
      const revision = latest.get(`${table} ${id}`);
      seen.add(`${table} ${id}`);
      if (!revision || !same(revision.row, row)) alteredRows.push({ table, id });
    };
    for (const table of ROW_TABLES) for (const { id, row } of await store.rowsOf(table)) hold(table, id, row);
    for (const { recordedAt: _, ...row } of await store.amendments()) hold('figures', figureId(row), row);
    for (const row of await new IssuedStore(db).all()) hold('issued', row.id, row);
    for (const { table, id, row } of latest.values())
      if (!seen.has(`${table} ${id}`) && !isTakenBack(table, row)) alteredRows.push({ table, id });
    return {
      entries,
      revisions,
      intact: brokenAt === null && alteredRows.length === 0,
      brokenAt,
      alteredRows,
    };
  });
}
