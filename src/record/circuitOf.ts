/** Which drawing a machine has: the one somebody chose, else the likely one for its kind, with the names on its doors. */
import type { CircuitMap } from '../core/circuit/map';
import { type LayoutName, circuitMap, isLayout, likelyLayout } from '../core/circuit/layouts';
import { ownMap } from '../core/circuit/ownMap';
import { notesOf } from '../core/visit/visitRecord';
import { EVAPORATOR_TD } from '../core/calculators/targets';
import { partWords } from '../words/circuit';
import type { Appliance, Space } from '../core/logbook/tables';
import type { Standing } from '../core/rules/standing';

/** What a drawing is made from. */
interface DrawnMachine {
  machine: { appliance: Appliance; spaces: readonly Space[] };
  standing: Standing;
}

export function layoutOf(view: DrawnMachine): LayoutName {
  const chosen = notesOf(view.standing.history.entries, 'map').at(-1)?.note.layout;
  return chosen && isLayout(chosen) ? chosen : likelyLayout(view.machine.appliance);
}

export function mapOfMachine(view: DrawnMachine, layout = layoutOf(view)): CircuitMap {
  const { appliance, spaces } = view.machine;
  const served = (appliance.serves ?? []).flatMap(
    (id) => spaces.find((space) => space.id === id)?.name ?? [],
  );
  const own = notesOf(view.standing.history.entries, 'map').at(-1)?.note ?? {};
  return ownMap(circuitMap(layout, served), own);
}

/** What the parts of a map are called, by id. */
export const partNamesOf = (map: CircuitMap): ReadonlyMap<string, string> =>
  new Map(map.parts.map((part) => [part.id, partWords(part)]));

/** K between box and coil that is usual for this kind of machine. */
export const usualDifference = (view: DrawnMachine): number =>
  ['reachIn', 'iceMachine'].includes(view.machine.appliance.kind)
    ? EVAPORATOR_TD.reachIn
    : EVAPORATOR_TD.walkIn;
