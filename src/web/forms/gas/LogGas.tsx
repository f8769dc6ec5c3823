/** Logging gas, opened from anywhere by `?log=gas`: first which machine, then how much. */
import { useLocation } from 'react-router';
import { useMachine, useToday } from '../../data/api/queries';
import { visitOf } from '../../data/addresses/visitAddress';
import { MachinePicker } from '../MachinePicker';
import { Loaded } from '../../parts/Page';
import { Sheet } from '../../parts/Sheet';
import { GasForm } from './GasForm';
import { useLogSheet } from '../../data/addresses/logSheet';

export default function LogGas() {
  const sheet = useLogSheet();
  if (!sheet.open) return null;
  return sheet.machineId === null ? (
    <Sheet title="Log gas" subtitle="Into or out of which machine?" onClose={sheet.close}>
      <MachinePicker onPick={(machine) => sheet.openFor({ machine })} />
    </Sheet>
  ) : (
    <MachineGas key={sheet.machineId} id={sheet.machineId} />
  );
}

function MachineGas({ id }: { id: string }) {
  const sheet = useLogSheet();
  const visitId = visitOf(useLocation().pathname);
  const query = useMachine(id);
  const today = useToday(query.data?.site.timezone);
  if (query.data === undefined || today === null) {
    return (
      <Sheet title="Log gas" onClose={sheet.close}>
        <Loaded query={query}>{() => null}</Loaded>
      </Sheet>
    );
  }
  return (
    <GasForm
      machine={query.data}
      today={today}
      supersedes={sheet.supersedes}
      leakId={sheet.leakId}
      direction={sheet.direction}
      visitId={visitId}
      onDone={sheet.close}
    />
  );
}
