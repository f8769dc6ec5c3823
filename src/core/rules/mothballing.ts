/**
 * Pauses while a machine is mothballed (evacuated and shut down): from the day it was until the next gas day
 * after it. Deadlines that count in days and are due on or after a pause begins move by the days of the pause
 * that lie after their clock started.
 */
import { type Day, addDays } from '../quantity/day';
import type { GasDay } from './gasDays';

export interface Pause {
  from: Day;
  /** the next gas day, or null while the pause lasts */
  end: Day | null;
}

export function pauses(mothballings: readonly Day[], gasDays: readonly GasDay[]): Pause[] {
  const found: Pause[] = [];
  for (const from of mothballings) {
    const last = found.at(-1);
    if (last && (last.end === null || from < last.end)) continue;
    found.push({ from, end: gasDays.find((each) => each.day > from)?.day ?? null });
  }
  return found;
}

/**
 * Moves a due day pause by pause. `until` is the as-of day, or the day on which the case closed: what came
 * after moves nothing.
 */
export function moved(due: Day, start: Day, list: readonly Pause[], until: Day): Day {
  let result = due;
  for (const pause of list) {
    if (pause.from > until || result < pause.from) continue;
    const end = Math.min(pause.end ?? until, until);
    result = addDays(result, Math.max(0, end - Math.max(pause.from, start)));
  }
  return result;
}
