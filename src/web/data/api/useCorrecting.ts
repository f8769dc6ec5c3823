/** The form by which an entry is corrected, opened from wherever it is shown. */
import { type Entry } from '../../../core/logbook/entry';
import { recordOf } from '../../../record/records';
import { useLogDialog } from '../addresses/logDialog';
import { useWriteDialog } from '../addresses/writeDialog';

/** Opens the form by which an entry of this machine is corrected. */
export function useCorrecting(machineId: string): (entry: Entry) => void {
  const write = useWriteDialog();
  const gas = useLogDialog();
  return (entry) => {
    if (recordOf(entry).correction === 'gas') gas.openFor({ machine: machineId, supersedes: entry.id });
    else write.open({ kind: entry.kind, machineId, corrects: entry.id });
  };
}
