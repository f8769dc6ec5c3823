/** An entry in one line, in the words of the service record: whatever was typed is in it. */
import type { Entry } from '../core/logbook/entry';
import { acceptedReasons } from '../core/logbook/sense';
import { asNamedToday } from '../core/logbook/olderNames';
import type { Mass, MassSystem } from '../core/quantity/mass';
import { type Quantity, isNotDone, isRecorded, isUnknown } from '../core/visit/notes/stated';
import { dateWords } from '../words/dates';
import { list, uncapped } from '../words/list';
import { type Names, NO_NAMES, leakWords, leaksWords } from '../words/names';
import { quantityWords, statedWords } from '../words/stated';
import { massWords } from '../words/weights';
import type { Ask, Field, Saying } from './field';
import { type EntryRecord, fieldsOf } from './record';
import { recordOf } from './records';

/** `suctionLine` within `numbers`. */
export const valueAt = (source: unknown, path: string): unknown =>
  path
    .split('.')
    .reduce<unknown>((value, key) => (value as Record<string, unknown> | null | undefined)?.[key], source);

/** The value of a field that says nothing of its own, by the way it is asked. */
function plainWords(ask: Ask, value: unknown, { system, names }: Saying): string {
  switch (ask.type) {
    case 'measure':
      return quantityWords(value as Quantity);
    case 'mass':
      return massWords(value as Mass, system);
    case 'choice':
      return ask.choices.find((each) => each.value === String(value))?.words ?? String(value);
    case 'date':
      return dateWords(String(value));
    case 'leaks':
      return (value as string[]).length === 0 ? 'none' : leaksWords(names, value as string[]);
    case 'leak':
    case 'openLeak':
      return leakWords(names, String(value));
    default:
      return String(value);
  }
}

/** `suction pressure 11 psig`, `it must limp on: yes`, `head pressure not done: no port`. */
function labelled(label: string, words: string): string {
  return `${uncapped(label)}${words === 'yes' || words === 'no' ? ': ' : ' '}${words}`;
}

function fieldSaid(field: Field, value: unknown, saying: Saying): string | null | false {
  const { ask, say } = field;
  const same = field.unlessSaidBy === undefined ? null : valueAt(saying.entry, field.unlessSaidBy);
  if (isRecorded(same) && same !== '') return null;
  if (!isRecorded(value) || value === '') return field.sayNone?.(saying) ?? null;
  if (isNotDone(value) || isUnknown(value)) {
    const words = statedWords(value, String) ?? '';
    // Nothing was stated where nobody says it: what stands beside it tells the fact.
    return say === null ? null : ask === null ? words : labelled(ask.label, words);
  }
  if (say) return say(value as object, saying);
  return say === null || ask === null ? null : labelled(ask.label, plainWords(ask, value, saying));
}

/** Fields in the order in which the sentence says them. */
function inOrder(record: EntryRecord): [string, Field][] {
  const fields = fieldsOf(record);
  const first = record.saidFirst ?? [];
  const rank = (path: string): number => (first.includes(path) ? first.indexOf(path) : first.length);
  return fields.toSorted(([a], [b]) => rank(a) - rank(b));
}

/** What any entry may carry beside the fields of its record. */
const beside = (entry: Entry): (string | false)[] => [
  ...Object.values(acceptedReasons(entry)).map((reason) => `looked odd, reason given: ${reason}`),
  Boolean(entry.caseNote) && `for the case: ${entry.caseNote ?? ''}`,
  Boolean(entry.attachments?.length) && `attached ${(entry.attachments ?? []).join(', ')}`,
];

/** An entry in words, a note of a visit in those of its record. */
export function sentenceOf(written: Entry, system: MassSystem, names: Names = NO_NAMES): string {
  const entry = asNamedToday(written);
  const record = recordOf(entry);
  const saying = { entry, system, names };
  return list([
    record.sentence,
    ...inOrder(record).map(([path, field]) => fieldSaid(field, valueAt(entry, path), saying)),
    ...beside(entry),
  ]);
}

/** What an entry is called at the head of its line. */
export const entryTitle = (entry: Entry): string => recordOf(entry).name;
