/** One photo: an arrow or a circle drawn on it with a finger, a caption, and whether it is before or after. */
import { useState } from 'react';
import type { Entry } from '../../../core/logbook/entry';
import { labelOf } from '../../../core/logbook/leakLabels';
import { carrying, readNote } from '../../../core/visit/notes/notes';
import { oilTracesOf } from '../../../core/visit/leaks/oilTraces';
import type { NoteEntry } from '../../../core/visit/visitRecord';
import { WriterField } from '../../forms/WriterField';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { Choices } from '../../parts/Choices';
import { SelectField, TextField } from '../../parts/Field';
import { useVisitWrite } from '../useVisitWrite';
import { useVisit } from '../visitContext';
import type { Choice } from '../../../words/choice';
import type { Marks } from '../../../record/photos';
import { MarksInput } from './MarksInput';

export function PhotoForm({
  earlier,
  photos,
  onDone,
}: {
  /** the photo as it stands in the logbook; what is drawn and said corrects it */
  earlier: Entry;
  photos: readonly NoteEntry<'picture'>[];
  onDone: () => void;
}) {
  const { newEntry, step } = useVisit();
  const deed = useVisitWrite(`marks ${earlier.id}`);
  const before = readNote(earlier, 'picture');
  const file = before?.file ?? '';
  const [marks, setMarks] = useState<Marks>(before?.marks ?? []);
  const [caption, setCaption] = useState(before?.caption ?? '');
  const [pair, setPair] = useState<string>(before?.pair ?? '');
  const [leakId, setLeakId] = useState(before?.leakId ?? '');
  const [oilTrace, setOilTrace] = useState(before?.stain ?? '');
  const [of, setOf] = useState(before?.of ?? '');
  const others = photos.filter((each) => each.note.pair === 'before' && each.note.file !== file);

  const save = async () => {
    const entry = newEntry('photo', {
      tool: 'picture',
      step: before?.step ?? step,
      file,
      attachments: [file],
      caption: caption.trim() || null,
      leakId: leakId || null,
      stain: oilTrace || null,
      pair: pair || null,
      of: pair === 'after' ? of || null : null,
      marks,
    });
    if (!entry) return;
    const written = carrying(entry, {
      on: earlier.on,
      at: earlier.at ?? undefined,
      supersedes: earlier.id,
      correctionReason: 'marks or caption changed; the picture is the same',
    });
    if (await deed.save([written], 'Photo: in the logbook.')) onDone();
  };
  return (
    <>
      <MarksInput file={file} marks={marks} onMarks={setMarks} />
      <TextField
        label="Caption"
        optional
        value={caption}
        onChange={(event) => setCaption(event.target.value)}
      />
      <Shows leakId={leakId} oilTrace={oilTrace} onLeak={setLeakId} onOilTrace={setOilTrace} />
      <Choices
        label="Before or after"
        value={pair}
        onChange={setPair}
        choices={[
          { value: '', words: 'on its own' },
          { value: 'before', words: 'before' },
          { value: 'after', words: 'after' },
        ]}
      />
      {pair === 'after' && (
        <SelectField
          label="Of which photo before"
          value={of}
          onChange={(event) => setOf(event.target.value)}
          choices={[
            { value: '', words: 'none of this visit' },
            ...others.map((each) => ({
              value: each.note.file,
              words: each.note.caption ?? 'without a caption',
            })),
          ]}
        />
      )}
      <WriterField />
      <ApiError error={deed.error} />
      <Button weight="main" className="w-full" disabled={deed.writing} onClick={() => void save()}>
        Keep the photo
      </Button>
    </>
  );
}

/** What it shows, where the machine has leaks or traces of oil. */
function Shows({
  leakId,
  oilTrace,
  onLeak,
  onOilTrace,
}: {
  leakId: string;
  oilTrace: string;
  onLeak: (id: string) => void;
  onOilTrace: (id: string) => void;
}) {
  const { view } = useVisit();
  const leaks = [...view.standing.leaks.byId.values()];
  const oilTraces = oilTracesOf(view.standing.history.entries);
  return (
    <>
      <OneOf
        label="Shows which leak"
        value={leakId}
        choices={leaks.map(({ id, state }) => ({
          value: id,
          words: `${labelOf(view.names.leaks, id)}, ${state}`,
        }))}
        onChange={onLeak}
      />
      <OneOf
        label="Shows which oil stain"
        value={oilTrace}
        choices={oilTraces.map(({ id, place }) => ({ value: id, words: place }))}
        onChange={onOilTrace}
      />
    </>
  );
}

/** One of what there is, or none; nothing where there is none to choose. */
const OneOf = ({
  label,
  value,
  choices,
  onChange,
}: {
  label: string;
  value: string;
  choices: readonly Choice[];
  onChange: (value: string) => void;
}) =>
  choices.length > 0 && (
    <SelectField
      label={label}
      optional
      value={value}
      onChange={(event) => onChange(event.target.value)}
      choices={[{ value: '', words: 'none' }, ...choices]}
    />
  );
