/** A machine with all that follows from its entries today, folded once for the page. */
import { useMemo } from 'react';
import { type FoldedMachine, foldedMachine } from '../../../record/foldedMachine';
import { cylindersIn } from '../../../words/names';
import { useCylindersById, useMachine, useToday } from './queries';
import { type Machine, usePacks } from './standing';

export type MachineView = FoldedMachine<Machine>;

export function useMachineView(id: string): {
  query: ReturnType<typeof useMachine>;
  view: MachineView | null;
} {
  const query = useMachine(id);
  const packs = usePacks();
  const machine = query.data;
  const named = useMemo(() => cylindersIn(machine?.entries ?? []), [machine]);
  const cylinders = useCylindersById(named);
  const today = useToday(machine?.site.timezone);
  const view = useMemo(
    () => (machine && today !== null ? foldedMachine(machine, packs, today, cylinders ?? []) : null),
    [machine, packs, today, cylinders],
  );
  return { query, view };
}
