/**
 * Sign-in: sessions, passwords and limits by a kept library. Nobody signs up by himself; who comes in was invited. A session
 * lasts for weeks on a phone that is used, and ends at once when somebody ends it: no copy of it is kept in a cookie.
 */
import { betterAuth } from 'better-auth/minimal';
import { APIError, createAuthEndpoint, createAuthMiddleware } from 'better-auth/api';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { setSessionCookie } from 'better-auth/cookies';
import { eq } from 'drizzle-orm';
import type { BetterAuthRateLimitStorage } from 'better-auth';
import { passkey } from '@better-auth/passkey';
import { LRUCache } from 'lru-cache';
import { z } from 'zod';
import { PASSWORD_CHARACTERS } from '../../contract/accounts';
import type { AccountTables } from './openAccounts';
import * as schema from './schema';

const DAY_S = 86_400;
const SESSION_DAYS = 60;
const SIGN_IN = '/sign-in/email';
const ENDS_PINS = ['/change-password', '/revoke-sessions'];
/** Of one account, whoever tries and from wherever. */
const MOST_TRIES = 10;
const TRIES_FOR_MS = 15 * 60_000;
/** Of one address. */
const MOST_SIGN_INS_A_MINUTE = 60;
const MOST_REQUESTS_A_MINUTE = 300;
/** Set by us from the socket, over whatever a client sends under this name. */
export const ADDRESS_HEADER = 'x-abacus-address';

interface AuthOptions {
  db: AccountTables;
  secret: string;
  /** cookies by TLS alone */
  secure: boolean;
  /** under which browsers reach it: what a device proves instead of a password is bound to it */
  name: string;
}

const emailOf = (body: unknown): string =>
  String((body as { email?: unknown } | undefined)?.email ?? '').toLowerCase();

/** Tries of each account, right or wrong, until one is right. */
function limitOfTries(db: AccountTables) {
  const tries = new LRUCache<string, number>({ max: 10_000, ttl: TRIES_FOR_MS, noUpdateTTL: true });
  return {
    before: createAuthMiddleware((context) => {
      if (context.path !== SIGN_IN) return Promise.resolve();
      const email = emailOf(context.body);
      const made = tries.get(email) ?? 0;
      if (made >= MOST_TRIES)
        throw new APIError('TOO_MANY_REQUESTS', {
          message:
            'Too many tries for this account. Wait a quarter of an hour, or ask a manager for a new link.',
        });
      tries.set(email, made + 1);
      return Promise.resolve();
    }),
    after: createAuthMiddleware(async (context) => {
      const { newSession, session } = context.context;
      if (context.path === SIGN_IN && newSession) tries.delete(emailOf(context.body));
      // Who goes out everywhere, or takes another password, is let in by no PIN either.
      if (ENDS_PINS.includes(context.path) && session)
        await db.delete(schema.pin).where(eq(schema.pin.userId, session.user.id));
    }),
  };
}

/** Requests of each address, counted by one app: two of them in a process do not share a limit. */
function countOfRequests(): BetterAuthRateLimitStorage {
  const counts = new LRUCache<string, number>({ max: 50_000 });
  return {
    consume: (key, { window, max }) => {
      const made = counts.get(key) ?? 0;
      const allowed = made < max;
      if (allowed) counts.set(key, made + 1, { ttl: window * 1000, noUpdateTTL: true });
      return Promise.resolve({
        allowed,
        retryAfter: allowed ? null : Math.ceil(counts.getRemainingTTL(key) / 1000),
      });
    },
  };
}

/** Gives a session to whom the server knows already: by a touch in the demo, by a PIN on a shared tablet. Not to be called over HTTP. */
const enter = {
  id: 'enter',
  endpoints: {
    enter: createAuthEndpoint(
      '/enter',
      { method: 'POST', body: z.object({ userId: z.string() }), metadata: { SERVER_ONLY: true } },
      async (context) => {
        const user = await context.context.adapter.findOne<typeof schema.user.$inferSelect>({
          model: 'user',
          where: [{ field: 'id', value: context.body.userId }],
        });
        if (!user) throw new APIError('NOT_FOUND', { message: 'There is no such account.' });
        const session = await context.context.internalAdapter.createSession(user.id);
        await setSessionCookie(context, { session, user });
        return context.json({ personId: user.personId });
      },
    ),
  },
} as const;

const ours = (type: 'string' | 'boolean', required: boolean) => ({ type, required, input: false }) as const;

export const makeAuth = ({ db, secret, secure, name }: AuthOptions) =>
  betterAuth({
    appName: 'Green Abacus',
    basePath: '/api/auth',
    secret,
    database: drizzleAdapter(db, { provider: 'sqlite', schema, transaction: false }),
    // A page from elsewhere is refused before it comes here.
    trustedOrigins: (request) => [request?.headers.get('origin') ?? ''],
    emailAndPassword: { enabled: true, disableSignUp: true, minPasswordLength: PASSWORD_CHARACTERS },
    session: { expiresIn: SESSION_DAYS * DAY_S, updateAge: DAY_S, cookieCache: { enabled: false } },
    user: {
      additionalFields: {
        personId: ours('string', true),
        role: ours('string', true),
        ownerId: ours('string', false),
        demo: ours('boolean', false),
      },
    },
    rateLimit: {
      enabled: true,
      customStorage: countOfRequests(),
      window: 60,
      max: MOST_REQUESTS_A_MINUTE,
      customRules: { [SIGN_IN]: { window: 60, max: MOST_SIGN_INS_A_MINUTE } },
    },
    advanced: {
      cookiePrefix: 'abacus',
      useSecureCookies: secure,
      database: { joins: true },
      ipAddress: { ipAddressHeaders: [ADDRESS_HEADER] },
    },
    hooks: limitOfTries(db),
    plugins: [enter, passkey({ rpName: 'Green Abacus', rpID: name })],
    telemetry: { enabled: false },
    // What is refused is told to whoever asked; a log of it would fill with guesses.
    logger: { disabled: true },
  });

export type Auth = ReturnType<typeof makeAuth>;
