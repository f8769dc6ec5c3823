/**
 * Opens the database: one libSQL file, or a server's URL. Reads go through a pool of connections; all writes go through
 * one queue onto one connection of their own, since writers that meet would fail instead of waiting.
 *
 * Another process may hold the file (a backup, a shell). A write then waits in short slices, so that reads get their
 * turn, and gives up with `Busy` after a while. After each refusal the writing connection is opened anew: with this
 * driver a statement can stay open on it, and what is written later would be answered and never committed.
 */
import { mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { type Client, type InStatement, LibsqlError, createClient } from '@libsql/client';
import { type LibSQLDatabase, drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import PQueue from 'p-queue';
import * as schema from './schema';

export type Tables = LibSQLDatabase<typeof schema>;

/** What a write is made of: SQL with its arguments, or a query of Drizzle. */
export type Statement = InStatement | { toSQL: () => { sql: string; params: unknown[] } };

/** The database is held by another process. */
export class Busy extends Error {
  constructor() {
    super('The database is held by another process.');
  }
}

export interface Database {
  /** for reading */
  db: Tables;
  url: string;
  /** runs one write after the other; what asks in the background goes last */
  write: <Value>(work: () => Promise<Value>, background?: boolean) => Promise<Value>;
  /**
   * All or nothing; only inside `write`. Answered, it is on the disk; `derived`: what can be made anew from the entries
   * need not wait for the disk.
   */
  batch: (statements: readonly Statement[], options?: { derived?: boolean }) => Promise<void>;
  /** Parts that are made one after the other, all or nothing; only inside `write`. */
  batches: (parts: AsyncIterable<readonly Statement[]>) => Promise<void>;
  /** another number after somebody else wrote to the database; only inside `write` */
  version: () => Promise<unknown>;
  /** after a read was refused: the connections of the reads are opened anew */
  renewReads: () => void;
  /** reads that all see the same moment, whatever is written meanwhile */
  snapshot: <Value>(work: (db: Tables) => Promise<Value>) => Promise<Value>;
  /** after what was asked to be written */
  close: () => Promise<void>;
}

export interface Patience {
  /** how long a connection itself waits: the whole process stands still meanwhile */
  sliceMs: number;
  /** how long a write waits in all */
  totalMs: number;
}

export const PATIENCE: Patience = { sliceMs: 100, totalMs: 5000 };
const PAUSE_MS = 50;
const CACHE_KIB = 65_536;
const MIGRATIONS = join(dirname(fileURLToPath(import.meta.url)), 'migrations');

/** Whether another process holds the file, or the connection was renewed for that under a read. */
export function isBusy(error: unknown): boolean {
  for (let each: unknown = error; each instanceof Error; each = each.cause) {
    if (each instanceof Busy) return true;
    if (each instanceof LibsqlError && /^SQLITE_(BUSY|LOCKED)|^CLIENT_CLOSED$/.test(each.code)) return true;
  }
  return false;
}

const plain = (statement: Statement): InStatement => {
  if (typeof statement === 'string' || !('toSQL' in statement)) return statement;
  const { sql, params } = statement.toSQL();
  return { sql, args: params as (string | number | null)[] };
};

const pathOf = (url: string): string => url.slice('file:'.length);

/** A client whose every connection waits. */
export const connect = (url: string, patience: Patience = PATIENCE): Client =>
  createClient({ url, timeout: patience.sliceMs });

/** For a thread that only reads. */
export function openReading(url: string): Pick<Database, 'db'> & { close: () => void } {
  const client = connect(url);
  return { db: drizzle(client, { schema }), close: () => client.close() };
}

/** Reads that all see the same moment, on a connection of their own. */
export async function snapshotOf<Value>(
  url: string,
  patience: Patience,
  work: (db: Tables) => Promise<Value>,
): Promise<Value> {
  const client = connect(url, patience);
  try {
    const transaction = await client.transaction('read');
    try {
      return await work(drizzle(transaction as unknown as Client, { schema }));
    } finally {
      transaction.close();
    }
  } finally {
    client.close();
  }
}

/** `url`: `file:data/green-abacus.db` or a libSQL server. */
export async function openDatabase(url: string, patience: Patience = PATIENCE): Promise<Database> {
  if (url.startsWith('file:')) mkdirSync(dirname(pathOf(url)), { recursive: true });
  const reader = connect(url, patience);
  const writer = createClient({ url, timeout: patience.sliceMs, concurrency: 1 });
  const settle = () => writer.execute(`PRAGMA cache_size = -${String(CACHE_KIB)}`);

  let renewals = 0;
  const patiently = async <Value>(work: () => Promise<Value>): Promise<Value> => {
    const until = performance.now() + patience.totalMs;
    for (;;) {
      try {
        return await work();
      } catch (error) {
        if (!isBusy(error)) throw error;
        renewals += 1;
        await writer.reconnect();
        await settle();
        if (performance.now() > until) throw new Busy();
        await pause(PAUSE_MS);
      }
    }
  };

  await patiently(async () => {
    await writer.execute('PRAGMA journal_mode = WAL');
    await settle();
    await migrate(drizzle(writer, { schema }), { migrationsFolder: MIGRATIONS });
  });
  const queue = new PQueue({ concurrency: 1 });
  return {
    db: drizzle(reader, { schema }),
    url,
    write: (work, background = false) => queue.add(work, { priority: background ? 0 : 1 }),
    batch: async (statements, { derived = false } = {}) => {
      if (statements.length === 0) return;
      const plainly = statements.map(plain);
      await patiently(async () => {
        if (derived) await writer.execute('PRAGMA synchronous = NORMAL');
        try {
          await writer.batch(plainly, 'write');
        } finally {
          if (derived) await writer.execute('PRAGMA synchronous = FULL');
        }
      });
    },
    batches: async (parts) => {
      const transaction = await patiently(() => writer.transaction('write'));
      try {
        for await (const part of parts) for (const each of part) await transaction.execute(plain(each));
        await transaction.commit();
      } finally {
        transaction.close();
      }
    },
    // A connection opened anew begins to count anew.
    version: async () =>
      `${String(renewals)} ${String((await writer.execute('PRAGMA data_version')).rows[0]?.['data_version'])}`,
    renewReads: () => {
      reader.reconnect();
    },
    snapshot: (work) => snapshotOf(url, patience, work),
    close: async () => {
      await queue.onIdle();
      reader.close();
      writer.close();
    },
  };
}
