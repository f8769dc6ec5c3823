/** Machines over HTTP: the list, one with its newest entries, and a new one. */
import { z } from 'zod';
import { entrySchema } from '../core/logbook/entry';
import { filledText, id } from '../core/logbook/fields';
import { PACK_IDS } from '../core/logbook/packNames';
import { APPLIANCE_KINDS, applianceRow, siteRow, spaceRow } from '../core/logbook/tables';
import { type MachineSummary } from '../core/rules/summary';
import { MACHINE_STATES } from '../core/rules/machineState';
import type { ApplianceStanding } from '../core/rules/standingDocument';
import { MOST_ENTRIES, place, limitOf, flag, pageOf } from './paging';

/** A machine with the full charge that is known of it, if any, as one step. */
export const newMachine = z.object({
  appliance: applianceRow.safeExtend({ name: filledText }),
  spaces: z.array(spaceRow).default([]),
  entries: z.array(entrySchema).max(MOST_ENTRIES).default([]),
  by: z.string().nullish(),
});

export const massSystem = z.enum(['pounds', 'kilograms']);

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
