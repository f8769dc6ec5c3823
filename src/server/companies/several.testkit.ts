/** Several companies behind one port, asked by the name of a host as browsers do. */
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { askHost, firstManager } from '../hosts.testkit';
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
  const hostOf = (company: string) => (company === '' ? 'localhost' : `${company}.localhost`);
  const ask: Several['ask'] = async (company, method, path, sent = {}) => {
    const { status, text, cookie } = await askHost(port(), hostOf(company), path, { method, ...sent });
    const body = text.startsWith('{') ? (JSON.parse(text) as Record<string, unknown>) : { said: text };
    return { status, body, cookie };
  };
  return {
    ask,
    firstManager: (company, token) => firstManager(port(), hostOf(company), token, `Manager of ${company}`),
    turn: serving.turn,
    close: async () => {
      server.close();
      server.closeAllConnections();
      await serving.close();
    },
  };
}
