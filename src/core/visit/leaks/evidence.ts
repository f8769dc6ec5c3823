/**
 * What weakens a test: a pass is only as good as its section, its valves, its gas, the pressure at the joint, its minutes
 * and its method. Codes; the words live in the interface. Pressures Pa absolute, times s.
 */
import type { Entry } from '../../logbook/entry';
import { toSi } from '../../quantity/measure';
import { partType, typeSaid } from '../../circuit/parts';
import { type Conditions, TEST_METHODS, conditions, readNote } from '../notes/notes';
import { type Measured, endsOf, isRecorded, valueOf } from '../notes/stated';

export const WEAKNESSES = [
  'sectionNotSaid',
  'valvesNotSaid',
  'valveShutBetween',
  'gasNotSaid',
  'detectorOnPlainNitrogen',
  'bubblesInsideHousing',
  'pressureNotSaid',
  'belowWorkingPressure',
  'minutesNotSaid',
  'minutesTooFew',
  'vacuumAlone',
  'methodNotSaid',
] as const;
export type Weakness = (typeof WEAKNESSES)[number];

/** Shorter than this, a gauge or a bubble shows only a large leak, s. */
const LEAST_MINUTES_S = 5 * 60;

/** `workingPressure`: what the section runs at, Pa absolute, where it is known; `hidden`: the joint sits in a housing. */
export function weaknessesOf(
  conditions: Conditions,
  facts: { workingPressure: number | null; hidden?: boolean } = { workingPressure: null },
): Weakness[] {
  const gas = valueOf(conditions.testGas);
  const method = valueOf(conditions.method);
  // A pass counts by the least that was said of it.
  const atJoint = endsOf(conditions.atJoint).low;
  const minutes = endsOf(conditions.minutes).low;
  const blank = (text: string | null | undefined): boolean => (text ?? '').trim() === '';
  const held: Record<Weakness, boolean> = {
    sectionNotSaid: blank(conditions.section),
    valvesNotSaid: blank(conditions.valvesOpen) && blank(conditions.valvesShut),
    valveShutBetween: !blank(conditions.valvesShut),
    gasNotSaid: !isRecorded(conditions.testGas) && method !== 'vacuum',
    detectorOnPlainNitrogen: method === 'detector' && gas === 'nitrogen',
    bubblesInsideHousing: method === 'bubbles' && facts.hidden === true,
    pressureNotSaid: atJoint === null && method !== 'vacuum',
    belowWorkingPressure:
      atJoint !== null &&
      facts.workingPressure !== null &&
      atJoint < facts.workingPressure &&
      method !== 'vacuum',
    minutesNotSaid: minutes === null,
    minutesTooFew: minutes !== null && minutes < LEAST_MINUTES_S,
    vacuumAlone: method === 'vacuum',
    methodNotSaid: method === null,
  };
  return WEAKNESSES.filter((code) => held[code]);
}

/** Of these a pass proves nothing at all: it is shown as such, not merely as weak. */
export const VOIDING: readonly Weakness[] = [
  'detectorOnPlainNitrogen',
  'valveShutBetween',
  'bubblesInsideHousing',
];

/** Pressures at which the two sides run, as far as they were read, and the air at the site; Pa absolute. */
export interface Running {
  low: number | null;
  high: number | null;
  atmosphere: number;
}

/** Holds, joint tests, vacuums and legal tests. */
export const isTest = ({ kind }: Pick<Entry, 'kind'>): boolean =>
  kind === 'pressureHold' || kind === 'verificationTest' || kind === 'evacuation';

const LOW_SIDE = /low|suction|evaporator|coil/i;

/** The conditions of a hold, a joint test or a first legal test, wherever each keeps them; null for any other entry. */
export function conditionsOf(entry: Entry, atmosphere: number): Conditions | null {
  const note = readNote(entry, 'jointTest');
  if (note) return note.conditions;
  // A reading is no test yet, and the reason why there is none is none.
  if (readNote(entry, 'holdReading') ?? readNote(entry, 'holdSkipped')) return null;
  const {
    conditions: beside,
    inputs,
    'x-conditions': more,
  } = entry as unknown as {
    conditions?: unknown;
    inputs?: Partial<Record<string, { typed: string; si: number }>>;
    'x-conditions'?: unknown;
  };
  const readConditions = (value: unknown): Conditions => {
    const read = conditions.safeParse(value ?? {});
    return read.success ? read.data : {};
  };
  if (entry.kind === 'pressureHold') {
    // The arithmetic of a hold has read its pressure and its time already.
    const input = (name: string): Measured | null => {
      const found = inputs?.[name];
      return found ? { ...found, unit: '' } : null;
    };
    return { atJoint: input('start'), minutes: input('stood'), ...readConditions(beside) };
  }
  if (entry.kind !== 'verificationTest' || entry.stage !== 'initial') return null;
  const said = (entry.method ?? '').toLowerCase();
  return {
    ...readConditions(more),
    section: entry.section ?? null,
    testGas: entry.testGas ?? null,
    atJoint: entry.atJoint
      ? {
          typed: `${String(entry.atJoint.value)} ${entry.atJoint.unit}`,
          unit: entry.atJoint.unit,
          si: toSi('pressure', entry.atJoint.value, entry.atJoint.unit, atmosphere),
        }
      : null,
    method: TEST_METHODS.find((each) => said.includes(each)) ?? (/electronic/.test(said) ? 'detector' : null),
  };
}

/** What weakens a test of this logbook, by what its section runs at. */
export function weakIn(entry: Entry, running: Running): readonly Weakness[] {
  const found = conditionsOf(entry, running.atmosphere);
  if (!found) return [];
  const section = found.section ?? '';
  const type = typeSaid(section);
  return weaknessesOf(found, {
    workingPressure: LOW_SIDE.test(section) ? running.low : running.high,
    hidden: type !== null && partType(type).hidden === true,
  });
}
