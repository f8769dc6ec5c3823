/** Tells people by mail what falls due: a digest at their hour, and managers of each date that passed, once. */
import { createHmac, timingSafeEqual } from 'node:crypto';
import { and, eq, lt } from 'drizzle-orm';
import type { DueRow } from '../../contract/api';
import type { NoticeSettings } from '../../contract/notices';
import type { Role } from '../../contract/roles';
import { hasLeft } from '../../core/logbook/people';
import { type Day, addDays, dayOf, dayText } from '../../core/quantity/day';
import { hourAt } from '../../core/quantity/zone';
import { type Digest, isDigestDue, isQuiet } from '../../core/rules/noticeTimes';
import type { AccountTables } from '../accounts/openAccounts';
import * as t from '../accounts/schema';
import { deadlinesOf } from '../feeds/events';
import { invalid } from '../problem';
import type { Services } from '../services';
import { type DigestFacts, type Links, digestLetter, passedLetter, passwordLetter } from './letters';
import { Outbox } from './outbox';

type User = typeof t.user.$inferSelect;
type Needs = Pick<Services, 'store' | 'board' | 'keeper' | 'clock'>;

export interface NoticeOptions {
  secret: string;
  links: Links;
  /** a mail server is set; else mail is read in the app */
  sends: boolean;
}

/** A digest looks so far ahead. */
const DIGEST_DAYS = 14;
/** A date that passed longer ago is told by the digest alone: nobody is woken by an old list. */
const PASSED_DAYS = 30;
const MOST_ROWS = 100;
const USUAL: Record<Role, Digest> = {
  technician: 'daily',
  manager: 'daily',
  representative: 'weekly',
  auditor: 'never',
};
const USUAL_TIMES = { hour: 7, quietFrom: 20, quietTo: 6 };

export class Notices {
  readonly outbox: Outbox;
  /** the hour at which dates that passed were last looked for, by person */
  private readonly looked = new Map<string, string>();

  constructor(
    private readonly needs: Needs,
    private readonly db: AccountTables,
    private readonly options: NoticeOptions,
  ) {
    this.outbox = new Outbox(db, needs.clock.nowMs, options.sends);
  }

  get kept(): boolean {
    return !this.options.sends;
  }

  async settingsOf(personId: string): Promise<NoticeSettings & { email: string; kept: boolean }> {
    const user = await this.userOf(personId);
    return { ...(await this.timesOf(user)), email: user.email, kept: this.kept };
  }

  async change(personId: string, settings: NoticeSettings) {
    const { id: userId } = await this.userOf(personId);
    const row = { userId, ...settings };
    await this.db
      .insert(t.noticeTimes)
      .values(row)
      .onConflictDoUpdate({ target: t.noticeTimes.userId, set: row });
    return this.settingsOf(personId);
  }

  /** Ends all mail of whom the token names. */
  async unsubscribe(token: string): Promise<void> {
    const [id = ''] = token.split('.');
    const [user] = await this.db.select().from(t.user).where(eq(t.user.id, id));
    const right = Buffer.from(this.tokenOf(id));
    const given = Buffer.from(token);
    if (!user || right.length !== given.length || !timingSafeEqual(right, given))
      throw invalid([
        { path: ['token'], message: 'is none that was sent; change it under your own account' },
      ]);
    await this.change(user.personId, { ...(await this.timesOf(user)), digest: 'never' });
  }

  /** A digest now, also where nothing falls due: to see where it arrives. */
  async tryNow(personId: string): Promise<void> {
    const user = await this.userOf(personId);
    const { timezone } = await this.timesOf(user);
    await this.outbox.put(await this.digestOf(user, this.needs.clock.todayIn(timezone)));
  }

  async tellPassword(user: User, token: string, goodUntil: string): Promise<void> {
    const letter = passwordLetter(user.name, token, goodUntil, this.options.links);
    await this.outbox.put({
      to: user.email,
      name: user.name,
      about: 'password',
      unsubscribe: null,
      ...letter,
    });
  }

  /** Writes what is due to be told by now; called every minute. Nothing is told while machines wait to be judged. */
  async turn(): Promise<void> {
    const { clock, keeper, store } = this.needs;
    if (keeper.turning.left > 0) return;
    const people = new Map((await store.people()).map((person) => [person.id, person]));
    for (const user of await this.db.select().from(t.user)) {
      const person = people.get(user.personId);
      const times = await this.timesOf(user);
      const day = clock.todayIn(times.timezone);
      if (!person || hasLeft(person, day) || times.digest === 'never') continue;
      const hour = hourAt(clock.nowMs(), times.timezone);
      if (isQuiet(hour, times)) continue;
      if (user.role === 'manager') await this.tellPassed(user, day, hour);
      const [last] = await this.db.select().from(t.digestSent).where(eq(t.digestSent.userId, user.id));
      if (isDigestDue(times, { day, hour }, last ? dayOf(last.on) : null)) await this.tellDigest(user, day);
    }
    await this.outbox.forgetOld();
  }

  private async tellDigest(user: User, day: Day): Promise<void> {
    const row = { userId: user.id, on: dayText(day) };
    const told = this.db
      .insert(t.digestSent)
      .values(row)
      .onConflictDoUpdate({ target: t.digestSent.userId, set: row });
    const facts = await this.factsOf(user, day);
    const nothing = facts.rows.length === 0 && facts.certificates.length === 0;
    await this.db.batch(nothing ? [told] : [told, this.outbox.put(await this.digestOf(user, day, facts))]);
  }

  private async digestOf(user: User, day: Day, facts?: DigestFacts) {
    const unsubscribe = this.unsubscribeLink(user);
    const letter = digestLetter(facts ?? (await this.factsOf(user, day)), this.options.links, unsubscribe);
    return { to: user.email, name: user.name, about: 'digest' as const, unsubscribe, ...letter };
  }

  private async factsOf({ role, personId, ownerId }: User, day: Day): Promise<DigestFacts> {
    const { board } = this.needs;
    const until = dayText(addDays(day, DIGEST_DAYS));
    const certificates = (await board.certificatesEnding()).filter(
      (each) => role === 'manager' || each.personId === personId,
    );
    const facts = { days: DIGEST_DAYS, certificates };
    if (role === 'technician') {
      const { rows, next } = await board.dutiesServedBy(personId, null, MOST_ROWS, until);
      return { ...facts, of: 'that you serve', rows, more: next !== null };
    }
    const sites = role === 'representative' ? await board.sitesOfOwner(ownerId ?? '') : null;
    const { rows, next } = await board.duties({ sites, until }, null, MOST_ROWS);
    return { ...facts, of: sites === null ? 'of the company' : 'at your sites', rows, more: next !== null };
  }

  /** Looked for once an hour. */
  private async tellPassed(user: User, day: Day, hour: number): Promise<void> {
    const now = `${String(day)} ${String(hour)}`;
    if (this.looked.get(user.id) === now) return;
    const told = new Set(
      (await this.db.select().from(t.toldPassed).where(eq(t.toldPassed.userId, user.id))).map(
        ({ duty, due }) => `${duty} ${due}`,
      ),
    );
    const [from, until] = [dayText(addDays(day, -PASSED_DAYS)), dayText(addDays(day, -1))];
    const late: { duty: string; row: DueRow }[] = [];
    for (let after: string | null = null; late.length < MOST_ROWS;) {
      const page = await this.needs.board.duties({ sites: null, from, until }, after, MOST_ROWS);
      const ids = deadlinesOf(page.rows).map(({ uid }) => uid);
      for (const [index, row] of page.rows.entries()) {
        const duty = ids[index] ?? '';
        if (row.due < row.today && !told.has(`${duty} ${row.due}`)) late.push({ duty, row });
      }
      if (page.next === null) break;
      after = page.next;
    }
    if (late.length > 0) {
      const unsubscribe = this.unsubscribeLink(user);
      const letter = passedLetter(
        late.map(({ row }) => row),
        this.options.links,
        unsubscribe,
      );
      await this.db.batch([
        this.outbox.put({ to: user.email, name: user.name, about: 'passed', unsubscribe, ...letter }),
        this.db
          .insert(t.toldPassed)
          .values(late.map(({ duty, row: { due } }) => ({ userId: user.id, duty, due })))
          .onConflictDoNothing(),
        this.db.delete(t.toldPassed).where(and(eq(t.toldPassed.userId, user.id), lt(t.toldPassed.due, from))),
      ]);
    }
    this.looked.set(user.id, now);
  }

  private async timesOf({ id, role }: User): Promise<NoticeSettings> {
    const [own] = await this.db.select().from(t.noticeTimes).where(eq(t.noticeTimes.userId, id));
    if (own) {
      const { userId: _, digest, ...times } = own;
      return { ...times, digest: digest as Digest };
    }
    // Nobody said where: the clock of a site is nearer than any other.
    return { ...USUAL_TIMES, digest: USUAL[role as Role], timezone: await this.needs.store.anyTimezone() };
  }

  private unsubscribeLink = ({ id }: User): string =>
    `${this.options.links.base}/unsubscribe?token=${this.tokenOf(id)}`;

  private tokenOf = (id: string): string =>
    `${id}.${createHmac('sha256', this.options.secret).update(`unsubscribe ${id}`).digest('base64url')}`;

  private async userOf(personId: string): Promise<User> {
    const [user] = await this.db.select().from(t.user).where(eq(t.user.personId, personId));
    if (!user) throw invalid([{ path: ['person'], message: 'has no account' }]);
    return user;
  }
}
