/** The instrument that a reading came from: its offset is put in. */
import clsx from 'clsx';
import type { Dimension } from '../../core/quantity/units';
import { inputShape } from '../parts/Field';
import type { FormPlace } from '../../record/place';

export function InstrumentPick({
  label,
  dimension,
  place,
  value,
  className,
  onChange,
}: {
  label: string;
  dimension: Dimension;
  place: FormPlace;
  value: string;
  className?: string;
  onChange: (instrument: string) => void;
}) {
  const fitting = place.instruments.filter((each) => each.dimension === dimension);
  if (fitting.length === 0) return null;
  return (
    <select
      aria-label={`Instrument for ${label.toLowerCase()}`}
      className={clsx(inputShape, className)}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    >
      <option value="">by hand</option>
      {fitting.map((each) => (
        <option key={each.id} value={each.id}>
          {each.name}
        </option>
      ))}
    </select>
  );
}
