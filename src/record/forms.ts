/** The form by which an entry is written, and corrected: what its record asks. */
import type { Entry, EntryKind } from '../core/logbook/entry';
import { type NoteName, toolOf } from '../core/visit/notes';
import type { Reading } from '../core/judge/readings';
import { READING_WORDS } from '../words/judge';
import type { AskedField } from './field';
import { type EntryRecord, askedFields, fieldsOf } from './record';
import { KINDS, NOTE_RECORDS, recordOf } from './records';

export interface Form {
  kind: EntryKind;
  title: string;
  about: string;
  caution?: string | undefined;
  fields: readonly AskedField[];
  /** fields that every entry of this form carries as they are */
  fixed: Readonly<Record<string, unknown>>;
}

const formOf = (record: EntryRecord): Form => ({
  kind: record.kind,
  title: record.title ?? record.name,
  about: record.about ?? '',
  caution: record.caution,
  fields: askedFields(record),
  fixed: { ...(record.note === null ? {} : { tool: record.note }), ...record.fixed },
});

/** Kinds that people write by a form, in the order of the work. */
export const FORM_KINDS = [
  'leakFound',
  'leakRepaired',
  'verificationTest',
  'normalOperation',
  'leakInspection',
  'partFitted',
  'handover',
  'fullChargeSet',
  'extension',
  'processShutdown',
  'planFiled',
  'planCompleted',
  'unrelatedLeak',
  'applianceChanged',
  'retrofitted',
  'mothballed',
  'retired',
  'detectionCheck',
  'reportFiled',
] as const satisfies readonly EntryKind[];
export type FormKind = (typeof FORM_KINDS)[number];

export const kindForm = (kind: FormKind): Form => formOf(KINDS[kind]);
export const noteForm = (note: NoteName): Form => formOf(NOTE_RECORDS[note]);

/** The conditions of a test by themselves, for what files them with a result of its own. */
export const CONDITIONS_FORM: Form = {
  ...noteForm('jointTest'),
  title: 'Conditions of the test',
  fields: noteForm('jointTest').fields.filter((field) => field.key.startsWith('conditions.')),
};

/** One reading alone, where the judge asks for it next. */
export function oneReading(reading: Reading): Form {
  const asked = fieldsOf(NOTE_RECORDS.reading).flatMap(([key, { ask }]) =>
    ask !== null && key === `signs.${reading}` ? [{ ...ask, key }] : [],
  );
  return { ...noteForm('reading'), title: READING_WORDS[reading], about: '', fields: asked };
}

/** Corrected by a form of its own; what a calculator computed or a touch said is voided and written anew. */
export function correctionForm(entry: Entry): Form | null {
  const record = recordOf(entry);
  // Another tool's entry may hold what our form does not know.
  if (record.note === null && toolOf(entry) !== null) return null;
  return record.correction === 'form' ? formOf(record) : null;
}

export const isCorrectable = (entry: Entry): boolean =>
  recordOf(entry).correction === 'gas' || correctionForm(entry) !== null;

const isFormKind = (kind: EntryKind): kind is FormKind => FORM_KINDS.some((each) => each === kind);

/** The form of a sheet that writes an entry of this kind, or corrects one. */
export function formFor(kind: EntryKind, corrected: Entry | null): Form {
  const form = (corrected && correctionForm(corrected)) ?? (isFormKind(kind) ? kindForm(kind) : null);
  if (!form)
    throw new Error(`No form writes ${kind}: say in its record what it asks, and list it in FORM_KINDS.`);
  return form;
}
