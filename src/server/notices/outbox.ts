/**
 * Mail that was written and waits to be sent. Without a mail server it is only kept, to be read here: a server that is set
 * later sends what is written from then on, and no old list.
 */
import { randomUUID } from 'node:crypto';
import { and, asc, eq, isNull, lt, lte } from 'drizzle-orm';
import type { MAIL_ABOUT, MailRow } from '../../contract/notices';
import type { AccountTables } from '../accounts/openAccounts';
import { mail } from '../accounts/schema';
import { nextTryAfter } from '../retries';
import { type Page, paged } from '../store/pages';

export interface Letter {
  to: string;
  name: string;
  about: (typeof MAIL_ABOUT)[number];
  subject: string;
  text: string;
  /** page on which its reader ends such mail; null: it was asked for */
  unsubscribe: string | null;
}
export type Mail = typeof mail.$inferSelect;

const DAY_MS = 86_400_000;
const KEPT_DAYS = 90;
const SENT_AT_ONCE = 20;
/** What stands in place of a link that only its reader should have. */
const LINK_SENT = 'The link for a new password was sent.';

export class Outbox {
  constructor(
    private readonly db: AccountTables,
    private readonly nowMs: () => number,
    private readonly sends: boolean,
  ) {}

  /** A statement, so that it stands in one batch with what says that it was written. */
  put(letter: Letter) {
    const now = new Date(this.nowMs());
    return this.db
      .insert(mail)
      .values({ id: randomUUID(), ...letter, madeAt: now, nextTry: this.sends ? now : null });
  }

  async page(after: string | null, limit: number): Promise<Page<MailRow>> {
    const { rows, next } = await paged(
      [mail.madeAt, mail.id],
      { after, limit, descending: true },
      (part) => this.db.select().from(mail).where(part.beyond).orderBy(part.order).limit(part.limit),
      (row) => [row.madeAt.getTime(), row.id],
    );
    return { rows: rows.map(mailRow), next };
  }

  /** What is to be tried now, the oldest first. */
  waiting = (): Promise<Mail[]> =>
    this.db
      .select()
      .from(mail)
      .where(and(isNull(mail.sentAt), lte(mail.nextTry, new Date(this.nowMs()))))
      .orderBy(asc(mail.nextTry))
      .limit(SENT_AT_ONCE);

  async sent({ id, about }: Mail): Promise<void> {
    await this.db
      .update(mail)
      .set({
        sentAt: new Date(this.nowMs()),
        nextTry: null,
        fault: null,
        ...(about === 'password' && { text: LINK_SENT }),
      })
      .where(eq(mail.id, id));
  }

  async failed({ id, tries }: Mail, fault: string): Promise<void> {
    await this.db
      .update(mail)
      .set({
        tries: tries + 1,
        fault,
        nextTry: nextTryAfter(tries, this.nowMs()),
      })
      .where(eq(mail.id, id));
  }

  async forgetOld(): Promise<void> {
    await this.db.delete(mail).where(lt(mail.madeAt, new Date(this.nowMs() - KEPT_DAYS * DAY_MS)));
  }
}

const mailRow = ({ id, to, name, about, subject, text, madeAt, sentAt, fault, nextTry }: Mail): MailRow => ({
  id,
  to,
  name,
  about: about as MailRow['about'],
  subject,
  text,
  madeAt: madeAt.toISOString(),
  sentAt: sentAt?.toISOString() ?? null,
  fault,
  nextTry: nextTry?.toISOString() ?? null,
});
