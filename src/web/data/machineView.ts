/** A machine with all that follows from its entries today, folded once for the page. */
import { useMemo } from 'react';
import { bareUnit, chargedUnit, massSystemOf } from '../../core/rules/massSystem';
import type { Day } from '../../core/quantity/day';
import type { MassSystem, MassUnit } from '../../core/quantity/mass';
import type { Packs } from '../../core/rules/packs/shipped';
import type { Standing } from '../../core/rules/standing';
import { leakLabels } from '../../core/logbook/leakLabels';
import { useBottlesById, useMachine, useToday } from './queries';
import { type Machine, standingWith, usePacks } from './standing';
import { mapOfMachine, partNamesOf } from '../../record/circuitOf';
import { type Names, bottlesIn } from '../../words/names';

export interface MachineView {
  machine: Machine;
  /** what its parts, leaks and bottles are called */
  names: Names;
  standing: Standing;
  today: Day;
  /** in which units its weights are read, and that of a bare number */
  system: MassSystem;
  bareUnit: MassUnit;
  packs: Packs;
}

export function useMachineView(id: string): {
  query: ReturnType<typeof useMachine>;
  view: MachineView | null;
} {
  const query = useMachine(id);
  const packs = usePacks();
  const machine = query.data;
  const named = useMemo(() => bottlesIn(machine?.entries ?? []), [machine]);
  const cylinders = useBottlesById(named);
  const today = useToday(machine?.site.timezone);
  const view = useMemo(() => {
    if (!machine || today === null) return null;
    const standing = standingWith(machine, packs, today);
    const charged = chargedUnit(standing.history);
    const system = massSystemOf(machine.site, charged);
    const bare = { machine, today, packs, system, bareUnit: bareUnit(system, charged), standing };
    const names: Names = {
      parts: partNamesOf(mapOfMachine(bare)),
      leaks: leakLabels(machine.entries),
      bottles: new Map((cylinders ?? []).map((each) => [each.id, each.serial])),
    };
    return { ...bare, names };
  }, [machine, packs, today, cylinders]);
  return { query, view };
}
