/** Writes a deed of this visit at this machine, under a name of its own. */
import type { Entry } from '../../core/logbook/entry';
import { useWrite } from '../data/api/useWrite';
import { useVisit } from './visitContext';

export function useVisitWrite(name: string) {
  const { visitId, view } = useVisit();
  const { appliance, entries: known } = view.machine;
  const { error, writing, save } = useWrite();
  return {
    error,
    writing,
    save: (entries: readonly (Entry | null)[], words: string) =>
      save({ name: `${visitId} ${appliance.id} ${name}`, entries, words, known }),
  };
}
