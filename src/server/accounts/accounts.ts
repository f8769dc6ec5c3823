/** Who is signed in, and the people who may sign in: by a link that a manager made, or that the server printed at first. */
import type { IncomingHttpHeaders } from 'node:http';
import { randomUUID } from 'node:crypto';
import { fromNodeHeaders } from 'better-auth/node';
import { asc, eq } from 'drizzle-orm';
import type { z } from 'zod';
import type { Role } from '../../contract/roles';
import type {
  Account,
  SessionAnswer,
  SignedIn,
  accountsAnswer,
  invitationAnswer,
  newAccount,
  newInvitation,
} from '../../contract/accounts';
import { hasLeft } from '../../core/logbook/people';
import type { Problem } from '../../core/logbook/problems';
import { invalid, notFound } from '../problem';
import type { Services } from '../services';
import type { Caller } from '../caller';
import type { WhoComesIn } from '../settings';
import { type Auth, makeAuth } from './auth';
import { Invitations, invitationRow } from './invitations';
import { type AccountTables, openAccountTables } from './openAccounts';
import * as t from './schema';

type User = typeof t.user.$inferSelect;
type Needs = Pick<Services, 'store' | 'rows' | 'board' | 'clock'>;

const wrong = (path: string, message: string) => invalid([{ path: [path], message } satisfies Problem]);
const LAST_MANAGER = 'is the last manager; make another one first';

const withoutSites = ({ sites: _, ...known }: Caller): SignedIn => known;

export class Accounts {
  readonly auth: Auth;
  private readonly invitations: Invitations;

  constructor(
    private readonly needs: Needs,
    private readonly db: AccountTables,
    options: { secret: string; secure: boolean },
  ) {
    this.auth = makeAuth({ db, ...options });
    this.invitations = new Invitations(db, needs.clock.nowMs);
  }

  /** null: nobody is signed in, or somebody who has left meanwhile. */
  async callerOf(headers: IncomingHttpHeaders): Promise<Caller | null> {
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

  /** The first manager's link, made anew at each start until somebody came; null: somebody did. */
  async firstToken(): Promise<string | null> {
    if ((await this.whoComesIn()) !== 'nobody') return null;
    return (await this.invitations.make({ personId: null, role: 'manager', ownerId: null })).token;
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
    const known = new Set(users.map(({ personId }) => personId));
    return {
      accounts,
      invitations: (await this.invitations.list()).map((each) => invitationRow(each, known)),
    };
  }

  async invite({ personId, role, ownerId = null }: z.infer<typeof newInvitation>) {
    const [person] = await this.needs.store.peopleById([personId]);
    if (!person) throw wrong('personId', 'names nobody on the list of people');
    if (hasLeft(person, this.needs.clock.todayIn('UTC')))
      throw wrong('personId', `names ${person.name}, who has left`);
    await this.checkOwner(ownerId);
    const own = await this.userOf(personId);
    const made = await this.invitations.make({
      personId,
      role: (own?.role as Role | undefined) ?? role,
      ownerId,
    });
    return { ...invitationRow(made, new Set(own ? [personId] : [])), token: made.token };
  }

  async withdraw(id: string): Promise<void> {
    if (!(await this.invitations.withdraw(id))) throw notFound('invitation');
  }

  async invitation(token: string): Promise<z.infer<typeof invitationAnswer>> {
    const found = await this.invitations.find(token);
    if (!found)
      throw notFound('invitation; it was used, withdrawn, or is older than a week. Ask for a new one');
    const { personId } = found;
    const own = personId === null ? null : await this.userOf(personId);
    const [person] = personId === null ? [] : await this.needs.store.peopleById([personId]);
    return {
      role: found.role as Role,
      name: person?.name ?? null,
      email: own?.email ?? null,
      renews: own !== null,
    };
  }

  /** Makes the account that a link offers, or gives a new password to the one that is there: its sessions end. */
  async begin({
    token,
    email: typed,
    password,
    name,
  }: z.infer<typeof newAccount>): Promise<{ email: string }> {
    const offered = await this.invitations.find(token);
    if (!offered) throw wrong('token', 'is good no longer; ask for a new link');
    const email = typed.toLowerCase();
    const { personId } = offered;
    const own = personId === null ? null : await this.userOf(personId);
    const [taken] = await this.db.select().from(t.user).where(eq(t.user.email, email));
    if (taken && taken.id !== own?.id) throw wrong('email', 'belongs to another account');
    if (personId === null && name === undefined) throw wrong('name', 'is missing; say who you are');
    if (!(await this.invitations.take(token))) throw wrong('token', 'was used meanwhile');
    const { internalAdapter, password: hashing } = await this.auth.$context;
    const hash = await hashing.hash(password);
    if (own) {
      await internalAdapter.updatePassword(own.id, hash);
      await internalAdapter.deleteUserSessions(own.id);
      return { email: own.email };
    }
    const person = personId ?? (await this.firstPerson(name ?? ''));
    const [known] = await this.needs.store.peopleById([person]);
    await this.add({
      personId: person,
      name: known?.name ?? name ?? '',
      email,
      role: offered.role as Role,
      ownerId: offered.ownerId,
      demo: false,
      hash,
    });
    return { email };
  }

  /** `hash`: of the password; null: signed in by one touch alone. */
  async add({
    hash,
    ...fields
  }: Pick<User, 'personId' | 'name' | 'email' | 'ownerId' | 'demo'> & {
    role: Role;
    hash: string | null;
  }): Promise<void> {
    const { internalAdapter } = await this.auth.$context;
    const user = await internalAdapter.createUser({ ...fields, emailVerified: true }, { method: 'admin' });
    if (hash !== null)
      await internalAdapter.linkAccount({
        userId: user.id,
        providerId: 'credential',
        accountId: user.id,
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
    return this.auth.api.demoSignIn({
      body: { person },
      headers: fromNodeHeaders(headers),
      asResponse: true,
    });
  }

  private async firstPerson(name: string): Promise<string> {
    const id = randomUUID();
    const row = { id, name, role: 'manager' };
    await this.needs.rows.change([{ table: 'people', id, row }], { by: id, why: null });
    return id;
  }

  private async checkOwner(ownerId: string | null): Promise<void> {
    if (ownerId !== null && !(await this.needs.store.owners()).some(({ id }) => id === ownerId))
      throw wrong('ownerId', 'names no owner of this logbook');
  }

  private async userOf(personId: string): Promise<User | null> {
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
  secure = false,
): Promise<{ accounts: Accounts; close: () => void }> {
  const { db, secret, close } = await openAccountTables(url);
  return { accounts: new Accounts(needs, db, { secret, secure }), close };
}
