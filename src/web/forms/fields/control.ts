/** What the control of a field is given, whatever form it stands in. */
import type { PackId } from '../../../core/logbook/packNames';
import type { Standing } from '../../../core/rules/standing';
import type { AskedField, FieldOf, FieldType, Values } from '../../../record/field';
import type { FormPlace } from '../../../record/place';

/** The machine that a form writes about. */
export interface OfMachine {
  standing: Standing;
  packs: readonly PackId[];
}

export interface ControlProps<Field extends AskedField = AskedField> {
  field: Field;
  value: unknown;
  error: string | undefined;
  place: FormPlace;
  /** the whole draft: what a machine can cool hangs on its site */
  values: Values;
  /** null: the form is of a row */
  machine: OfMachine | null;
  /** typing begins here */
  autoFocus?: boolean;
  onChange: (value: unknown) => void;
}

export type Control<Type extends FieldType> = (props: ControlProps<FieldOf<Type>>) => React.ReactNode;

/** What every field shows of itself. */
export const frameOf = ({ field, error }: Pick<ControlProps, 'field' | 'error'>) => ({
  label: field.label,
  hint: field.hint,
  optional: field.optional ?? false,
  error: error ?? null,
});

export const textOf = (value: unknown): string => (typeof value === 'string' ? value : '');
