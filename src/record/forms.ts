/** The form by which an entry is written, and corrected: what its record asks. */
import type { Entry, EntryKind } from '../core/logbook/entry';
import { type NoteName, toolOf } from '../core/visit/notes/notes';
import { isRecorded } from '../core/visit/notes/stated';
import type { AskedField } from './field';
import { type EntryRecord, askedFields, fieldsOf } from './record';
import { valueAt } from './sentence';
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

const formOf = (record: EntryRecord, fields = askedFields(record)): Form => ({
  kind: record.kind,
  title: record.title ?? record.name,
  about: record.about ?? '',
  caution: record.caution,
  fields,
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

/** Kinds whose form shows what the gas would mean. */
export const GAS_KINDS = ['refrigerantAdded', 'refrigerantRecovered'] as const satisfies readonly EntryKind[];
export type GasKind = (typeof GAS_KINDS)[number];

export const kindForm = (kind: FormKind | GasKind): Form => formOf(KINDS[kind]);
export const noteForm = (note: NoteName): Form => formOf(NOTE_RECORDS[note]);

/** Corrected by a form of its own; what a calculator computed or a touch said is voided and written anew. */
export function correctionForm(entry: Entry): Form | null {
  const record = recordOf(entry);
  // Another tool's entry may hold what our form does not know.
  if (record.note === null && toolOf(entry) !== null) return null;
  if (record.correction !== 'form') return null;
  // What stands in it can be put right, wherever it was asked; of readings only those that it has.
  const fields = fieldsOf(record).flatMap(([key, { ask, elsewhere }]) => {
    const has = isRecorded(valueAt(entry, key));
    const asked = !elsewhere && (record.note !== 'reading' || key === 'phase');
    return ask !== null && (has || asked) ? [{ ...ask, key }] : [];
  });
  return formOf(record, fields);
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
