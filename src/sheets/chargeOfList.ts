/** The full charge that a list of machines names. */
import { effectiveOf } from '../core/logbook/order';
import type { Appliance } from '../core/logbook/tables';
import { exactGrams } from '../core/quantity/mass';
import { methodSaid } from './machineWords';
import type { RowReading } from './reading';
import { type Intake, entryId } from './understood';

/** From when a full charge holds whose list names no day. */
const BEGINNING = '2000-01-01';

/** Null: the list names none, or the logbook has it already; or the fault of the row. */
export function chargeEntry(reading: RowReading, appliance: Appliance, intake: Intake, isKnown: boolean) {
  const { lookups, file } = intake;
  if (
    reading.said('fullCharge') === '' ||
    /^(?:unknown|not known|\?+|unbekannt)$/i.test(reading.said('fullCharge'))
  )
    return null;
  const mass = reading.amount('fullCharge');
  if (mass === null) return null;
  if (exactGrams(mass) <= 0n)
    return reading.fault(
      'fullCharge',
      'is nothing',
      'Write how much the machine holds, or leave the cell empty.',
    );
  const said = methodSaid(reading.said('fullChargeMethod'));
  if (isKnown) {
    const there = effectiveOf(lookups.known.entriesOf(appliance.id), appliance.id).flatMap((entry) =>
      entry.kind === 'fullChargeSet' && entry.mass ? [exactGrams(entry.mass)] : [],
    );
    if (there.includes(exactGrams(mass))) return null;
    if (there.length > 0)
      return reading.fault(
        'fullCharge',
        `“${reading.text('fullCharge')}” is another full charge than the logbook has`,
        'Leave the row out, or set the full charge in the logbook with its day and reason.',
      );
  }
  const on = appliance.installedOn ?? BEGINNING;
  const id = entryId(intake, 'fullCharge', appliance.id, on, String(exactGrams(mass)));
  const gaps = [
    said ? '' : 'the list does not say how it was determined',
    appliance.installedOn ? '' : 'nor from which day it holds',
  ].filter(Boolean);
  return {
    mass,
    entry: {
      id,
      kind: 'fullChargeSet' as const,
      applianceId: appliance.id,
      on,
      by: 'not recorded',
      method: said ?? ('maker' as const),
      mass,
      note: `from ${file}${gaps.length > 0 ? `; ${gaps.join(', ')}` : ''}`,
    },
  };
}
