/** Logging gas, opened from anywhere by `?log=gas`: first which machine, then how much. */
import { useLocation } from 'react-router';
import { useMachineView } from '../../data/api/machineView';
import { visitOf } from '../../data/addresses/visitAddress';
import { MachinePicker } from '../MachinePicker';
import { Loaded } from '../../parts/Page';
import { Dialog } from '../../parts/Dialog';
import { GasForm } from './GasForm';
import { useLogDialog } from '../../data/addresses/logDialog';

export default function LogGas() {
  const sheet = useLogDialog();
  if (!sheet.open) return null;
  return sheet.machineId === null ? (
    <Dialog title="Log gas" subtitle="Into or out of which machine?" onClose={sheet.close}>
      <MachinePicker onPick={(machine) => sheet.openFor({ machine })} />
    </Dialog>
  ) : (
    <MachineGas key={sheet.machineId} id={sheet.machineId} />
  );
}

function MachineGas({ id }: { id: string }) {
  const sheet = useLogDialog();
  const visitId = visitOf(useLocation().pathname);
  const { query, view } = useMachineView(id);
  if (!view) {
    return (
      <Dialog title="Log gas" onClose={sheet.close}>
        <Loaded query={query}>{() => null}</Loaded>
      </Dialog>
    );
  }
  return (
    <GasForm
      view={view}
      supersedes={sheet.supersedes}
      leakId={sheet.leakId}
      direction={sheet.direction}
      visitId={visitId}
      onDone={sheet.close}
    />
  );
}
