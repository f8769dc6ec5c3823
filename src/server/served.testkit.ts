/** The app as a process of its own, for tests that kill it: started on a free port, its first manager signed in. */
import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';

export interface Served {
  child: ChildProcess;
  /** address of the API */
  base: string;
  /** what it printed until now */
  printed: () => string;
  kill: (signal: NodeJS.Signals) => Promise<void>;
}

/** Starts it on the logbook of `url` and waits until it says where it is. */
export async function serve(url: string, env: Record<string, string> = {}): Promise<Served> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'src/server/main.ts'], {
    env: { ...process.env, ABACUS_DATABASE: url, PORT: '0', ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let printed = '';
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (part: Buffer) => (printed += part.toString()));
  const base = `${await said(
    child,
    () => /Green Abacus is at (http\S+)/.exec(printed)?.[1],
    () => printed,
  )}/api`;
  const kill = async (signal: NodeJS.Signals) => {
    if (child.exitCode !== null || child.signalCode !== null) return;
    child.kill(signal);
    await once(child, 'exit');
  };
  return { child, base, printed: () => printed, kill };
}

/** Whatever the child says, as soon as it was said. */
async function said(
  child: ChildProcess,
  find: () => string | undefined,
  printed: () => string,
): Promise<string> {
  for (;;) {
    const found = find();
    if (found !== undefined) return found;
    if (child.exitCode !== null) throw new Error(`the server ended: ${printed()}`);
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
}

/** Comes in by the printed link, as somebody does who started it; gives the cookie of the session. */
export async function signInFirst({ child, base, printed }: Served): Promise<string> {
  const token = await said(child, () => /First manager: \S+token=(\S+)/.exec(printed())?.[1], printed);
  const known = { email: 'first@pier.example', password: 'four plain words here' };
  const send = (path: string, body: object) =>
    fetch(base + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
  await send('/accounts', { token, ...known, name: 'First Manager' });
  return cookieOf(await send('/auth/sign-in/email', known));
}

/** The session that an answer sets, as a client sends it back. */
export const cookieOf = (answer: Response): string =>
  answer.headers
    .getSetCookie()
    .map((each) => each.split(';')[0])
    .join('; ');
