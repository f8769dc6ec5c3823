/** Tokens of other programs: each says its scope, ends on a day, and writes under a name of its own. */
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { desc, eq } from 'drizzle-orm';
import type { z } from 'zod';
import type { Scope, TokenRow, newToken } from '../../contract/scopes';
import { dayText } from '../../core/quantity/day';
import type { AccountTables } from '../accounts/openAccounts';
import { apiToken } from '../accounts/schema';
import type { Caller } from '../caller';
import { notFound, wrong } from '../problem';
import type { Services } from '../services';

type Stored = typeof apiToken.$inferSelect;

const PREFIX = 'gab_';
const TOKEN_BYTES = 32;
const DAY_MS = 86_400_000;
/** How exactly it is known when a token was used last: not each call writes it down. */
const USED_EVERY_MS = 3_600_000;

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

export class Tokens {
  constructor(
    private readonly needs: Pick<Services, 'store' | 'rows' | 'clock'>,
    private readonly db: AccountTables,
  ) {}

  async list(): Promise<TokenRow[]> {
    return (await this.db.select().from(apiToken).orderBy(desc(apiToken.madeAt))).map(tokenRow);
  }

  /** The program stands on the list of people from then on: what it writes carries its name. */
  async make({ name, scope, siteId = null, days }: z.infer<typeof newToken>, by: string) {
    if (siteId !== null && !(await this.needs.store.site(siteId)))
      throw wrong('siteId', 'names no site of this logbook');
    const token = PREFIX + randomBytes(TOKEN_BYTES).toString('base64url');
    const now = this.needs.clock.nowMs();
    const personId = randomUUID();
    await this.needs.rows.change(
      [{ table: 'people', id: personId, row: { id: personId, name, role: 'program', 'x-program': true } }],
      { by, why: null },
    );
    const row: Stored = {
      id: randomUUID(),
      tokenHash: hashOf(token),
      personId,
      name,
      scope,
      siteId,
      madeBy: by,
      madeAt: new Date(now),
      expiresAt: new Date(now + days * DAY_MS),
      lastUsed: null,
      withdrawnAt: null,
    };
    await this.db.insert(apiToken).values(row);
    return { ...tokenRow(row), token };
  }

  async withdraw(id: string, by: string): Promise<void> {
    const [found] = await this.db.select().from(apiToken).where(eq(apiToken.id, id));
    if (!found) throw notFound('token');
    if (found.withdrawnAt !== null) return;
    const { nowMs, todayIn } = this.needs.clock;
    await this.db
      .update(apiToken)
      .set({ withdrawnAt: new Date(nowMs()) })
      .where(eq(apiToken.id, id));
    const [person] = await this.needs.store.peopleById([found.personId]);
    if (person)
      await this.needs.rows.change(
        [{ table: 'people', id: person.id, row: { ...person, leftOn: dayText(todayIn('UTC')) } }],
        { by, why: 'its token was withdrawn' },
      );
  }

  /** Whoever sends a token that is good; null: it is none, it ended, or it was withdrawn. */
  async callerOf(authorization: string): Promise<Caller | null> {
    const [kind, token] = authorization.split(' ');
    if (kind?.toLowerCase() !== 'bearer' || !token?.startsWith(PREFIX)) return null;
    const [found] = await this.db
      .select()
      .from(apiToken)
      .where(eq(apiToken.tokenHash, hashOf(token)));
    const now = this.needs.clock.nowMs();
    if (!found || found.withdrawnAt !== null || found.expiresAt.getTime() <= now) return null;
    if (now - (found.lastUsed?.getTime() ?? 0) >= USED_EVERY_MS)
      await this.db
        .update(apiToken)
        .set({ lastUsed: new Date(now) })
        .where(eq(apiToken.id, found.id));
    return {
      personId: found.personId,
      name: found.name,
      email: '',
      role: 'auditor',
      ownerId: null,
      sites: found.siteId === null ? null : [found.siteId],
      program: found.scope as Scope,
    };
  }
}

const tokenRow = (row: Stored): TokenRow => ({
  id: row.id,
  personId: row.personId,
  name: row.name,
  scope: row.scope as Scope,
  siteId: row.siteId,
  madeBy: row.madeBy,
  madeAt: row.madeAt.toISOString(),
  expiresAt: row.expiresAt.toISOString(),
  lastUsed: row.lastUsed?.toISOString() ?? null,
  withdrawnAt: row.withdrawnAt?.toISOString() ?? null,
});
