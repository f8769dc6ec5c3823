/**
 * Entry kinds and their fields, as the open format gives them. Everything that happened is an entry; an entry
 * never changes: a correction is a new entry that supersedes an old one, a void supersedes it with nothing.
 */
import { z } from 'zod';
import * as f from './fields';

const common = {
  id: f.id,
  on: f.calendarDate,
  by: f.text,
  at: f.maybe(f.instant),
  recordedAt: f.maybe(f.instant),
  visitId: f.maybe(f.text),
  caseNote: f.maybe(f.text),
  note: f.maybe(f.text),
  attachments: f.maybe(f.texts),
  seal: f.maybe(f.row({ hash: f.maybe(f.text), previous: f.maybe(f.text) })),
  supersedes: f.maybe(f.id),
  correctionReason: f.maybe(f.filledText),
};

const machineEntry = <Kind extends string, Shape extends z.ZodRawShape>(kind: Kind, shape: Shape) =>
  f.row({ ...common, kind: z.literal(kind), applianceId: f.id, ...shape });

const cylinderEntry = <Kind extends string>(kind: Kind) =>
  f.row({
    ...common,
    kind: z.literal(kind),
    applianceId: f.maybe(f.id),
    cylinderId: f.id,
    gross: f.maybe(f.mass),
    mass: f.maybe(f.mass),
    counterparty: f.maybe(f.text),
  });

/** What a tool recorded, as it gives it: no deadline reads these. */
const toolEntry = <Kind extends string>(kind: Kind) =>
  z.looseObject({ ...common, kind: z.literal(kind), applianceId: f.id }) as unknown as z.ZodObject<
    typeof common & { kind: z.ZodLiteral<Kind>; applianceId: typeof f.id },
    z.core.$strip
  >;

export const FULL_CHARGE_METHODS = ['maker', 'calculated', 'weighed', 'range'] as const;
export const ADDED_REASONS = ['topOff', 'recharge', 'seasonal', 'commission', 'retrofit', 'moved'] as const;
export const RECOVERED_REASONS = ['repair', 'seasonal', 'retrofit', 'retire', 'moved'] as const;
export const RECOVERED_INTO = ['cylinder', 'outdoors'] as const;
export const TEST_GASES = ['nitrogen', 'nitrogenTrace', 'nitrogenHydrogen', 'refrigerant'] as const;
export const EXTENSION_GROUNDS = ['parts', 'otherRule', 'radiological'] as const;

export type AddedReason = (typeof ADDED_REASONS)[number];
export type RecoveredReason = (typeof RECOVERED_REASONS)[number];
export type RecoveredInto = (typeof RECOVERED_INTO)[number];
export type FullChargeMethod = (typeof FULL_CHARGE_METHODS)[number];

/** A leak's id is made once; people see its label. `part`: id on the circuit map. */
const leak = { leakId: f.id, label: f.maybe(f.text), part: f.maybe(f.text) };
const caseBearing = { why: f.maybe(f.text), pack: f.maybe(f.packId) };
const weighed = {
  mass: f.mass.nullable(),
  massUnknown: f.maybe(f.filledText),
  cylinderId: f.maybe(f.text),
  /** the same text in both entries of gas that was moved from one machine to another */
  moveId: f.maybe(f.text),
};

export const entrySchema = z.discriminatedUnion('kind', [
  machineEntry('fullChargeSet', {
    method: z.enum(FULL_CHARGE_METHODS),
    mass: f.maybe(f.mass),
    low: f.maybe(f.mass),
    high: f.maybe(f.mass),
  }),
  machineEntry('refrigerantAdded', { ...weighed, reason: z.enum(ADDED_REASONS), leakId: f.maybe(f.text) }),
  machineEntry('refrigerantRecovered', {
    ...weighed,
    reason: z.enum(RECOVERED_REASONS),
    /** `outdoors`: let out, hydrocarbons only and where the law allows it */
    into: f.maybe(z.enum(RECOVERED_INTO)),
  }),
  machineEntry('leakFound', {
    ...leak,
    component: f.maybe(f.text),
    location: f.maybe(f.text),
    methods: f.maybe(f.texts),
    confirmedBy: f.maybe(f.text),
    sizeGuess: f.maybe(f.text),
  }),
  machineEntry('leakRepaired', {
    ...leak,
    how: f.maybe(f.text),
    evacuated: f.maybe(f.flag),
    parts: f.maybe(f.texts),
    onSuspicion: f.maybe(f.flag),
    joint: f.maybe(z.union([f.text, z.looseObject({})])),
    /** what was renewed, or, as every fact of a visit, not done (why) or unknown */
    renewed: f.maybe(z.union([f.text, f.texts, z.looseObject({})])),
  }),
  machineEntry('verificationTest', {
    stage: z.enum(['initial', 'followUp']),
    result: z.enum(['pass', 'fail']),
    leakIds: f.maybe(f.texts),
    method: f.maybe(f.text),
    section: f.maybe(f.text),
    testGas: f.maybe(z.enum(TEST_GASES)),
    atJoint: f.maybe(f.pressure),
  }),
  machineEntry('normalOperation', {}),
  machineEntry('leakInspection', {
    methods: f.maybe(f.texts),
    leaksFound: f.maybe(f.texts),
    partsLeftOut: f.maybe(z.array(f.row({ part: f.text, reason: f.text }))),
    allAccessibleInspected: f.maybe(f.flag),
  }),
  machineEntry('processShutdown', caseBearing),
  machineEntry('extension', {
    ...caseBearing,
    ground: z.enum(EXTENSION_GROUNDS),
    partsDeliveredOn: f.maybe(f.calendarDate),
    until: f.maybe(f.calendarDate),
  }),
  machineEntry('planFiled', { plan: z.enum(['retrofit', 'retire']), pack: f.maybe(f.packId) }),
  machineEntry('planCompleted', { pack: f.maybe(f.packId) }),
  machineEntry('unrelatedLeak', caseBearing),
  machineEntry('retrofitted', { toRefrigerant: f.refrigerantName }),
  machineEntry('applianceChanged', {
    category: f.maybe(f.category),
    automaticDetection: f.maybe(f.detection),
    hermetic: f.maybe(f.flag),
    lightCommercialAirConditioning: f.maybe(f.flag),
  }),
  machineEntry('mothballed', {}),
  machineEntry('retired', {}),
  machineEntry('detectionCheck', {}),
  machineEntry('reportFiled', { year: z.int() }),
  f.row({ ...common, kind: z.literal('void'), applianceId: f.maybe(f.id) }),
  toolEntry('detectionAlarm'),
  toolEntry('readings'),
  toolEntry('pressureHold'),
  toolEntry('evacuation'),
  toolEntry('chargeRun'),
  toolEntry('partFitted'),
  toolEntry('search'),
  toolEntry('photo'),
  toolEntry('handover'),
  cylinderEntry('cylinderWeighed'),
  cylinderEntry('cylinderReceived'),
  cylinderEntry('cylinderSent'),
  cylinderEntry('cylinderTransferred'),
]);

export type Entry = z.infer<typeof entrySchema>;
export type EntryKind = Entry['kind'];
export type EntryOf<Kind extends EntryKind> = Extract<Entry, { kind: Kind }>;

/** The kinds as a list, read from the schema so that it cannot fall behind. */
export const ENTRY_KINDS = entrySchema.options.map(
  (option) => option.shape.kind.value,
) as readonly EntryKind[];

/** Id of who wrote an entry for the one who did it (`by`); null: they wrote it themselves. */
export const writtenByOf = (entry: Entry): string | null =>
  (entry as { 'x-writtenBy'?: string })['x-writtenBy'] ?? null;
