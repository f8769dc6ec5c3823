/**
 * One field of an entry, said once: how a form asks for it, and how clipboard, logbook and papers say it. A record names
 * every field of its schema; one that is left out does not compile.
 */
import type { Entry } from '../core/logbook/entry';
import type { Dimension } from '../core/quantity/units';
import type { MassSystem, MassUnit } from '../core/quantity/mass';
import type { NotDone, Unknown } from '../core/visit/notes/stated';
import { type Choice, choices } from '../words/choice';
import type { UnitSystem } from '../words/measures';
import { type Names, leakWords } from '../words/names';

export type Values = Record<string, unknown>;

interface Common {
  label: string;
  hint?: string;
  optional?: boolean;
  /** a text that must not stay empty, though the format would take it so */
  needed?: boolean | ((values: Values) => boolean);
  /** shown only while this holds */
  when?: (values: Values) => boolean;
  /** a choice that claims work done: nothing is preselected, the person chooses */
  chosen?: boolean;
  /** beside its value it can be not done (why) or unknown; left alone it is not recorded */
  stated?: boolean;
  /** what a row means that leaves it out */
  leftOut?: string;
}

/** How a form asks. */
export type Ask = Common &
  (
    | {
        type:
          | 'text'
          | 'long'
          | 'date'
          | 'pressure'
          | 'year'
          // of a machine's own record
          | 'newLeak'
          | 'leak'
          | 'openLeak'
          | 'stain'
          | 'leaks'
          | 'pack'
          | 'partsLeftOut'
          | 'temporaryPart'
          // of gas
          | 'notWeighed'
          | 'cylinder'
          // of rows
          | 'metres'
          | 'litres'
          | 'months'
          | 'offset'
          | 'numbers'
          | 'certificates'
          | 'methods'
          | 'timezone'
          | 'site'
          | 'owner'
          | 'owners'
          | 'serves';
      }
    | {
        type: 'mass';
        /** of a bare number, where it is not that of the machine */
        unit?: MassUnit;
      }
    | { type: 'measure'; dimension: Dimension; unit?: Record<UnitSystem, string> }
    | { type: 'check'; initial?: boolean }
    | {
        type: 'choice';
        choices: readonly Choice[];
        /** offered nowhere, and kept where an entry says it */
        besides?: readonly Choice[];
      }
    | { type: 'wayOut'; choices: readonly Choice[] }
    | { type: 'many'; choices: readonly Choice[] }
  );

/** A field of a form: `numbers.suction` stands within `numbers`. */
export type AskedField = Ask & { key: string };
export type FieldType = Ask['type'];
type OfType<Each, Type> = Each extends { type: infer Types }
  ? Type extends Types
    ? Each & { type: Type }
    : never
  : never;
export type FieldOf<Type extends FieldType> = OfType<AskedField, Type>;

/** What a sentence may need beside the value. */
export interface Saying {
  entry: Entry;
  system: MassSystem;
  names: Names;
}

/** A method, so that a field made for any value fits the value of each schema. */
type Say<Value> = {
  say(value: Exclude<NonNullable<Value>, NotDone | Unknown>, saying: Saying): string | null | false;
}['say'];

export interface Field<Value = unknown> {
  /** null: no form asks; another field, a calculator or a touch on the drawing gives it */
  ask: Ask | null;
  /** asked by what stands beside the form of the entry, not by the form itself */
  elsewhere?: true;
  /** the value in words; left out: its label and its value; null: other words say it already */
  say?: Say<Value> | null;
  /** the field of the entry that says the same: where that is filled, this one is silent */
  unlessSaidBy?: string;
  /** what its absence says, where it says something */
  sayNone?: (saying: Saying) => string | null;
}

/** Fields that stand within one: `conditions.section`. */
export interface Group<Value = unknown> {
  within: { readonly [Key in keyof NonNullable<Value>]-?: Field<NonNullable<Value>[Key]> };
}

type More = Pick<Common, 'hint' | 'optional' | 'when' | 'needed'>;

/** Its words say what it is: no label stands before them. */
export const bare = (field: Field): Field => ({ ...field, say: String });

/** Said by what stands beside it, or of use to programs alone. */
export const unsaid: Field = { ask: null, say: null };

/** A leak by what it is called. */
export const sayLeak = (id: string, { names }: Saying): string => leakWords(names, id);

export const text = (label: string, more: More = {}): Field => ({
  ask: { label, type: 'text', optional: true, ...more },
});
/** A text that must be given. */
export const named = (label: string, more: More = {}): Field => ({
  ask: { label, type: 'text', needed: true, ...more },
});
export const long = (label: string, more: More = {}): Field => ({ ask: { label, type: 'long', ...more } });
/** A day, or why none is known. */
export const statedDay = (label: string, more: More = {}): Field => ({
  ask: { label, type: 'date', stated: true, ...more },
});
export const statedText = (label: string, more: More = {}): Field => ({
  ask: { label, type: 'text', stated: true, ...more },
});
export const measure = (label: string, dimension: Dimension, more: More = {}): Field => ({
  ask: { label, type: 'measure', dimension, stated: true, ...more },
});
const choice = (
  label: string,
  words: Record<string, string>,
  how: { stated: boolean; chosen: boolean },
  more: More,
): Field => ({
  ask: { label, type: 'choice', ...how, choices: choices(Object.keys(words), words), ...more },
});
/** One of several, or not done, or unknown. */
export const statedChoice = (label: string, words: Record<string, string>, more: More = {}): Field =>
  choice(label, words, { stated: true, chosen: false }, more);
/** One of several that only a person may say: nothing is preselected. */
export const chosen = (label: string, words: Record<string, string>, more: More = {}): Field =>
  choice(label, words, { stated: false, chosen: true }, more);
/** One of several, the first to begin with. */
export const oneOf = (label: string, words: Record<string, string>, more: More = {}): Field =>
  choice(label, words, { stated: false, chosen: false }, more);

export const yesOrNo = (label: string, more: More = {}): Field =>
  statedChoice(label, { yes: 'yes', no: 'no' }, more);
