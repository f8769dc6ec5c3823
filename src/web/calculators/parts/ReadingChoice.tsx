/** One reading of the machine by touch: its values as buttons, and "not read". */
import type { FieldOf } from '../../../record/field';
import type { BenchInput } from '../form';
import { Fields } from './Fields';

export function ReadingChoice({
  input,
  fromNumbers,
}: {
  input: BenchInput;
  /** what the gauges and thermometers already say */
  fromNumbers: string | null;
}) {
  const field = input.field as FieldOf<'choice'>;
  const [none, ...values] = field.choices;
  const first = fromNumbers === null ? none : { value: '', words: `by the gauges: ${fromNumbers}` };
  const shown = { ...field, choices: first ? [first, ...values] : values };
  return <Fields form={{ inputs: { reading: { ...input, field: shown } } }} />;
}
