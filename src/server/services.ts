/** The services over one store, wired once. */
import { dirname, join } from 'node:path';
import { Appending } from './appending';
import type { Clock } from './clock';
import { Judging } from './judging';
import { openDatabase } from './store/database';
import { Photos } from './photos';
import { Rows } from './rows';
import { Store } from './store/store';

/** Where photos stand beside a database file; beside a server's database, in the working folder. */
const attachmentsOf = (url: string): string =>
  join(url.startsWith('file:') ? dirname(url.slice('file:'.length)) : 'data', 'attachments');

export interface Services {
  photos: Photos;
  store: Store;
  judging: Judging;
  rows: Rows;
  appending: Appending;
  clock: Clock;
  close: () => void;
}

export async function openServices(url: string, clock: Clock): Promise<Services> {
  const database = await openDatabase(url);
  const store = new Store(database);
  const judging = new Judging(store, clock);
  const rows = new Rows(store, judging, clock);
  await rows.sealAsTheyStand();
  return {
    store,
    judging,
    rows,
    appending: new Appending(store, judging, clock),
    photos: new Photos(attachmentsOf(url)),
    clock,
    close: database.close,
  };
}
