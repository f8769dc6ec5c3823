/**
 * A continuous copy of the logbook and its accounts to another disk, an SFTP server or an object store, by a kept tool that follows the
 * database as it is written: what was answered more than some seconds ago is in it, whatever becomes of this computer.
 */
import { type ChildProcess, spawn } from 'node:child_process';
import {
  chmodSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { once } from 'node:events';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { ATTACHMENTS } from '../dataFolder';
import { OWNER_ONLY, accountsFile, secretFile } from '../accounts/openAccounts';
import type { Logger } from '../log';

const TOOL = `@flydotio/litestream-${process.platform}-${process.arch}`;
/** The tool ends when whoever started it does, also where that was killed: its input ends then. */
const WITH_PARENT = '"$0" "$@" & tool=$!; cat > /dev/null; kill $tool 2> /dev/null; wait $tool';
const AGAIN_MS = 10_000;
/** Within a copy. */
const [ACCOUNTS, SECRET] = ['accounts', 'secret'];
const SECRET_IN_URL = /\/\/[^/@]*@/;

/** null: there is none for this kind of computer. */
function toolPath(): string | null {
  try {
    return join(dirname(fileURLToPath(import.meta.resolve(`${TOOL}/package.json`))), 'litestream');
  } catch {
    return null;
  }
}

const isAddress = (target: string): boolean => /^[a-z0-9]+:\/\//.test(target);
const addressOf = (target: string): string =>
  isAddress(target) ? target : pathToFileURL(resolve(target)).href;

/** A place within a target. */
export const copyUnder = (target: string, name: string): string => {
  if (!isAddress(target)) return join(target, name);
  const url = new URL(target);
  url.pathname = `${url.pathname.replace(/\/$/, '')}/${name}`;
  return url.href;
};

/** Whether a folder, or an address, holds a continuous copy. */
export const isCopy = (target: string): boolean =>
  isAddress(target) || existsSync(join(target, 'generations'));

/** Brings the newest state of a copy back as a database file; pictures come along from a copy that is a folder. */
export async function restoreCopy(
  target: string,
  into: { database: string; attachments: string },
): Promise<void> {
  const tool = toolPath();
  if (tool === null)
    throw new Error(`there is no tool for continuous copies on ${process.platform} ${process.arch}`);
  const bring = async (from: string, to: string, ...more: string[]) => {
    const child = spawn(tool, ['restore', '-no-expand-env', ...more, '-o', to, addressOf(from)], {
      stdio: ['ignore', 'ignore', 'pipe'],
    });
    let said = '';
    child.stderr.on('data', (part: Buffer) => (said += part.toString()));
    const [code] = (await once(child, 'close')) as [number | null];
    if (code !== 0) throw new Error(`the copy cannot be read: ${lastLine(said)}`);
  };
  const url = `file:${into.database}`;
  await bring(target, into.database);
  await bring(copyUnder(target, ACCOUNTS), accountsFile(url), '-if-replica-exists');
  if (existsSync(accountsFile(url))) chmodSync(accountsFile(url), OWNER_ONLY);
  if (isAddress(target)) return;
  copyNew(join(target, ATTACHMENTS), into.attachments);
  if (existsSync(join(target, SECRET))) copyFileSync(join(target, SECRET), secretFile(url));
}

const lastLine = (text: string): string => text.trim().split('\n').at(-1) ?? '';

/** Files that are not there yet; pictures and documents never change. */
function copyNew(from: string, to: string): void {
  if (!existsSync(from)) return;
  mkdirSync(to, { recursive: true });
  const there = new Set(readdirSync(to));
  for (const name of readdirSync(from)) {
    if (there.has(name) || name.endsWith('.part')) continue;
    copyFileSync(join(from, name), join(to, `${name}.part`));
    renameSync(join(to, `${name}.part`), join(to, name));
  }
}

export class ContinuousCopy {
  private child: ChildProcess | null = null;
  private ended = false;
  private said = '';
  private again: NodeJS.Timeout | undefined;

  constructor(
    /** file of the logbook */
    private readonly database: string,
    /** a folder, or an address such as sftp://… or s3://… */
    private readonly target: string,
    private readonly log: Logger,
  ) {}

  start(): void {
    const tool = toolPath();
    if (tool === null) {
      this.said = `there is no tool for it on ${process.platform} ${process.arch}`;
      return;
    }
    writeFileSync(this.plan, this.planned(), { mode: OWNER_ONLY });
    const args = ['replicate', '-no-expand-env', '-config', this.plan];
    const child = spawn('sh', ['-c', WITH_PARENT, tool, ...args], { stdio: ['pipe', 'pipe', 'pipe'] });
    this.child = child;
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (part: Buffer) => this.hear(part.toString()));
    child.on('close', () => {
      this.child = null;
      if (this.ended) return;
      this.log.error({ said: this.said }, 'the continuous copy ended; it is started anew');
      this.again = setTimeout(() => this.start(), AGAIN_MS).unref();
    });
  }

  /** Pictures and documents that came since, and the secret by which those who are signed in stay so; into a folder alone. */
  turn(): void {
    if (isAddress(this.target)) return;
    copyNew(join(dirname(this.database), ATTACHMENTS), join(this.target, ATTACHMENTS));
    mkdirSync(this.target, { recursive: true });
    const secret = secretFile(`file:${this.database}`);
    if (existsSync(secret) && !existsSync(join(this.target, SECRET)))
      writeFileSync(join(this.target, SECRET), readFileSync(secret), { mode: OWNER_ONLY });
  }

  state() {
    return {
      to: this.target.replace(SECRET_IN_URL, '//'),
      runs: this.child !== null,
      fault: this.said === '' ? null : this.said,
    };
  }

  /** What was written until now is copied first. */
  async close(): Promise<void> {
    this.ended = true;
    clearTimeout(this.again);
    const { child } = this;
    if (child) {
      child.stdin?.end();
      await once(child, 'close');
    }
    rmSync(this.plan, { force: true });
  }

  /** Tells the tool what to copy: in a file, since whoever lists the processes reads their arguments. */
  private get plan(): string {
    return `${this.database}.copying.json`;
  }

  private planned(): string {
    const copied = (path: string, target: string) => ({
      path,
      replicas: [{ url: addressOf(target) }],
    });
    return JSON.stringify({
      dbs: [
        copied(this.database, this.target),
        copied(accountsFile(`file:${this.database}`), copyUnder(this.target, ACCOUNTS)),
      ],
    });
  }

  /** Of what the tool says, the newest fault is shown; a line without one takes it back. */
  private hear(text: string): void {
    for (const line of text.split('\n').filter(Boolean)) {
      if (/level=ERROR|cannot|error/i.test(line)) {
        this.said = line.replace(SECRET_IN_URL, '//');
        this.log.error({ said: this.said }, 'the continuous copy');
      } else if (/level=INFO/.test(line)) this.said = '';
    }
  }
}
