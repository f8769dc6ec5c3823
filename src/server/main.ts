/** Serves the app on this machine only. */
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { openAccounts } from './accounts/accounts';
import { createApp } from './http/app';
import { systemClock } from './clock';
import { openServices } from './services';
import { PATIENCE } from './store/database';

const HOST = '127.0.0.1';
const KEEP_ALIVE_MS = 75_000;
const TURN_EVERY_MS = 60_000;
const port = Number(process.env['PORT'] ?? 4400);
const url = process.env['ABACUS_DATABASE'] ?? 'file:data/green-abacus.db';

/** How long a write waits for another program that holds the database, such as a backup. */
const totalMs = Number(process.env['ABACUS_PATIENCE_MS'] ?? PATIENCE.totalMs);

const services = await openServices(url, systemClock(process.env['ABACUS_TODAY']), { ...PATIENCE, totalMs });
const { accounts, close: closeAccounts } = await openAccounts(url, services);
const turnOver = () => {
  services.keeper.turning.turnOver().catch((problem: unknown) => console.error(problem));
};
/** Other names under which it is reached, such as that of a proxy before it. */
const hosts = (process.env['ABACUS_HOSTS'] ?? '')
  .split(',')
  .map((name) => name.trim())
  .filter(Boolean);
const webFolder = join(process.cwd(), 'dist');
const server = createApp(services, accounts, { webFolder, hosts }).listen(port, HOST, (error?: Error) => {
  if (error) {
    console.error(`Cannot listen on ${HOST}:${String(port)}: ${error.message}`);
    process.exit(1);
  }
  // Whoever asks first in the morning finds the day turned already.
  setInterval(turnOver, TURN_EVERY_MS).unref();
  turnOver();
  // Port 0 asks for any that is free.
  const { port: given } = server.address() as AddressInfo;
  const address = `http://${HOST}:${String(given)}`;
  console.log(`Green Abacus is at ${address}`);
  void accounts.firstToken().then((token) => {
    if (token !== null) console.log(`First manager: ${address}/welcome?token=${token}`);
  });
});
// Longer than browsers and proxies keep an idle connection: none is closed under a request that takes it up again.
server.keepAliveTimeout = KEEP_ALIVE_MS;
for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    server.close(() => {
      void services.close().then(() => {
        closeAccounts();
        process.exit(0);
      });
    });
    server.closeAllConnections();
  });
}
