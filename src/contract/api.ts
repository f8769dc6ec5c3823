/** The HTTP API as schemas: the only thing that the web and the server share besides the core. */
import { z } from 'zod';
import { entrySchema } from '../core/logbook/entry';
import { PACK_IDS, calendarDate, filledText, id } from '../core/logbook/fields';
import {
  applianceRow,
  companyRow,
  cylinderRow,
  ownerRow,
  personRow,
  revisionRow,
  siteRow,
  spaceRow,
} from '../core/logbook/tables';
import { amendmentSchema } from '../core/rules/amend';
import type { LeakingMachine, NoForecast } from '../core/judge/leakingMachine';
import type { Why } from '../core/rules/obligation';
import type { MachineSummary, UnjudgedSummary } from '../core/rules/summary';
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

export const newEntry = entrySchema;
export const newEntries = z.array(entrySchema).min(1);

/** A machine with the full charge that is known of it, if any, as one step. */
export const newMachine = z.object({
  appliance: applianceRow.safeExtend({ name: filledText }),
  spaces: z.array(spaceRow).default([]),
  entries: z.array(entrySchema).default([]),
  by: z.string().nullish(),
});
export const newAmendment = amendmentSchema;

export const sitesAnswer = z.array(siteRow);
export const spacesAnswer = z.array(spaceRow);
export const peopleAnswer = z.array(personRow);
export const cylindersAnswer = z.array(cylinderRow);

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
export const machinesAnswer = z.array(machineRow);

export const machineAnswer = z.object({
  appliance: applianceRow,
  site: siteRow,
  spaces: z.array(spaceRow),
  /** entries of the machine and those that correct or rival them, sealed, in the order they were accepted */
  entries: z.array(entrySchema),
  standing: z.custom<ApplianceStanding>((value) => typeof value === 'object' && value !== null),
  packs: z.array(z.enum(PACK_IDS)),
});
export type MachineAnswer = z.infer<typeof machineAnswer>;

export const dueRow = z.object({
  machineId: id,
  machineName: z.string(),
  siteId: id,
  siteName: z.string(),
  pack: z.enum(PACK_IDS),
  kind: z.string(),
  due: calendarDate,
  state: z.enum(['overdue', 'dueSoon', 'upcoming']),
  caseOpenedOn: calendarDate.nullable(),
  why: z.custom<Why>((value) => typeof value === 'object' && value !== null),
  cite: z.string(),
  /** today at the site */
  today: calendarDate,
  massSystem,
  summary,
});
export type DueRow = z.infer<typeof dueRow>;
/** A machine of which nobody can say what is due, and why. */
export const unjudgedRow = z.object({
  machineId: id,
  machineName: z.string(),
  siteId: id,
  siteName: z.string(),
  massSystem,
  unjudged: z.custom<UnjudgedSummary>((value) => typeof value === 'object' && value !== null),
});
export type UnjudgedRow = z.infer<typeof unjudgedRow>;
export const dueAnswer = z.object({
  rows: z.array(dueRow),
  unjudged: z.array(unjudgedRow),
  certificates: z.array(
    z.object({ personId: id, name: z.string(), scheme: z.string(), expires: calendarDate }),
  ),
});

/** What each machine's own additions say of its leak: the ground of a forecast, reckoned in the browser. */
export const leakingAnswer = z.array(
  z.object({
    applianceId: id,
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
export const visitsAnswer = z.object({ rows: z.array(visitRow), more: z.boolean() });

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
  offset: z.coerce.number().int().min(0).default(0),
});
