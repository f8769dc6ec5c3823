/** Logs: gas that went in and came out. */
import type { Entry } from '../core/logbook/entry';
import { leakLabels } from '../core/logbook/leakLabels';
import { effectiveOf } from '../core/logbook/order';
import type { Appliance } from '../core/logbook/tables';
import { choices } from '../words/choice';
import { ADDED_WORDS, RECOVERED_WORDS } from '../words/codes';
import { gasNameOf } from '../words/gas';
import { looseKey } from './cells';
import { type Amount, amountWords, amountsOf, reasonText } from './gasAmounts';
import { gasesWithNumber, isGasUnknown, refrigerantNamed } from './gasNames';
import { cylinderOf, dayFor, finished, machineOf, withId, writerOf } from './logRow';
import { addedReasonSaid, recoveredReasonSaid } from './movements';
import { flagSaid } from './machineWords';
import { phraseKey, saysNothing } from './phrases';
import { meaningSaid } from './mapping';
import type { RowReading } from './reading';
import { type Intake, type RowReader, understood } from './understood';

/** In the law's words; unsaid, it is what hides no loss. Null: asked about. */
function reasonOf(reading: RowReading, { kind }: Amount): string | null {
  const { field, text: written } = reasonText(reading);
  const added = kind === 'refrigerantAdded';
  // One word may say something else of gas that went in than of gas that came out.
  const ofThisWay = `${reading.text(field)} (gas ${added ? 'added' : 'recovered'})`;
  const meant = meaningSaid(reading.columns.mapping, reading.columns.headingOf(field), ofThisWay);
  const text = meant === undefined ? written : (meant ?? '');
  if (text === '') return added ? 'topOff' : 'repair';
  const reason = added ? addedReasonSaid(text) : recoveredReasonSaid(text);
  if (reason !== null) return reason;
  const words: Readonly<Record<string, string>> = added ? ADDED_WORDS : RECOVERED_WORDS;
  return reading.askOf(
    'value',
    reading.columns.headingOf(field),
    `“${reading.text(field)}” says no reason that is known for gas ${added ? 'added' : 'recovered'}`,
    `Say what it means: ${Object.values(words).join('; ')}.`,
    choices(Object.keys(words), words),
    ofThisWay,
  );
}

const isCode = (text: string, kind: Amount['kind']): boolean =>
  text in (kind === 'refrigerantAdded' ? ADDED_WORDS : RECOVERED_WORDS);

export const readGas: RowReader = (reading, sheet, intake) => {
  const machine = machineOf(reading, intake);
  const on = dayFor(reading, machine, intake);
  const writer = writerOf(reading, intake);
  const amounts = amountsOf(reading);
  if (amounts === null)
    return understood(reading, sheet, { words: `${machine?.name ?? ''}: no gas moved`, known: true });
  checkGas(reading, machine, intake);
  const cylinder = cylinderOf(reading, machine, intake);
  const leak = leakOf(reading, machine, intake);
  const said: string[] = [];
  const entries = amounts.flatMap((amount): Entry[] => {
    const reason = reasonOf(reading, amount);
    if (reason === null) return [];
    const { kind, mass, why } = amount;
    const words: string = (kind === 'refrigerantAdded' ? ADDED_WORDS : RECOVERED_WORDS)[reason as never];
    const { text } = reasonText(reading);
    // The law's own word for it needs no note; any other one is kept as it was written.
    const saysMore = text !== '' && phraseKey(text) !== phraseKey(words) && !isCode(text, kind);
    const note = [reading.said('note'), saysMore ? `reason in the list: ${text}` : '', leak.note]
      .filter(Boolean)
      .join('; ');
    said.push(`${amountWords(amount)}, ${words.toLowerCase()}`);
    return [
      withId(
        {
          kind,
          applianceId: machine?.id ?? '',
          on: on ?? '',
          by: writer.by,
          mass,
          ...(why === null ? {} : { massUnknown: why }),
          reason,
          ...(cylinder.id === null ? {} : { cylinderId: cylinder.id }),
          ...(leak.id === null || kind !== 'refrigerantAdded' ? {} : { leakId: leak.id }),
          ...(note === '' ? {} : { note }),
        } as Omit<Entry, 'id'>,
        intake,
      ),
    ];
  });
  const words = [
    said.join('; '),
    leak.id === null ? '' : `for leak ${reading.said('leakId')}`,
    cylinder.words,
    writer.words,
    noteWords(entries),
  ];
  return finished(reading, sheet, machine, on, entries, intake, words, [...writer.rows, ...cylinder.rows]);
};

const noteWords = ([entry]: readonly Entry[]): string => (entry?.note ? `note: ${entry.note}` : '');

/** The refrigerant of the list is that of the machine, now or before a conversion. */
function checkGas(reading: RowReading, machine: Appliance | null, { lookups }: Intake): void {
  const text = reading.said('refrigerant');
  if (text === '' || isGasUnknown(text)) return;
  const gas = refrigerantNamed(text);
  if (gas === null) {
    reading.ask(
      'refrigerant',
      `“${reading.text('refrigerant')}” is no refrigerant that is known here`,
      'Say which it is, or leave it out.',
      gasesWithNumber(text).map((value) => ({ value, words: value })),
    );
    return;
  }
  if (machine === null || machine.refrigerant === null) return;
  const held = [
    machine.refrigerant,
    ...effectiveOf(lookups.known.entriesOf(machine.id), machine.id).flatMap((entry) =>
      entry.kind === 'retrofitted' ? entry.toRefrigerant : [],
    ),
  ];
  if (!held.includes(gas))
    reading.fault(
      'refrigerant',
      `is ${gas} here, and ${machine.name} holds ${gasNameOf(machine.refrigerant)}`,
      'Correct the machine or the refrigerant; a mixed charge is not written down as if it were none.',
    );
}

/** A label or a number is a leak's; yes, no and a description are none, and are told as a note. */
function leakOf(
  reading: RowReading,
  machine: Appliance | null,
  { lookups }: Intake,
): { id: string | null; note: string } {
  const text = reading.said('leakId');
  const none = { id: null, note: '' };
  if (saysNothing(text) || isGasUnknown(text)) return none;
  // A column of yes, no, 0 and 1 says whether there was a leak, and numbers none.
  const flags = reading.columns.every(
    'leakId',
    'flags',
    (cell) => saysNothing(cell) || flagSaid(cell) !== null,
  );
  if (flags || (flagSaid(text) !== null && !/^\d/.test(text)))
    return flagSaid(text) === true ? { id: null, note: 'the list says that it leaked' } : none;
  const labels = machine ? leakLabels(lookups.known.entriesOf(machine.id)) : new Map<string, string>();
  const known = [...labels].find(([id, label]) => looseKey(label) === looseKey(text) || id === text)?.[0];
  if (known !== undefined) return { id: known, note: '' };
  return /^(?:(?:leak|leck|l|k|no\.?|nr\.?)[ -]?)?\d{1,4}[a-z]?$/i.test(text)
    ? { id: text, note: '' }
    : { id: null, note: `leak in the list: ${text}` };
}
