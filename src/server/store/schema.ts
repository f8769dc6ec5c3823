/** Tables. Rows beside the entries are kept as documents; entries are append-only and sealed in a chain. */
import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';

const document = () => text('document').notNull();

export const sites = sqliteTable('sites', { id: text('id').primaryKey(), document: document() });
export const spaces = sqliteTable('spaces', {
  id: text('id').primaryKey(),
  siteId: text('site_id').notNull(),
  document: document(),
});
export const people = sqliteTable('people', { id: text('id').primaryKey(), document: document() });
export const cylinders = sqliteTable('cylinders', { id: text('id').primaryKey(), document: document() });
export const appliances = sqliteTable(
  'appliances',
  {
    id: text('id').primaryKey(),
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id),
    document: document(),
  },
  (table) => [index('appliances_by_site').on(table.siteId)],
);

export const entries = sqliteTable(
  'entries',
  {
    /** the order in which the server accepted them; the chain follows it */
    sequence: integer('sequence').primaryKey(),
    id: text('id').notNull().unique(),
    applianceId: text('appliance_id'),
    supersedes: text('supersedes'),
    kind: text('kind'),
    visitId: text('visit_id'),
    hash: text('hash').notNull().unique(),
    previous: text('previous').notNull().unique(),
    document: document(),
  },
  (table) => [
    index('entries_by_appliance').on(table.applianceId),
    index('entries_by_supersedes').on(table.supersedes),
    index('entries_by_visit').on(table.visitId),
    index('entries_by_kind').on(table.kind),
  ],
);

/** What follows from a machine's entries as of a day; folded anew when one is added or the day turns. */
export const standings = sqliteTable('standings', {
  applianceId: text('appliance_id')
    .primaryKey()
    .references(() => appliances.id),
  asOf: text('as_of').notNull(),
  summary: text('summary').notNull(),
  document: document(),
});

/** Duties that are neither done nor void, for the board. */
export const duties = sqliteTable(
  'duties',
  {
    applianceId: text('appliance_id')
      .notNull()
      .references(() => appliances.id),
    number: integer('number').notNull(),
    due: text('due').notNull(),
    document: document(),
  },
  (table) => [
    primaryKey({ columns: [table.applianceId, table.number] }),
    index('duties_by_due').on(table.due),
  ],
);

/** Changes of rows, in the same chain as the entries: one counter runs through both tables. */
export const revisions = sqliteTable(
  'revisions',
  {
    sequence: integer('sequence').primaryKey(),
    tableName: text('table_name').notNull(),
    rowId: text('row_id').notNull(),
    hash: text('hash').notNull().unique(),
    previous: text('previous').notNull().unique(),
    document: document(),
  },
  (table) => [index('revisions_by_row').on(table.tableName, table.rowId, table.sequence)],
);

export const company = sqliteTable('company', { id: text('id').primaryKey(), document: document() });
export const owners = sqliteTable('owners', { id: text('id').primaryKey(), document: document() });
export const instruments = sqliteTable('instruments', { id: text('id').primaryKey(), document: document() });

export const amendments = sqliteTable('amendments', {
  sequence: integer('sequence').primaryKey(),
  recordedAt: text('recorded_at').notNull(),
  document: document(),
});
