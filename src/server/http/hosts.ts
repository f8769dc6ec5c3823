/** The server answers to its own names alone, and to pages of its own: a page from elsewhere reads and writes nothing. */
import type { RequestHandler } from 'express';
import { THIS_COMPUTER } from '../../contract/loopback';
import { refused } from '../problem';

export const hostnameOf = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();

const FORBIDDEN = 403;

/** `more`: other names under which this server is reached; one that begins with a dot stands for all names under it. */
export function ownHostsOnly(more: readonly string[] = []): RequestHandler {
  const names = new Set([...THIS_COMPUTER, ...more.map((name) => name.toLowerCase())]);
  const under = [...names].filter((name) => name.startsWith('.'));
  return (request, _response, next) => {
    const host = request.headers.host ?? '';
    const hostname = hostnameOf(host);
    if (!names.has(hostname) && !under.some((each) => hostname.endsWith(each)))
      throw refused(FORBIDDEN, 'This server does not answer under that name.');
    const { origin } = request.headers;
    if (origin !== undefined && origin.replace(/^https?:\/\//, '').toLowerCase() !== host.toLowerCase())
      throw refused(FORBIDDEN, 'This was asked by a page from elsewhere; nothing was read or written.');
    next();
  };
}
