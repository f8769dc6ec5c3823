/** The days of a machine's history that a case could care about, with what happened on each. */
import type { CaseBearing, LeakWork, MachineHistory } from '../logbook/history';
import type { Day } from '../quantity/day';
import type { AdditionRate } from './leakRate';

export interface DayOfEntries {
  day: Day;
  addition: AdditionRate | null;
  work: LeakWork[];
  bearing: CaseBearing[];
}

/** Days on which anything happened that a case could care about. */
export function caseDays(history: MachineHistory, rates: readonly AdditionRate[]): DayOfEntries[] {
  const days = new Map<Day, DayOfEntries>();
  const at = (day: Day): DayOfEntries => {
    const known = days.get(day);
    if (known) return known;
    const fresh: DayOfEntries = { day, addition: null, work: [], bearing: [] };
    days.set(day, fresh);
    return fresh;
  };
  for (const rate of rates) at(rate.gasDay.day).addition = rate;
  for (const work of history.leakWork) at(work.day).work.push(work);
  for (const bearing of history.caseBearing) at(bearing.day).bearing.push(bearing);
  if (history.retiredOn !== null) at(history.retiredOn);
  return [...days.values()].sort((a, b) => a.day - b.day);
}
