/** Begins a visit, or takes another machine into one: the first entry is written at once, so that any device finds it. */
import { useNavigate } from 'react-router';
import { v7 as uuidv7 } from 'uuid';
import type { Entry } from '../../core/logbook/entry';
import { type Day, dayText } from '../../core/quantity/day';
import type { Step } from '../../core/visit/steps';
import { useWriter } from '../data/device/writer';
import { forgetKept, readKept, writeKept } from '../data/device/kept';
import { rememberMachine } from '../data/device/recentMachines';
import { useWrite } from '../data/api/useWrite';
import { visitAddress } from '../data/addresses/visitAddress';

export function useBegin() {
  const { person } = useWriter();
  const { error, writing, save } = useWrite();
  const navigate = useNavigate();
  return {
    person,
    beginning: writing,
    error,
    begin: (machineId: string, today: Day, joined?: string, step: Step = 'before') => {
      if (!person) return;
      // A second try begins the same visit, also after a reload.
      const key = `abacus.begin ${machineId}`;
      const visitId = joined ?? readKept<string>(key) ?? uuidv7();
      writeKept(key, visitId);
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
      const name = `${visitId} ${machineId} begin`;
      void save({ name, entries: [entry], words: 'Visit begun.', known: [] }).then((saved) => {
        if (!saved) return;
        forgetKept(key);
        rememberMachine(machineId);
        void navigate(visitAddress(visitId, machineId, step));
      });
    },
  };
}
