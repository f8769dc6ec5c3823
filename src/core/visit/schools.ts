/**
 * Questions on which good technicians disagree. Each has its schools; the first is our default. A visit that uses another
 * says so and why. Words and reasons live in the interface.
 */
import type { DatedEntry } from '../logbook/order';
import type { Step } from './steps';
import { notesOf } from './visitRecord';

export const SCHOOL_QUESTIONS = {
  detection: { step: 'search', schools: ['electronicThenBubbles', 'bubblesOnly', 'nitrogenAndEars', 'dye'] },
  holdPressure: { step: 'hold', schools: ['leastDesignPressure', 'lowSideOnly', 'higherWhereMarked'] },
  vacuum: { step: 'evacuate', schools: ['fiveHundredAndHold', 'shapeDecides', 'fixedTime'] },
  vacuumOfSection: { step: 'evacuate', schools: ['notNeededAboveAtmosphere', 'alwaysNeeded'] },
  drier: { step: 'repair', schools: ['everyOpening', 'whenTurnedOrOpenLong'] },
  charge: { step: 'charge', schools: ['byWeight', 'bySuperheatAndSubcooling', 'bySightGlass'] },
  recoveredGas: { step: 'charge', schools: ['sameOwnerIfClean', 'newGasOnly'] },
  pumpDown: { step: 'isolate', schools: ['toNothing', 'slightPositive'] },
} as const satisfies Record<string, { step: Step; schools: readonly string[] }>;

export type SchoolQuestion = keyof typeof SCHOOL_QUESTIONS;
export type School = (typeof SCHOOL_QUESTIONS)[SchoolQuestion]['schools'][number];

export const questionsAt = (step: Step): SchoolQuestion[] =>
  (Object.keys(SCHOOL_QUESTIONS) as SchoolQuestion[]).filter((each) => SCHOOL_QUESTIONS[each].step === step);

export interface SchoolUsed {
  school: School;
  isDefault: boolean;
  why: string | null;
}

/** The school that a visit uses: the last that it named, else the default. */
export function schoolUsed(entries: readonly DatedEntry[], question: SchoolQuestion): SchoolUsed {
  const schools: readonly School[] = SCHOOL_QUESTIONS[question].schools;
  const named = notesOf(entries, 'school')
    .filter(({ note }) => note.question === question)
    .at(-1)?.note;
  const school = schools.find((each) => each === named?.school) ?? (schools[0] as School);
  return { school, isDefault: school === schools[0], why: named?.why ?? null };
}
