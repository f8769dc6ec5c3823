/** The button of a duty: it begins the visit whose step does the work, or opens the form of what is only written. */
import type { Obligation } from '../../core/rules/obligation';
import { answerOf } from '../../record/answers';
import { useWriteDialog } from '../data/addresses/writeDialog';
import { useMay } from '../data/api/session';
import { Button, ButtonLink } from '../parts/Button';

export function DutyButton({
  duty,
  machineId,
  overdue,
}: {
  duty: Pick<Obligation, 'kind' | 'why'>;
  machineId: string;
  overdue: boolean;
}) {
  const write = useWriteDialog();
  const may = useMay();
  const { kind, given = {}, step, words } = answerOf(duty);
  const weight = overdue ? 'main' : 'plain';
  if (!may('append')) return null;
  return step ? (
    <ButtonLink
      className="flex-1"
      weight={weight}
      to={`/visits?begin&machine=${encodeURIComponent(machineId)}&step=${step}`}
    >
      {words}
    </ButtonLink>
  ) : (
    <Button className="flex-1" weight={weight} onClick={() => write.open({ kind, machineId, given })}>
      {words}
    </Button>
  );
}
