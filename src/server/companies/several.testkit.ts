/** Several companies behind one port, asked by the name of a host as browsers do. */
import { createServer, request as send } from 'node:http';
import type { AddressInfo } from 'node:net';
import { openLog } from '../log';
import { readSettings } from '../settings';
import { serveSeveral } from './several';

export interface Answered {
  status: number;
  body: Record<string, unknown>;
  cookie: string;
}

export interface Several {
  /** `company`: the first part of its address; empty: none is named */
  ask: (
    company: string,
    method: string,
    path: string,
    sent?: { body?: unknown; headers?: Record<string, string> },
  ) => Promise<Answered>;
  /** the cookie of a manager who came in by the link that `token` is the end of */
  firstManager: (company: string, token: string) => Promise<string>;
  turn: () => Promise<void>;
  close: () => Promise<void>;
}

export async function serveFolder(folder: string, env: Record<string, string> = {}): Promise<Several> {
  const read = readSettings({ ABACUS_COMPANIES: folder, ...env });
  if ('faults' in read) throw new Error(read.faults.join('; '));
  const server = createServer();
  const port = () => (server.address() as AddressInfo).port;
  const serving = serveSeveral({ ...read.settings, companies: folder }, openLog('silent'), port);
  server.on('request', serving.handler);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const ask: Several['ask'] = (company, method, path, { body, headers = {} } = {}) =>
    new Promise((resolve, reject) => {
      const text = body === undefined ? '' : JSON.stringify(body);
      send(
        {
          ...{ host: '127.0.0.1', port: port(), method, path: `/api${path}`, agent: false },
          headers: {
            host: company === '' ? 'localhost' : `${company}.localhost`,
            ...(text !== '' && {
              'content-type': 'application/json',
              'content-length': Buffer.byteLength(text),
            }),
            ...headers,
          },
        },
        (response) => {
          let said = '';
          response.on('data', (part: Buffer) => (said += part.toString()));
          response.on('end', () =>
            resolve({
              status: response.statusCode ?? 0,
              body: said.startsWith('{') ? (JSON.parse(said) as Record<string, unknown>) : { said },
              cookie: (response.headers['set-cookie'] ?? []).map((each) => each.split(';')[0]).join('; '),
            }),
          );
        },
      )
        .once('error', reject)
        .end(text);
    });
  return {
    ask,
    firstManager: async (company, token) => {
      const known = { email: 'first@pier.example', password: 'four plain words here' };
      await ask(company, 'POST', '/accounts', { body: { token, ...known, name: `Manager of ${company}` } });
      return (await ask(company, 'POST', '/auth/sign-in/email', { body: known })).cookie;
    },
    turn: serving.turn,
    close: async () => {
      server.close();
      server.closeAllConnections();
      await serving.close();
    },
  };
}
