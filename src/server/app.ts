/** The Express app: the API, problem documents, and the built web with its pages. */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express, { type ErrorRequestHandler, type Express } from 'express';
import { HttpProblem, invalid, notFound, tooLarge } from './problem';
import { apiRouter } from './routes/api';
import { photoRouter } from './routes/photos';
import { rowRouter } from './routes/rows';
import { visitRouter } from './routes/visits';
import type { Services } from './services';

const BODY_LIMIT = '4mb';

/** What Express says of a body that it does not take, in our words. */
function bodyProblem(error: unknown): HttpProblem | null {
  if (error instanceof SyntaxError) return invalid([{ path: [], message: 'is no JSON' }]);
  if (error instanceof Error && 'type' in error && error.type === 'entity.too.large')
    return tooLarge(
      'That is too large to be taken; nothing was written. Send a smaller photo, or fewer entries.',
    );
  return null;
}

const answerProblem: ErrorRequestHandler = (error: unknown, _request, response, next) => {
  if (response.headersSent) {
    next(error);
    return;
  }
  const problem = error instanceof HttpProblem ? error : bodyProblem(error);
  if (!problem) console.error(error);
  const document = problem?.document ?? {
    type: 'about:blank',
    title: 'Something went wrong on our side; nothing was written. Try again.',
    status: 500,
  };
  response.status(document.status).type('application/problem+json').send(JSON.stringify(document));
};

export function createApp(services: Services, webFolder: string | null): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(express.json({ limit: BODY_LIMIT }));
  app.use('/api', photoRouter(services));
  app.use('/api', visitRouter(services));
  app.use('/api', rowRouter(services));
  app.use('/api', apiRouter(services));
  app.use('/api', () => {
    throw notFound('address');
  });
  if (webFolder !== null && existsSync(webFolder)) {
    app.use(express.static(webFolder, { maxAge: '1h', index: false }));
    app.get('/{*page}', (_request, response) => response.sendFile(join(webFolder, 'index.html')));
  }
  app.use(answerProblem);
  return app;
}
