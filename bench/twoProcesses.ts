/**
 * `npm run bench:two`: two servers as processes behind Debian's nginx (apt-get install nginx-light), each with companies of its
 * own. While all are written to, one is killed; its companies are brought back from their copies beside those of the other and
 * routed anew. Counts what was acknowledged and lost, and how long each company was away.
 */
import { execFile, spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { promisify } from 'node:util';
import { addCompany } from '../src/server/companies/moving';
import { DATABASE } from '../src/server/dataFolder';
import { type Served, serve } from '../src/server/served.testkit';
import { askHost, firstManager } from '../src/server/hosts.testkit';

const run = promisify(execFile);
const BEFORE_MS = 8000;
const AFTER_MS = 5000;
const AGAIN_MS = 50;
const DOMAIN = 'abacus.example';
const COMPANIES = { pier: 'a', quay: 'a', weir: 'b', mill: 'b' } as const;
type Name = keyof typeof COMPANIES;
const NAMES = Object.keys(COMPANIES) as Name[];

const root = mkdtempSync(join(tmpdir(), 'bench-two-'));
const folderOf = (process: string) => join(root, process);
const copyOf = (process: string) => join(root, 'other-disk', process);

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => resolve(port));
    });
  });

const ports = { a: await freePort(), b: await freePort(), proxy: await freePort() };
const routes: Record<Name, 'a' | 'b'> = { ...COMPANIES };

function writeRoutes(): void {
  const upstream = (name: 'a' | 'b') =>
    `upstream ${name} { server 127.0.0.1:${String(ports[name])}; keepalive 16; keepalive_timeout 60s; }`;
  writeFileSync(
    join(root, 'nginx.conf'),
    `pid ${root}/nginx.pid; error_log ${root}/nginx.err; worker_processes 1;
events {}
http {
  access_log off;
  client_body_temp_path ${root}/body; proxy_temp_path ${root}/temp; fastcgi_temp_path ${root}/f; uwsgi_temp_path ${root}/u; scgi_temp_path ${root}/s;
  ${upstream('a')}
  ${upstream('b')}
  map $host $process { ${NAMES.map((name) => `${name}.${DOMAIN} ${routes[name]};`).join(' ')} default b; }
  server {
    listen 127.0.0.1:${String(ports.proxy)};
    location / {
      proxy_pass http://$process; proxy_http_version 1.1; proxy_set_header Connection "";
      proxy_set_header Host $http_host; proxy_set_header X-Forwarded-For $remote_addr;
      proxy_next_upstream off;
    }
  }
}
`,
  );
}
const nginx = (...more: string[]) => run('nginx', ['-p', root, '-c', join(root, 'nginx.conf'), ...more]);
const start = (name: 'a' | 'b'): Promise<Served> =>
  serve('', {
    ABACUS_DATABASE: '',
    ABACUS_TODAY: '',
    ABACUS_COMPANIES: folderOf(name),
    ABACUS_COPY: copyOf(name),
    ABACUS_ADDRESS: `http://${DOMAIN}`,
    ABACUS_PROXY_HOPS: '1',
    PORT: String(ports[name]),
  });

interface Written {
  cookie: string;
  /** what was acknowledged, and when */
  taken: Map<string, number>;
  refused: number;
  awayFrom: number | null;
  backAt: number | null;
}
const written = new Map<Name, Written>();
let writing = true;
let number = 0;

async function keepWriting(name: Name): Promise<void> {
  const own = written.get(name);
  if (!own) return;
  while (writing) {
    const id = `owner-${String((number += 1))}`;
    const { status } = await askHost(ports.proxy, `${name}.${DOMAIN}`, '/rows', {
      cookie: own.cookie,
      body: { changes: [{ table: 'owners', id, row: { id, name: `Owner ${id}` } }] },
    });
    if (status === 201) {
      own.taken.set(id, performance.now());
      if (own.awayFrom !== null) own.backAt ??= performance.now();
    } else {
      own.refused += 1;
      own.awayFrom ??= performance.now();
      await pause(AGAIN_MS);
    }
  }
}

const tokens = new Map<Name, string>();
for (const name of NAMES) tokens.set(name, await addCompany(folderOf(COMPANIES[name]), name));
for (const name of ['body', 'temp']) mkdirSync(join(root, name));
writeRoutes();
const [a, b] = await Promise.all([start('a'), start('b')]);
const proxy = spawn('nginx', ['-p', root, '-c', join(root, 'nginx.conf'), '-g', 'daemon off;'], {
  stdio: 'ignore',
});
await pause(500);
for (const name of NAMES)
  written.set(name, {
    cookie: await firstManager(ports.proxy, `${name}.${DOMAIN}`, tokens.get(name) ?? ''),
    taken: new Map(),
    refused: 0,
    awayFrom: null,
    backAt: null,
  });
const writers = NAMES.map((name) => keepWriting(name));
await pause(BEFORE_MS);

const killed = performance.now();
await a.kill('SIGKILL');
for (const name of NAMES.filter((each) => COMPANIES[each] === 'a')) {
  const from = performance.now();
  const told = await run(process.execPath, [
    ...[
      '--import',
      'tsx',
      'src/cli/restore.ts',
      join(copyOf('a'), name),
      '--into',
      join(folderOf('b'), name),
    ],
  ]);
  console.log(
    `${name}: restored and verified in ${((performance.now() - from) / 1000).toFixed(1)} s, ${String((JSON.parse(told.stdout) as { revisions: number }).revisions)} revisions`,
  );
  routes[name] = 'b';
}
writeRoutes();
await nginx('-s', 'reload');
await pause(AFTER_MS);
writing = false;
await Promise.all(writers);

for (const name of NAMES) {
  const own = written.get(name);
  if (!own) continue;
  const answer = await askHost(ports.proxy, `${name}.${DOMAIN}`, '/owners', { cookie: own.cookie });
  const there = new Set((JSON.parse(answer.text) as { id: string }[]).map(({ id }) => id));
  const lost = [...own.taken].filter(([id]) => !there.has(id));
  const oldest = Math.min(...lost.map(([, at]) => at));
  const { stdout } = await run(process.execPath, [
    ...['--import', 'tsx', 'src/cli/verify.ts', '--data', join(folderOf('b'), name)],
  ]);
  console.log(
    `${name} (at first by ${COMPANIES[name]}): ${String(own.taken.size)} acknowledged, ${String(lost.length)} of them lost${lost.length > 0 ? `, the oldest acknowledged ${(killed - oldest).toFixed(0)} ms before the kill` : ''}; ${String(own.refused)} refused; away ${own.awayFrom === null || own.backAt === null ? 'never' : `${((own.backAt - own.awayFrom) / 1000).toFixed(1)} s`}; seals ${(JSON.parse(stdout) as { intact: boolean }).intact ? 'intact' : 'BROKEN'}`,
  );
}
proxy.kill('SIGTERM');
await b.kill('SIGKILL');
rmSync(root, { recursive: true });
console.log(
  `(${DATABASE} of each company; the proxy, both servers and the copies on one machine of 2 cores)`,
);
process.exit(0);
