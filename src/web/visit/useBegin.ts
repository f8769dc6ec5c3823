/** Begins a visit, or takes another machine into one: the first entry is written at once, so that any device finds it. */
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as uuidv7 } from 'uuid';
import type { Entry } from '../../core/logbook/entry';
import { type Day, dayText } from '../../core/quantity/day';
import { useWriter } from '../data/writer';
import { forgetKept, readKept, writeKept } from '../data/kept';
import { rememberMachine } from '../data/recentMachines';
import { useWriting } from '../data/useWriting';
import { visitAddress } from '../data/visitAddress';

export function useBegin() {
  const { person } = useWriter();
  const { write, writing } = useWriting();
  const [error, setError] = useState<Error | null>(null);
  const navigate = useNavigate();
  return {
    person,
    beginning: writing,
    error,
    begin: (machineId: string, today: Day, joined?: string) => {
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
      void write(`${visitId} ${machineId} begin`, [entry], 'Visit begun.', []).then((problem) => {
        setError(problem);
        if (problem) return;
        forgetKept(key);
        rememberMachine(machineId);
        void navigate(visitAddress(visitId, machineId, 'before'));
      });
    },
  };
}
