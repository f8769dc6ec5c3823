/** The next steps that a running case asks for, the most likely first. */
import type { Category } from '../../core/logbook/fields';
import { labelOf } from '../../core/logbook/leakLabels';
import { periodOn } from '../../core/rules/inForce';
import type { CaseStanding } from '../../core/rules/caseDeadlines';
import { type FormKind, kindForm } from '../../record/forms';
import { useWriteDialog } from '../data/addresses/writeDialog';
import type { MachineView } from '../data/api/machineView';
import { Button } from '../parts/Button';
import { Section } from '../parts/Page';

interface Action {
  kind: FormKind;
  words?: string;
  given?: Record<string, unknown>;
}

function nextActions(
  { state, case: each, initialPassedOn }: CaseStanding,
  category: Category,
  leakName: (id: string) => string,
): Action[] {
  const found = each.leaks.filter((leak) => leak.state === 'found');
  const untested = each.leaks.filter((leak) => leak.state === 'repaired').map((leak) => leak.id);
  const tested = each.leaks.filter((leak) => leak.state === 'tested').map((leak) => leak.id);
  const actions: Action[] = [];
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

export function CaseActions({
  view: { machine, standing, names },
  found,
}: {
  view: MachineView;
  found: CaseStanding;
}) {
  const write = useWriteDialog();
  if (found.state === 'closed') return null;
  return (
    <Section title="Next">
      <div className="grid gap-2 sm:grid-cols-2">
        {nextActions(
          found,
          periodOn(standing.force, found.case.openedOn).category,
          (id) => `Leak ${labelOf(names.leaks, id)}`,
        ).map((action, index) => (
          <Button
            key={`${action.kind}${action.words ?? ''}`}
            weight={index === 0 ? 'main' : 'plain'}
            onClick={() =>
              write.open({
                kind: action.kind,
                machineId: machine.appliance.id,
                ...(action.given ? { given: action.given } : {}),
              })
            }
          >
            {action.words ?? kindForm(action.kind).title}
          </Button>
        ))}
      </div>
    </Section>
  );
}
