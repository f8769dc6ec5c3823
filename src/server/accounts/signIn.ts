/** The doors: what the sign-in library answers, as far as it is used, and one touch for people of the demo story. */
import { toNodeHandler } from 'better-auth/node';
import { type RequestHandler, type Response, Router } from 'express';
import { notFound } from '../problem';
import { ADDRESS_HEADER } from './auth';
import type { Accounts } from './accounts';

/** Nothing else of the library can be reached. */
const DOORS = [
  '/sign-in/email',
  '/sign-out',
  '/change-password',
  '/revoke-sessions',
  '/revoke-other-sessions',
  '/passkey/verify-registration',
  '/passkey/verify-authentication',
  '/passkey/delete-passkey',
];
const DOORS_THAT_TELL = [
  '/passkey/generate-register-options',
  '/passkey/generate-authenticate-options',
  '/passkey/list-user-passkeys',
];

export function signInRouter({ auth }: Accounts): Router {
  const router = Router();
  const answer = toNodeHandler(auth);
  const open: RequestHandler = (request, response, next) => {
    // Of the socket, or by the word of a proxy that is trusted: never a header that a client sends.
    request.headers[ADDRESS_HEADER] = request.ip ?? '';
    response.locals['operation'] = `auth${request.path}`;
    answer(request, response).catch(next);
  };
  router.post(DOORS, open);
  router.get(DOORS_THAT_TELL, open);
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
    passOn(answer, response);
    response.json(await answer.json());
  };

/** The cookies of an answer of the sign-in library. */
export function passOn(answer: globalThis.Response, response: Response): void {
  response.status(answer.status);
  for (const cookie of answer.headers.getSetCookie()) response.append('set-cookie', cookie);
}
