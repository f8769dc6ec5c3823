/** `npm run --silent company -- add NAME --in FOLDER` and `move NAME --in FOLDER --into FOLDER`: companies of one server. */
import { parseArgs } from 'node:util';
import { addCompany, moveCompany } from '../server/companies/moving';
import { errorText, fail } from './exit';

const HELP = `Companies that one server serves, each in a folder of its own under FOLDER (serve --companies FOLDER).

  npm run --silent company -- add NAME --in FOLDER              makes one, and prints the end of its first manager's link
  npm run --silent company -- move NAME --in FOLDER --into TO   moves one with all that is its own, verified, to another folder

A server may run meanwhile: it finds a new company by itself, and lets go of one that leaves. Its name is the first part of its
address. Moved to a folder that nobody serves, a company is taken away. Exit 0: done, in JSON. Exit 2: nothing was changed, and why.
`;
/** A server ends what runs, copies the rest, and lets go. */
const PATIENCE_MS = 120_000;

function argumentsOf() {
  try {
    const { values, positionals } = parseArgs({
      options: { in: { type: 'string' }, into: { type: 'string' }, help: { type: 'boolean' } },
      allowPositionals: true,
    });
    if (values.help) {
      process.stdout.write(HELP);
      process.exit(0);
    }
    const [deed, name, ...more] = positionals;
    if ((deed !== 'add' && deed !== 'move') || name === undefined || more.length > 0)
      fail('Say what to do, and name one company.', HELP);
    if (values.in === undefined) fail('--in is missing; name the folder of the companies.', HELP);
    if ((deed === 'move') !== (values.into !== undefined))
      fail('--into says where a company is moved, and only that.', HELP);
    return { name, folder: values.in, to: values.into ?? null };
  } catch (error) {
    return fail(errorText(error), HELP);
  }
}

async function main(): Promise<void> {
  const { name, folder, to } = argumentsOf();
  const work =
    to === null
      ? addCompany(folder, name).then((token) => ({ company: name, path: `/welcome?token=${token}` }))
      : moveCompany(folder, name, to, PATIENCE_MS).then((moved) => ({ company: name, ...moved }));
  const done = await work.catch((error: unknown) => fail(`Nothing was changed: ${errorText(error)}.`));
  process.stdout.write(`${JSON.stringify(done, null, 2)}\n`);
}

await main();
