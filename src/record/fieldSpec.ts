/** The shape of an entry form: its fields by type, and the fields that several forms share. */
import type { Dimension } from '../core/quantity/units';
import { type Choice, choices } from '../words/choice';
import type { UnitSystem } from '../words/measures';

type Values = Record<string, unknown>;

interface Common {
  key: string;
  label: string;
  hint?: string;
  optional?: boolean;
  /** a text that must not stay empty, though the format would take it so */
  needed?: boolean;
  /** shown only while this holds */
  when?: (values: Values) => boolean;
  /** a choice that claims work done: nothing is preselected, the person chooses */
  chosen?: boolean;
  /** beside its value it can be not done (why) or unknown; left alone it is not recorded */
  stated?: boolean;
}

export type FieldSpec = Common &
  (
    | {
        type:
          | 'text'
          | 'long'
          | 'date'
          | 'mass'
          | 'pressure'
          | 'year'
          | 'newLeak'
          | 'leak'
          | 'openLeak'
          | 'stain'
          | 'leaks'
          | 'pack'
          | 'partsLeftOut'
          | 'temporaryPart';
      }
    | { type: 'measure'; dimension: Dimension; unit?: Record<UnitSystem, string> }
    | { type: 'check'; initial: boolean }
    | { type: 'choice'; choices: readonly Choice[] }
    | { type: 'many'; choices: readonly Choice[] }
  );

export interface FormSpec {
  title: string;
  about: string;
  caution?: string;
  fields: readonly FieldSpec[];
  /** fields that every entry of this form carries as they are */
  fixed?: Record<string, unknown>;
}

export const YES_NO = choices(['yes', 'no'] as const, { yes: 'yes', no: 'no' });

export const packField: FieldSpec = {
  key: 'pack',
  type: 'pack',
  label: 'For which rule',
  optional: true,
  hint: 'Leave it open and it counts for every case that runs.',
};
export const why: FieldSpec = { key: 'why', type: 'long', label: 'Why', optional: true };
