/** Layers that each app of this server has: what it notes, its policy, the names it answers under, its pages, and what it says of faults. */
import { existsSync } from 'node:fs';
import { STATUS_CODES } from 'node:http';
import { join } from 'node:path';
import compression from 'compression';
import express, { type ErrorRequestHandler, type Express } from 'express';
import helmet from 'helmet';
import expressStaticGzip from 'express-static-gzip';
import { type Logger, noteAnswers } from '../log';
import { HttpProblem, busy, invalid, refused, tooLarge } from '../problem';
import { isBusy } from '../store/database';
import { NoPlace } from '../store/pages';
import { ownHostsOnly } from './hosts';

/** Everything comes from here: no script, font or picture from elsewhere, and nothing is told to anybody. */
const CONTENT_POLICY = {
  defaultSrc: ["'self'"],
  scriptSrc: ["'self'"],
  // Charts and menus are placed by styles on their elements.
  styleSrc: ["'self'", "'unsafe-inline'"],
  imgSrc: ["'self'", 'data:', 'blob:'],
  workerSrc: ["'self'", 'blob:'],
  upgradeInsecureRequests: null,
};
const SERVER_FAULT = 500;
const LAYER_WORDS: Record<number, string> = {
  400: 'The request cannot be read: its address, its headers or its body is malformed',
  404: 'There is nothing at this address',
  415: 'The body has a type, an encoding or a charset that is not taken here; send JSON in UTF-8',
};

/** What Express and its parsers say, in our words. */
function layerProblem(error: unknown): HttpProblem | null {
  if (!(error instanceof Error)) return null;
  const { type, status } = error as Error & { type?: string; status?: number };
  if (type === 'entity.parse.failed') return invalid([{ path: [], message: 'is no JSON' }]);
  if (type === 'entity.too.large')
    return tooLarge(
      'That is too large to be taken; nothing was written. Send a smaller photo or file, or fewer entries.',
    );
  if (status === undefined || status < 400 || status >= SERVER_FAULT) return null;
  // Not what the layer says of it: that may name files of this machine.
  return refused(status, `${LAYER_WORDS[status] ?? STATUS_CODES[status] ?? 'Refused'}. Nothing was written.`);
}

function problemOf(error: unknown, renewReads: () => void): HttpProblem | null {
  if (error instanceof HttpProblem) return error;
  if (error instanceof NoPlace)
    return invalid([{ path: ['after'], message: 'is no place of this list; ask for its first page' }]);
  if (!isBusy(error)) return layerProblem(error);
  renewReads();
  return busy();
}

/** The last layer. `renewReads`: called where a read was refused since another process holds the database. */
export const answerProblem =
  (log: Logger, renewReads: () => void = () => undefined): ErrorRequestHandler =>
  (error: unknown, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const problem = problemOf(error, renewReads);
    if (!problem) log.error({ err: error }, 'not expected');
    const document = problem?.document ?? {
      type: 'about:blank',
      title: 'Something went wrong on our side; nothing was written. Try again.',
      status: SERVER_FAULT,
    };
    if (problem?.retryAfterSeconds != null) response.set('Retry-After', String(problem.retryAfterSeconds));
    response.status(document.status).type('application/problem+json').send(JSON.stringify(document));
  };

export interface Reached {
  /** names under which the server is reached beside those of this machine */
  hosts?: readonly string[];
  /** proxies before it whose word on who asks is taken */
  proxyHops?: number;
  /** whether browsers reach it by TLS alone */
  secure?: boolean;
  log: Logger;
}

/** The first layers. */
export function guarded({ hosts = [], proxyHops = 0, secure = false, log }: Reached): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', proxyHops);
  app.use(noteAnswers(log));
  app.use(
    helmet({
      contentSecurityPolicy: { directives: CONTENT_POLICY },
      // Reached on this machine by plain HTTP too: nothing may be lifted to HTTPS where nobody serves it.
      strictTransportSecurity: secure,
      crossOriginEmbedderPolicy: false,
    }),
  );
  app.use(ownHostsOnly(hosts));
  app.use('/api', compression());
  return app;
}

/** The built web, compressed when it was built; every other address is a page of it. null: the API alone. */
export function addPages(app: Express, webFolder: string | null): void {
  if (webFolder === null || !existsSync(webFolder)) return;
  app.use(
    expressStaticGzip(webFolder, {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      index: false,
      serveStatic: { maxAge: '1h', index: false },
    }),
  );
  app.get('/{*page}', (_request, response) => response.sendFile(join(webFolder, 'index.html')));
}
