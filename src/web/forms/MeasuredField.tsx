/** A measure in a form: typed in any unit, echoed in the other, with the instrument that it was read on. */
import clsx from 'clsx';
import { parseMeasure } from '../../core/quantity/measure';
import { UNITS } from '../../core/quantity/units';
import { Field, inputShape } from '../parts/Field';
import { echoOf, figuresOnly, readIn, shownIn } from '../../words/measures';
import type { AskedField } from '../../record/field';
import type { FormPlace } from '../../record/place';
import type { StatedDraft } from '../../record/statedDraft';

export function MeasuredField({
  field,
  draft,
  error,
  place,
  onChange,
}: {
  field: Extract<AskedField, { type: 'measure' }>;
  draft: StatedDraft;
  error: string | undefined;
  place: FormPlace;
  onChange: (draft: StatedDraft) => void;
}) {
  const { dimension } = field;
  const usual = field.unit?.[place.system] ?? readIn(dimension, place.system);
  const units = Object.keys(UNITS[dimension]).filter((each) => each !== '');
  const read = parseMeasure(dimension, draft.text, (draft.unit || usual) as never, place.atmosphere);
  const unit = read.ok ? read.value.unit : draft.unit || usual;
  const fitting = place.instruments.filter((each) => each.dimension === dimension);
  const instrument = fitting.find((each) => each.id === draft.instrument);
  const echo =
    read.ok && units.length > 1 ? `= ${echoOf(dimension, read.value.si, unit, place.atmosphere)}` : null;
  const shifted =
    read.ok && instrument && instrument.offset !== 0
      ? `corrected to ${shownIn(place.system, place.atmosphere)(dimension, read.value.si + instrument.offset)}`
      : null;
  return (
    <Field
      label={field.label}
      error={error ?? null}
      hint={[echo, shifted, field.hint].filter(Boolean).join(' · ') || undefined}
    >
      {({ id, describedBy, invalid }) => (
        <div className="flex flex-wrap gap-2">
          <input
            id={id}
            aria-describedby={describedBy}
            aria-invalid={invalid}
            autoComplete="off"
            inputMode={['temperature', 'mass', 'length', 'pressure'].includes(dimension) ? 'text' : 'decimal'}
            className={clsx(inputShape, 'min-w-24 flex-1 text-xl font-semibold')}
            value={draft.text}
            onChange={(event) => onChange({ ...draft, text: event.target.value })}
          />
          {units.length > 1 ? (
            <select
              aria-label={`Unit of ${field.label.toLowerCase()}`}
              className={clsx(inputShape, 'w-auto! shrink-0')}
              value={unit}
              onChange={(event) =>
                onChange({ ...draft, unit: event.target.value, text: figuresOnly(draft.text) ?? draft.text })
              }
            >
              {units.map((each) => (
                <option key={each}>{each}</option>
              ))}
            </select>
          ) : (
            units[0] !== undefined && <span className="self-center text-soft">{units[0]}</span>
          )}
          {fitting.length > 0 && (
            <select
              aria-label={`Instrument for ${field.label.toLowerCase()}`}
              className={clsx(inputShape, 'w-auto! max-w-44 shrink-0')}
              value={draft.instrument}
              onChange={(event) => onChange({ ...draft, instrument: event.target.value })}
            >
              <option value="">by hand</option>
              {fitting.map((each) => (
                <option key={each.id} value={each.id}>
                  {each.name}
                </option>
              ))}
            </select>
          )}
        </div>
      )}
    </Field>
  );
}
