/** `npm run --silent restore -- BACKUP --into FOLDER`: a copy back into a new folder, verified before it is called restored. */
import { cpSync, existsSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { verifyChain } from '../server/exports/logbooks';
import { holdFiles } from '../server/files/attachments';
import { ATTACHMENTS, DATABASE } from './dataFolder';
import { errorText, fail } from './exit';
import { openData } from './openData';

const HELP = `Brings a backup back into a new folder, and verifies every seal of it.

  npm run --silent restore -- BACKUP --into FOLDER

FOLDER must be new or empty: what is there is never written over. Exit 0: restored and intact, with how much it holds.
Exit 2: nothing was restored, and why.
`;

function argumentsOf(): { backup: string; into: string } {
  try {
    const { values, positionals } = parseArgs({
      options: { into: { type: 'string' }, help: { type: 'boolean' } },
      allowPositionals: true,
    });
    if (values.help) {
      process.stdout.write(HELP);
      process.exit(0);
    }
    const [backup, ...more] = positionals;
    if (backup === undefined || more.length > 0) fail('Name one backup folder.', HELP);
    if (values.into === undefined) fail('--into is missing; name the new folder.', HELP);
    return { backup, into: values.into };
  } catch (error) {
    return fail(errorText(error), HELP);
  }
}

async function main(): Promise<void> {
  const { backup, into } = argumentsOf();
  if (!existsSync(join(backup, DATABASE))) fail(`${backup} holds no ${DATABASE}: it is no backup.`);
  if (existsSync(into) && readdirSync(into).length > 0)
    fail(`${into} is not empty; name a new folder: what is there is never written over.`);
  const aside = `${resolve(into)}.part`;
  rmSync(aside, { recursive: true, force: true });
  try {
    cpSync(backup, aside, { recursive: true });
    const services = await openData(aside);
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
    rmSync(into, { recursive: true, force: true });
    renameSync(aside, into);
    process.stdout.write(
      `${JSON.stringify({ into, entries: found.entries, revisions: found.revisions, intact: true }, null, 2)}\n`,
    );
  } catch (error) {
    rmSync(aside, { recursive: true, force: true });
    fail(`Nothing was restored: ${errorText(error)}.`);
  }
}

await main();
