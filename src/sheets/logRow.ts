/** What every log has: a machine, a day, a person; and how a row that the logbook has already is recognised, however often it comes. */
import type { Entry } from '../core/logbook/entry';
import { livingOf } from '../core/logbook/order';
import type { Appliance } from '../core/logbook/tables';
import { dayOf, dayText } from '../core/quantity/day';
import { type Mass, exactGrams } from '../core/quantity/mass';
import { dateWords } from '../words/dates';
import type { RowReading } from './reading';
import { type Intake, type Understood, entryId, findOne, understood } from './understood';

/** The machine of a row, at its site where one is named. */
export function machineOf(reading: RowReading, { lookups }: Intake): Appliance | null {
  const text = reading.text('applianceId');
  let found = lookups.machines.get(text);
  if (reading.text('siteId') !== '') {
    const site = findOne(
      reading,
      'siteId',
      'site',
      lookups.sites.get(reading.text('siteId')),
      lookups.sites.nearest(reading.text('siteId')),
      'Correct the name, or bring the sites in first.',
    );
    if (!site) return null;
    found = found.filter(({ siteId }) => siteId === site.id);
  }
  return findOne(
    reading,
    'applianceId',
    'machine',
    found,
    lookups.machines.nearest(text),
    'Correct the name, or bring the machines in first.',
  );
}

export function dayFor(reading: RowReading, machine: Appliance | null, { lookups }: Intake): string | null {
  const on = reading.day('on', true);
  const site = machine && lookups.siteOf(machine.siteId);
  if (on !== null && site) {
    const today = lookups.known.todayAt(site.timezone);
    if (dayOf(on) > today)
      return reading.fault(
        'on',
        `lies after today, ${dayText(today)}`,
        'Write the day on which it was done.',
      );
  }
  return on;
}

export const writerOf = (reading: RowReading, { lookups }: Intake): string => {
  const text = reading.text('by');
  if (text === '') return 'not recorded';
  const found = lookups.people.get(text);
  return found.length === 1 ? (found[0]?.id ?? text) : text;
};

/** What an entry says, as far as two of them are the same fact. */
function factOf(entry: Omit<Entry, 'id'>): string {
  const { applianceId, on, kind } = entry;
  const gas = entry as { mass?: Mass | null; reason?: string };
  return [applianceId, on, kind, gas.mass ? String(exactGrams(gas.mass)) : '', gas.reason ?? ''].join(
    '\u0000',
  );
}

/** The id of a fact of a list; two rows that say the same are two facts. */
export function withId(entry: Omit<Entry, 'id'>, intake: Intake): Entry {
  const { taken } = intake;
  const fact = factOf(entry);
  const ordinal = (taken.get(fact) ?? 0) + 1;
  taken.set(fact, ordinal);
  return { ...entry, id: entryId(intake, fact, String(ordinal)) } as Entry;
}

/** There already: brought in before (be it corrected since), or written by hand. */
function isKnown(entry: Entry, ordinal: number, { lookups }: Intake): boolean {
  if (lookups.known.hasEntry(entry.id)) return true;
  const machine = entry.applianceId ?? '';
  const fact = factOf(entry);
  return (
    livingOf(lookups.known.entriesOf(machine), machine).filter((each) => factOf(each) === fact).length >=
    ordinal
  );
}

export function finished(
  reading: RowReading,
  sheet: string,
  machine: Appliance | null,
  on: string | null,
  entries: readonly Entry[],
  intake: Intake,
  what: string,
): Understood {
  const fresh =
    reading.faults.length > 0
      ? []
      : entries.filter((entry) => !isKnown(entry, intake.taken.get(factOf(entry)) ?? 1, intake));
  return understood(reading, sheet, {
    words: [machine?.name ?? reading.text('applianceId'), on === null ? null : dateWords(on), what]
      .filter(Boolean)
      .join(', '),
    known: entries.length > 0 && fresh.length === 0,
    entries: fresh,
  });
}
