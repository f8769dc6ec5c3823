/** The HTTP API as schemas: the only thing that the web and the server share besides the core. */
import { z } from 'zod';
import { entrySchema } from '../core/logbook/entry';
import { calendarDate, id } from '../core/logbook/fields';
import { PACK_IDS } from '../core/logbook/packNames';
import {
  companyRow,
  cylinderRow,
  ownerRow,
  personRow,
  revisionRow,
  siteRow,
  spaceRow,
} from '../core/logbook/tables';
import type { Day } from '../core/quantity/day';
import { amendmentSchema } from '../core/rules/amend';
import type { LeakingMachine, NoForecast } from '../core/diagnosis/leakingMachine';
import { OBLIGATION_KINDS, type Why } from '../core/rules/obligation';
import { type HeadroomSummary } from '../core/rules/summary';
import { PART_TYPES, type PartTypeName } from '../core/circuit/parts';
import { instrumentRow } from '../core/visit/instrument';
import { massSystem } from './machines';
import { MOST_ENTRIES, place, limitOf, pageOf } from './paging';

/** A problem document (RFC 9457) with what is wrong by field. */
export const problemDocument = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.string().optional(),
  errors: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
  /** codes of warnings that want a reason before the entry is taken */
  warnings: z.array(z.string()).optional(),
});
export type ProblemDocument = z.infer<typeof problemDocument>;

/** Whatever cannot be read answers with a problem instead. */
export const healthAnswer = z.object({ ready: z.literal(true) });

export const clockAnswer = z.object({ fixedToday: calendarDate.nullable(), nowMs: z.number() });
export const newEntry = entrySchema;
const severalEntries = z
  .array(entrySchema)
  .min(1)
  .max(
    MOST_ENTRIES,
    `must not hold more than ${String(MOST_ENTRIES)} entries; send the rest in further requests`,
  );
/** A list of entries, or one entry without a list around it. */
export const newEntries = z.preprocess((given) => (Array.isArray(given) ? given : [given]), severalEntries);
export const newAmendment = amendmentSchema;

export const sitesQuery = z.object({
  text: z.string().default(''),
  /** several, with commas between them; all other questions are passed over then */
  ids: z.string().optional(),
  after: place,
  limit: limitOf(50, 200),
});
export const sitesAnswer = pageOf(siteRow);
export const siteAnswer = siteRow;
/** Of a site, or several by their ids with commas between them. */
export const spacesQuery = z.object({ site: id.optional(), ids: z.string().optional() });
export const spacesAnswer = z.array(spaceRow);
export const peopleAnswer = z.array(personRow);
export const cylindersQuery = z.object({
  refrigerant: z.string().optional(),
  /** several, with commas between them; all other questions are passed over then */
  ids: z.string().optional(),
  after: place,
  limit: limitOf(100, 500),
});
export const cylindersAnswer = pageOf(cylinderRow);

export const dueRow = z.object({
  machineId: id,
  machineName: z.string(),
  siteId: id,
  siteName: z.string(),
  pack: z.enum(PACK_IDS),
  /** all packs that ask for it */
  packs: z.array(z.enum(PACK_IDS)),
  kind: z.enum(OBLIGATION_KINDS),
  due: calendarDate,
  state: z.enum(['overdue', 'dueSoon', 'upcoming']),
  caseOpenedOn: calendarDate.nullable(),
  why: z.custom<Why>((value) => typeof value === 'object' && value !== null),
  cite: z.string(),
  /** today at the site */
  today: calendarDate,
  massSystem,
  rod: z.custom<HeadroomSummary>((value) => typeof value === 'object' && value !== null),
});
export type DueRow = z.infer<typeof dueRow>;
export const dueQuery = z.object({ site: id.optional(), after: place, limit: limitOf(30, 100) });
/** The next page of duties, by their day. */
export const dueAnswer = pageOf(dueRow);

/** By days left: late; within a week; within a month; later. */
export const DUE_GROUPS = ['overdue', 'week', 'month', 'later'] as const;
export type DueGroup = (typeof DUE_GROUPS)[number];
const WEEK_DAYS = 7;
/** Within so many days something is worth a trip. */
export const TRIP_DAYS = 31;

export function dueGroupOf(due: Day, today: Day): DueGroup {
  if (due < today) return 'overdue';
  if (due <= today + WEEK_DAYS) return 'week';
  return due <= today + TRIP_DAYS ? 'month' : 'later';
}

export const dueCountsQuery = z.object({ site: id.optional() });
export const dueCountsAnswer = z.object({
  groups: z.record(z.enum(DUE_GROUPS), z.number()),
  /** machines of the company that are not judged for today yet: what they ask for may be lacking */
  left: z.number(),
  certificates: z.array(
    z.object({ personId: id, name: z.string(), scheme: z.string(), expires: calendarDate }),
  ),
});

export const tripsQuery = z.object({ after: place, limit: limitOf(12, 100) });
/** Sites with something late or due within a month, the latest first. */
export const tripsAnswer = pageOf(
  z.object({ siteId: id, siteName: z.string(), late: z.number(), due: z.number() }),
);
export type Trip = z.infer<typeof tripsAnswer>['rows'][number];

/** What each machine's own additions say of its leak: the ground of a forecast, reckoned in the browser. */
export const leakingQuery = z.object({ site: id.optional(), after: place, limit: limitOf(100, 500) });
export const leakingAnswer = pageOf(
  z.object({
    applianceId: id,
    machineName: z.string(),
    siteName: z.string(),
    leaking: z.custom<{ ok: true; machine: LeakingMachine } | { ok: false; why: NoForecast }>(
      (value) => typeof value === 'object' && value !== null,
    ),
  }),
);

export const appended = z.object({ entries: z.array(entrySchema), machines: z.array(z.string()) });
export const rulesAnswer = z.object({
  amendments: z.array(amendmentSchema.extend({ recordedAt: z.string() })),
});
export const verifyAnswer = z.object({
  entries: z.number(),
  revisions: z.number(),
  intact: z.boolean(),
  brokenAt: z.object({ sequence: z.number(), id: z.string(), why: z.string() }).nullable(),
  /** rows that are not what their latest revision says */
  alteredRows: z.array(z.object({ table: z.string(), id: z.string() })),
});

export const storedPhoto = z.object({ file: z.string(), width: z.number(), height: z.number() });

/** One visit to one machine; a visit to several machines has a row for each. */
export const visitRow = z.object({
  visitId: z.string(),
  applianceId: id,
  machineName: z.string(),
  siteId: id,
  siteName: z.string(),
  /** first and last day on which something was written */
  from: calendarDate,
  to: calendarDate,
  entries: z.number(),
  handedOver: z.boolean(),
  by: z.string(),
  today: calendarDate,
});
export type VisitRow = z.infer<typeof visitRow>;
export const visitsAnswer = pageOf(visitRow);

/** How often each type of part leaked on machines of a kind. */
export const leaksOfKindAnswer = z.partialRecord(
  z.enum(Object.keys(PART_TYPES) as [PartTypeName, ...PartTypeName[]]),
  z.number(),
);

/** What the logbook says went into and out of each bottle of a refrigerant, g. */
export const cylinderFlowsAnswer = z.array(
  z.object({ cylinderId: id, putIn: z.number(), takenOut: z.number(), notWeighed: z.number() }),
);

export const instrumentsAnswer = z.array(instrumentRow);
export const companyAnswer = companyRow.nullable();
export const ownersAnswer = z.array(ownerRow);

export const changesQuery = z.object({ before: z.coerce.number().int().optional() });
/** What was written, newest first: an entry, or a revision of a row. */
export const changesAnswer = z.object({
  changes: z.array(
    z.object({
      sequence: z.number(),
      entry: entrySchema.nullable(),
      revision: revisionRow.nullable(),
      machineName: z.string(),
      siteName: z.string(),
      massSystem,
      /** what the leaks of its machine are called, by id */
      leaks: z.record(z.string(), z.string()),
    }),
  ),
  /** ask for what came before this; null: that was all */
  before: z.number().nullable(),
});
export type Change = z.infer<typeof changesAnswer>['changes'][number];

export const visitsQuery = z.object({
  text: z.string().default(''),
  machine: id.optional(),
  visit: id.optional(),
  after: place,
  limit: limitOf(40, 200),
});
