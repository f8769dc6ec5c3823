/** Companies come into a folder and leave it: made with the link of its first manager, or moved from one folder to another. */
import { cpSync, existsSync, mkdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { openAccounts } from '../accounts/accounts';
import { type Restored, verified, whole } from '../backups/copy';
import { systemClock } from '../clock';
import { openServices } from '../services';
import { HOLD, hold } from './hold';
import { databaseOf, isCompany, isName, leavingMark } from './names';

const NAME_WORDS =
  'is no name of a company: up to 40 small letters and digits, with single hyphens between them, such as pier-cooling';

function checkName(name: string): void {
  if (!isName(name)) throw new Error(`${name} ${NAME_WORDS}`);
}

/** Not whose it is just now, nor how far its copy has come: that is told anew where it stands next. */
const isOwn = (path: string): boolean => !basename(path).startsWith(HOLD) && !path.endsWith('-litestream');

/** The token of its first manager's link; also anew, as long as nobody came in by one. */
export async function addCompany(folder: string, name: string): Promise<string> {
  checkName(name);
  mkdirSync(join(folder, name), { recursive: true });
  const url = `file:${databaseOf(folder, name)}`;
  const services = await openServices(url, systemClock(undefined));
  const { accounts, close } = await openAccounts(url, services);
  const token = await accounts.joining.firstToken().finally(async () => {
    close();
    await services.close();
  });
  if (token === null) throw new Error(`${name} is there already, and has accounts; name another one`);
  return token;
}

export interface Moved extends Restored {
  /** where it stands now */
  into: string;
  /** what it was before, served by nobody: to be deleted by hand */
  left: string;
}

/**
 * Moves a company with its accounts and pictures to another folder, where it is verified before it leaves this one. A server that
 * serves it lets go first: it answers meanwhile that the company is moved. `patienceMs`: how long that may take.
 */
export async function moveCompany(
  folder: string,
  name: string,
  to: string,
  patienceMs: number,
): Promise<Moved> {
  checkName(name);
  if (!isCompany(folder, name)) throw new Error(`${folder} holds no company ${name}`);
  const [from, into] = [join(folder, name), join(to, name)];
  if (existsSync(into)) throw new Error(`${into} is there already; nothing was moved`);
  const mark = leavingMark(folder, name);
  writeFileSync(mark, `moved to ${into}\n`);
  try {
    const release = await hold(from, patienceMs);
    if (release === null)
      throw new Error(
        `a server still works with ${name}; nothing was moved. Try again when its imports are done`,
      );
    try {
      mkdirSync(to, { recursive: true });
      const found = await whole(into, async (aside) => {
        cpSync(from, aside, { recursive: true, filter: isOwn });
        return verified(aside);
      });
      const left = join(folder, `${name}.moved-${new Date().toISOString().replace(/[:.]/g, '-')}`);
      renameSync(from, left);
      return { ...found, into, left };
    } finally {
      release();
    }
  } finally {
    rmSync(mark, { force: true });
  }
}
