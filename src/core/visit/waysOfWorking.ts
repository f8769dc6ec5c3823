/**
 * Questions on which good technicians disagree. Each has its ways of working; the first is our default. A visit that uses another
 * says so and why. Words and reasons live in the interface.
 */
import type { DatedEntry } from '../logbook/order';
import type { Step } from './steps';
import { notesOf } from './visitRecord';

export const WAY_QUESTIONS = {
  detection: {
    step: 'search',
    waysOfWorking: ['electronicThenBubbles', 'bubblesOnly', 'nitrogenAndEars', 'dye'],
  },
  holdPressure: { step: 'hold', waysOfWorking: ['leastDesignPressure', 'lowSideOnly', 'higherWhereMarked'] },
  vacuum: { step: 'evacuate', waysOfWorking: ['fiveHundredAndHold', 'shapeDecides', 'fixedTime'] },
  vacuumOfSection: { step: 'evacuate', waysOfWorking: ['notNeededAboveAtmosphere', 'alwaysNeeded'] },
  drier: { step: 'repair', waysOfWorking: ['everyOpening', 'whenTurnedOrOpenLong'] },
  charge: { step: 'charge', waysOfWorking: ['byWeight', 'bySuperheatAndSubcooling', 'bySightGlass'] },
  recoveredGas: { step: 'charge', waysOfWorking: ['sameOwnerIfClean', 'newGasOnly'] },
  pumpDown: { step: 'isolate', waysOfWorking: ['toNothing', 'slightPositive'] },
} as const satisfies Record<string, { step: Step; waysOfWorking: readonly string[] }>;

export type WayQuestion = keyof typeof WAY_QUESTIONS;
export type WayOfWorking = (typeof WAY_QUESTIONS)[WayQuestion]['waysOfWorking'][number];

export const questionsAt = (step: Step): WayQuestion[] =>
  (Object.keys(WAY_QUESTIONS) as WayQuestion[]).filter((each) => WAY_QUESTIONS[each].step === step);

export interface WayUsed {
  way: WayOfWorking;
  isDefault: boolean;
  why: string | null;
}

/** The way of working that a visit uses: the last that it named, else the default. */
export function wayUsed(entries: readonly DatedEntry[], question: WayQuestion): WayUsed {
  const waysOfWorking: readonly WayOfWorking[] = WAY_QUESTIONS[question].waysOfWorking;
  const named = notesOf(entries, 'school')
    .filter(({ note }) => note.question === question)
    .at(-1)?.note;
  const way = waysOfWorking.find((each) => each === named?.school) ?? (waysOfWorking[0] as WayOfWorking);
  return { way, isDefault: way === waysOfWorking[0], why: named?.why ?? null };
}
