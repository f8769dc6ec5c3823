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
} from 'node:fs';
import { join, resolve } from 'node:path';
import { createClient } from '@libsql/client';
import { systemClock } from '../clock';
import { ATTACHMENTS, DATABASE } from '../dataFolder';
import { verifyChain } from '../exports/logbooks';
import { holdFiles } from '../files/attachments';
import { isCopy, restoreCopy } from './continuous';
import { openServices } from '../services';

const WAIT_MS = 10_000;

const isEmpty = (folder: string): boolean => !existsSync(folder) || readdirSync(folder).length === 0;

/** Works beside the folder that it makes, so that none is ever there half; throws what went wrong. */
async function whole<Made>(into: string, work: (aside: string) => Promise<Made>): Promise<Made> {
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

/**
 * Copies a database and the attachments beside it into a new folder, while the app goes on writing.
 * `like`: an earlier copy, whose attachments are shared where they are the same.
 */
export const makeBackup = (
  { database, attachments }: { database: string; attachments: string },
  into: string,
  like: string | null = null,
): Promise<void> =>
  whole(into, async (aside) => {
    const client = createClient({ url: `file:${database}`, timeout: WAIT_MS });
    // One read of the database as of one moment, whatever is written meanwhile.
    await client.execute({ sql: 'VACUUM INTO ?', args: [join(aside, DATABASE)] });
    client.close();
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

/** Throws where a seal is broken, or a file that the database names is missing or altered: nothing is restored then. */
export const restoreBackup = (backup: string, into: string): Promise<Restored> =>
  whole(into, async (aside) => {
    if (isCopy(backup))
      await restoreCopy(backup, {
        database: join(aside, DATABASE),
        attachments: join(aside, ATTACHMENTS),
      });
    else cpSync(backup, aside, { recursive: true });
    const services = await openServices(`file:${join(aside, DATABASE)}`, systemClock(undefined));
    const held = async () => ({
      ...(await verifyChain(services.database)),
      ...(await holdFiles(services.database.db, join(aside, ATTACHMENTS))),
    });
    const found = await held().finally(() => services.close());
    if (!found.intact) throw new Error('a seal of this backup is broken; use an earlier one');
    const wrong = [...found.missingFiles, ...found.alteredFiles];
    if (wrong.length > 0)
      throw new Error(
        `${String(wrong.length)} photos or documents that it names are missing or altered (${wrong[0] ?? ''}); use an earlier one`,
      );
    return { entries: found.entries, revisions: found.revisions };
  });
