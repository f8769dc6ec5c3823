/** The verdict on an evacuation, by the goal of the visit: where it began, how long, where it ended, in what shape. */
import { MICRON } from '../../quantity/units';
import type { RiseJudged } from './judgeRise';

export interface VacuumGoal {
  /** Pa: the pump must have brought it to here */
  startAtMost: number;
  /** min of watching */
  minutes: number;
  /** Pa at the end */
  endAtMost: number;
}

/** Our default: 500 microns, ten minutes, at or below 1,000 and levelling. */
export const FIVE_HUNDRED_AND_HOLD: VacuumGoal = {
  startAtMost: 500 * MICRON,
  minutes: 10,
  endAtMost: 1000 * MICRON,
};
/** The shape decides: up to 1,500 is accepted where it stays flat. */
export const SHAPE_DECIDES: VacuumGoal = {
  startAtMost: 1500 * MICRON,
  minutes: 10,
  endAtMost: 1500 * MICRON,
};

export const VACUUM_GOALS = { fiveHundred: FIVE_HUNDRED_AND_HOLD, shape: SHAPE_DECIDES } as const;
export type VacuumGoalName = keyof typeof VACUUM_GOALS;

export type EvacuationReason =
  | 'notIsolated'
  | 'gauge'
  | 'startTooHigh'
  | 'endTooHigh'
  | 'leak'
  | 'tooShort'
  | 'leakNotExcluded'
  | 'notTightEnough';

export interface EvacuationVerdict {
  outcome: 'pass' | 'fail' | 'watchOn' | 'noTest';
  reasons: readonly EvacuationReason[];
}

/** Share of the evidence from which a leak is sure, whatever stands beside it, and up to which it is excluded. */
const SURE = 0.95;
const EXCLUDED = 0.1;

/**
 * Pass: all of the goal's limits met, a leak excluded, and what could still hide is smaller than what matters (Pa/s; null
 * where nobody said). A leak that is sure fails at once; limits missed fail; what is too short, or might still hide a leak, wants
 * more watching. A pump that still draws, or a gauge that stands, is no test at all.
 */
export function evacuationVerdict(
  judged: RiseJudged,
  goal: VacuumGoal,
  matters: number | null = null,
): EvacuationVerdict {
  const first = judged.kept[0];
  const last = judged.kept[judged.kept.length - 1];
  if (!first || !last) throw new Error('A judged rise has readings.');
  if (judged.word === 'gauge' || judged.word === 'notIsolated')
    return { outcome: 'noTest', reasons: [judged.word] };
  const failed: EvacuationReason[] = [
    ...(first.pressure > goal.startAtMost ? (['startTooHigh'] as const) : []),
    ...(last.pressure > goal.endAtMost ? (['endTooHigh'] as const) : []),
    ...(judged.leak >= SURE ? (['leak'] as const) : []),
  ];
  if (failed.length > 0) return { outcome: 'fail', reasons: failed };
  const open: EvacuationReason[] = [
    ...(last.at - first.at < goal.minutes * 60 ? (['tooShort'] as const) : []),
    ...(judged.leak > EXCLUDED ? (['leakNotExcluded'] as const) : []),
    ...(matters !== null && judged.leakRate.high > matters ? (['notTightEnough'] as const) : []),
  ];
  return open.length > 0 ? { outcome: 'watchOn', reasons: open } : { outcome: 'pass', reasons: [] };
}
