/**
 * Shared tablets: several people on one device, switched by a PIN. A PIN is good on its own device alone, for who signed in
 * there with a password once, and ends after a few wrong tries; the device is known by a cookie, kept here as a hash.
 */
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { IncomingHttpHeaders } from 'node:http';
import { fromNodeHeaders } from 'better-auth/node';
import { parseCookies } from 'better-auth/cookies';
import { and, asc, eq, sql } from 'drizzle-orm';
import type { TabletPerson } from '../../contract/tablets';
import { hasLeft } from '../../core/logbook/people';
import { refused, wrong } from '../problem';
import type { Services } from '../services';
import type { Auth } from './auth';
import type { AccountTables } from './openAccounts';
import * as t from './schema';

export const TABLET_COOKIE = 'abacus.tablet';
const TOKEN_BYTES = 32;
const MOST_WRONG = 5;
const UNAUTHORIZED = 401;

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

interface Entering {
  auth: Auth;
  userOf: (personId: string) => Promise<typeof t.user.$inferSelect | null>;
  enter: (userId: string, headers: IncomingHttpHeaders) => Promise<Response>;
}

export class Tablets {
  constructor(
    private readonly needs: Pick<Services, 'store' | 'clock'>,
    private readonly db: AccountTables,
    private readonly accounts: Entering,
  ) {}

  /** Who is let in by a PIN on the device that asks. */
  async people(headers: IncomingHttpHeaders): Promise<TabletPerson[]> {
    const tablet = await this.tabletOf(headers);
    if (!tablet) return [];
    const known = await this.db
      .select({ personId: t.user.personId, name: t.user.name })
      .from(t.pin)
      .innerJoin(t.user, eq(t.user.id, t.pin.userId))
      .where(eq(t.pin.tabletId, tablet.id))
      .orderBy(asc(t.user.name));
    const today = this.needs.clock.todayIn('UTC');
    const rows = await this.needs.store.peopleById(known.map(({ personId }) => personId));
    const here = new Set(rows.filter((person) => !hasLeft(person, today)).map(({ id }) => id));
    return known.filter(({ personId }) => here.has(personId));
  }

  /** Lets who is signed in come back by this PIN. The token of a device that was not shared before; null: it was. */
  async share(personId: string, pin: string, headers: IncomingHttpHeaders): Promise<string | null> {
    const user = await this.accounts.userOf(personId);
    if (!user) throw wrong('person', 'has no account');
    const { password } = await this.accounts.auth.$context;
    const hash = await password.hash(pin);
    const known = await this.tabletOf(headers);
    const token = randomBytes(TOKEN_BYTES).toString('base64url');
    const tablet = known ?? {
      id: randomUUID(),
      tokenHash: hashOf(token),
      device: headers['user-agent'] ?? '',
      madeAt: new Date(this.needs.clock.nowMs()),
    };
    const row = { tabletId: tablet.id, userId: user.id, hash, wrong: 0 };
    await this.db.batch([
      this.db.insert(t.tablet).values(tablet).onConflictDoNothing(),
      this.db
        .insert(t.pin)
        .values(row)
        .onConflictDoUpdate({ target: [t.pin.tabletId, t.pin.userId], set: row }),
    ]);
    return known ? null : token;
  }

  /** Only the password lets them in on this device from now on. */
  async leave(personId: string, headers: IncomingHttpHeaders): Promise<void> {
    const [tablet, user] = [await this.tabletOf(headers), await this.accounts.userOf(personId)];
    if (tablet && user) await this.db.delete(t.pin).where(this.pinOf(tablet.id, user.id));
  }

  /** The answer that sets the session; that of whoever was signed in on the device before has ended then. */
  async signIn(personId: string, pin: string, headers: IncomingHttpHeaders): Promise<Response> {
    const tablet = await this.tabletOf(headers);
    const user = await this.accounts.userOf(personId);
    const here = (await this.people(headers)).some((each) => each.personId === personId);
    if (!tablet || !user || !here)
      throw refused(UNAUTHORIZED, 'No PIN is set here for this person. Sign in with the password.');
    // Counted before it is looked at: tries at the same moment count each.
    const [tried] = await this.db
      .update(t.pin)
      .set({ wrong: sql`${t.pin.wrong} + 1` })
      .where(this.pinOf(tablet.id, user.id))
      .returning();
    const { password } = await this.accounts.auth.$context;
    const right =
      tried !== undefined &&
      tried.wrong <= MOST_WRONG &&
      (await password.verify({ hash: tried.hash, password: pin }));
    if (!right) {
      const left = MOST_WRONG - (tried?.wrong ?? MOST_WRONG);
      if (left <= 0) await this.db.delete(t.pin).where(this.pinOf(tablet.id, user.id));
      throw refused(
        UNAUTHORIZED,
        left > 0
          ? `That is not the PIN. After ${String(left)} more wrong ones only the password helps.`
          : 'That PIN is good no longer. Sign in with the password, and set another one.',
      );
    }
    await this.db.update(t.pin).set({ wrong: 0 }).where(this.pinOf(tablet.id, user.id));
    await this.accounts.auth.api.signOut({ headers: fromNodeHeaders(headers) }).catch(() => null);
    return this.accounts.enter(user.id, headers);
  }

  private async tabletOf(headers: IncomingHttpHeaders) {
    const token = parseCookies(headers.cookie ?? '').get(TABLET_COOKIE);
    if (token === undefined) return null;
    const [found] = await this.db
      .select()
      .from(t.tablet)
      .where(eq(t.tablet.tokenHash, hashOf(token)));
    return found ?? null;
  }

  private pinOf = (tabletId: string, userId: string) =>
    and(eq(t.pin.tabletId, tabletId), eq(t.pin.userId, userId));
}
