/** Links by which somebody comes in: each is good for some days and once. Its token is said once, and kept as a hash. */
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { and, eq, gt, isNull } from 'drizzle-orm';
import type { Role } from '../../contract/roles';
import type { AccountTables } from './openAccounts';
import { invitation } from './schema';

const DAYS_GOOD = 7;
const DAY_MS = 86_400_000;
const TOKEN_BYTES = 32;

export type Invitation = typeof invitation.$inferSelect;

interface Offer {
  /** null: the first manager, whom the list of people lacks */
  personId: string | null;
  role: Role;
  ownerId: string | null;
}

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

export class Invitations {
  constructor(
    private readonly db: AccountTables,
    private readonly nowMs: () => number,
  ) {}

  /** One link for a person: an earlier one is good no longer. */
  async make(offer: Offer): Promise<Invitation & { token: string }> {
    const token = randomBytes(TOKEN_BYTES).toString('base64url');
    const now = this.nowMs();
    const row = {
      id: randomUUID(),
      tokenHash: hashOf(token),
      ...offer,
      madeAt: new Date(now),
      expiresAt: new Date(now + DAYS_GOOD * DAY_MS),
    };
    const { personId } = offer;
    await this.db
      .delete(invitation)
      .where(personId === null ? isNull(invitation.personId) : eq(invitation.personId, personId));
    await this.db.insert(invitation).values(row);
    return { ...row, token };
  }

  /** Those that are still good. */
  list(): Promise<Invitation[]> {
    return this.db.select().from(invitation).where(this.good());
  }

  async find(token: string): Promise<Invitation | null> {
    const [found] = await this.db.select().from(invitation).where(this.goodFor(token));
    return found ?? null;
  }

  /** Uses it up: of two that come at once, one gets it. */
  async take(token: string): Promise<Invitation | null> {
    const [taken] = await this.db.delete(invitation).where(this.goodFor(token)).returning();
    return taken ?? null;
  }

  async withdraw(id: string): Promise<boolean> {
    return (await this.db.delete(invitation).where(eq(invitation.id, id)).returning()).length > 0;
  }

  private good = () => gt(invitation.expiresAt, new Date(this.nowMs()));
  private goodFor = (token: string) => and(eq(invitation.tokenHash, hashOf(token)), this.good());
}

/** As it is listed; `known`: people who have an account, for whom it is a new password. */
export const invitationRow = (
  { id, personId, role, ownerId, madeAt, expiresAt }: Invitation,
  known: ReadonlySet<string>,
) => ({
  id,
  personId,
  role: role as Role,
  ownerId,
  renews: personId !== null && known.has(personId),
  madeAt: madeAt.toISOString(),
  expiresAt: expiresAt.toISOString(),
});
