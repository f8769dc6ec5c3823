/** Between a row and what its form holds: what nobody touched stays as it was written, to the letter. */
import { SEA_LEVEL_PA } from '../../core/quantity/atmosphere';
import type { AskedField, FieldType, Values } from '../field';
import { beginField, readField } from '../fieldKinds';
import type { FormPlace } from '../place';
import type { RowForm } from './rowFields';

type Row = Record<string, unknown>;

/** Rows are of no machine: no leaks, no instruments, and weights in kilograms where no field says another unit. */
export const ROW_PLACE: FormPlace = {
  mass: 'kg',
  system: 'us',
  atmosphere: SEA_LEVEL_PA,
  instruments: [],
  labels: new Map(),
};

/** What the form of a row begins with. */
export const draftOfRow = ({ fields }: Pick<RowForm, 'fields'>, row: Row): Values =>
  Object.fromEntries(
    fields.map((field) => [
      field.key,
      beginField(field, row[field.key], { values: row, standing: null, labels: ROW_PLACE.labels }),
    ]),
  );

/** What is chosen and not typed: left alone it says nothing. */
const TICKED: readonly FieldType[] = ['check', 'many', 'serves', 'owners', 'methods', 'certificates'];

function readFieldOfRow(field: AskedField, draft: Values): { value: unknown } | { error: string } {
  const read = readField(field, draft[field.key], { place: ROW_PLACE, values: draft });
  if ('error' in read || read.value !== undefined) return read;
  if (field.optional) return { value: null };
  return { error: field.chosen ? 'Choose one.' : 'Say it here; it is needed.' };
}

/** The row that a form makes of the one that it began with, or an error for each field that is not right. */
export function rowOfDraft(
  form: Pick<RowForm, 'fields'>,
  before: Row,
  draft: Values,
): { row: Row; errors: Record<string, string> } {
  const errors: Record<string, string> = {};
  const row = { ...before };
  const began = draftOfRow(form, before);
  for (const field of form.fields) {
    if (field.when && !field.when(draft)) continue;
    // What was never ticked stays unsaid.
    const mayLack = TICKED.includes(field.type) || field.leftOut !== undefined;
    const untouched = JSON.stringify(draft[field.key]) === JSON.stringify(began[field.key]);
    if (untouched && (mayLack || field.key in before)) continue;
    const read = readFieldOfRow(field, draft);
    if ('error' in read) errors[field.key] = read.error;
    else if (read.value === null && !(field.key in before)) continue;
    else row[field.key] = read.value;
  }
  return { row, errors };
}
