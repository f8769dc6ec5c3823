/** The page of the format that lists every sort of entry, drawn from the records of the house. */
import { ENTRY_KINDS } from '../core/logbook/entry';
import { NOTE_NAMES } from '../core/visit/notes/notes';
import { type EntryRecord, fieldsOf } from '../record/record';
import { KINDS, NOTE_RECORDS } from '../record/records';
import { STEP_WORDS } from '../words/steps';

const CORRECTED = { form: 'by its form', gas: 'by the form of gas', void: 'voided, written anew' } as const;

const lineOf = (record: EntryRecord): string => {
  const fields = fieldsOf(record)
    .filter(([, { ask, say }]) => ask !== null || say !== null)
    .map(([path, { ask }]) => (ask === null ? `\`${path}\`` : `\`${path}\` ${ask.label.toLowerCase()}`));
  return [
    `\`${record.note ?? record.kind}\``,
    record.name,
    STEP_WORDS[record.step].title,
    record.readByLaw ? 'yes' : 'no',
    CORRECTED[record.correction],
    fields.join(', ') || '–',
  ].join(' | ');
};

const table = (title: string, records: readonly EntryRecord[]): string =>
  [
    `## ${title}`,
    '',
    '| id | called | step of a visit | read by the rules | corrected | fields, and how a form asks them |',
    '| --- | --- | --- | --- | --- | --- |',
    ...records.map((record) => `| ${lineOf(record)} |`),
    '',
  ].join('\n');

export const entriesTable = (): string =>
  [
    '# Entries',
    '',
    'Made from `src/record` by `npm run docs`; a test fails when it falls behind. What each field may hold is in the schema beside this page.',
    '',
    table(
      'Kinds',
      ENTRY_KINDS.map((kind) => KINDS[kind]),
    ),
    table(
      'Notes of a visit (`tool`)',
      NOTE_NAMES.map((name) => NOTE_RECORDS[name]),
    ),
  ].join('\n');
