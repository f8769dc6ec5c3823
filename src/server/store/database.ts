/**
 * Opens the database: one libSQL file (or a server's URL), settings on its connection, migrations. All writes go
 * through one queue: a transaction takes a connection of its own, whose busy timeout is 0, so writers that met
 * would fail at once instead of waiting. Batches stay on the connection whose settings were made here.
 */
import { mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { type Client, createClient } from '@libsql/client';
import { type LibSQLDatabase, drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import PQueue from 'p-queue';
import * as schema from './schema';

export interface Database {
  db: LibSQLDatabase<typeof schema>;
  client: Client;
  /** runs one write after the other */
  write: <Value>(work: () => Promise<Value>) => Promise<Value>;
  close: () => void;
}

const BUSY_TIMEOUT_MS = 5000;
const MIGRATIONS = join(dirname(fileURLToPath(import.meta.url)), 'migrations');

/** `url`: `file:data/green-abacus.db`, `:memory:` or a libSQL server. */
export async function openDatabase(url: string): Promise<Database> {
  if (url.startsWith('file:')) mkdirSync(dirname(url.slice('file:'.length)), { recursive: true });
  const client = createClient({ url });
  const db = drizzle(client, { schema });
  await migrate(db, { migrationsFolder: MIGRATIONS });
  // After the migration, which used a transaction and so gave its connection away.
  for (const pragma of [
    'journal_mode = WAL',
    'foreign_keys = ON',
    `busy_timeout = ${String(BUSY_TIMEOUT_MS)}`,
  ]) {
    await client.execute(`PRAGMA ${pragma}`);
  }
  const queue = new PQueue({ concurrency: 1 });
  return { db, client, write: (work) => queue.add(work), close: () => client.close() };
}
