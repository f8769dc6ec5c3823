/** The lane of a case: what was done and what comes next, by day. */
import type { Entry, EntryKind } from '../core/logbook/entry';
import type { Day } from '../core/quantity/day';
import type { CaseStanding } from '../core/rules/caseDeadlines';
import { type Obligation, stateOf } from '../core/rules/obligation';
import type { Standing } from '../core/rules/standing';

export type LaneStep =
  | { type: 'opened'; day: Day }
  | { type: 'entry'; day: Day; entry: Entry }
  | { type: 'duty'; day: Day; obligation: Obligation }
  | { type: 'closed'; day: Day };

/** What bears on a case. */
export const CASE_KINDS: readonly EntryKind[] = [
  'leakFound',
  'leakRepaired',
  'verificationTest',
  'normalOperation',
  'extension',
  'processShutdown',
  'planFiled',
  'planCompleted',
  'unrelatedLeak',
  'mothballed',
  'retrofitted',
  'retired',
  'refrigerantAdded',
  'refrigerantRecovered',
];

/** Leak work of the case's leaks counts from before the opening too. */
export function belongsToCase(entry: Entry, day: Day, standing: CaseStanding): boolean {
  if (!CASE_KINDS.includes(entry.kind)) return false;
  const { openedOn, closedOn, leaks } = standing.case;
  if (closedOn !== null && day > closedOn) return false;
  if (day >= openedOn) return true;
  const ids = leaks.filter((leak) => day >= leak.openedOn).map((leak) => leak.id);
  if (entry.kind === 'leakFound' || entry.kind === 'leakRepaired') return ids.includes(entry.leakId);
  return entry.kind === 'verificationTest' && (entry.leakIds ?? []).some((id) => ids.includes(id));
}

/** Duties of the case that are still to do; those done stand in the lane as the entries that did them. */
export function obligationsOf(standing: Standing, each: CaseStanding): Obligation[] {
  const { pack, openedOn } = each.case;
  return standing.obligations.filter(
    (obligation) => obligation.pack.id === pack.id && obligation.caseOpenedOn === openedOn,
  );
}

export function laneOf(standing: Standing, each: CaseStanding): LaneStep[] {
  const { asOf, entries } = standing.history;
  const steps: LaneStep[] = [{ type: 'opened', day: each.case.openedOn }];
  for (const { day, entry } of entries)
    if (belongsToCase(entry, day, each)) steps.push({ type: 'entry', day, entry });
  for (const obligation of obligationsOf(standing, each)) {
    if (!['done', 'void'].includes(stateOf(obligation, asOf)))
      steps.push({ type: 'duty', day: obligation.due, obligation });
  }
  if (each.case.closedOn !== null) steps.push({ type: 'closed', day: each.case.closedOn });
  const order = { opened: 0, entry: 1, duty: 2, closed: 3 };
  return steps.sort((a, b) => a.day - b.day || (a.type === b.type ? 0 : order[a.type] - order[b.type]));
}
