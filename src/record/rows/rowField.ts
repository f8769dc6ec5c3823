/** The shape of a form that puts a row right. */
import { type Choice } from '../../words/choice';

interface Common {
  key: string;
  label: string;
  hint?: string;
  optional?: boolean;
  /** what a row means that leaves it out */
  leftOut?: string;
}

export type RowField = Common &
  (
    | {
        type:
          | 'text'
          | 'long'
          | 'date'
          | 'check'
          | 'mass'
          | 'pressure'
          | 'metres'
          | 'litres'
          | 'months'
          | 'offset'
          | 'numbers'
          | 'certificates'
          | 'methods'
          | 'site'
          | 'owner'
          | 'owners'
          | 'serves';
      }
    | { type: 'choice'; choices: readonly Choice[] }
    | { type: 'many'; choices: readonly Choice[] }
  );

export interface RowForm {
  /** what one row is called */
  thing: string;
  fields: readonly RowField[];
}
