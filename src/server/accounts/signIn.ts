/** The doors: what the sign-in library answers, as far as it is used, and one touch for people of the demo story. */
import { toNodeHandler } from 'better-auth/node';
import { type RequestHandler, Router } from 'express';
import { invalid, notFound } from '../problem';
import { ADDRESS_HEADER } from './auth';
import type { Accounts } from './accounts';

/** Nothing else of the library can be reached. */
const DOORS = [
  '/sign-in/email',
  '/sign-out',
  '/change-password',
  '/revoke-sessions',
  '/revoke-other-sessions',
];

export function signInRouter({ auth }: Accounts): Router {
  const router = Router();
  const answer = toNodeHandler(auth);
  router.post(DOORS, (request, response, next) => {
    // Of the socket, or by the word of a proxy that is trusted: never a header that a client sends.
    request.headers[ADDRESS_HEADER] = request.ip ?? '';
    response.locals['operation'] = `auth${request.path}`;
    answer(request, response).catch(next);
  });
  router.use(() => {
    throw notFound('address');
  });
  return router;
}

export const demoSignIn =
  (accounts: Accounts): RequestHandler =>
  async (request, response) => {
    const { person } = (request.body ?? {}) as { person?: unknown };
    const answer = await accounts.demoSignIn(typeof person === 'string' ? person : '', request.headers);
    if (answer === null) throw notFound('address');
    if (!answer.ok) throw invalid([{ path: ['person'], message: 'names nobody of the demo story' }]);
    response.status(answer.status).setHeader('set-cookie', answer.headers.getSetCookie());
    response.json(await answer.json());
  };
