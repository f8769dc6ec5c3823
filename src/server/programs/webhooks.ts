/** Tells other programs what falls due: each duty once when it comes near, and once when its date passed. */
import { randomBytes, randomUUID } from 'node:crypto';
import { and, asc, desc, eq, isNull, lt, lte } from 'drizzle-orm';
import type { z } from 'zod';
import type { DueRow } from '../../contract/api';
import type { WebhookRow, newWebhook } from '../../contract/scopes';
import { addDays, dayText } from '../../core/quantity/day';
import { whyWords } from '../../words/why';
import type { AccountTables } from '../accounts/openAccounts';
import { delivery, toldHook, webhook } from '../accounts/schema';
import { deadlinesOf } from '../feeds/events';
import { notFound } from '../problem';
import { nextTryAfter } from '../retries';
import type { Services } from '../services';
import { refuseAddress } from './reach';

export type Delivery = typeof delivery.$inferSelect;
export type Hook = typeof webhook.$inferSelect;
type Told = typeof toldHook.$inferInsert;

const SECRET_BYTES = 32;
const NEAR_DAYS = 14;
const PASSED_DAYS = 30;
const PAGE = 100;
const SHOWN = 5;
const HOUR_MS = 3_600_000;
const KEPT_MS = 30 * 24 * HOUR_MS;

export class Webhooks {
  /** the hour in which duties were last looked through */
  private looked = -1;

  constructor(
    private readonly needs: Pick<Services, 'board' | 'keeper' | 'clock'>,
    private readonly db: AccountTables,
    /** programs on this computer and its network may be told too */
    private readonly nearby: boolean,
  ) {}

  async list(): Promise<WebhookRow[]> {
    const hooks = await this.db.select().from(webhook).orderBy(desc(webhook.madeAt));
    return Promise.all(hooks.map((each) => this.row(each)));
  }

  async make({ name, url }: z.infer<typeof newWebhook>, by: string) {
    refuseAddress(url, this.nearby);
    const secret = randomBytes(SECRET_BYTES).toString('base64url');
    const hook: Hook = {
      id: randomUUID(),
      name,
      url,
      secret,
      madeBy: by,
      madeAt: new Date(this.needs.clock.nowMs()),
      withdrawnAt: null,
    };
    await this.db.insert(webhook).values(hook);
    this.looked = -1;
    return { ...(await this.row(hook)), secret };
  }

  async withdraw(id: string): Promise<void> {
    const now = new Date(this.needs.clock.nowMs());
    const found = await this.db
      .update(webhook)
      .set({ withdrawnAt: now })
      .where(eq(webhook.id, id))
      .returning();
    if (found.length === 0) throw notFound('address');
    await this.db.update(delivery).set({ nextTry: null }).where(eq(delivery.webhookId, id));
  }

  /** Writes down what is to be told by now; looked for once an hour, and not while machines wait to be judged. */
  async turn(): Promise<void> {
    const { clock, keeper } = this.needs;
    const hour = Math.floor(clock.nowMs() / HOUR_MS);
    if (this.looked === hour || keeper.turning.left > 0) return;
    for (const hook of await this.db.select().from(webhook).where(isNull(webhook.withdrawnAt)))
      await this.look(hook);
    await this.db.delete(delivery).where(lt(delivery.madeAt, new Date(clock.nowMs() - KEPT_MS)));
    this.looked = hour;
  }

  waiting = (): Promise<{ delivery: Delivery; webhook: Hook }[]> =>
    this.db
      .select()
      .from(delivery)
      .innerJoin(webhook, eq(webhook.id, delivery.webhookId))
      .where(and(isNull(delivery.sentAt), lte(delivery.nextTry, new Date(this.needs.clock.nowMs()))))
      .orderBy(asc(delivery.madeAt))
      .limit(PAGE);

  async sent({ id }: Delivery): Promise<void> {
    const sentAt = new Date(this.needs.clock.nowMs());
    await this.db.update(delivery).set({ sentAt, nextTry: null, fault: null }).where(eq(delivery.id, id));
  }

  async failed({ id, tries }: Delivery, fault: string): Promise<void> {
    const nextTry = nextTryAfter(tries, this.needs.clock.nowMs());
    await this.db
      .update(delivery)
      .set({ tries: tries + 1, fault, nextTry })
      .where(eq(delivery.id, id));
  }

  private async look(hook: Hook): Promise<void> {
    const today = this.needs.clock.todayIn('UTC');
    const [from, until] = [dayText(addDays(today, -PASSED_DAYS)), dayText(addDays(today, NEAR_DAYS))];
    const before = await this.db.select().from(toldHook).where(eq(toldHook.webhookId, hook.id));
    const told = new Set(before.map(({ event, duty, due }) => `${event} ${duty} ${due}`));
    for (let after: string | null = null; ;) {
      const page = await this.needs.board.duties({ sites: null, from, until }, after, PAGE);
      await this.tell(hook, page.rows, told);
      if (page.next === null) break;
      after = page.next;
    }
    await this.db.delete(toldHook).where(and(eq(toldHook.webhookId, hook.id), lt(toldHook.due, from)));
  }

  private async tell(hook: Hook, rows: readonly DueRow[], told: ReadonlySet<string>): Promise<void> {
    const ids = deadlinesOf(rows).map(({ uid }) => uid);
    const news: Record<'due' | 'passed', { row: DueRow; duty: string }[]> = { due: [], passed: [] };
    for (const [index, row] of rows.entries()) {
      const event = row.due < row.today ? 'passed' : 'due';
      const duty = ids[index] ?? '';
      if (!told.has(`${event} ${duty} ${row.due}`)) news[event].push({ row, duty });
    }
    for (const event of ['due', 'passed'] as const) {
      const own = news[event];
      if (own.length === 0) continue;
      const now = new Date(this.needs.clock.nowMs());
      const id = randomUUID();
      const body = JSON.stringify({
        id,
        event,
        at: now.toISOString(),
        duties: own.map(({ row, duty }) => ({ duty, ...dutyDocument(row) })),
      });
      await this.db.batch([
        this.db
          .insert(delivery)
          .values({ id, webhookId: hook.id, about: event, body, madeAt: now, nextTry: now }),
        this.db
          .insert(toldHook)
          .values(own.map(({ row: { due }, duty }): Told => ({ webhookId: hook.id, event, duty, due })))
          .onConflictDoNothing(),
      ]);
    }
  }

  private async row(hook: Hook): Promise<WebhookRow> {
    const newest = await this.db
      .select()
      .from(delivery)
      .where(eq(delivery.webhookId, hook.id))
      .orderBy(desc(delivery.madeAt))
      .limit(SHOWN);
    return {
      id: hook.id,
      name: hook.name,
      url: hook.url,
      madeBy: hook.madeBy,
      madeAt: hook.madeAt.toISOString(),
      withdrawnAt: hook.withdrawnAt?.toISOString() ?? null,
      deliveries: newest.map((each) => ({
        id: each.id,
        about: each.about,
        madeAt: each.madeAt.toISOString(),
        sentAt: each.sentAt?.toISOString() ?? null,
        fault: each.fault,
        nextTry: each.nextTry?.toISOString() ?? null,
      })),
    };
  }
}

/** One duty as another program reads it. */
const dutyDocument = ({ machineId, machineName, siteId, siteName, kind, packs, due, why, cite }: DueRow) => ({
  machineId,
  machineName,
  siteId,
  siteName,
  kind,
  packs,
  due,
  why: whyWords(why),
  cite,
});
