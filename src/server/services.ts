/** The services over one store, wired once. */
import { Appending } from './appending';
import type { Clock } from './clock';
import { Judging } from './judging';
import { openDatabase } from './store/database';
import { Store } from './store/store';

export interface Services {
  store: Store;
  judging: Judging;
  appending: Appending;
  clock: Clock;
  close: () => void;
}

export async function openServices(url: string, clock: Clock): Promise<Services> {
  const database = await openDatabase(url);
  const store = new Store(database);
  const judging = new Judging(store, clock);
  return { store, judging, appending: new Appending(store, judging, clock), clock, close: database.close };
}
