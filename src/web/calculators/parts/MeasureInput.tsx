/** One measure: what is typed, the unit of a bare number, and an echo in the other unit. */
import clsx from 'clsx';
import { type Dimension, UNITS } from '../../../core/quantity/units';
import { Field, inputShape } from '../../parts/Field';
import { measureRefusalWords } from '../../../words/bench';
import { echoOf, figuresOnly } from '../../../words/measures';
import { useBench } from '../setting';
import type { MeasureField } from '../form';

/** These are typed with letters or a minus, which a phone's number pad lacks. */
const WITH_LETTERS: readonly Dimension[] = ['temperature', 'mass', 'length'];

export function MeasureInput({ field }: { field: MeasureField }) {
  const { atmosphere } = useBench();
  const { spec, text, unit, read } = field;
  const empty = text.trim() === '';
  const units = Object.keys(UNITS[spec.dimension]).filter((each) => each !== '');
  const error = read.ok || empty ? null : measureRefusalWords(read.refusal);
  const echo =
    read.ok && units.length > 1
      ? `= ${echoOf(spec.dimension, read.value.si, read.value.unit, atmosphere)}`
      : null;
  return (
    <Field
      label={spec.label}
      optional={spec.optional ?? false}
      error={error}
      hint={[echo, spec.hint].filter(Boolean).join(' · ') || undefined}
    >
      {({ id, describedBy, invalid }) => (
        <div className="flex gap-2">
          <input
            id={id}
            aria-describedby={describedBy}
            aria-invalid={invalid}
            autoComplete="off"
            inputMode={WITH_LETTERS.includes(spec.dimension) ? 'text' : 'decimal'}
            className={clsx(inputShape, 'min-w-0 text-xl font-semibold')}
            value={text}
            onChange={(event) => field.set({ text: event.target.value })}
          />
          {units.length > 1 ? (
            <select
              aria-label={`Unit of ${spec.label.toLowerCase()}`}
              className={clsx(inputShape, 'w-auto! shrink-0')}
              value={read.ok ? read.value.unit : unit}
              // Picking a unit gives the figure that unit; a typed one would go on contradicting it.
              onChange={(event) =>
                field.set({ unit: event.target.value, text: (read.ok ? figuresOnly(text) : null) ?? text })
              }
            >
              {units.map((each) => (
                <option key={each}>{each}</option>
              ))}
            </select>
          ) : (
            units[0] !== undefined && <span className="self-center text-soft">{units[0]}</span>
          )}
        </div>
      )}
    </Field>
  );
}
