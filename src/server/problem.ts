/** Problems that become RFC 9457 documents: a title, a status, and what is wrong by field. */
import { type Problem, jsonPath } from '../core/logbook/problems';
import type { ProblemDocument } from '../contract/api';

const BUSY_RETRY_SECONDS = 2;
const AWAY_RETRY_SECONDS = 30;
const BASE = 'https://green-abacus.invalid/problems/';

export class HttpProblem extends Error {
  constructor(
    readonly document: ProblemDocument,
    readonly retryAfterSeconds: number | null = null,
  ) {
    super(document.title);
  }
}

export const notFound = (what: string): HttpProblem =>
  new HttpProblem({ type: `${BASE}not-found`, title: `There is no such ${what}.`, status: 404 });

export const invalid = (
  problems: readonly Problem[],
  title = 'Some fields need another look.',
): HttpProblem =>
  new HttpProblem({
    type: `${BASE}invalid`,
    title,
    status: 422,
    errors: problems.map((problem) => ({ path: jsonPath(problem.path), message: problem.message })),
  });

/** One field that is wrong, and what of it. */
export const wrong = (field: string, message: string): HttpProblem => invalid([{ path: [field], message }]);

export const wantsReason = (warnings: readonly string[]): HttpProblem =>
  new HttpProblem({
    type: `${BASE}wants-reason`,
    title: 'This looks odd; give a reason and it will be taken.',
    status: 422,
    warnings: [...warnings],
  });

export const conflict = (title: string, detail?: string): HttpProblem =>
  new HttpProblem({
    type: `${BASE}conflict`,
    title,
    status: 409,
    ...(detail === undefined ? {} : { detail }),
  });

/** It is there, and cannot be served for a while. */
export const away = (title: string): HttpProblem =>
  new HttpProblem({ type: `${BASE}away`, title, status: 503 }, AWAY_RETRY_SECONDS);

/** Another process holds the database: nothing was written, and what was sent may be sent again. */
export const busy = (): HttpProblem =>
  new HttpProblem(
    {
      type: `${BASE}busy`,
      title:
        'The database is held by another program, such as a backup. Nothing was written; try again in a moment.',
      status: 503,
    },
    BUSY_RETRY_SECONDS,
  );

/** Nobody is signed in, or the session was ended. */
export const unauthorized = (): HttpProblem =>
  new HttpProblem({ type: `${BASE}sign-in`, title: 'Sign in first; nothing was written.', status: 401 });

export const forbidden = (role: string): HttpProblem =>
  new HttpProblem({
    type: `${BASE}forbidden`,
    title: `Not open to you (${role}); nothing was written. A manager can do it, or change your role.`,
    status: 403,
  });

/** What the HTTP layer refuses keeps its status. */
export const refused = (status: number, title: string): HttpProblem =>
  new HttpProblem({ type: 'about:blank', title, status });

export const tooLarge = (title: string): HttpProblem =>
  new HttpProblem({ type: `${BASE}too-large`, title, status: 413 });
