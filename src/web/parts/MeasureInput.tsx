/** One measure: what is typed, the unit of a bare number, an echo in the other unit, and what may stand beside it. */
import type { ReactNode } from 'react';
import clsx from 'clsx';
import { type MeasureRefusal, type Measure } from '../../core/quantity/measure';
import { type Dimension, UNITS } from '../../core/quantity/units';
import type { Result } from '../../core/result';
import { echoOf, figuresOnly } from '../../words/measures';
import { Field, inputShape } from './Field';

/** These are typed with letters or a minus, which a phone's number pad lacks. */
const WITH_LETTERS: readonly Dimension[] = ['temperature', 'mass', 'length', 'pressure'];

interface Props {
  label: string;
  dimension: Dimension;
  text: string;
  /** of a bare number */
  unit: string;
  read: Result<Measure, MeasureRefusal>;
  atmosphere: number;
  optional?: boolean;
  error: string | null;
  hints: readonly (string | null | undefined)[];
  onChange: (typed: { text: string; unit?: string }) => void;
  children?: ReactNode;
}

export function MeasureInput(props: Props) {
  const { label, dimension, text, unit, read, atmosphere, optional = false, error, hints, children } = props;
  const { onChange } = props;
  const units = Object.keys(UNITS[dimension]).filter((each) => each !== '');
  const echo =
    read.ok && units.length > 1 ? `= ${echoOf(dimension, read.value.si, read.value.unit, atmosphere)}` : null;
  return (
    <Field
      label={label}
      optional={optional}
      error={error}
      hint={[echo, ...hints].filter(Boolean).join(' · ') || undefined}
    >
      {({ id, describedBy, invalid }) => (
        <div className="flex flex-wrap gap-2">
          <input
            id={id}
            aria-describedby={describedBy}
            aria-invalid={invalid}
            autoComplete="off"
            inputMode={WITH_LETTERS.includes(dimension) ? 'text' : 'decimal'}
            className={clsx(inputShape, 'min-w-24 flex-1 text-xl font-semibold')}
            value={text}
            onChange={(event) => onChange({ text: event.target.value })}
          />
          {units.length > 1 ? (
            <select
              aria-label={`Unit of ${label.toLowerCase()}`}
              className={clsx(inputShape, 'w-auto! shrink-0')}
              value={read.ok ? read.value.unit : unit}
              // Picking a unit gives the figure that unit; a typed one would go on contradicting it.
              onChange={(event) =>
                onChange({ unit: event.target.value, text: (read.ok ? figuresOnly(text) : null) ?? text })
              }
            >
              {units.map((each) => (
                <option key={each}>{each}</option>
              ))}
            </select>
          ) : (
            units[0] !== undefined && <span className="self-center text-soft">{units[0]}</span>
          )}
          {children}
        </div>
      )}
    </Field>
  );
}
