/** A copy of a company's data as of one moment, and a copy back that is verified before it is called restored. */
import {
  copyFileSync,
  cpSync,
  existsSync,
  linkSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { join, resolve } from 'node:path';
import { createClient } from '@libsql/client';
import { OWNER_ONLY, accountsFile } from '../accounts/openAccounts';
import { systemClock } from '../clock';
import { ATTACHMENTS, DATABASE } from '../dataFolder';
import { verifyChain } from '../exports/logbooks';
import { holdFiles } from '../files/attachments';
import { isCopy, restoreCopy } from './continuous';
import { openServices } from '../services';

const WAIT_MS = 10_000;

const isEmpty = (folder: string): boolean => !existsSync(folder) || readdirSync(folder).length === 0;

/** Works beside the folder that it makes, so that none is ever there half; throws what went wrong. */
export async function whole<Made>(into: string, work: (aside: string) => Promise<Made>): Promise<Made> {
  if (!isEmpty(into))
    throw new Error(`${into} is not empty; name a new folder: what is there is never written over`);
  const aside = `${resolve(into)}.part`;
  rmSync(aside, { recursive: true, force: true });
  mkdirSync(aside, { recursive: true });
  try {
    const made = await work(aside);
    rmSync(into, { recursive: true, force: true });
    renameSync(aside, into);
    return made;
  } catch (error) {
    rmSync(aside, { recursive: true, force: true });
    throw error;
  }
}

/** Pictures and documents never change: what an earlier copy has is the same file once more, and takes no room. */
function copyFile(from: string, to: string, earlier: string | null): void {
  if (earlier !== null && existsSync(earlier)) {
    try {
      linkSync(earlier, to);
      return;
    } catch {
      // Another disk, or one that knows no links: it is copied.
    }
  }
  copyFileSync(from, to);
}

/** A database as of one moment, whatever is written meanwhile; one that is not there is left out. */
async function copyDatabase(from: string, to: string): Promise<void> {
  if (!existsSync(from)) return;
  const client = createClient({ url: `file:${from}`, timeout: WAIT_MS });
  writeFileSync(to, '', { mode: OWNER_ONLY });
  try {
    await client.execute({ sql: 'VACUUM INTO ?', args: [to] });
  } finally {
    client.close();
  }
}

/** What let somebody in when the backup was made lets nobody in after it came back: it may have been ended since. */
async function endSessions(accounts: string): Promise<void> {
  if (!existsSync(accounts)) return;
  const client = createClient({ url: `file:${accounts}` });
  for (const table of ['session', 'pin', 'invitation']) await client.execute(`DELETE FROM ${table}`);
  client.close();
}

/**
 * Copies a logbook, its accounts and the attachments beside it into a new folder, while the app goes on writing.
 * `like`: an earlier copy, whose attachments are shared where they are the same.
 */
export const makeBackup = (
  { database, attachments }: { database: string; attachments: string },
  into: string,
  like: string | null = null,
): Promise<void> =>
  whole(into, async (aside) => {
    await copyDatabase(database, join(aside, DATABASE));
    await copyDatabase(accountsFile(`file:${database}`), accountsFile(`file:${join(aside, DATABASE)}`));
    // What the database names was there before it.
    if (!existsSync(attachments)) return;
    mkdirSync(join(aside, ATTACHMENTS));
    for (const file of readdirSync(attachments).filter((name) => !name.endsWith('.part')))
      copyFile(
        join(attachments, file),
        join(aside, ATTACHMENTS, file),
        like === null ? null : join(like, ATTACHMENTS, file),
      );
  });

export interface Restored {
  entries: number;
  revisions: number;
}

/**
 * Throws where a seal is broken, or a file that the database names is missing or altered: nothing is restored then. From a
 * continuous copy people stay signed in; from a backup, which is older, they sign in anew.
 * `accounts`: whether accounts come back; without them the first manager comes in by a link of the server.
 */
export const restoreBackup = (backup: string, into: string, accounts = true): Promise<Restored> =>
  whole(into, async (aside) => {
    const database = join(aside, DATABASE);
    const kept = accountsFile(`file:${database}`);
    if (isCopy(backup)) await restoreCopy(backup, { database, attachments: join(aside, ATTACHMENTS) });
    else {
      cpSync(backup, aside, { recursive: true });
      await endSessions(kept);
    }
    if (!accounts) rmSync(kept, { force: true });
    return verified(aside);
  });

/** What a data folder holds; throws where it is not whole. */
export async function verified(folder: string): Promise<Restored> {
  const services = await openServices(`file:${join(folder, DATABASE)}`, systemClock(undefined));
  const held = async () => ({
    ...(await verifyChain(services.database)),
    ...(await holdFiles(services.database.db, join(folder, ATTACHMENTS))),
  });
  const found = await held().finally(() => services.close());
  if (!found.intact) throw new Error('a seal is broken; use an earlier copy');
  const wrong = [...found.missingFiles, ...found.alteredFiles];
  if (wrong.length > 0)
    throw new Error(
      `${String(wrong.length)} photos or documents that it names are missing or altered (${wrong[0] ?? ''}); use an earlier copy`,
    );
  return { entries: found.entries, revisions: found.revisions };
}
