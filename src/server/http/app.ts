/** The Express app of one company: the API, problem documents, and the built web with its pages. */
import express, { type Express } from 'express';
import type { Accounts } from '../accounts/accounts';
import type { ContinuousCopy } from '../backups/continuous';
import type { DailyBackups } from '../backups/daily';
import { guardOf } from '../accounts/guard';
import { demoSignIn, signInRouter } from '../accounts/signIn';
import { tabletRouter } from '../accounts/tabletDoors';
import { openLog } from '../log';
import { notFound } from '../problem';
import type { Services } from '../services';
import { checkWriters } from '../writing/writers';
import { type Reached, addPages, answerProblem, guarded } from './layers';
import { docsRouter } from './routes/docs';
import { fileHandlers } from './routes/files';
import { handlers } from './routes/handlers';
import { apiRouter } from './routes/route';

const BODY_LIMIT = '4mb';

export interface AppOptions extends Partial<Reached> {
  /** null: the API alone */
  webFolder: string | null;
  /** how the server is reached by others; left out: nobody said */
  address?: string | null;
  /** null: none are made */
  backups?: DailyBackups | null;
  copy?: ContinuousCopy | null;
  /** who calls; left out: whoever is signed in */
  callerOf?: Accounts['callerOf'];
}

export function createApp(
  services: Services,
  accounts: Accounts,
  {
    webFolder,
    address = null,
    secure = false,
    backups = null,
    copy = null,
    log = openLog('silent'),
    callerOf = (headers) => accounts.callerOf(headers),
    ...reached
  }: AppOptions,
): Express {
  const app = guarded({ ...reached, secure, log });
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
  addPages(app, webFolder);
  app.use(answerProblem(log, () => services.database.renewReads()));
  return app;
}
