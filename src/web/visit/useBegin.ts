/** Begins a visit, or takes another machine into one: the first entry is written at once, so that any device finds it. */
import { useNavigate } from 'react-router';
import { v7 as uuidv7 } from 'uuid';
import type { Entry } from '../../core/logbook/entry';
import { type Day, dayText } from '../../core/quantity/day';
import { useWriter } from '../app/writer';
import { useAppend } from '../data/queries';
import { rememberMachine } from '../data/recentMachines';
import { visitAddress } from './addresses';

export function useBegin() {
  const { person } = useWriter();
  const append = useAppend();
  const navigate = useNavigate();
  return {
    person,
    beginning: append.isPending,
    error: append.error,
    begin: (machineId: string, today: Day, visitId: string = uuidv7()) => {
      if (!person) return;
      const entry = {
        id: uuidv7(),
        kind: 'readings',
        tool: 'visitBegun',
        on: dayText(today),
        at: new Date().toISOString(),
        by: person.id,
        visitId,
        applianceId: machineId,
      } as Entry;
      append.mutate(entry, {
        onSuccess: () => {
          rememberMachine(machineId);
          void navigate(visitAddress(visitId, machineId, 'before'));
        },
      });
    },
  };
}
