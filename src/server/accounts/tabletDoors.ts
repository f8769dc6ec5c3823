/** Doors of a shared tablet, under `/api/tablet`: they set cookies, which no operation of the contract's table does. */
import { type Request, Router } from 'express';
import type { z } from 'zod';
import { newPin, pinSignIn } from '../../contract/tablets';
import { problemsOf } from '../../core/logbook/problems';
import type { Caller } from '../caller';
import { invalid, unauthorized } from '../problem';
import type { Accounts } from './accounts';
import { passOn } from './signIn';
import { TABLET_COOKIE } from './tablets';

const YEAR_MS = 31_536_000_000;

function read<Schema extends z.ZodType>(schema: Schema, body: unknown): z.infer<Schema> {
  const parsed = schema.safeParse(body ?? {});
  if (!parsed.success) throw invalid(problemsOf(parsed.error));
  return parsed.data;
}

export function tabletRouter(
  { tablets }: Accounts,
  callerOf: (headers: Request['headers']) => Promise<Caller | null>,
  /** cookies by TLS alone */
  secure: boolean,
): Router {
  const router = Router();
  const signedIn = async ({ headers }: Request): Promise<Caller> => {
    const caller = await callerOf(headers);
    if (!caller) throw unauthorized();
    return caller;
  };
  const peopleOf = async ({ headers }: Request) => ({ people: await tablets.people(headers) });

  router.get('/', async (request, response) => {
    response.json(await peopleOf(request));
  });
  router.post('/pin', async (request, response) => {
    const caller = await signedIn(request);
    const token = await tablets.share(caller.personId, read(newPin, request.body).pin, request.headers);
    if (token !== null)
      response.cookie(TABLET_COOKIE, token, {
        httpOnly: true,
        sameSite: 'lax',
        secure,
        path: '/api',
        maxAge: YEAR_MS,
      });
    response.json({ done: true });
  });
  router.post('/leave', async (request, response) => {
    await tablets.leave((await signedIn(request)).personId, request.headers);
    response.json(await peopleOf(request));
  });
  router.post('/sign-in', async (request, response) => {
    const { person, pin } = read(pinSignIn, request.body);
    const answer = await tablets.signIn(person, pin, request.headers);
    passOn(answer, response);
    response.json(await answer.json());
  });
  return router;
}
