/** Serves the app: on this machine alone, or beyond it where that was asked for and may be. */
import { readFileSync } from 'node:fs';
import { createServer as plainServer } from 'node:http';
import { createServer as tlsServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { serveOne } from './companies/one';
import { originOf } from './companies/serving';
import { serveSeveral } from './companies/several';
import { openLog } from './log';
import { type Settings, lackWithoutTls, readSettings } from './settings';

const TURN_EVERY_MS = 60_000;
/** How long requests that run when it is told to end may take. */
const LAST_REQUESTS_MS = 10_000;

const read = readSettings(process.env);
if ('faults' in read) {
  for (const fault of read.faults) console.error(fault);
  process.exit(1);
}
const { settings } = read;
const { host, port } = settings;
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
// Port 0 asks for any that is free.
const listenedAt = (): number => (server.address() as AddressInfo).port;
const { companies } = settings;
const serving =
  companies === null
    ? await serveOne(settings, log)
    : serveSeveral({ ...settings, companies }, log, listenedAt);
async function end(code: number): Promise<never> {
  await serving.close();
  process.exit(code);
}

const refusal = await serving.refusal();
if (refusal !== null) {
  console.error(refusal);
  await end(1);
}
const lack = lackWithoutTls(settings);
if (lack !== null) console.error(lack);

server.on('request', serving.handler);
server.keepAliveTimeout = settings.keepAliveMs;
/** A job that is done again and again, never beside itself. */
function everyTurn(work: () => Promise<void>): void {
  let runs = false;
  const once = async () => {
    if (runs) return;
    runs = true;
    await work().catch((problem: unknown) => log.error({ err: problem }, 'turning the day'));
    runs = false;
  };
  setInterval(() => void once(), TURN_EVERY_MS).unref();
  void once();
}
const cannotListen = (error: Error) => {
  console.error(`Cannot listen on ${host}:${String(port)}: ${error.message}`);
  void end(1);
};
server.once('error', cannotListen);
server.listen(port, host, () => {
  server.off('error', cannotListen);
  // Whoever asks first in the morning finds the day turned already.
  everyTurn(serving.turn);
  everyTurn(serving.backUp);
  const given = listenedAt();
  const address = settings.address ?? originOf(settings, companies === null ? host : 'localhost', given);
  // The address stands alone at the end of its line: programs read it there.
  if (settings.address !== null) console.log(`Listening on ${host}:${String(given)}`);
  console.log(`Green Abacus is at ${address}`);
  void serving.firstToken().then((token) => {
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
