/** One field of an entry form, by its type. */
import { PlainControl } from './PlainControl';
import type { PackId } from '../../core/logbook/packNames';
import type { Standing } from '../../core/rules/standing';
import { fittedParts, temporaryParts } from '../../core/visit/partsFitted';
import { stainsOf } from '../../core/visit/stains';
import { ChoiceField } from '../parts/ChoiceField';
import { SelectField, TextArea, TextField } from '../parts/Field';
import { Ticks } from '../parts/Ticks';
import { PACK_WORDS } from '../../words/codes';
import { dayWords } from '../../words/dates';
import { labelOf } from '../../core/logbook/leakLabels';
import { type LeakDraft, leakDraftOf } from '../../record/leakDraft';
import type { FormPlace } from '../../record/place';
import { MeasuredField } from './MeasuredField';
import { StatedField } from './StatedField';
import { draftOf } from '../../record/statedDraft';
import type { AskedField } from '../../record/field';

interface Props {
  field: AskedField;
  value: unknown;
  error: string | undefined;
  standing: Standing;
  packs: readonly PackId[];
  place: FormPlace;
  onChange: (value: unknown) => void;
}

/** One field; a stated one stands in a frame that also takes not done and unknown. */
export function FieldControl(props: Props) {
  const { field, value, error, place, onChange } = props;
  if (field.type !== 'measure' && !field.stated) return <OwnControl {...props} />;
  const draft = draftOf(value);
  return (
    <StatedField field={field} draft={draft} error={error} onChange={onChange}>
      {field.type === 'measure' ? (
        <MeasuredField field={field} draft={draft} error={error} place={place} onChange={onChange} />
      ) : (
        <OwnControl {...props} value={draft.text} onChange={(text) => onChange({ ...draft, text })} />
      )}
    </StatedField>
  );
}

function OwnControl({ field, value, error, standing, packs, place, onChange }: Props) {
  const named = (leak: { id: string; state: string }) => ({
    value: leak.id,
    words: `${labelOf(place.labels, leak.id)}, ${leak.state}`,
  });
  const { label, hint, optional } = field;
  const common = { label, hint, optional, error: error ?? null };
  const text = typeof value === 'string' ? value : '';
  const onText = (event: { target: { value: string } }) => onChange(event.target.value);
  const leaks = [...standing.leaks.byId.values()];
  switch (field.type) {
    case 'check':
    case 'date':
    case 'long':
    case 'text':
      return <PlainControl as={field.type} field={field} value={value} error={error} onChange={onChange} />;
    case 'many':
      return <Ticks {...common} choices={field.choices} value={value as string[]} onChange={onChange} />;
    case 'choice':
      return <ChoiceField {...common} choices={field.choices} value={text} onChange={onChange} />;
    case 'leaks':
      return leaks.length === 0 ? null : (
        <Ticks {...common} choices={leaks.map(named)} value={value as string[]} onChange={onChange} />
      );
    case 'leak': {
      const draft = leakDraftOf(value, place.labels);
      const open = standing.leaks.open().map(named);
      // A correction may name a leak that is closed by now.
      const own = [...open.map((each) => each.value), draft.fresh.id].includes(draft.id)
        ? []
        : [{ value: draft.id, words: labelOf(place.labels, draft.id) }];
      return (
        <SelectField
          {...common}
          choices={[
            ...own,
            ...open,
            { value: draft.fresh.id, words: `${draft.fresh.label}, found and repaired together` },
          ]}
          value={draft.id}
          onChange={(event) => onChange({ ...draft, id: event.target.value } satisfies LeakDraft)}
        />
      );
    }
    case 'newLeak': {
      const draft = leakDraftOf(value, place.labels);
      return (
        <p className="mb-4">
          <span className="text-soft">{label}: </span>
          <span className="font-semibold">
            {draft.id === draft.fresh.id ? draft.fresh.label : labelOf(place.labels, draft.id)}
          </span>
          {draft.id === draft.fresh.id && <span className="text-soft"> (its number is made once)</span>}
        </p>
      );
    }
    case 'openLeak': {
      const open = standing.leaks.open();
      return open.length === 0 ? null : (
        <SelectField
          {...common}
          choices={[{ value: '', words: 'not for one leak' }, ...open.map(named)]}
          value={text}
          onChange={onText}
        />
      );
    }
    case 'stain': {
      const stains = stainsOf(standing.history.entries);
      return stains.length === 0 ? null : (
        <SelectField
          {...common}
          choices={[
            { value: '', words: 'a new one' },
            ...stains.map((each) => ({
              value: each.id,
              words: `${each.place}, seen ${dayWords(each.seenOn)}`,
            })),
          ]}
          value={text}
          onChange={onText}
        />
      );
    }
    case 'temporaryPart': {
      const present = temporaryParts(fittedParts(standing.history.entries));
      return present.length === 0 ? null : (
        <SelectField
          {...common}
          choices={[
            { value: '', words: 'nothing temporary' },
            ...present.map((each) => ({
              value: each.entryId,
              words: [each.part, each.place].filter(Boolean).join(', '),
            })),
          ]}
          value={text}
          onChange={onText}
        />
      );
    }
    case 'pack':
      return (
        <SelectField
          {...common}
          choices={[
            { value: '', words: 'every case that runs' },
            ...packs.map((pack) => ({ value: pack, words: PACK_WORDS[pack] })),
          ]}
          value={text}
          onChange={onText}
        />
      );
    case 'year':
      return <TextField {...common} inputMode="numeric" value={text} onChange={onText} />;
    case 'partsLeftOut':
      return <TextArea {...common} value={text} onChange={onText} />;
    case 'pressure':
      return <TextField {...common} placeholder="150 psig" value={text} onChange={onText} />;
    case 'mass':
      return (
        <TextField
          {...common}
          placeholder="12 lb 6 oz"
          className="text-2xl font-bold"
          value={text}
          onChange={onText}
        />
      );
  }
}
