/** Opens the file of accounts that stands beside a logbook, with the secret that its cookies are signed by. */
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createClient } from '@libsql/client';
import { type LibSQLDatabase, drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import * as schema from './schema';

export type AccountTables = LibSQLDatabase<typeof schema>;

const MIGRATIONS = join(dirname(fileURLToPath(import.meta.url)), 'migrations');
/** A sign-in waits so long for another one that writes. */
const WAIT_MS = 2000;
const SECRET_BYTES = 32;
/** Mode of files that let somebody in: readable by whoever runs the server alone. */
export const OWNER_ONLY = 0o600;

const beside = (url: string, ending: string): string =>
  `${url.startsWith('file:') ? url.slice('file:'.length).replace(/\.db$/, '') : 'data/company'}.${ending}`;

/** Where the accounts of a logbook stand. */
export const accountsFile = (url: string): string => beside(url, 'accounts.db');

/** What its cookies and links are signed by. */
export const secretFile = (url: string): string => beside(url, 'secret');

/** Made at the first start. */
function secretOf(url: string): string {
  const file = secretFile(url);
  if (!existsSync(file)) writeFileSync(file, randomBytes(SECRET_BYTES).toString('hex'), { mode: OWNER_ONLY });
  return readFileSync(file, 'utf8').trim();
}

/** `url`: of the logbook. */
export async function openAccountTables(
  url: string,
): Promise<{ db: AccountTables; secret: string; close: () => void }> {
  const file = accountsFile(url);
  mkdirSync(dirname(file), { recursive: true });
  // What stands beside it while it is written takes its mode.
  if (!existsSync(file)) writeFileSync(file, '', { mode: OWNER_ONLY });
  const client = createClient({ url: `file:${file}`, timeout: WAIT_MS, concurrency: 1 });
  await client.execute('PRAGMA journal_mode = WAL');
  await client.execute('PRAGMA foreign_keys = ON');
  const db = drizzle(client, { schema });
  await migrate(db, { migrationsFolder: MIGRATIONS });
  return { db, secret: secretOf(url), close: () => client.close() };
}
