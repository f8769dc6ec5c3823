/** A measure of a calculator: its field of the form, in the air of the bench. */
import { MeasureInput as Input } from '../../parts/MeasureInput';
import { measureRefusalWords } from '../../../words/calculators';
import { useBench } from '../setting';
import type { MeasureField } from '../form';

export function MeasureInput({ field }: { field: MeasureField }) {
  const { atmosphere } = useBench();
  const { spec, text, unit, read } = field;
  return (
    <Input
      label={spec.label}
      dimension={spec.dimension}
      text={text}
      unit={unit}
      read={read}
      atmosphere={atmosphere}
      optional={spec.optional ?? false}
      error={read.ok || text.trim() === '' ? null : measureRefusalWords(read.refusal)}
      hints={[spec.hint]}
      onChange={field.set}
    />
  );
}
