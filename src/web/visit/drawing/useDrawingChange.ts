/** Writes a changed drawing to the machine's row: whole, with a way back, and never over what another drew meanwhile. */
import { useState } from 'react';
import type { Changed } from '../../../core/circuit/changes';
import { machineAsNamedToday } from '../../../core/logbook/olderNames';
import type { Piping } from '../../../core/logbook/piping';
import type { Appliance } from '../../../core/logbook/tables';
import { changeRefusalWords } from '../../../words/circuit';
import { ask } from '../../data/api/api';
import { useChangeRows } from '../../data/api/queries';
import { say, sayWrong } from '../../data/device/messages';
import { hashOf } from '../../forms/rows/useRowForm';
import { useWriter } from '../../data/device/writer';
import { useVisit } from '../visitContext';

const MEANWHILE = new Error(
  'Somebody changed the drawing meanwhile. It is shown as it is now: look, and change it again.',
);

const same = (a: Piping | null | undefined, b: Piping | null | undefined): boolean =>
  JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

export function useDrawingChange() {
  const { appliance } = useVisit().view.machine;
  const { person } = useWriter();
  const { mutateAsync, isPending } = useChangeRows();
  const [error, setError] = useState<Error | null>(null);

  const write = async (before: Piping | null, next: Piping | null): Promise<void> => {
    const { row, revisions } = await ask('row', { parts: { table: 'appliances', id: appliance.id } });
    const current = machineAsNamedToday(row as unknown as Appliance);
    if (!same(current.drawing, before)) throw MEANWHILE;
    await mutateAsync({
      changes: [
        {
          table: 'appliances',
          id: appliance.id,
          row: { ...current, drawing: next },
          after: hashOf(revisions),
        },
      ],
      by: person?.id,
    });
  };

  const undo = async (before: Piping | null, next: Piping): Promise<void> => {
    try {
      await write(next, before);
      say('Undone. The drawing is as it was.');
    } catch (problem) {
      sayWrong(`Not undone: ${problem instanceof Error ? problem.message : 'no answer'}`);
    }
  };

  /** Resolves to whether it was written. */
  const change = async (changed: Changed, words: string): Promise<boolean> => {
    setError(null);
    if (!changed.ok) {
      setError(new Error(changeRefusalWords(changed.refusal)));
      return false;
    }
    const before = appliance.drawing ?? null;
    try {
      await write(before, changed.value);
      say(words, { action: { label: 'Undo', onClick: () => void undo(before, changed.value) } });
      return true;
    } catch (problem) {
      setError(problem instanceof Error ? problem : new Error('No answer came.'));
      return false;
    }
  };
  return { error, writing: isPending, change };
}
