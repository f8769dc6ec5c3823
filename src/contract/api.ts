/** The HTTP API as schemas: the only thing that the web and the server share besides the core. */
import { z } from 'zod';
import { entrySchema } from '../core/logbook/entry';
import { PACK_IDS, calendarDate, filledText, id } from '../core/logbook/fields';
import {
  APPLIANCE_KINDS,
  applianceRow,
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
import type { LeakingMachine, NoForecast } from '../core/judge/leakingMachine';
import type { Why } from '../core/rules/obligation';
import { type MachineSummary, type Rod } from '../core/rules/summary';
import { MACHINE_STATES } from '../core/rules/machineState';
import type { ApplianceStanding } from '../core/rules/standingDocument';
import { PART_TYPES, type PartTypeName } from '../core/visit/circuit/parts';
import { instrumentRow } from '../core/visit/instrument';

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

export const clockAnswer = z.object({ fixedToday: calendarDate.nullable(), nowMs: z.number() });

/** So many entries are taken at once; more come in several requests. */
export const MOST_ENTRIES = 500;
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

/** A place in a list, as the page before gave it. */
const place = z.string().min(1).optional();
const limitOf = (usual: number, most: number) =>
  z.coerce
    .number()
    .int()
    .min(1)
    .max(most, `must not be more than ${String(most)}; ask for the next page`)
    .default(usual);
const flag = z
  .enum(['1', '0'])
  .default('0')
  .transform((given) => given === '1');
/** A page of a list; `next`: ask with it as `after` for what follows, null: that was all. */
const pageOf = <Row extends z.ZodType>(row: Row) =>
  z.object({ rows: z.array(row), next: z.string().nullable() });

/** A machine with the full charge that is known of it, if any, as one step. */
export const newMachine = z.object({
  appliance: applianceRow.safeExtend({ name: filledText }),
  spaces: z.array(spaceRow).default([]),
  entries: z.array(entrySchema).max(MOST_ENTRIES).default([]),
  by: z.string().nullish(),
});
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

const massSystem = z.enum(['pounds', 'kilograms']);
const summary = z.custom<MachineSummary>((value) => typeof value === 'object' && value !== null);
export const machineRow = z.object({
  appliance: applianceRow,
  siteId: id,
  siteName: z.string(),
  massSystem,
  summary,
});
export type MachineRow = z.infer<typeof machineRow>;
export const MACHINE_SORTS = ['state', 'name', 'site', 'charge', 'room', 'due'] as const;
export type MachineSort = (typeof MACHINE_SORTS)[number];

/** Retired machines stay out unless their state is asked for. */
export const machinesQuery = z.object({
  text: z.string().default(''),
  site: id.optional(),
  kind: z.enum(APPLIANCE_KINDS).optional(),
  state: z.enum(MACHINE_STATES).optional(),
  /** only those that cannot be judged */
  unjudged: flag,
  /** only those with a limit that nobody exceeds */
  withRoom: flag,
  sort: z.enum(MACHINE_SORTS).default('state'),
  descending: flag,
  after: place,
  limit: limitOf(40, 200),
  /** several, with commas between them: these, whatever else is asked, retired ones too */
  ids: z.string().optional(),
});
export const machinesAnswer = z.object({
  ...pageOf(machineRow).shape,
  /** how many fit, with the retired ones aside; `more`: more than that */
  count: z.number(),
  more: z.boolean(),
  /** null: so many are found that nobody counted them */
  retired: z.number().nullable(),
});

/** How much of a machine's record its page brings at first, and each further page. */
export const FIRST_ENTRIES = 200;
export const FURTHER_ENTRIES = 1000;

/** Entries of the machine and those that correct or rival them, sealed, the newest of them in the order they were accepted. */
const entriesOfMachine = {
  entries: z.array(entrySchema),
  /** ask for the entries before this place in the chain; null: these are all */
  before: z.number().nullable(),
};

export const machineAnswer = z.object({
  appliance: applianceRow,
  site: siteRow,
  spaces: z.array(spaceRow),
  ...entriesOfMachine,
  /** how many entries of its own it has */
  total: z.number(),
  summary,
  /** what `compute` gives, with the newest 200 of each list */
  standing: z.custom<ApplianceStanding>((value) => typeof value === 'object' && value !== null),
  packs: z.array(z.enum(PACK_IDS)),
});
export type MachineAnswer = z.infer<typeof machineAnswer>;
export const machineEntriesQuery = z.object({
  before: z.coerce.number().int().optional(),
  limit: limitOf(FURTHER_ENTRIES, FURTHER_ENTRIES),
});
export const machineEntriesAnswer = z.object(entriesOfMachine);

export const dueRow = z.object({
  machineId: id,
  machineName: z.string(),
  siteId: id,
  siteName: z.string(),
  pack: z.enum(PACK_IDS),
  /** all packs that ask for it */
  packs: z.array(z.enum(PACK_IDS)),
  kind: z.string(),
  due: calendarDate,
  state: z.enum(['overdue', 'dueSoon', 'upcoming']),
  caseOpenedOn: calendarDate.nullable(),
  why: z.custom<Why>((value) => typeof value === 'object' && value !== null),
  cite: z.string(),
  /** today at the site */
  today: calendarDate,
  massSystem,
  rod: z.custom<Rod>((value) => typeof value === 'object' && value !== null),
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
export const bottlesAnswer = z.array(
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
