/**
 * What weakens a test: a pass is only as good as its section, its valves, its gas, the pressure at the joint, its minutes
 * and its method. Codes; the words live in the interface. Pressures Pa absolute, times s.
 */
import { type Conditions } from './notes';
import { isRecorded, siOf, valueOf } from './stated';

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
  const atJoint = siOf(conditions.atJoint);
  const minutes = siOf(conditions.minutes);
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
