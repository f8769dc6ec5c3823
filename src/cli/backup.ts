/**
 * `npm run --silent backup -- --into FOLDER [--data FOLDER]`: the database as of one moment, with its photos and documents,
 * while the app goes on writing.
 */
import { cpSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { createClient } from '@libsql/client';
import { ATTACHMENTS, DATABASE } from './dataFolder';
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
  if (existsSync(into) && readdirSync(into).length > 0)
    fail(`${into} is not empty; name a new folder, so that no copy is written over.`);
  const aside = `${resolve(into)}.part`;
  rmSync(aside, { recursive: true, force: true });
  mkdirSync(aside, { recursive: true });
  try {
    const client = createClient({ url: `file:${source}`, timeout: 10_000 });
    // One read of the database as of one moment, whatever is written meanwhile.
    await client.execute({ sql: 'VACUUM INTO ?', args: [join(aside, DATABASE)] });
    client.close();
    const attachments = join(data, ATTACHMENTS);
    // Pictures never change: what the database names was there before it.
    if (existsSync(attachments))
      cpSync(attachments, join(aside, ATTACHMENTS), {
        recursive: true,
        filter: (path) => !path.endsWith('.part'),
      });
    rmSync(into, { recursive: true, force: true });
    renameSync(aside, into);
  } catch (error) {
    rmSync(aside, { recursive: true, force: true });
    fail(`No copy was made: ${errorText(error)}`);
  }
  process.stdout.write(`${JSON.stringify({ into }, null, 2)}\n`);
}

await main();
