/** The services over one store, wired once. */
import { placeAsTheyStand, sealAsTheyStand } from './writing/asTheyStand';
import { randomUUID } from 'node:crypto';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { Appending } from './writing/appending';
import { Board } from './standings/board';
import type { Clock } from './clock';
import { StandingKeeper } from './standings/standings';
import { Calendars } from './feeds/calendars';
import { LabelPrinting } from './labels/printing';
import { BesideRows } from './imports/besideRows';
import { CarryingOut } from './imports/carryingOut';
import { Importing } from './imports/importing';
import { ImportWriting } from './imports/writing';
import { Issuing } from './papers/issuing';
import { Photos } from './files/photos';
import { RecentMachines } from './standings/recentMachines';
import { Rows } from './writing/rows';
import { type Database, type Patience, openDatabase } from './store/database';
import { FeedStore } from './store/feeds';
import { IssuedStore } from './store/issued';
import { ImportStore } from './store/imports';
import { Lists } from './store/lists';
import { MachineList } from './store/machineList';
import { Standings } from './store/standings';
import { Store } from './store/store';

/** Files that come in stand beside the database until they are written, so that a restart loses none. */
const incomingOf = (url: string): string =>
  url.startsWith('file:')
    ? join(dirname(url.slice('file:'.length)), 'incoming')
    : join(tmpdir(), `abacus-incoming-${randomUUID()}`);

/** Where photos stand beside a database file; beside a server's database, in the working folder. */
const attachmentsOf = (url: string): string =>
  join(url.startsWith('file:') ? dirname(url.slice('file:'.length)) : 'data', 'attachments');

export interface Services {
  database: Database;
  store: Store;
  standings: Standings;
  keeper: StandingKeeper;
  recent: RecentMachines;
  rows: Rows;
  appending: Appending;
  board: Board;
  photos: Photos;
  issuing: Issuing;
  importing: Importing;
  calendars: Calendars;
  labels: LabelPrinting;
  importWriting: ImportWriting;
  clock: Clock;
  close: () => Promise<void>;
}

/** `patience`: how long writes wait for another process that holds the database. */
export async function openServices(url: string, clock: Clock, patience?: Patience): Promise<Services> {
  const database = await openDatabase(url, patience);
  const store = new Store(database.db);
  const standings = new Standings(database.db);
  const recent = new RecentMachines();
  const keeper = new StandingKeeper(database, store, standings, clock, recent);
  const rows = new Rows(database, store, keeper, recent, clock);
  const photos = new Photos(attachmentsOf(url));
  const imports = new ImportStore(database.db);
  const issued = new IssuedStore(database.db);
  const importWriting = new ImportWriting({
    database,
    store,
    imports,
    beside: new BesideRows(store, issued),
    carrying: new CarryingOut(database, store, standings, keeper, recent),
    keeper,
    files: attachmentsOf(url),
    clock,
  });
  const importing = new Importing({
    database,
    keeper,
    imports,
    writing: importWriting,
    clock,
    folder: incomingOf(url),
  });
  const board = new Board(store, new Lists(database.db), new MachineList(database.db), keeper, clock);
  const opened = { database, store, standings, keeper, clock };
  await placeAsTheyStand(opened);
  await sealAsTheyStand(opened);
  await importing.open();
  return {
    database,
    store,
    standings,
    keeper,
    recent,
    rows,
    appending: new Appending({ database, store, keeper, rows, recent, photos, clock }),
    board,
    calendars: new Calendars(database, store, new FeedStore(database.db), board, clock),
    labels: new LabelPrinting(store, keeper),
    photos,
    issuing: new Issuing({
      database,
      store,
      issued,
      keeper,
      rows,
      photos,
      clock,
      folder: attachmentsOf(url),
    }),
    clock,
    importing,
    importWriting,
    close: async () => {
      await importing.close();
      await keeper.close();
      await database.close();
    },
  };
}
