/** What the server notes of itself, a line of JSON each on its standard error: which operation, never what was in it. */
import { type Logger, destination, pino } from 'pino';
import type { RequestHandler } from 'express';
import type { Caller } from './caller';

const STANDARD_ERROR = 2;
const REFUSED = 400;
const FAULT = 500;
/** Guessing and forging show in these; other refusals are people's slips. */
const WORTH_A_LINE = [401, 403, 429];

export type { Logger };

export const openLog = (level: 'info' | 'warn' | 'silent'): Logger =>
  pino(
    { base: null, level, timestamp: pino.stdTimeFunctions.isoTime },
    destination({ fd: STANDARD_ERROR, sync: true }),
  );

/** Set by whoever knows which operation of the contract was called, and by whom. */
export interface Noted {
  operation?: string;
  caller?: Caller | null;
}

/** A line when a request was answered. Addresses hold secrets (calendars, invitations): the operation is told instead. */
export const noteAnswers =
  (log: Logger): RequestHandler =>
  (request, response, next) => {
    const from = performance.now();
    response.once('close', () => {
      const { operation, caller } = response.locals as Noted;
      const { statusCode: status } = response;
      const line = {
        operation: operation ?? (request.originalUrl.startsWith('/api') ? 'other' : 'page'),
        method: request.method,
        status,
        ms: Math.round(performance.now() - from),
        from: request.ip,
        ...(caller && { person: caller.personId }),
        ...(!response.writableFinished && { broken: true }),
      };
      if (status >= FAULT) log.error(line);
      else if (WORTH_A_LINE.includes(status)) log.warn(line);
      else if (status >= REFUSED) log.info(line, 'refused');
      else log.info(line);
    });
    next();
  };
