/** Tables of who was where: visits, and who serves which machine. Made anew from the entries at any time. */
import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** A visit to one machine, from its effective entries. */
export const visits = sqliteTable(
  'visits',
  {
    visitId: text('visit_id').notNull(),
    applianceId: text('appliance_id').notNull(),
    from: text('from_day').notNull(),
    to: text('to_day').notNull(),
    entries: integer('entries').notNull(),
    handedOver: integer('handed_over').notNull(),
    by: text('by').notNull(),
    /** sequence of its newest entry */
    last: integer('last').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.visitId, table.applianceId] }),
    index('visits_by_last').on(table.last, table.applianceId),
    index('visits_by_appliance').on(table.applianceId, table.last),
  ],
);

/** Who wrote about which machine, and on which day last: whom its duties concern. Kept by a trigger. */
export const served = sqliteTable(
  'served',
  {
    by: text('by').notNull(),
    applianceId: text('appliance_id').notNull(),
    last: text('last_day').notNull(),
  },
  (table) => [primaryKey({ columns: [table.by, table.applianceId] })],
);
