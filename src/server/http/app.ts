/** The Express app: the API, problem documents, and the built web with its pages, compressed when it was built. */
import { existsSync } from 'node:fs';
import { STATUS_CODES } from 'node:http';
import { join } from 'node:path';
import compression from 'compression';
import express, { type ErrorRequestHandler, type Express } from 'express';
import helmet from 'helmet';
import expressStaticGzip from 'express-static-gzip';
import type { Accounts } from '../accounts/accounts';
import type { ContinuousCopy } from '../backups/continuous';
import type { DailyBackups } from '../backups/daily';
import { guardOf } from '../accounts/guard';
import { demoSignIn, signInRouter } from '../accounts/signIn';
import { tabletRouter } from '../accounts/tabletDoors';
import { HttpProblem, busy, invalid, notFound, refused, tooLarge } from '../problem';
import { docsRouter } from './routes/docs';
import { fileHandlers } from './routes/files';
import { handlers } from './routes/handlers';
import { apiRouter } from './routes/route';
import { ownHostsOnly } from './hosts';
import { type Logger, noteAnswers, openLog } from '../log';
import type { Services } from '../services';
import { isBusy } from '../store/database';
import { NoPlace } from '../store/pages';
import { checkWriters } from '../writing/writers';

const BODY_LIMIT = '4mb';
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

function problemOf(error: unknown, services: Services): HttpProblem | null {
  if (error instanceof HttpProblem) return error;
  if (error instanceof NoPlace)
    return invalid([{ path: ['after'], message: 'is no place of this list; ask for its first page' }]);
  if (!isBusy(error)) return layerProblem(error);
  services.database.renewReads();
  return busy();
}

const answerProblem =
  (services: Services, log: Logger): ErrorRequestHandler =>
  (error: unknown, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const problem = problemOf(error, services);
    if (!problem) log.error({ err: error }, 'not expected');
    const document = problem?.document ?? {
      type: 'about:blank',
      title: 'Something went wrong on our side; nothing was written. Try again.',
      status: SERVER_FAULT,
    };
    if (problem?.retryAfterSeconds != null) response.set('Retry-After', String(problem.retryAfterSeconds));
    response.status(document.status).type('application/problem+json').send(JSON.stringify(document));
  };

interface AppOptions {
  /** null: the API alone */
  webFolder: string | null;
  /** names under which the server is reached beside those of this machine */
  hosts?: readonly string[];
  /** how the server is reached by others; left out: nobody said */
  address?: string | null;
  /** proxies before it whose word on who asks is taken */
  proxyHops?: number;
  /** whether browsers reach it by TLS alone */
  secure?: boolean;
  /** null: none are made */
  backups?: DailyBackups | null;
  copy?: ContinuousCopy | null;
  log?: Logger;
  /** who calls; left out: whoever is signed in */
  callerOf?: Accounts['callerOf'];
}

export function createApp(
  services: Services,
  accounts: Accounts,
  {
    webFolder,
    hosts = [],
    address = null,
    proxyHops = 0,
    secure = false,
    backups = null,
    copy = null,
    log = openLog('silent'),
    callerOf = (headers) => accounts.callerOf(headers),
  }: AppOptions,
): Express {
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
  app.use('/api/auth', signInRouter(accounts));
  app.use('/api', express.json({ limit: BODY_LIMIT }));
  app.use('/api/docs', docsRouter());
  app.use(
    '/api',
    apiRouter(
      handlers(services, accounts, { address, backups, copy }),
      fileHandlers(services),
      guardOf(services, callerOf),
      (name, body, caller) => checkWriters(services.store, name, body, caller),
    ),
  );
  app.post('/api/demo/sign-in', demoSignIn(accounts));
  app.use('/api/tablet', tabletRouter(accounts, callerOf, secure));
  app.use('/api', () => {
    throw notFound('address');
  });
  if (webFolder !== null && existsSync(webFolder)) {
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
  app.use(answerProblem(services, log));
  return app;
}
