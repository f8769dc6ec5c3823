/** What answers where no company does: which one is meant is asked for, and what is away for a while says so. */
import type { IncomingMessage, RequestListener, ServerResponse } from 'node:http';
import { join } from 'node:path';
import type { SessionAnswer } from '../../contract/accounts';
import { type Reached, addPages, answerProblem, guarded } from '../http/layers';
import { away, notFound } from '../problem';
import { Away } from './companies';

export interface Front {
  ask: RequestListener;
  /** Answers a request for a company that could not be opened. */
  refuse: (request: IncomingMessage, response: ServerResponse, problem: unknown) => void;
}

const AWAY = 503;

/** `base`: address of this server, under which each company has its name. */
export function createFront(base: () => string, reached: Reached): Front {
  const app = guarded(reached);
  const refused = new WeakMap<IncomingMessage, unknown>();
  app.use((request, response, next) => {
    const problem = refused.get(request);
    if (problem === undefined) next();
    else if (!(problem instanceof Away)) throw problem as Error;
    else if (request.path.startsWith('/api')) throw away(problem.message);
    else response.status(AWAY).type('text').send(problem.message);
  });
  app.get('/api/health', (_request, response) => {
    response.json({ ready: true });
  });
  app.get('/api/session', (_request, response) => {
    const answer: SessionAnswer = {
      signedIn: null,
      empty: false,
      demo: [],
      address: null,
      companiesAt: base(),
    };
    response.json(answer);
  });
  app.use('/api', () => {
    throw notFound('address');
  });
  addPages(app, join(process.cwd(), 'dist'));
  app.use(answerProblem(reached.log));
  const ask: RequestListener = (request, response) => void app(request, response);
  return {
    ask,
    refuse: (request, response, problem) => {
      refused.set(request, problem);
      ask(request, response);
    },
  };
}
