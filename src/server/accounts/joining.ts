/** How people come in: by a link that a manager made, that the server printed at first, or that was sent for a new password. */
import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import type { z } from 'zod';
import type { invitationAnswer, newAccount, newInvitation } from '../../contract/accounts';
import type { Role } from '../../contract/roles';
import { hasLeft } from '../../core/logbook/people';
import type { Notices } from '../notices/notices';
import { notFound, wrong } from '../problem';
import type { WhoComesIn } from '../settings';
import type { Services } from '../services';
import type { Auth } from './auth';
import { Invitations, invitationRow } from './invitations';
import type { AccountTables } from './openAccounts';
import * as t from './schema';

/** Links for a new password that one account is sent in an hour. */
const MOST_ASKED = 3;
const ASKED_FOR_MS = 3_600_000;

type User = typeof t.user.$inferSelect;

/** The accounts that people join. */
interface Joined {
  auth: Auth;
  whoComesIn: () => Promise<WhoComesIn>;
  /** null: this person has none */
  userOf: (personId: string) => Promise<User | null>;
  /** throws where there is no such owner */
  checkOwner: (ownerId: string | null) => Promise<void>;
  add: (account: NewAccount) => Promise<void>;
  setPassword: (userId: string, hash: string) => Promise<void>;
}

export interface NewAccount extends Pick<User, 'personId' | 'name' | 'email' | 'ownerId' | 'demo'> {
  role: Role;
  /** of the password; null: signed in by one touch alone */
  hash: string | null;
}

export class Joining {
  private readonly invitations: Invitations;
  /** how often a new password was asked for, by account */
  private readonly asked = new LRUCache<string, number>({ max: 1000, ttl: ASKED_FOR_MS, noUpdateTTL: true });

  constructor(
    private readonly needs: Pick<Services, 'store' | 'rows' | 'clock'>,
    private readonly db: AccountTables,
    private readonly accounts: Joined,
    private readonly notices: Notices,
  ) {
    this.invitations = new Invitations(db, needs.clock.nowMs);
  }

  /** Links that are still good. */
  async list() {
    const known = new Set((await this.db.select().from(t.user)).map(({ personId }) => personId));
    return (await this.invitations.list()).map((each) => invitationRow(each, known));
  }

  /** The first manager's link, made anew at each start until somebody came; null: somebody did. */
  async firstToken(): Promise<string | null> {
    if ((await this.accounts.whoComesIn()) !== 'nobody') return null;
    return (await this.invitations.make({ personId: null, role: 'manager', ownerId: null })).token;
  }

  async invite({ personId, role, ownerId = null }: z.infer<typeof newInvitation>) {
    const [person] = await this.needs.store.peopleById([personId]);
    if (!person) throw wrong('personId', 'names nobody on the list of people');
    if (hasLeft(person, this.needs.clock.todayIn('UTC')))
      throw wrong('personId', `names ${person.name}, who has left`);
    await this.accounts.checkOwner(ownerId);
    const own = await this.accounts.userOf(personId);
    const made = await this.invitations.make({
      personId,
      role: (own?.role as Role | undefined) ?? role,
      ownerId,
    });
    return { ...invitationRow(made, new Set(own ? [personId] : [])), token: made.token };
  }

  /** A link for a new password, by mail; whoever asks is told nothing of whether there is such an account. */
  async forgot(email: string): Promise<void> {
    const [user] = await this.db.select().from(t.user).where(eq(t.user.email, email.trim().toLowerCase()));
    const asked = user ? (this.asked.get(user.id) ?? 0) : MOST_ASKED;
    if (!user || asked >= MOST_ASKED) return;
    const [person] = await this.needs.store.peopleById([user.personId]);
    if (!person || hasLeft(person, this.needs.clock.todayIn('UTC'))) return;
    this.asked.set(user.id, asked + 1);
    const { personId, ownerId } = user;
    const made = await this.invitations.make({ personId, role: user.role as Role, ownerId });
    await this.notices.tellPassword(user, made.token, made.expiresAt.toISOString());
  }

  async withdraw(id: string): Promise<void> {
    if (!(await this.invitations.withdraw(id))) throw notFound('invitation');
  }

  async invitation(token: string): Promise<z.infer<typeof invitationAnswer>> {
    const found = await this.invitations.find(token);
    if (!found)
      throw notFound('invitation; it was used, withdrawn, or is older than a week. Ask for a new one');
    const { personId } = found;
    const own = personId === null ? null : await this.accounts.userOf(personId);
    const [person] = personId === null ? [] : await this.needs.store.peopleById([personId]);
    return {
      role: found.role as Role,
      name: person?.name ?? null,
      email: own?.email ?? null,
      renews: own !== null,
      people: personId === null ? await this.peopleHere() : [],
    };
  }

  /** Makes the account that a link offers, or gives a new password to the one that is there: its sessions end. */
  async begin({
    token,
    email: typed,
    password,
    name,
    personId: chosen,
  }: z.infer<typeof newAccount>): Promise<{ email: string }> {
    const offered = await this.invitations.find(token);
    if (!offered) throw wrong('token', 'is good no longer; ask for a new link');
    const email = typed.toLowerCase();
    const { personId } = offered;
    const own = personId === null ? null : await this.accounts.userOf(personId);
    const [taken] = await this.db.select().from(t.user).where(eq(t.user.email, email));
    if (taken && taken.id !== own?.id) throw wrong('email', 'belongs to another account');
    if (personId === null && chosen === undefined && name === undefined)
      throw wrong('name', 'is missing; say who you are');
    // Who is offered an account by name is nobody else.
    if (chosen !== undefined && (personId !== null || !(await this.isHere(chosen))))
      throw wrong('personId', 'names nobody whom this link is for');
    if (!(await this.invitations.take(token))) throw wrong('token', 'was used meanwhile');
    const { internalAdapter, password: hashing } = await this.accounts.auth.$context;
    const hash = await hashing.hash(password);
    if (own) {
      await this.accounts.setPassword(own.id, hash);
      await internalAdapter.deleteUserSessions(own.id);
      // Whatever let in before lets in no more.
      await this.db.delete(t.pin).where(eq(t.pin.userId, own.id));
      await this.db.delete(t.passkey).where(eq(t.passkey.userId, own.id));
      return { email: own.email };
    }
    const person = personId ?? chosen ?? (await this.firstPerson(name ?? ''));
    const [known] = await this.needs.store.peopleById([person]);
    await this.accounts.add({
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

  private async peopleHere() {
    const today = this.needs.clock.todayIn('UTC');
    return (await this.needs.store.people())
      .filter((person) => person['x-program'] !== true && !hasLeft(person, today))
      .map(({ id, name }) => ({ personId: id, name }));
  }

  private isHere = async (id: string): Promise<boolean> =>
    (await this.peopleHere()).some(({ personId }) => personId === id);

  private async firstPerson(name: string): Promise<string> {
    const id = randomUUID();
    const row = { id, name, role: 'manager' };
    await this.needs.rows.change([{ table: 'people', id, row }], { by: id, why: null });
    return id;
  }
}
