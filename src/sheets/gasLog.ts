/** Logs: gas that went in and came out. */
import type { Entry } from '../core/logbook/entry';
import { leakLabels } from '../core/logbook/leakLabels';
import { livingOf } from '../core/logbook/order';
import type { Appliance } from '../core/logbook/tables';
import { ADDED_WORDS, RECOVERED_WORDS } from '../words/codes';
import { nameKey } from './cells';
import { ADDED, RECOVERED, amountWords, amountsOf, reasonOf } from './gasAmounts';
import { dayFor, finished, machineOf, withId, writerOf } from './logRow';
import { refrigerantNamed } from './namesRead';
import type { RowReading } from './reading';
import type { Intake, Read } from './understood';

export const readGas: Read = (reading, sheet, intake) => {
  const { lookups } = intake;
  const machine = machineOf(reading, intake);
  const on = dayFor(reading, machine, intake);
  const by = writerOf(reading, intake);
  const amounts = amountsOf(reading);
  checkGas(reading, machine, intake);
  const reasonText = reading.text('reason');
  const bottle = reading.text('cylinderId');
  const leak = reading.text('leakId');
  const entries = amounts.map(({ kind, mass, why }): Entry => {
    const reason =
      kind === 'refrigerantAdded'
        ? reasonOf(ADDED, reasonText, 'topOff')
        : reasonOf(RECOVERED, reasonText, 'repair');
    const words = kind === 'refrigerantAdded' ? ADDED_WORDS : RECOVERED_WORDS;
    const saysMore = reasonText !== '' && !nameKey(words[reason as never]).includes(nameKey(reasonText));
    const note = [reading.text('note'), saysMore ? `reason in the list: ${reasonText}` : '']
      .filter(Boolean)
      .join('; ');
    return withId(
      {
        kind,
        applianceId: machine?.id ?? '',
        on: on ?? '',
        by,
        mass,
        ...(why === null ? {} : { massUnknown: why }),
        reason,
        ...(bottle === '' ? {} : { cylinderId: lookups.cylinders.get(bottle)[0]?.id ?? bottle }),
        ...(leak === '' || kind !== 'refrigerantAdded' ? {} : { leakId: leakIdOf(machine, leak, intake) }),
        ...(note === '' ? {} : { note }),
      } as Omit<Entry, 'id'>,
      intake,
    );
  });
  return finished(reading, sheet, machine, on, entries, intake, amountWords(amounts));
};

/** The refrigerant of the list is that of the machine, now or before a conversion. */
function checkGas(reading: RowReading, machine: Appliance | null, { lookups }: Intake): void {
  const text = reading.text('refrigerant');
  if (text === '') return;
  const gas = refrigerantNamed(text);
  if (gas === null) {
    reading.fault('refrigerant', `“${text}” is no refrigerant that is known here`, 'Write it as R-404A.');
    return;
  }
  if (machine === null) return;
  const held = [
    machine.refrigerant,
    ...livingOf(lookups.known.entriesOf(machine.id), machine.id).flatMap((entry) =>
      entry.kind === 'retrofitted' ? entry.toRefrigerant : [],
    ),
  ];
  if (!held.includes(gas))
    reading.fault(
      'refrigerant',
      `is ${gas} here, and ${machine.name} holds ${machine.refrigerant}`,
      'Correct the machine or the refrigerant; a mixed charge is not written down as if it were none.',
    );
}

function leakIdOf(machine: Appliance | null, label: string, { lookups }: Intake): string {
  if (!machine) return label;
  const labels = leakLabels(lookups.known.entriesOf(machine.id));
  return [...labels].find(([, known]) => nameKey(known) === nameKey(label))?.[0] ?? label;
}
