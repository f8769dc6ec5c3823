/** What the verdict says of made-up rises, and whether that is right. For tests and the bench. */
import { judgeRise } from '../calculators/evacuation/judgeRise';
import type { RiseWord } from '../calculators/evacuation/lookAt';
import type { Report } from './confusion';
import { type MadeRise, type TruthKind, madeRise } from './vacuumTruths';

/** A straight climb through a valve is no different from one through a leak: both words are right for both. */
export const RIGHT_WORDS: Record<TruthKind, readonly RiseWord[]> = {
  flat: ['flat'],
  moist: ['levelling'],
  oil: ['levelling'],
  leak: ['climbing', 'climbingOrPassingValve'],
  both: ['climbingAndLevelling'],
  valve: ['climbing', 'climbingOrPassingValve'],
  falling: ['notIsolated'],
};

export function toldOf(made: MadeRise): Report | null {
  const outcome = judgeRise({ readings: made.readings, promise: false });
  if (!outcome.ok) return null;
  const { word, firm } = outcome.value.value;
  return { kind: made.truth.kind, word, firm, right: RIGHT_WORDS[made.truth.kind].includes(word) };
}

export const toldOfSeeds = (first: number, count: number): Report[] =>
  Array.from({ length: count }, (_, i) => toldOf(madeRise(first + i))).filter((each) => each !== null);
