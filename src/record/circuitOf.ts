/** Which drawing a machine has. */
import type { CircuitMap } from '../core/circuit/map';
import { absentParts, drawingOf, mapOfDrawing } from '../core/circuit/drawing';
import { isLayout, likelyLayout } from '../core/circuit/layouts';
import { withOlderParts } from '../core/circuit/olderDrawing';
import type { Piping } from '../core/logbook/piping';
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

/** The names on the doors of what a machine cools. */
export const roomsOf = ({ appliance, spaces }: DrawnMachine['machine']): string[] =>
  (appliance.serves ?? []).flatMap((id) => spaces.find((space) => space.id === id)?.name ?? []);

/** The drawing that somebody changed, else what its kind, its rooms and older visits say. */
export function drawingOfMachine({ machine, standing }: DrawnMachine): Piping {
  const { appliance } = machine;
  if (appliance.drawing) return appliance.drawing;
  const own = notesOf(standing.history.entries, 'map').at(-1)?.note;
  const chosen = own?.layout;
  const layout = chosen !== undefined && isLayout(chosen) ? chosen : likelyLayout(appliance);
  return withOlderParts(drawingOf({ layout, rooms: roomsOf(machine) }), own ?? {});
}

export const mapOfMachine = (view: DrawnMachine): CircuitMap =>
  mapOfDrawing(drawingOfMachine(view), view.standing.history.asOf);

/** What the parts of a machine are called, by id; also those that are gone, of which older entries speak. */
export function partNamesOf(view: DrawnMachine): ReadonlyMap<string, string> {
  const day = view.standing.history.asOf;
  const drawing = drawingOfMachine(view);
  const parts = [...absentParts(drawing, day), ...mapOfDrawing(drawing, day).parts];
  return new Map(parts.map((part) => [part.id, partWords(part)]));
}

/** K between box and coil that is usual for this kind of machine. */
export const usualDifference = (view: DrawnMachine): number =>
  ['reachIn', 'iceMachine'].includes(view.machine.appliance.kind)
    ? EVAPORATOR_TD.reachIn
    : EVAPORATOR_TD.walkIn;
