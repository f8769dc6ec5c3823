/** Serves the app: on this machine alone, or beyond it where that was asked for and may be. */
import { readFileSync } from 'node:fs';
import { createServer as plainServer } from 'node:http';
import { createServer as tlsServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { openAccounts } from './accounts/accounts';
import { ContinuousCopy } from './backups/continuous';
import { DailyBackups } from './backups/daily';
import { createApp } from './http/app';
import { systemClock } from './clock';
import { openLog } from './log';
import { Sending } from './notices/sending';
import { Delivering } from './programs/delivering';
import { openServices } from './services';
import { type Settings, lackWithoutTls, readSettings, refusalToListen } from './settings';
import { PATIENCE } from './store/database';

const TURN_EVERY_MS = 60_000;
/** How long requests that run when it is told to end may take. */
const LAST_REQUESTS_MS = 10_000;

const read = readSettings(process.env);
if ('faults' in read) {
  for (const fault of read.faults) console.error(fault);
  process.exit(1);
}
const { settings } = read;
const { host, port, url } = settings;
const log = openLog(settings.log);

function open({ tls }: Settings) {
  if (tls === null) return plainServer();
  try {
    return tlsServer({ cert: readFileSync(tls.cert), key: readFileSync(tls.key) });
  } catch (error) {
    console.error(`The certificate or its key cannot be read: ${(error as Error).message}`);
    process.exit(1);
  }
}

const server = open(settings);
const services = await openServices(url, systemClock(settings.today), {
  ...PATIENCE,
  totalMs: settings.patienceMs,
});
const nearby = settings.address === null && settings.loopback;
const own = settings.address ?? `${settings.tls ? 'https' : 'http'}://${host}:${String(port)}`;
const { accounts, close: closeAccounts } = await openAccounts(url, services, {
  secure: settings.secure,
  links: { base: own, onlyHere: settings.address === null },
  nearby,
  sends: settings.mail !== null,
});
const delivering = new Delivering(accounts.webhooks, services.clock.nowMs, nearby);
const backups = settings.backups && new DailyBackups(url, settings.backups, services.clock);
const copy =
  settings.copy === null ? null : new ContinuousCopy(url.slice('file:'.length), settings.copy, log);
copy?.start();
const sending = settings.mail && new Sending(accounts.notices.outbox, settings.mail);
async function end(code: number): Promise<never> {
  await Promise.all([sending?.close(), delivering.close(), backups?.close()]);
  await services.close();
  // Last: what was written until the end is copied too.
  await copy?.close();
  closeAccounts();
  process.exit(code);
}

const refusal = refusalToListen(settings, await accounts.whoComesIn());
if (refusal !== null) {
  console.error(refusal);
  await end(1);
}
const lack = lackWithoutTls(settings);
if (lack !== null) console.error(lack);

server.on(
  'request',
  createApp(services, accounts, {
    webFolder: join(process.cwd(), 'dist'),
    hosts: settings.names,
    address: settings.address,
    proxyHops: settings.proxyHops,
    secure: settings.secure,
    backups,
    copy,
    log,
  }),
);
server.keepAliveTimeout = settings.keepAliveMs;
const turnOver = async () => {
  try {
    copy?.turn();
    await services.keeper.turning.turnOver();
    await accounts.notices.turn();
    await Promise.all([sending?.turn(), delivering.turn(), backups?.turn()]);
  } catch (problem) {
    log.error({ err: problem }, 'turning the day');
  }
};
const cannotListen = (error: Error) => {
  console.error(`Cannot listen on ${host}:${String(port)}: ${error.message}`);
  void end(1);
};
server.once('error', cannotListen);
server.listen(port, host, () => {
  server.off('error', cannotListen);
  // Whoever asks first in the morning finds the day turned already.
  setInterval(() => void turnOver(), TURN_EVERY_MS).unref();
  void turnOver();
  // Port 0 asks for any that is free.
  const { port: given } = server.address() as AddressInfo;
  const address = settings.address ?? `${settings.tls ? 'https' : 'http'}://${host}:${String(given)}`;
  // The address stands alone at the end of its line: programs read it there.
  if (settings.address !== null) console.log(`Listening on ${host}:${String(given)}`);
  console.log(`Green Abacus is at ${address}`);
  void accounts.joining.firstToken().then((token) => {
    if (token !== null) console.log(`First manager: ${address}/welcome?token=${token}`);
  });
});

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.once(signal, () => {
    // Requests that run are answered, idle connections end at once; what hangs is cut off in the end.
    server.close(() => void end(0));
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), LAST_REQUESTS_MS).unref();
  });
}
