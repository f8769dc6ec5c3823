/** What a running case asks for next: the forms that take it on. */
import type { Category } from '../core/logbook/fields';
import type { CaseStanding } from '../core/rules/caseDeadlines';
import type { FormKind } from './forms';

/** A form that the case asks for, with what is known in it; `words`: of its button, where they are not its title. */
export interface CaseAction {
  kind: FormKind;
  words?: string;
  given?: Record<string, unknown>;
}

/** The most likely first. */
export function nextActions(
  { state, case: each, initialPassedOn }: CaseStanding,
  category: Category,
  leakName: (id: string) => string,
): CaseAction[] {
  const found = each.leaks.filter((leak) => leak.state === 'found');
  const untested = each.leaks.filter((leak) => leak.state === 'repaired').map((leak) => leak.id);
  const tested = each.leaks.filter((leak) => leak.state === 'tested').map((leak) => leak.id);
  const actions: CaseAction[] = [];
  if (state !== 'verified') {
    if (each.leaks.length === 0) actions.push({ kind: 'leakFound' });
    if (found[0])
      actions.push({
        kind: 'leakRepaired',
        words: `${leakName(found[0].id)} repaired`,
        given: { leakId: found[0].id },
      });
    if (
      each.pack.firstTestNeeded &&
      (untested.length > 0 || (each.leaks.length === 0 && initialPassedOn === null))
    ) {
      actions.push({
        kind: 'verificationTest',
        words: 'First test',
        given: { stage: 'initial', leakIds: untested },
      });
    }
    const second = each.pack.firstTestNeeded ? tested : [...untested, ...tested];
    if (second.length > 0 || (each.leaks.length === 0 && initialPassedOn !== null)) {
      actions.push({
        kind: 'verificationTest',
        words: 'Second test',
        given: { stage: 'followUp', leakIds: second },
      });
    }
    if (each.leaks.some((leak) => leak.evacuated)) actions.push({ kind: 'normalOperation' });
    if (each.leaks.length > 0) actions.push({ kind: 'leakFound', words: 'Another leak found' });
    if (each.pack.partsExtension) actions.push({ kind: 'extension', words: 'Parts on order, or came' });
    if (each.pack.shutdown?.categories.includes(category)) actions.push({ kind: 'processShutdown' });
  } else actions.push({ kind: 'leakInspection', words: 'Inspect' });
  if (each.exceededAgainOn !== null) actions.push({ kind: 'unrelatedLeak' });
  if (each.pack.plan)
    actions.push(
      each.planFiledOn === null
        ? { kind: 'planFiled', given: { pack: each.pack.id } }
        : { kind: 'planCompleted', given: { pack: each.pack.id } },
    );
  return actions;
}
