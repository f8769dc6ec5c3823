/** Bottles of a refrigerant with what the logbook knows of them: room in recovery bottles, gas taken out of the others. */
import { cylinderRoom } from '../../core/bench/charge/cylinder';
import type { Cylinder } from '../../core/logbook/tables';
import { type MassSystem, exactGrams, grams, massText } from '../../core/quantity/mass';
import type { SaturationTable } from '../../core/refrigerant/saturation';
import { type BottleFlow, heldOf } from '../../core/visit/bottles';
import { PURPOSE_WORDS } from '../../words/codes';
import { useTable } from '../data/useTable';
import { useBottleFlows, useBottlesOf } from '../data/queries';

export function BottleList({ refrigerant, system }: { refrigerant: string; system: MassSystem }) {
  const bottles = (useBottlesOf(refrigerant) ?? []).filter((each) => each.scrappedOn == null);
  const flows = useBottleFlows(refrigerant).data;
  const table = useTable(refrigerant).data;
  if (bottles.length === 0) return <>no bottle of it is on the list</>;
  return (
    <ul className="list-none">
      {bottles.map((bottle) => {
        const flow = flows?.find((each) => each.cylinderId === bottle.id);
        return (
          <li key={bottle.id}>
            <span className="font-semibold">{bottle.serial}</span>
            {bottle.purpose && ` (${PURPOSE_WORDS[bottle.purpose]})`}
            {flow && (
              <span className="text-soft"> · {bottleFlowWords(bottle, flow, table ?? null, system)}</span>
            )}
          </li>
        );
      })}
    </ul>
  );
}

/** What the logbook knows of a bottle's content. */
export function bottleFlowWords(
  bottle: Cylinder,
  flow: BottleFlow,
  table: SaturationTable | null,
  system: MassSystem,
): string {
  const unsure = flow.notWeighed > 0 ? `, ${String(flow.notWeighed)} × not weighed` : '';
  if (bottle.purpose !== 'recovery')
    return flow.takenOut === 0 && unsure === ''
      ? 'nothing taken out on record'
      : `${massText(flow.takenOut, system)} taken out on record${unsure}`;
  const held = heldOf(flow);
  if (held === null) return `content not known${unsure}: weigh it`;
  if (bottle.tare == null || bottle.waterCapacityL == null) return 'room not known: no tare or capacity';
  if (table === null) return 'room: reading the table of its gas…';
  const tare = grams(exactGrams(bottle.tare)) / 1000;
  const room = cylinderRoom({
    table,
    holds: bottle.refrigerant,
    waterCapacity: bottle.waterCapacityL / 1000,
    tare,
    gross: tare + held,
    adding: 0,
  });
  return room.ok
    ? `room for ${massText(Math.max(0, room.value.value.room) * 1000, system)} by the logbook`
    : 'room not known';
}
