/** The fields of a form that apply, one control each, and those that stand folded behind “More”. */
import type { AskedField, Values } from '../../record/field';
import type { FormPlace } from '../../record/place';
import { uncapped } from '../../words/list';
import { FieldControl } from './FieldControl';
import type { OfMachine } from './fields/control';

interface Props {
  fields: readonly AskedField[];
  values: Values;
  /** by key; none before somebody tried to save */
  errors: Readonly<Record<string, string>>;
  place: FormPlace;
  machine: OfMachine | null;
  onAnswer: (key: string, value: unknown) => void;
  /** the field in which typing begins */
  begin?: string;
}

export const applying = (fields: readonly AskedField[], values: Values): AskedField[] =>
  fields.filter((field) => !field.when || field.when(values));

/** What is folded, by name. */
export const namesOf = (fields: readonly AskedField[]): string =>
  fields.map(({ label }) => uncapped(label)).join(', ');

const control = (field: AskedField, { values, errors, place, machine, onAnswer, begin }: Props) => (
  <FieldControl
    key={field.key}
    field={field}
    value={values[field.key]}
    error={errors[field.key]}
    place={place}
    autoFocus={field.key === begin}
    values={values}
    machine={machine}
    onChange={(value) => onAnswer(field.key, value)}
  />
);

/** One below the other. */
export const Fields = (props: Props) =>
  applying(props.fields, props.values).map((field) => control(field, props));

const wide = (field: AskedField): boolean =>
  field.type === 'long' || (field.type === 'choice' && field.choices.length > 3);

/** In two columns where there is room; what needs the whole width has it. */
export const FieldGrid = (props: Props) => (
  <div className="grid gap-x-8 sm:grid-cols-2">
    {applying(props.fields, props.values).map((field) => (
      <div key={field.key} className={wide(field) ? 'sm:col-span-2' : 'min-w-0'}>
        {control(field, props)}
      </div>
    ))}
  </div>
);
