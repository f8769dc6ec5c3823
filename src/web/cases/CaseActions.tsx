/** The next steps that a running case asks for. */
import { labelOf } from '../../core/logbook/leakLabels';
import { periodOn } from '../../core/rules/inForce';
import type { CaseStanding } from '../../core/rules/caseDeadlines';
import { nextActions } from '../../record/caseActions';
import { kindForm } from '../../record/forms';
import { useWriteDialog } from '../data/addresses/writeDialog';
import type { MachineView } from '../data/api/machineView';
import { useMay } from '../data/api/session';
import { Button } from '../parts/Button';
import { Section } from '../parts/Page';

export function CaseActions({
  view: { machine, standing, names },
  found,
}: {
  view: MachineView;
  found: CaseStanding;
}) {
  const write = useWriteDialog();
  const may = useMay();
  if (found.state === 'closed' || !may('append')) return null;
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
