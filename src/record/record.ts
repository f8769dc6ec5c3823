/**
 * What an entry is, said once: one record for each kind and for each note of a visit. Its step, its fields as a form and in
 * words, how it is corrected, where it stands on the service record and on the drawing. The schema is the core's.
 */
import type { EntryKind, EntryOf } from '../core/logbook/entry';
import { isReadByLaw } from '../core/logbook/history';
import { NOTES, type Note, type NoteName } from '../core/visit/notes/notes';
import type { Step } from '../core/visit/steps';
import type { Ask, AskedField, Field, Group } from './field';
import type { PaperBlock } from './paperBlocks';

/** What every entry carries: asked and said by the frame of its form, not by its record. */
export type CommonKey =
  | 'id'
  | 'kind'
  | 'on'
  | 'by'
  | 'at'
  | 'recordedAt'
  | 'applianceId'
  | 'visitId'
  | 'caseNote'
  | 'note'
  | 'attachments'
  | 'seal'
  | 'supersedes'
  | 'correctionReason';

type OwnKey<Row> = Exclude<keyof Row, CommonKey>;

/** Every field of a schema; any of a kind that is open; and of each what stands within or beside it: `x-gas`, `joint.one`. */
export type FieldsOf<Row> = ([OwnKey<Row>] extends [never]
  ? Readonly<Record<string, Field | Group>>
  : { readonly [Key in OwnKey<Row>]-?: Field<Row[Key]> | Group<Row[Key]> }) &
  Readonly<Record<`x-${string}` | `${string}.${string}`, Field | Group>>;

/**
 * Corrected by its own form; by the form of gas; or voided and written anew, where what was touched or computed is not
 * typed again.
 */
export type Correction = 'form' | 'gas' | 'void';

interface RecordHead {
  /** what an entry of this sort is called at the head of its line */
  name: string;
  step: Step;
  /** where it stands on the service record; left out: where its step stands */
  paper?: PaperBlock;
  correction: Correction;
  /** heading of its form, where that is not its name */
  title?: string;
  about?: string;
  caution?: string;
  /** what the form writes into every entry of this sort */
  fixed?: Readonly<Record<string, unknown>>;
  /** fields that the sentence says before all others; the rest follow in the order of the form */
  saidFirst?: readonly string[];
  /** the whole sentence, where no field is typed */
  sentence?: string;
  /** the field that names its part of the drawing */
  drawnAt?: string;
}

export interface EntryRecord extends RecordHead {
  kind: EntryKind;
  /** name of the note, null for a kind by itself */
  note: NoteName | null;
  /** whether rates, cases and duties are read from it */
  readByLaw: boolean;
  fields: Readonly<Record<string, Field | Group>>;
}

export const kindRecord = <Kind extends EntryKind>(
  kind: Kind,
  record: RecordHead & { fields: FieldsOf<EntryOf<Kind>> },
): EntryRecord => ({ ...record, kind, note: null, readByLaw: isReadByLaw(kind) });

export const noteRecord = <Name extends NoteName>(
  note: Name,
  record: RecordHead & { fields: FieldsOf<Note<Name>> },
): EntryRecord => ({
  ...record,
  kind: NOTES[note].kind,
  note,
  readByLaw: isReadByLaw(NOTES[note].kind),
});

const isGroup = (field: Field | Group): field is Group => 'within' in field;

/** Fields with their paths, those within one by `outer.inner`, in the order of the form. */
export function fieldsOf(record: Pick<EntryRecord, 'fields'>): [path: string, field: Field][] {
  return Object.entries(record.fields).flatMap(([key, field]) =>
    isGroup(field)
      ? Object.entries(field.within as Record<string, Field>).map(([inner, each]): [string, Field] => [
          `${key}.${inner}`,
          each,
        ])
      : [[key, field] as [string, Field]],
  );
}

/** What a form of this record asks. */
export const askedFields = (record: Pick<EntryRecord, 'fields'>): AskedField[] =>
  fieldsOf(record).flatMap(([key, { ask, elsewhere }]) =>
    ask === null || elsewhere ? [] : [{ ...(ask as Ask), key }],
  );
