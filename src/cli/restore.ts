/** `npm run --silent restore -- BACKUP --into FOLDER`: a copy back into a new folder, verified before it is called restored. */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { isCopy } from '../server/backups/continuous';
import { restoreBackup } from '../server/backups/copy';
import { DATABASE } from '../server/dataFolder';
import { errorText, fail } from './exit';

const HELP = `Brings a backup, or the newest state of a continuous copy, back into a new folder, and verifies every seal of it.

  npm run --silent restore -- BACKUP --into FOLDER [--without-accounts]

Accounts come back too; whoever was signed in when a backup was made signs in anew. Without them the first manager comes in by
the link that the server prints, as when every manager has lost the password. FOLDER must be new or empty: what is there is never written over. Exit 0: restored and intact, with how much it holds.
Exit 2: nothing was restored, and why.
`;

function argumentsOf(): { backup: string; into: string; accounts: boolean } {
  try {
    const { values, positionals } = parseArgs({
      options: {
        into: { type: 'string' },
        'without-accounts': { type: 'boolean' },
        help: { type: 'boolean' },
      },
      allowPositionals: true,
    });
    if (values.help) {
      process.stdout.write(HELP);
      process.exit(0);
    }
    const [backup, ...more] = positionals;
    if (backup === undefined || more.length > 0) fail('Name one backup folder.', HELP);
    if (values.into === undefined) fail('--into is missing; name the new folder.', HELP);
    return { backup, into: values.into, accounts: values['without-accounts'] !== true };
  } catch (error) {
    return fail(errorText(error), HELP);
  }
}

async function main(): Promise<void> {
  const { backup, into, accounts } = argumentsOf();
  if (!existsSync(join(backup, DATABASE)) && !isCopy(backup))
    fail(`${backup} holds no ${DATABASE}: it is no backup, and no continuous copy.`);
  const found = await restoreBackup(backup, into, accounts).catch((error: unknown) =>
    fail(`Nothing was restored: ${errorText(error)}.`),
  );
  process.stdout.write(`${JSON.stringify({ into, ...found, intact: true }, null, 2)}\n`);
}

await main();
