/** Bottles of a refrigerant with what the logbook knows of them: room in recovery bottles, gas taken out of the others. */
import { cylinderRoom } from '../../core/calculators/charge/cylinder';
import type { Cylinder } from '../../core/logbook/tables';
import { type MassSystem, exactGrams, grams, massText } from '../../core/quantity/mass';
import type { SaturationTable } from '../../core/refrigerant/saturation';
import { type CylinderFlow, heldOf } from '../../core/visit/cylinders';
import { PURPOSE_WORDS } from '../../words/codes';
import { useTable } from '../data/api/useTable';
import { useCylinderFlows, useCylindersOf } from '../data/api/queries';

export function CylinderList({ refrigerant, system }: { refrigerant: string; system: MassSystem }) {
  const cylinders = (useCylindersOf(refrigerant) ?? []).filter((each) => each.scrappedOn == null);
  const flows = useCylinderFlows(refrigerant).data;
  const table = useTable(refrigerant).data;
  if (cylinders.length === 0) return <>no bottle of it is on the list</>;
  return (
    <ul className="list-none">
      {cylinders.map((cylinder) => {
        const flow = flows?.find((each) => each.cylinderId === cylinder.id);
        return (
          <li key={cylinder.id}>
            <span className="font-semibold">{cylinder.serial}</span>
            {cylinder.purpose && ` (${PURPOSE_WORDS[cylinder.purpose]})`}
            {flow && (
              <span className="text-soft"> · {cylinderFlowWords(cylinder, flow, table ?? null, system)}</span>
            )}
          </li>
        );
      })}
    </ul>
  );
}

/** What the logbook knows of a bottle's content. */
export function cylinderFlowWords(
  cylinder: Cylinder,
  flow: CylinderFlow,
  table: SaturationTable | null,
  system: MassSystem,
): string {
  const unsure = flow.notWeighed > 0 ? `, ${String(flow.notWeighed)} × not weighed` : '';
  if (cylinder.purpose !== 'recovery')
    return flow.takenOut === 0 && unsure === ''
      ? 'nothing taken out on record'
      : `${massText(flow.takenOut, system)} taken out on record${unsure}`;
  const held = heldOf(flow);
  if (held === null) return `content not known${unsure}: weigh it`;
  if (cylinder.tare == null || cylinder.waterCapacityL == null) return 'room not known: no tare or capacity';
  if (table === null) return 'room: reading the table of its gas…';
  const tare = grams(exactGrams(cylinder.tare)) / 1000;
  const room = cylinderRoom({
    table,
    holds: cylinder.refrigerant,
    waterCapacity: cylinder.waterCapacityL / 1000,
    tare,
    gross: tare + held,
    adding: 0,
  });
  return room.ok
    ? `room for ${massText(Math.max(0, room.value.value.room) * 1000, system)} by the logbook`
    : 'room not known';
}
