/** The verdict on an evacuation, by the school of the visit: where it began, how long, where it ended, in what shape. */
import type { RiseJudged } from './judgeRise';
import type { Rise } from './rise';

const MICRON = 0.1333223684;

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

export type EvacuationReason = 'startTooHigh' | 'tooShort' | 'endTooHigh' | 'leak' | 'leakNotExcluded';

export interface EvacuationVerdict {
  outcome: 'pass' | 'fail' | 'watchOn';
  reasons: readonly EvacuationReason[];
}

const LEAKING: readonly Rise[] = ['climbing', 'both'];

/**
 * Pass: all of the school's limits met and no leak. A leak that is sure fails at once; limits missed fail; what is too
 * short, or might still hide a leak, wants more watching.
 */
export function evacuationVerdict(judged: RiseJudged, school: VacuumGoal): EvacuationVerdict {
  const first = judged.kept[0];
  const last = judged.kept[judged.kept.length - 1];
  if (!first || !last) throw new Error('A judged rise has readings.');
  const leaks = LEAKING.includes(judged.rise);
  const reasons: EvacuationReason[] = [
    ...(first.pressure > school.startAtMost ? (['startTooHigh'] as const) : []),
    ...(last.pressure > school.endAtMost ? (['endTooHigh'] as const) : []),
    ...(leaks && judged.sure ? (['leak'] as const) : []),
  ];
  if (reasons.length > 0) return { outcome: 'fail', reasons };
  if (last.at - first.at < school.minutes * 60) return { outcome: 'watchOn', reasons: ['tooShort'] };
  return leaks && !judged.sure
    ? { outcome: 'watchOn', reasons: ['leakNotExcluded'] }
    : { outcome: 'pass', reasons: [] };
}
