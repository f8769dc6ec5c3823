/** What every log has: a machine, a day, a person; and how a row that the logbook has already is recognised, however often it comes. */
import type { Entry } from '../core/logbook/entry';
import { effectiveOf } from '../core/logbook/order';
import type { Appliance, Cylinder, Person } from '../core/logbook/tables';
import { dayOf, dayText } from '../core/quantity/day';
import { type Mass, exactGrams } from '../core/quantity/mass';
import { dateWords } from '../words/dates';
import { looseKey, rowText } from './cells';
import { remembered } from './remembered';
import type { RowReading } from './reading';
import {
  type Intake,
  type StagedRow,
  type Understood,
  entryId,
  findOne,
  idFrom,
  understood,
} from './understood';

/** The machine of a row: by its serial number or tag first, then by its name at the site that the row names. */
export function machineOf(reading: RowReading, { lookups }: Intake): Appliance | null {
  const siteText = reading.said('siteId');
  const site =
    siteText === ''
      ? null
      : findOne(
          reading,
          'siteId',
          'site',
          lookups.sites.get(siteText),
          () => lookups.sites.nearest(siteText),
          'Correct the name, or bring the sites in first.',
        );
  if (siteText !== '' && !site) return null;
  const here = (found: readonly Appliance[]): readonly Appliance[] =>
    site ? found.filter(({ siteId }) => siteId === site.id) : found;
  const text = reading.said('applianceId');
  const tag = reading.said('machineTag');
  const byTag = tag === '' ? [] : here(lookups.tags.get(tag));
  const [tagged] = byTag;
  if (tagged && byTag.length === 1) {
    const named = text === '' ? [] : here(lookups.machines.get(text));
    return named.length === 0 || named.some(({ id }) => id === tagged.id)
      ? tagged
      : reading.fault(
          'machineTag',
          `“${tag}” is ${tagged.name}, and the row names ${text}`,
          'Correct the tag or the name.',
        );
  }
  const numbered = here(lookups.tags.get(text));
  const found = numbered.length === 1 ? numbered : here(lookups.machines.get(text));
  return findOne(
    reading,
    'applianceId',
    'machine',
    found,
    () => lookups.machines.nearest(text),
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

/** Something that a row names and that may become a row of its own. */
interface Named {
  rows: readonly StagedRow[];
  words: string;
}

export function writerOf(
  reading: RowReading,
  { lookups, mapping, strangers }: Intake,
): Named & { by: string } {
  const text = reading.said('by');
  if (text === '') return { by: 'not recorded', rows: [], words: '' };
  const words = `by ${text}`;
  const found = lookups.people.get(text);
  const [person] = found;
  if (person && found.length === 1) return { by: person.id, rows: [], words };
  strangers.people.add(text);
  if (!mapping.newPeople || found.length > 1) return { by: text, rows: [], words };
  const fresh: Person = { id: idFrom('person', looseKey(text)), name: text };
  return { by: fresh.id, rows: [{ table: 'people', id: fresh.id, row: fresh }], words };
}

export function cylinderOf(
  reading: RowReading,
  machine: Appliance | null,
  { lookups, mapping, strangers }: Intake,
): Named & { id: string | null } {
  const text = reading.said('cylinderId');
  if (text === '') return { id: null, rows: [], words: '' };
  const words = `bottle ${text}`;
  const found = lookups.cylinders.get(text)[0];
  if (found) return { id: found.id, rows: [], words };
  strangers.bottles.add(text);
  const refrigerant = machine?.refrigerant ?? null;
  if (!mapping.newBottles || refrigerant === null) return { id: text, rows: [], words };
  const fresh: Cylinder = { id: idFrom('cylinder', looseKey(text)), serial: text, refrigerant };
  return { id: fresh.id, rows: [{ table: 'cylinders', id: fresh.id, row: fresh }], words };
}

/** What an entry says, as far as two of them are the same fact. */
export function factOf(entry: Omit<Entry, 'id'>): string {
  const { applianceId, on, kind } = entry;
  const { mass, reason } = entry as { mass?: Mass | null; reason?: string };
  const grams = mass ? gramsOf(`${String(mass.value)} ${mass.unit}`) : '';
  return `${applianceId ?? ''}\u0000${on}\u0000${kind}\u0000${grams}\u0000${reason ?? ''}`;
}
/** Exact, so that a weight is the same in every unit. */
const gramsOf = remembered((typed: string): string => {
  const [value, unit] = typed.split(' ');
  return String(exactGrams({ value: Number(value), unit: unit as Mass['unit'] }));
});

/** How often the logbook says each fact of a machine. */
function knownFactsOf(machine: string, { lookups, knownFacts }: Intake): ReadonlyMap<string, number> {
  const before = knownFacts.get(machine);
  if (before) return before;
  const counts = new Map<string, number>();
  for (const each of effectiveOf(lookups.known.entriesOf(machine), machine)) {
    const fact = factOf(each);
    counts.set(fact, (counts.get(fact) ?? 0) + 1);
  }
  knownFacts.set(machine, counts);
  return counts;
}

/** The id of a fact of a list; two rows that say the same are two facts. */
export function withId(entry: Omit<Entry, 'id'>, intake: Intake): Entry {
  const { taken, repeated } = intake;
  const fact = factOf(entry);
  const ordinal = (taken.get(fact) ?? 0) + 1;
  taken.set(fact, ordinal);
  const made = { ...entry, id: entryId(intake, fact, String(ordinal)) } as Entry;
  // Already there as often as this list says it: written by hand, or under another list's id.
  if ((knownFactsOf(entry.applianceId ?? '', intake).get(fact) ?? 0) >= ordinal) repeated.add(made.id);
  return made;
}

/** There already: brought in before (be it corrected since), or written by hand. */
const isKnown = ({ id }: Entry, { lookups, repeated }: Intake): boolean =>
  repeated.has(id) || lookups.known.hasEntry(id);

const wordsOfDay = remembered(dateWords);

/** Heading under which it is said what rows of a log that say the same are. */
export const DOUBLES = 'doubles';

/** The number of an earlier row of which every cell says the same; null where there is none, or each is a fact of its own. */
function sameRowBefore(reading: RowReading, sheet: string, { mapping, rowsSeen }: Intake): number | null {
  const key = `${sheet}\u0000${rowText(reading.row)}`;
  const before = rowsSeen.get(key) ?? null;
  if (before === null) rowsSeen.set(key, reading.row.number);
  return mapping.doubles === 'each' ? null : before;
}

export function finished(
  reading: RowReading,
  sheet: string,
  machine: Appliance | null,
  on: string | null,
  entries: readonly Entry[],
  intake: Intake,
  what: readonly string[],
  rows: readonly StagedRow[] = [],
): Understood {
  const site = machine && intake.lookups.siteOf(machine.siteId);
  const words = [
    machine?.name ?? reading.text('applianceId'),
    site?.name ?? '',
    on === null ? '' : wordsOfDay(on),
    ...what,
  ]
    .filter(Boolean)
    .join(', ');
  const before = reading.faults.length > 0 ? null : sameRowBefore(reading, sheet, intake);
  if (before !== null && intake.mapping.doubles === 'one')
    return understood(reading, sheet, { words: `${words}: the same as row ${String(before)}`, known: true });
  if (before !== null)
    reading.askOf(
      'doubles',
      DOUBLES,
      `says the same as row ${String(before)}`,
      'Say whether such rows are each a fact of their own, or one that was written down twice.',
      [
        { value: 'each', words: 'each is a fact of its own' },
        { value: 'one', words: 'written down twice: it is one' },
      ],
    );
  const fresh = reading.faults.length > 0 ? [] : entries.filter((entry) => !isKnown(entry, intake));
  return understood(reading, sheet, {
    words,
    known: entries.length > 0 && fresh.length === 0,
    entries: fresh,
    rows: fresh.length === 0 ? [] : rows,
  });
}
