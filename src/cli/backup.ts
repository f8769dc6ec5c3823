/**
 * `npm run --silent backup -- --into FOLDER [--data FOLDER]`: the database as of one moment, with its photos and documents,
 * while the app goes on writing.
 */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { makeBackup } from '../server/backups/copy';
import { ATTACHMENTS, DATABASE } from '../server/dataFolder';
import { errorText, fail } from './exit';

const HELP = `Copies the database as of one moment, with its photos and documents, into a new folder.

  npm run --silent backup -- --into FOLDER [--data FOLDER]

The app may run and write meanwhile. FOLDER must be new or empty. Exit 0: the copy is whole. Exit 2: there is none, and why.
`;

function argumentsOf(): { into: string; data: string } {
  try {
    const { values } = parseArgs({
      options: { into: { type: 'string' }, data: { type: 'string' }, help: { type: 'boolean' } },
    });
    if (values.help) {
      process.stdout.write(HELP);
      process.exit(0);
    }
    if (values.into === undefined) fail('--into is missing; name the folder of the copy.', HELP);
    return { into: values.into, data: values.data ?? 'data' };
  } catch (error) {
    return fail(errorText(error), HELP);
  }
}

async function main(): Promise<void> {
  const { into, data } = argumentsOf();
  const source = join(data, DATABASE);
  if (!existsSync(source)) fail(`${data} holds no ${DATABASE}; name the data folder with --data.`);
  await makeBackup({ database: source, attachments: join(data, ATTACHMENTS) }, into).catch((error: unknown) =>
    fail(`No copy was made: ${errorText(error)}.`),
  );
  process.stdout.write(`${JSON.stringify({ into }, null, 2)}\n`);
}

await main();
