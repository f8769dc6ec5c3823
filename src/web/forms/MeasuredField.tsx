/** A measure in a form: typed in any unit, echoed in the other, with the instrument that it was read on. */
import { parseMeasure } from '../../core/quantity/measure';
import { MeasureInput } from '../parts/MeasureInput';
import { shownIn } from '../../words/measures';
import type { AskedField } from '../../record/field';
import { InstrumentPick } from './InstrumentPick';
import { type FormPlace, usualUnit } from '../../record/place';
import { useKeepUnit } from '../data/device/keptUnits';
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
  const { usual: own, unit: usual } = usualUnit(place, dimension, field.unit);
  const keepUnit = useKeepUnit();
  const read = parseMeasure(dimension, draft.text, (draft.unit || usual) as never, place.atmosphere);
  const instrument = place.instruments.find((each) => each.id === draft.instrument);
  const shifted =
    read.ok && instrument && instrument.offset !== 0
      ? `corrected to ${shownIn(place.system, place.atmosphere)(dimension, read.value.si + instrument.offset)}`
      : null;
  return (
    <MeasureInput
      label={field.label}
      dimension={dimension}
      text={draft.text}
      unit={draft.unit || usual}
      read={read}
      atmosphere={place.atmosphere}
      error={error ?? null}
      hints={[shifted, field.hint]}
      onChange={(typed) => {
        if (typed.unit !== undefined) keepUnit(dimension, own, typed.unit);
        onChange({ ...draft, ...typed });
      }}
    >
      <InstrumentPick
        label={field.label}
        dimension={dimension}
        place={place}
        value={draft.instrument}
        className="w-auto! max-w-44 shrink-0"
        onChange={(instrument) => onChange({ ...draft, instrument })}
      />
    </MeasureInput>
  );
}
