/** A machine with all that follows from its entries today, folded once for the page. */
import { useMemo } from 'react';
import { massSystemOf } from '../../core/rules/massSystem';
import type { Day } from '../../core/quantity/day';
import type { MassSystem } from '../../core/quantity/mass';
import type { Packs } from '../../core/rules/packs/shipped';
import type { Standing } from '../../core/rules/standing';
import { useMachine, useToday } from '../data/queries';
import { type Machine, standingWith, usePacks } from '../data/standing';

export interface MachineView {
  machine: Machine;
  standing: Standing;
  today: Day;
  system: MassSystem;
  packs: Packs;
}

export function useMachineView(id: string): {
  query: ReturnType<typeof useMachine>;
  view: MachineView | null;
} {
  const query = useMachine(id);
  const packs = usePacks();
  const machine = query.data;
  const today = useToday(machine?.site.timezone);
  const view = useMemo(
    () =>
      machine && today !== null
        ? {
            machine,
            today,
            packs,
            system: massSystemOf(machine.site),
            standing: standingWith(machine, packs, today),
          }
        : null,
    [machine, packs, today],
  );
  return { query, view };
}
