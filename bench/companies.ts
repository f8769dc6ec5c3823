/**
 * `npm run bench:companies`: many companies on one server as a process. Lists of one company with few and with many others open,
 * beside a bare select in the same run; memory; opening, moving; size and pace of a large one. Nothing here passes or fails.
 */
import { cpSync, readFileSync, mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { systemClock } from '../src/server/clock';
import { addCompany, moveCompany } from '../src/server/companies/moving';
import { DATABASE } from '../src/server/dataFolder';
import { loadLogbook } from '../src/server/exports/logbooks';
import { serve } from '../src/server/served.testkit';
import { openServices } from '../src/server/services';
import { grownLogbook } from './grown';
import { askHost, firstManager } from '../src/server/hosts.testkit';
import { median } from './measure';

const OTHERS = 200;
const STEPS = [1, 50, 100, OTHERS];
/** Of the company that is asked, and of each of the others. */
const [MACHINES, MACHINES_OF_OTHERS] = [2000, 40];
const RUNS = 40;

const root = mkdtempSync(join(tmpdir(), 'bench-companies-'));
const folder = join(root, 'companies');
const clock = systemClock(undefined);

async function grow(
  name: string,
  machines: number,
): Promise<{ token: string; entries: number; seconds: number }> {
  const token = await addCompany(folder, name);
  const services = await openServices(`file:${join(folder, name, DATABASE)}`, clock);
  const book = grownLogbook(machines);
  const from = performance.now();
  await loadLogbook(services, book);
  const seconds = (performance.now() - from) / 1000;
  await services.close();
  return { token, entries: book.entries.length, seconds };
}

const megabytes = (bytes: number): string => `${(bytes / 1e6).toFixed(0)} MB`;
const residentOf = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${String(pid)}/status`, 'utf8'))?.[1]) * 1024;

const asked = await grow('asked', MACHINES);
await grow('other-0', MACHINES_OF_OTHERS);
for (let index = 1; index < OTHERS; index += 1)
  cpSync(join(folder, 'other-0'), join(folder, `other-${String(index)}`), { recursive: true });
const served = await serve('', { ABACUS_COMPANIES: folder, ABACUS_DATABASE: '', ABACUS_TODAY: '' });
const port = Number(new URL(served.base).port);
const hostOf = (name: string) => `${name}.localhost:${String(port)}`;
const pid = served.child.pid ?? 0;
const cookie = await firstManager(port, hostOf('asked'), asked.token);
const bare = createClient({ url: `file:${join(folder, 'asked', DATABASE)}` });

const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const from = performance.now();
  await work();
  return performance.now() - from;
};
const PATHS = ['/due', '/machines', '/session'];

console.log(
  `companies: one of ${String(MACHINES)} machines is asked, others have ${String(MACHINES_OF_OTHERS)}\n`,
);
console.log(`others open${PATHS.map((each) => each.padStart(14)).join('')}   (bare select)      memory`);
let open = 0;
const opening: number[] = [];
for (const step of STEPS) {
  for (; open < step; open += 1)
    opening.push(await timed(() => askHost(port, hostOf(`other-${String(open)}`), '/session')));
  const times = PATHS.map(() => [] as number[]);
  const bareTimes: number[] = [];
  for (let run = 0; run < RUNS; run += 1) {
    for (const [index, path] of PATHS.entries())
      times[index]?.push(await timed(() => askHost(port, hostOf('asked'), path, { cookie })));
    bareTimes.push(
      await timed(() =>
        bare.execute({ sql: 'SELECT document FROM appliances WHERE id = ?', args: ['machine-7'] }),
      ),
    );
  }
  console.log(
    `${String(step).padStart(11)}${times.map((each) => `${median(each).toFixed(2)} ms`.padStart(14)).join('')}${`${median(bareTimes).toFixed(2)} ms`.padStart(16)}${megabytes(residentOf(pid)).padStart(12)}`,
  );
}
bare.close();
console.log(
  `\na request that opens a company first: ${median(opening).toFixed(0)} ms in the median, ${Math.max(...opening).toFixed(0)} at most`,
);
const moved = await timed(() => moveCompany(folder, 'asked', join(root, 'elsewhere'), 60_000));
await served.kill('SIGKILL');
const bytes = statSync(join(root, 'elsewhere', 'asked', DATABASE)).size;
const perEntry = bytes / asked.entries;
console.log(
  `${asked.entries.toLocaleString('en')} entries: loaded, sealed and judged in ${asked.seconds.toFixed(1)} s (${Math.round(asked.entries / asked.seconds).toLocaleString('en')} a second), ${megabytes(bytes)} (${(perEntry / 1000).toFixed(2)} kB an entry, so ${(perEntry / 1000).toFixed(2)} GB a million), moved and verified in ${(moved / 1000).toFixed(1)} s`,
);
rmSync(root, { recursive: true });
process.exit(0);
