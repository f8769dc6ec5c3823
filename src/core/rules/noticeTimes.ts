/** When somebody may be told, and when a digest is due: days and whole hours of one's own clock. */
import type { Day } from '../quantity/day';

export const DIGESTS = ['daily', 'weekly', 'never'] as const;
export type Digest = (typeof DIGESTS)[number];

export interface NoticeTimes {
  digest: Digest;
  /** hour of the day, 0 to 23, from which it is sent */
  hour: number;
  /** hours between which nothing is sent; the same hour twice: none are quiet */
  quietFrom: number;
  quietTo: number;
}

/** 1 January 1970, day 0, was a Thursday. */
const daysSinceMonday = (day: Day): number => (((day + 3) % 7) + 7) % 7;

/** Whether an hour of the day (0 to 23) is quiet. Quiet hours may run over midnight. */
export const isQuiet = (
  hour: number,
  { quietFrom, quietTo }: Pick<NoticeTimes, 'quietFrom' | 'quietTo'>,
): boolean =>
  quietFrom <= quietTo ? hour >= quietFrom && hour < quietTo : hour >= quietFrom || hour < quietTo;

/**
 * Whether a digest is due now. A weekly one is due on Mondays, and on a later day where Monday was missed.
 * `last`: day of the one before; null: none yet.
 */
export function isDigestDue(times: NoticeTimes, now: { day: Day; hour: number }, last: Day | null): boolean {
  const { digest, hour } = times;
  if (digest === 'never' || now.hour < hour || isQuiet(now.hour, times)) return false;
  const since = digest === 'daily' ? now.day : now.day - daysSinceMonday(now.day);
  return last === null || last < since;
}
