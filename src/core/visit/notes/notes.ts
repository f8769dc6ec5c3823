/**
 * What the tools of a visit file: for each its entry kind and its fields. The format lets tool entries carry anything, so
 * these schemas are what our own tools promise each other; what another tool wrote is passed over, not guessed at.
 */
import { z } from 'zod';
import { type Entry, type EntryKind, TEST_GASES } from '../../logbook/entry';
import { calendarDate, filledText, maybe, mass, texts } from '../../logbook/fields';
import {
  CHOICES,
  DISCONNECTED,
  FALSE_CAUSES,
  GRADES,
  PHASES,
  RAISED,
  RISE_EXPLANATIONS,
  SPOT_MARKS,
  VACUUM_ENDS,
  WAYS,
} from './noteValues';
import { photoMarks } from './photoMarks';
import { measured, quantity, stated } from './stated';
import { conditions } from './testConditions';

export * from './noteValues';
export * from './testConditions';

/** A part that the layout lacks: it stands beside one that it has. */
const addedPart = z.object({ id: filledText, type: filledText, name: maybe(z.string()), beside: filledText });
const yesNo = stated(z.enum(['yes', 'no']));

const note = <Kind extends EntryKind, Shape extends z.ZodRawShape>(kind: Kind, shape: Shape) => ({
  kind,
  schema: z.object(shape),
});

export const NOTES = {
  visitBegun: note('readings', {}),
  arrival: note('readings', {
    complaint: maybe(z.string()),
    since: maybe(z.string()),
    alarmAt: maybe(z.string()),
    outOfTemperature: stated(quantity),
    box: stated(quantity),
    secondBox: stated(quantity),
    otherBoxWarm: yesNo,
    product: stated(z.enum(['none', 'safe', 'atRisk', 'moved', 'lost'])),
    mayLimp: yesNo,
  }),
  reading: note('readings', {
    phase: maybe(z.enum(PHASES)),
    /** id on the circuit map, where a place is read at another part than the first of its kind */
    part: maybe(z.string()),
    numbers: z.record(z.string(), stated(quantity)),
    signs: z.record(z.string(), stated(z.string())),
  }),
  judgement: note('readings', { verdict: filledText, causes: z.record(z.string(), z.number()) }),
  raised: note('readings', {
    how: z.enum(RAISED),
    /** what stood in it before */
    before: stated(quantity),
    pressure: stated(quantity),
    design: stated(quantity),
    solenoidOpen: yesNo,
    /** what was switched and turned, in which order */
    order: maybe(z.string()),
  }),
  spot: note('search', {
    part: filledText,
    mark: z.enum(SPOT_MARKS),
    grade: maybe(z.enum(GRADES)),
    method: maybe(z.string()),
    cause: maybe(z.enum(FALSE_CAUSES)),
    why: maybe(z.string()),
    /** a part that nobody can get at without taking the machine apart */
    reachable: maybe(z.boolean()),
    leakId: maybe(z.string()),
    words: maybe(z.string()),
  }),
  map: note('search', {
    layout: filledText,
    added: maybe(z.array(addedPart)),
    /** ids of parts that this machine does not have */
    leftOut: maybe(texts),
    /** own names by id */
    names: maybe(z.record(z.string(), z.string())),
  }),
  stain: note('search', {
    place: filledText,
    cause: stated(z.string()),
    cleaned: yesNo,
    result: stated(z.enum(['stayedClean', 'cameBack'])),
    /** id of the entry that first named the stain */
    stain: maybe(z.string()),
  }),
  evidence: note('search', { leakId: filledText, grade: z.enum(GRADES), words: maybe(z.string()) }),
  withdrawal: note('search', {
    leakId: filledText,
    place: maybe(z.string()),
    why: filledText,
    toldOwner: yesNo,
  }),
  decision: note('readings', {
    choice: z.enum(CHOICES),
    leakId: maybe(z.string()),
    /** to repair at once needs none */
    why: maybe(filledText),
    decidedBy: maybe(z.string()),
    until: stated(calendarDate),
    expectedLoss: stated(mass),
    /** the pressure at which the leak showed */
    atPressure: stated(quantity),
  }),
  isolation: note('readings', {
    way: z.enum(WAYS),
    section: maybe(z.string()),
    /** pressure at which it was found empty */
    foundAt: stated(quantity),
    /** pressure down to which it was pumped or bled */
    downTo: stated(quantity),
    openedToAir: yesNo,
    leftPressure: stated(quantity),
  }),
  valve: note('readings', {
    valve: filledText,
    state: z.enum(['shut', 'open', 'leftShut']),
    ofCompressor: maybe(z.boolean()),
    part: maybe(z.string()),
    why: maybe(z.string()),
    /** whether it holds while it is shut; left out: nobody found that it does not */
    holds: maybe(z.enum(['yes', 'no'])),
  }),
  disconnected: note('readings', {
    what: z.enum(DISCONNECTED),
    name: maybe(z.string()),
    state: z.enum(['off', 'back']),
    why: maybe(z.string()),
  }),
  gaugeCheck: note('readings', {
    place: maybe(z.string()),
    one: measured,
    other: measured,
    trusted: maybe(z.string()),
  }),
  heated: note('readings', { part: filledText, what: z.enum(['heated', 'bent', 'both']) }),
  setting: note('readings', {
    control: filledText,
    before: stated(z.string()),
    after: stated(z.string()),
    why: maybe(z.string()),
  }),
  drier: note('partFitted', {
    part: filledText,
    changed: stated(z.enum(['yes'])),
    place: maybe(z.string()),
  }),
  preventive: note('partFitted', {
    part: filledText,
    place: maybe(z.string()),
    how: maybe(z.string()),
    preventive: z.literal(true),
    leakId: maybe(z.string()),
  }),
  jointTest: note('pressureHold', {
    conditions,
    result: z.enum(['pass', 'fail']),
    leakIds: maybe(texts),
  }),
  holdReading: note('pressureHold', {
    /** id of the first reading of its test; left out by the first itself */
    test: maybe(z.string()),
    section: filledText,
    testGas: stated(z.enum(TEST_GASES)),
    pressure: measured,
    temperature: stated(quantity),
    /** least marked design pressure of the parts under test */
    design: stated(quantity),
  }),
  holdSkipped: note('pressureHold', { section: maybe(z.string()), why: filledText }),
  vacuum: note('evacuation', {
    section: maybe(z.string()),
    lowest: stated(quantity),
    /** where it stood when it was left */
    last: stated(quantity),
    watched: stated(quantity),
    ended: z.enum(VACUUM_ENDS),
    explanation: maybe(z.enum(RISE_EXPLANATIONS)),
    why: maybe(z.string()),
    pumpOil: stated(z.enum(['changed', 'fresh'])),
  }),
  vacuumSkipped: note('evacuation', {
    section: maybe(z.string()),
    stayedAboveAtmosphere: yesNo,
    why: filledText,
  }),
  weighed: note('chargeRun', {
    bottles: z.array(z.object({ bottle: z.string(), before: measured, after: measured })),
    counted: stated(quantity),
    keptInHoses: stated(quantity),
  }),
  proof: note('readings', {
    box: stated(quantity),
    superheat: stated(quantity),
    subcooling: stated(quantity),
    split: stated(quantity),
    cutIn: stated(quantity),
    cutOut: stated(quantity),
    defrost: stated(z.enum(['works', 'failed'])),
    secondSearch: stated(z.enum(['clean', 'hit'])),
  }),
  school: note('readings', { question: filledText, school: filledText, why: maybe(z.string()) }),
  checklist: note('readings', { item: filledText, answer: stated(z.enum(['yes'])) }),
  signed: note('handover', {
    name: maybe(filledText),
    role: maybe(z.string()),
    /** strokes of the pen as SVG path data, in the box of the pad; null where nobody could sign, with the reason */
    path: maybe(z.string()),
    notSigned: maybe(filledText),
  }),
  picture: note('photo', {
    step: maybe(z.string()),
    file: filledText,
    caption: maybe(z.string()),
    pair: maybe(z.enum(['before', 'after'])),
    of: maybe(z.string()),
    leakId: maybe(z.string()),
    /** id of the entry that first named the oil stain it shows */
    stain: maybe(z.string()),
    marks: maybe(photoMarks),
    /** id of the entry that these marks replace */
    marksOf: maybe(z.string()),
  }),
} as const;

export type NoteName = keyof typeof NOTES;
export const NOTE_NAMES = Object.keys(NOTES) as NoteName[];
export type Note<Tool extends NoteName> = z.infer<(typeof NOTES)[Tool]['schema']>;

export const isNoteName = (tool: unknown): tool is NoteName => typeof tool === 'string' && tool in NOTES;

export const toolOf = (entry: Entry): string | null => {
  const { tool } = entry as { tool?: unknown };
  return typeof tool === 'string' ? tool : null;
};

/** The fields of a note, or null where the entry is none or another tool's. */
export function readNote<Tool extends NoteName>(entry: Entry, tool: Tool): Note<Tool> | null {
  if (toolOf(entry) !== tool || entry.kind !== NOTES[tool].kind) return null;
  const read = NOTES[tool].schema.safeParse(entry);
  return read.success ? (read.data as Note<Tool>) : null;
}

/** An entry with more fields than its kind names: tool entries take any, others those that begin with `x-`. */
export const carrying = (entry: Entry, fields: Record<string, unknown>): Entry =>
  ({ ...entry, ...fields }) as unknown as Entry;
