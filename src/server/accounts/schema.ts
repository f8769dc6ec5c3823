/**
 * Accounts in a file of their own beside the logbook's: sessions are written all day and must neither wait for the queue of
 * the logbook nor make it take its memory for stale. Names of tables and columns are those that the sign-in library asks for.
 */
import { integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';

const at = (name: string) => integer(name, { mode: 'timestamp_ms' });

export const user = sqliteTable(
  'user',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    email: text('email').notNull().unique(),
    emailVerified: integer('email_verified', { mode: 'boolean' }).notNull(),
    image: text('image'),
    createdAt: at('created_at').notNull(),
    updatedAt: at('updated_at').notNull(),
    /** of the logbook's list of people */
    personId: text('person_id').notNull(),
    role: text('role').notNull(),
    ownerId: text('owner_id'),
    /** of the demo story: signed in by one touch */
    demo: integer('demo', { mode: 'boolean' }).notNull().default(false),
  },
  (table) => [uniqueIndex('user_person').on(table.personId)],
);

export const session = sqliteTable('session', {
  id: text('id').primaryKey(),
  expiresAt: at('expires_at').notNull(),
  token: text('token').notNull().unique(),
  createdAt: at('created_at').notNull(),
  updatedAt: at('updated_at').notNull(),
  ipAddress: text('ip_address'),
  userAgent: text('user_agent'),
  userId: text('user_id')
    .notNull()
    .references(() => user.id, { onDelete: 'cascade' }),
});

export const account = sqliteTable('account', {
  id: text('id').primaryKey(),
  accountId: text('account_id').notNull(),
  providerId: text('provider_id').notNull(),
  userId: text('user_id')
    .notNull()
    .references(() => user.id, { onDelete: 'cascade' }),
  accessToken: text('access_token'),
  refreshToken: text('refresh_token'),
  idToken: text('id_token'),
  accessTokenExpiresAt: at('access_token_expires_at'),
  refreshTokenExpiresAt: at('refresh_token_expires_at'),
  scope: text('scope'),
  password: text('password'),
  createdAt: at('created_at').notNull(),
  updatedAt: at('updated_at').notNull(),
});

export const verification = sqliteTable('verification', {
  id: text('id').primaryKey(),
  identifier: text('identifier').notNull(),
  value: text('value').notNull(),
  expiresAt: at('expires_at').notNull(),
  createdAt: at('created_at').notNull(),
  updatedAt: at('updated_at').notNull(),
});

/** A link by which somebody comes in. Its token is kept as a hash: who reads the file cannot use it. */
export const invitation = sqliteTable('invitation', {
  id: text('id').primaryKey(),
  tokenHash: text('token_hash').notNull().unique(),
  /** null: the first manager, who is on no list yet */
  personId: text('person_id'),
  role: text('role').notNull(),
  ownerId: text('owner_id'),
  madeAt: at('made_at').notNull(),
  expiresAt: at('expires_at').notNull(),
});
