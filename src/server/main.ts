/** Serves the app on this machine only: there are no accounts yet, so nobody else may reach it. */
import { join } from 'node:path';
import { createApp } from './app';
import { systemClock } from './clock';
import { openServices } from './services';

const HOST = '127.0.0.1';
const port = Number(process.env['PORT'] ?? 4400);
const url = process.env['ABACUS_DATABASE'] ?? 'file:data/green-abacus.db';

const services = await openServices(url, systemClock(process.env['ABACUS_TODAY']));
await services.judging.refresh();
const server = createApp(services, join(process.cwd(), 'dist')).listen(port, HOST, (error?: Error) => {
  if (error) {
    console.error(`Cannot listen on ${HOST}:${String(port)}: ${error.message}`);
    process.exit(1);
  }
  console.log(`Green Abacus is at http://${HOST}:${String(port)}`);
});
for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    server.close(() => {
      services.close();
      process.exit(0);
    });
    server.closeAllConnections();
  });
}
