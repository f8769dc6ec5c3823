/** Tables. Rows beside the entries are kept as documents; entries are append-only and sealed in a chain. */
import { isNotNull } from 'drizzle-orm';
import { index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';

export { served, visits } from './visitTables';

const document = () => text('document').notNull();

/** Name or serial as names are compared: nobody has to write one in the same case. */
const nameKey = () => text('name_key').notNull().default('');

export const sites = sqliteTable(
  'sites',
  { id: text('id').primaryKey(), document: document(), nameKey: nameKey() },
  (table) => [index('sites_by_name').on(table.nameKey, table.id)],
);
export const spaces = sqliteTable(
  'spaces',
  { id: text('id').primaryKey(), siteId: text('site_id').notNull(), document: document() },
  (table) => [index('spaces_by_site').on(table.siteId)],
);
export const people = sqliteTable(
  'people',
  { id: text('id').primaryKey(), document: document(), nameKey: nameKey() },
  (table) => [index('people_by_name').on(table.nameKey)],
);
export const cylinders = sqliteTable(
  'cylinders',
  {
    id: text('id').primaryKey(),
    document: document(),
    nameKey: nameKey(),
    refrigerant: text('refrigerant').notNull().default(''),
  },
  (table) => [
    index('cylinders_by_name').on(table.nameKey, table.id),
    index('cylinders_by_refrigerant').on(table.refrigerant, table.nameKey, table.id),
  ],
);
export const appliances = sqliteTable(
  'appliances',
  {
    id: text('id').primaryKey(),
    siteId: text('site_id')
      .notNull()
      .references(() => sites.id),
    document: document(),
    nameKey: nameKey(),
  },
  (table) => [index('appliances_by_site').on(table.siteId, table.nameKey)],
);

export const entries = sqliteTable(
  'entries',
  {
    /** the order in which the server accepted them; the chain follows it, and its seal stands in the document */
    sequence: integer('sequence').primaryKey(),
    id: text('id').notNull().unique(),
    applianceId: text('appliance_id'),
    supersedes: text('supersedes'),
    visitId: text('visit_id'),
    cylinderId: text('cylinder_id'),
    document: document(),
  },
  (table) => [
    index('entries_by_appliance').on(table.applianceId),
    index('entries_by_supersedes').on(table.supersedes).where(isNotNull(table.supersedes)),
    index('entries_by_visit').on(table.visitId).where(isNotNull(table.visitId)),
    index('entries_by_cylinder').on(table.cylinderId).where(isNotNull(table.cylinderId)),
  ],
);

/**
 * What follows from a machine's entries as of a day: the columns that lists are sorted and narrowed by, what they show,
 * and the whole. Made anew from the entries at any time; so are all tables down to `visits`.
 */
export const standings = sqliteTable(
  'standings',
  {
    /** row of the search table */
    number: integer('number').primaryKey(),
    applianceId: text('appliance_id').notNull().unique(),
    siteId: text('site_id').notNull(),
    /** engine, rules and day of the judgement: another one makes it stale */
    stamp: text('stamp').notNull(),
    /** hash over its duties and leaking parts: the same, and their rows need no writing */
    fingerprint: text('fingerprint').notNull(),
    /** what a search finds it by */
    words: text('words').notNull(),
    kind: text('kind').notNull(),
    state: integer('state').notNull(),
    unjudged: integer('unjudged').notNull(),
    byName: text('by_name').notNull(),
    bySite: text('by_site').notNull(),
    charge: real('charge').notNull(),
    room: real('room').notNull(),
    due: text('due').notNull(),
    summary: text('summary').notNull(),
    /** ground of its forecast */
    leaking: text('leaking').notNull(),
    /** null until somebody asks for it: most never are */
    document: text('document'),
  },
  (table) => [
    index('standings_by_stamp').on(table.stamp, table.number),
    index('standings_by_name').on(table.byName, table.number),
    index('standings_by_place').on(table.bySite, table.byName, table.number),
    index('standings_by_state').on(table.state, table.byName, table.number),
    index('standings_by_charge').on(table.charge, table.number),
    index('standings_by_room').on(table.room, table.number),
    index('standings_by_due').on(table.due, table.number),
    index('standings_by_kind').on(table.kind, table.state, table.byName, table.number),
    index('standings_by_site').on(table.siteId, table.state, table.byName, table.number),
    index('standings_unjudged').on(table.unjudged, table.byName, table.number),
  ],
);

/** How many machines there are, kept by triggers. */
export const machineTallies = sqliteTable(
  'machine_tallies',
  {
    kind: text('kind').notNull(),
    state: integer('state').notNull(),
    unjudged: integer('unjudged').notNull(),
    machines: integer('machines').notNull(),
  },
  (table) => [primaryKey({ columns: [table.kind, table.state, table.unjudged] })],
);

/** Duties that are neither done nor void; the same duty of several packs is one row. */
export const duties = sqliteTable(
  'duties',
  {
    applianceId: text('appliance_id').notNull(),
    kind: text('kind').notNull(),
    due: text('due').notNull(),
    siteId: text('site_id').notNull(),
    timezone: text('timezone').notNull(),
    document: document(),
  },
  (table) => [
    primaryKey({ columns: [table.applianceId, table.due, table.kind] }),
    index('duties_by_due').on(table.due, table.applianceId, table.kind),
    index('duties_by_site').on(table.siteId, table.due, table.applianceId, table.kind),
  ],
);

/** How many duties fall on a day: at a site, and in a time zone, where days begin together. Kept by triggers. */
export const dutyDays = sqliteTable(
  'duty_days',
  {
    /** `site ID` or `zone NAME` */
    scope: text('scope').notNull(),
    due: text('due').notNull(),
    duties: integer('duties').notNull(),
  },
  (table) => [primaryKey({ columns: [table.scope, table.due] })],
);

/** Where to drive: what is late and what falls due within a month at a site, as of a day. */
export const trips = sqliteTable(
  'trips',
  {
    siteId: text('site_id').primaryKey(),
    asOf: text('as_of').notNull(),
    late: integer('late').notNull(),
    due: integer('due').notNull(),
  },
  (table) => [index('trips_by_need').on(table.late, table.due, table.siteId)],
);

/** How often each type of part leaked on a machine; the sums by kind of machine are kept by triggers. */
export const leakParts = sqliteTable(
  'leak_parts',
  {
    applianceId: text('appliance_id').notNull(),
    kind: text('kind').notNull(),
    type: text('type').notNull(),
    times: integer('times').notNull(),
  },
  (table) => [primaryKey({ columns: [table.applianceId, table.type] })],
);
export const leakTallies = sqliteTable(
  'leak_tallies',
  { kind: text('kind').notNull(), type: text('type').notNull(), times: integer('times').notNull() },
  (table) => [primaryKey({ columns: [table.kind, table.type] })],
);

/** Changes of rows, in the same chain as the entries: one counter runs through both tables. */
export const revisions = sqliteTable(
  'revisions',
  {
    sequence: integer('sequence').primaryKey(),
    tableName: text('table_name').notNull(),
    rowId: text('row_id').notNull(),
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

/** Documents that left the house, in the order in which they were issued; each is sealed as a revision. */
export const issued = sqliteTable(
  'issued',
  {
    sequence: integer('sequence').primaryKey(),
    id: text('id').notNull().unique(),
    /** number without its version */
    base: text('base').notNull(),
    applianceId: text('appliance_id'),
    document: document(),
  },
  (table) => [
    index('issued_by_base').on(table.base, table.sequence),
    index('issued_by_appliance').on(table.applianceId, table.sequence),
  ],
);

/** What came in from files, so that it can be undone; what it wrote is sealed where it stands. */
export const imports = sqliteTable('imports', {
  sequence: integer('sequence').primaryKey(),
  id: text('id').notNull().unique(),
  document: document(),
  /** ids of the entries and rows that it wrote */
  wrote: text('wrote').notNull(),
});

/** Which column of a spreadsheet is which field, by the headings it was decided for. */
export const mappings = sqliteTable('mappings', { id: text('id').primaryKey(), document: document() });

/** Calendars that others subscribe to, each by a secret address. */
export const feeds = sqliteTable('feeds', { id: text('id').primaryKey(), document: document() });

/** What each calendar told last, so that changes and cancellations reach whoever subscribed. */
export const feedEvents = sqliteTable(
  'feed_events',
  { feedId: text('feed_id').notNull(), uid: text('uid').notNull(), document: document() },
  (table) => [primaryKey({ columns: [table.feedId, table.uid] })],
);
