/**
 * Accounts in a file of their own beside the logbook's: sessions are written all day and must neither wait for the queue of
 * the logbook nor make it take its memory for stale. Names of tables and columns are those that the sign-in library asks for.
 */
import { relations } from 'drizzle-orm';
import { index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { at } from './columns';

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

/** A session is read together with its user, and a user with the ways in, in one turn each. */
export const sessionRelations = relations(session, ({ one }) => ({
  user: one(user, { fields: [session.userId], references: [user.id] }),
}));
export const accountRelations = relations(account, ({ one }) => ({
  user: one(user, { fields: [account.userId], references: [user.id] }),
}));
export const userRelations = relations(user, ({ many }) => ({ accounts: many(account) }));

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

/** What a device or a key proves instead of a password. */
export const passkey = sqliteTable(
  'passkey',
  {
    id: text('id').primaryKey(),
    name: text('name'),
    publicKey: text('public_key').notNull(),
    userId: text('user_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    credentialID: text('credential_id').notNull(),
    counter: integer('counter').notNull(),
    deviceType: text('device_type').notNull(),
    backedUp: integer('backed_up', { mode: 'boolean' }).notNull(),
    transports: text('transports'),
    createdAt: at('created_at'),
    aaguid: text('aaguid'),
  },
  (table) => [index('passkey_user').on(table.userId), index('passkey_credential').on(table.credentialID)],
);

/** A tablet that several people share. Its cookie's token is kept as a hash. */
export const tablet = sqliteTable('tablet', {
  id: text('id').primaryKey(),
  tokenHash: text('token_hash').notNull().unique(),
  device: text('device').notNull(),
  madeAt: at('made_at').notNull(),
});

/** By which PIN somebody is let in on a shared tablet, and how often a wrong one was tried since. */
export const pin = sqliteTable(
  'pin',
  {
    tabletId: text('tablet_id')
      .notNull()
      .references(() => tablet.id, { onDelete: 'cascade' }),
    userId: text('user_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    hash: text('hash').notNull(),
    wrong: integer('wrong').notNull().default(0),
  },
  (table) => [primaryKey({ columns: [table.tabletId, table.userId] })],
);
