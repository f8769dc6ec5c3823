/** Tables beside the accounts: notices by mail, other programs, and what each was told. */
import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { at } from './columns';
import { user } from './userTables';

/** When somebody is told by mail what falls due. Without a row: as usual for the role. */
export const noticeTimes = sqliteTable('notice_times', {
  userId: text('user_id')
    .primaryKey()
    .references(() => user.id, { onDelete: 'cascade' }),
  /** daily, weekly or never */
  digest: text('digest').notNull(),
  hour: integer('hour').notNull(),
  quietFrom: integer('quiet_from').notNull(),
  quietTo: integer('quiet_to').notNull(),
  timezone: text('timezone').notNull(),
});

/** The day of somebody's last digest: none is sent twice, whatever happens between. */
export const digestSent = sqliteTable('digest_sent', {
  userId: text('user_id')
    .primaryKey()
    .references(() => user.id, { onDelete: 'cascade' }),
  on: text('on_day').notNull(),
});

/** Dates that passed, each told to a manager once. */
export const toldPassed = sqliteTable(
  'told_passed',
  {
    userId: text('user_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    duty: text('duty').notNull(),
    due: text('due').notNull(),
  },
  (table) => [primaryKey({ columns: [table.userId, table.duty, table.due] })],
);

/** Mail that was written: sent by a mail server where one is set, else read here. */
export const mail = sqliteTable(
  'mail',
  {
    id: text('id').primaryKey(),
    to: text('to_address').notNull(),
    name: text('name').notNull(),
    about: text('about').notNull(),
    subject: text('subject').notNull(),
    text: text('body').notNull(),
    /** page on which its reader ends such mail; null: it was asked for */
    unsubscribe: text('unsubscribe'),
    madeAt: at('made_at').notNull(),
    /** null: not yet, or never */
    sentAt: at('sent_at'),
    tries: integer('tries').notNull().default(0),
    /** when it is tried next; null: no more */
    nextTry: at('next_try'),
    fault: text('fault'),
  },
  (table) => [index('mail_by_made').on(table.madeAt, table.id), index('mail_by_try').on(table.nextTry)],
);

/** By which another program calls. The token is kept as a hash. */
export const apiToken = sqliteTable('api_token', {
  id: text('id').primaryKey(),
  tokenHash: text('token_hash').notNull().unique(),
  /** its own row on the list of people, under whose name it writes */
  personId: text('person_id').notNull(),
  name: text('name').notNull(),
  scope: text('scope').notNull(),
  siteId: text('site_id'),
  madeBy: text('made_by').notNull(),
  madeAt: at('made_at').notNull(),
  expiresAt: at('expires_at').notNull(),
  lastUsed: at('last_used'),
  withdrawnAt: at('withdrawn_at'),
});

/** Where another program is told what falls due. */
export const webhook = sqliteTable('webhook', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  url: text('url').notNull(),
  secret: text('secret').notNull(),
  madeBy: text('made_by').notNull(),
  madeAt: at('made_at').notNull(),
  withdrawnAt: at('withdrawn_at'),
});

export const delivery = sqliteTable(
  'delivery',
  {
    id: text('id').primaryKey(),
    webhookId: text('webhook_id')
      .notNull()
      .references(() => webhook.id, { onDelete: 'cascade' }),
    about: text('about').notNull(),
    body: text('body').notNull(),
    madeAt: at('made_at').notNull(),
    sentAt: at('sent_at'),
    tries: integer('tries').notNull().default(0),
    nextTry: at('next_try'),
    fault: text('fault'),
  },
  (table) => [
    index('delivery_by_hook').on(table.webhookId, table.madeAt),
    index('delivery_by_try').on(table.nextTry),
  ],
);

/** What another program was told already: each duty once when it comes near, and once when its date passed. */
export const toldHook = sqliteTable(
  'told_hook',
  {
    webhookId: text('webhook_id')
      .notNull()
      .references(() => webhook.id, { onDelete: 'cascade' }),
    event: text('event').notNull(),
    duty: text('duty').notNull(),
    due: text('due').notNull(),
  },
  (table) => [primaryKey({ columns: [table.webhookId, table.event, table.duty, table.due] })],
);
