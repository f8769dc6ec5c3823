/** Who is signed in, and the accounts of those who may sign in. */
import type { IncomingHttpHeaders } from 'node:http';
import { fromNodeHeaders } from 'better-auth/node';
import { asc, eq } from 'drizzle-orm';
import type { z } from 'zod';
import type { Role } from '../../contract/roles';
import type { Account, SessionAnswer, SignedIn, accountsAnswer } from '../../contract/accounts';
import { hasLeft } from '../../core/logbook/people';
import { type NoticeOptions, Notices } from '../notices/notices';
import { notFound, wrong } from '../problem';
import { Tokens } from '../programs/tokens';
import { Webhooks } from '../programs/webhooks';
import type { Services } from '../services';
import type { Caller } from '../caller';
import type { WhoComesIn } from '../settings';
import { type Auth, makeAuth } from './auth';
import { Joining, type NewAccount } from './joining';
import { type AccountTables, openAccountTables } from './openAccounts';
import * as t from './schema';
import { Tablets } from './tablets';

type User = typeof t.user.$inferSelect;
type Needs = Pick<Services, 'store' | 'rows' | 'board' | 'keeper' | 'clock'>;

export interface AccountOptions extends Partial<Pick<NoticeOptions, 'links' | 'sends'>> {
  /** cookies by TLS alone */
  secure?: boolean;
  /** nobody but this computer reaches it: programs on it, and in its network, may be told what falls due */
  nearby?: boolean;
}

const LAST_MANAGER = 'is the last manager; make another one first';

const withoutSites = ({ sites: _, ...known }: Caller): SignedIn => known;

export class Accounts {
  readonly auth: Auth;
  readonly joining: Joining;
  readonly tablets: Tablets;
  readonly tokens: Tokens;
  readonly webhooks: Webhooks;

  constructor(
    private readonly needs: Needs,
    private readonly db: AccountTables,
    readonly notices: Notices,
    options: { secret: string; secure: boolean; name: string; nearby: boolean },
  ) {
    this.auth = makeAuth({ db, ...options });
    this.joining = new Joining(needs, db, this, notices);
    this.tablets = new Tablets(needs, db, this);
    this.tokens = new Tokens(needs, db);
    this.webhooks = new Webhooks(needs, db, options.nearby);
  }

  /** null: nobody is signed in, a token is not good, or somebody who has left meanwhile. */
  async callerOf(headers: IncomingHttpHeaders): Promise<Caller | null> {
    if (headers.authorization !== undefined) return this.tokens.callerOf(headers.authorization);
    if (headers.cookie === undefined) return null;
    const found = await this.auth.api.getSession({ headers: fromNodeHeaders(headers) });
    if (!found) return null;
    const user = found.user as unknown as User;
    const [person] = await this.needs.store.peopleById([user.personId]);
    if (!person || hasLeft(person, this.needs.clock.todayIn('UTC'))) return null;
    const { role, ownerId } = user;
    return {
      personId: person.id,
      name: person.name,
      email: user.email,
      role: role as Role,
      ownerId,
      sites: role === 'representative' ? await this.needs.board.sitesOfOwner(ownerId ?? '') : null,
    };
  }

  async session(caller: Caller | null): Promise<Omit<SessionAnswer, 'address'>> {
    const users = await this.db.select().from(t.user);
    const demo = users.filter((each) => each.demo);
    return {
      signedIn: caller && withoutSites(caller),
      empty: users.length === 0,
      demo: demo.map(({ personId, name, role }) => ({ personId, name, role: role as Role })),
    };
  }

  /** Whether anybody has an account, and whether they come in by one touch. */
  async whoComesIn(): Promise<WhoComesIn> {
    const users = await this.db.select({ demo: t.user.demo }).from(t.user);
    if (users.length === 0) return 'nobody';
    return users.some(({ demo }) => demo) ? 'demo' : 'people';
  }

  async list(): Promise<z.infer<typeof accountsAnswer>> {
    const users = await this.db.select().from(t.user).orderBy(asc(t.user.name));
    const sessions = await this.db.select().from(t.session);
    const now = this.needs.clock.nowMs();
    const accounts = users.map((user): Account => ({
      id: user.id,
      personId: user.personId,
      name: user.name,
      email: user.email,
      role: user.role as Role,
      ownerId: user.ownerId,
      sessions: sessions
        .filter(({ userId, expiresAt }) => userId === user.id && expiresAt.getTime() > now)
        .sort((a, b) => b.updatedAt.getTime() - a.updatedAt.getTime())
        .map((each) => ({ device: each.userAgent ?? '', lastUsed: each.updatedAt.toISOString() })),
    }));
    return { accounts, invitations: await this.joining.list() };
  }

  async add({ hash, ...fields }: NewAccount): Promise<void> {
    const { internalAdapter } = await this.auth.$context;
    const user = await internalAdapter.createUser({ ...fields, emailVerified: true }, { method: 'admin' });
    if (hash !== null) await this.setPassword(user.id, hash);
  }

  /** Also of who came in by a touch or a device alone until now. */
  async setPassword(userId: string, hash: string): Promise<void> {
    const { internalAdapter } = await this.auth.$context;
    const ways = await internalAdapter.findAccounts(userId);
    if (ways.some(({ providerId }) => providerId === 'credential'))
      await internalAdapter.updatePassword(userId, hash);
    else
      await internalAdapter.linkAccount({
        userId,
        providerId: 'credential',
        accountId: userId,
        password: hash,
      });
  }

  async changeRole(id: string, role: Role, ownerId: string | null): Promise<void> {
    const user = await this.known(id);
    if ((role === 'representative') !== (ownerId !== null))
      throw wrong('ownerId', 'says whose representative it is; needed for a representative, and only there');
    await this.checkOwner(ownerId);
    if (role !== 'manager' && (await this.isLastManager(user))) throw wrong('role', LAST_MANAGER);
    await this.db.update(t.user).set({ role, ownerId }).where(eq(t.user.id, id));
  }

  async endSessions(id: string): Promise<void> {
    await this.known(id);
    await this.db.delete(t.session).where(eq(t.session.userId, id));
    await this.db.delete(t.pin).where(eq(t.pin.userId, id));
  }

  /** What was written under the name stays; nobody signs in by it any more. */
  async close(id: string): Promise<void> {
    const user = await this.known(id);
    if (await this.isLastManager(user)) throw wrong('id', LAST_MANAGER);
    await this.db.delete(t.user).where(eq(t.user.id, id));
  }

  /** The answer that sets the session of somebody of the demo story; null: this is no demo. */
  async demoSignIn(person: string, headers: IncomingHttpHeaders): Promise<Response | null> {
    if ((await this.whoComesIn()) !== 'demo') return null;
    const user = await this.userOf(person);
    if (!user?.demo) throw wrong('person', 'names nobody of the demo story');
    return this.enter(user.id, headers);
  }

  /** The answer that sets a session of whom the server knows already. */
  enter(userId: string, headers: IncomingHttpHeaders): Promise<Response> {
    return this.auth.api.enter({ body: { userId }, headers: fromNodeHeaders(headers), asResponse: true });
  }

  async checkOwner(ownerId: string | null): Promise<void> {
    if (ownerId !== null && !(await this.needs.store.owners()).some(({ id }) => id === ownerId))
      throw wrong('ownerId', 'names no owner of this logbook');
  }

  async userOf(personId: string): Promise<User | null> {
    const [found] = await this.db.select().from(t.user).where(eq(t.user.personId, personId));
    return found ?? null;
  }

  private async known(id: string): Promise<User> {
    const [found] = await this.db.select().from(t.user).where(eq(t.user.id, id));
    if (!found) throw notFound('account');
    return found;
  }

  private async isLastManager({ id, role }: User): Promise<boolean> {
    if (role !== 'manager') return false;
    const managers = await this.db.select().from(t.user).where(eq(t.user.role, 'manager'));
    return managers.every((each) => each.id === id);
  }
}

/** `url`: of the logbook that these accounts open. */
export async function openAccounts(
  url: string,
  needs: Needs,
  { secure = false, links = { base: '', onlyHere: true }, sends = false, nearby = true }: AccountOptions = {},
): Promise<{ accounts: Accounts; close: () => void }> {
  const { db, secret, close } = await openAccountTables(url);
  const notices = new Notices(needs, db, { secret, links, sends });
  return {
    accounts: new Accounts(needs, db, notices, {
      secret,
      secure,
      nearby,
      name: links.onlyHere ? 'localhost' : new URL(links.base).hostname,
    }),
    close,
  };
}
