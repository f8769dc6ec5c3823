/**
 * `npm run --silent verify -- [--data FOLDER | LOGBOOK.json]`: whether anything was altered or removed since it was sealed.
 * Prints one JSON document; exit 0 where every seal is intact, 1 where one is not, 2 where nothing can be read.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { readLogbook } from '../core/logbook/logbook';
import { problemText } from '../core/logbook/problems';
import { holdFiles } from '../server/files/attachments';
import { verifyChain } from '../server/exports/logbooks';
import { chainWalk, inChainOrder } from '../server/store/seal';
import { ATTACHMENTS } from '../server/dataFolder';
import { EXIT_BAD_INPUT, errorText, fail } from './exit';
import { openData } from './openData';

const HELP = `Says whether anything was altered or removed since it was sealed.

  npm run --silent verify -- [--data FOLDER]     the database of a data folder (data), with its photos and documents
  npm run --silent verify -- LOGBOOK.json        a logbook that was taken out whole

Exit 0: every seal is intact. Exit 1: one is not. Exit 2: nothing can be read there.
`;
const EXIT_BROKEN = 1;

async function ofFolder(folder: string) {
  const services = await openData(folder);
  try {
    const found = await verifyChain(services.database);
    const files = await holdFiles(services.database.db, join(folder, ATTACHMENTS));
    const whole = files.alteredFiles.length + files.missingFiles.length === 0;
    return { ...found, ...files, intact: found.intact && whole };
  } finally {
    await services.close();
  }
}

function ofFile(path: string) {
  let json: unknown;
  try {
    json = JSON.parse(readFileSync(path, 'utf8'));
  } catch (error) {
    return fail(`${path} cannot be read as JSON: ${errorText(error)}`);
  }
  const read = readLogbook(json);
  if (!read.ok) return fail(read.refusal.map(problemText).join('\n'));
  const links = [...(read.value.revisions ?? []), ...read.value.entries];
  const sealed = links.filter(({ seal }) => seal?.hash != null);
  const walk = chainWalk();
  let brokenAt: ReturnType<typeof walk.next> = null;
  inChainOrder(links).forEach((link, index) => {
    brokenAt ??= walk.next({ sequence: index + 1, id: link.id, sealed: link });
  });
  return {
    entries: read.value.entries.length,
    revisions: read.value.revisions?.length ?? 0,
    intact: brokenAt === null && sealed.length === links.length,
    brokenAt,
    notSealed: links.length - sealed.length,
  };
}

function argumentsOf() {
  try {
    const { values, positionals } = parseArgs({
      options: { data: { type: 'string' }, help: { type: 'boolean' } },
      allowPositionals: true,
    });
    if (values.help) {
      process.stdout.write(HELP);
      process.exit(0);
    }
    if (positionals.length > 1) fail('Name one logbook file, or none.', HELP);
    return { file: positionals[0], data: values.data ?? 'data' };
  } catch (error) {
    return fail(errorText(error), HELP);
  }
}

try {
  const { file, data } = argumentsOf();
  const found = file === undefined ? await ofFolder(data) : ofFile(file);
  process.stdout.write(`${JSON.stringify(found, null, 2)}\n`);
  if (!found.intact) process.exitCode = EXIT_BROKEN;
} catch (error) {
  process.stderr.write(`${errorText(error)}\n`);
  process.exitCode = EXIT_BAD_INPUT;
}
