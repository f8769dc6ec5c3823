/** The form by which an entry is written, and corrected: that of its note, else that of its kind; null where there is none. */
import type { Entry, EntryKind } from '../core/logbook/entry';
import { toolOf } from '../core/visit/notes';
import type { FormSpec } from './fieldSpec';
import { FORMS, FORM_KINDS, type FormKind } from './specs';
import { noteFormOf } from './noteForms';

const isFormKind = (kind: EntryKind): kind is FormKind => FORM_KINDS.some((each) => each === kind);

/** Results of calculators and notes without a form can be voided, not corrected. */
export function correctionForm(entry: Entry): FormSpec | null {
  const tool = toolOf(entry);
  if (tool !== null) return noteFormOf(tool);
  return isFormKind(entry.kind) ? FORMS[entry.kind] : null;
}

export function formOf(kind: EntryKind, corrected: Entry | null): FormSpec {
  const form = (corrected && correctionForm(corrected)) ?? (isFormKind(kind) ? FORMS[kind] : null);
  if (!form) throw new Error(`No form writes ${kind}: add it to FORMS.`);
  return form;
}
