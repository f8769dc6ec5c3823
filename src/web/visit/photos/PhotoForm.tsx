/** One photo: an arrow or a circle drawn on it with a finger, a caption, and whether it is before or after. */
import { useRef, useState } from 'react';
import type { Entry } from '../../../core/logbook/entry';
import { labelOf } from '../../../core/logbook/leakLabels';
import { carrying, readNote } from '../../../core/visit/notes/notes';
import { oilTracesOf } from '../../../core/visit/leaks/oilTraces';
import type { Noted } from '../../../core/visit/visitRecord';
import { WriterField } from '../../forms/WriterField';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { Choices } from '../../parts/Choices';
import { SelectField, TextField } from '../../parts/Field';
import { useVisitWrite } from '../useVisitWrite';
import { useVisit } from '../visitContext';
import { MarksDrawn, photoAddress } from '../../paper/Picture';
import type { Marks } from '../../../record/photos';

type Shape = Marks[number]['shape'];
/** Shorter drags are slips of the finger, as a share of the picture. */
const LEAST_DRAG = 0.03;

export function PhotoForm({
  earlier,
  photos,
  onDone,
}: {
  /** the photo as it stands in the logbook; what is drawn and said corrects it */
  earlier: Entry;
  photos: readonly Noted<'picture'>[];
  onDone: () => void;
}) {
  const { view, newEntry, step } = useVisit();
  const deed = useVisitWrite(`marks ${earlier.id}`);
  const leaks = [...view.standing.leaks.byId.values()];
  const oilTraces = oilTracesOf(view.standing.history.entries);
  const before = readNote(earlier, 'picture');
  const file = before?.file ?? '';
  const [marks, setMarks] = useState<Marks>(before?.marks ?? []);
  const [shape, setShape] = useState<Shape>('arrow');
  const [caption, setCaption] = useState(before?.caption ?? '');
  const [pair, setPair] = useState<string>(before?.pair ?? '');
  const [leakId, setLeakId] = useState(before?.leakId ?? '');
  const [oilTrace, setOilTrace] = useState(before?.stain ?? '');
  const [of, setOf] = useState(before?.of ?? '');
  const [drag, setDrag] = useState<Marks[number] | null>(null);
  const frame = useRef<HTMLDivElement>(null);
  const others = photos.filter((each) => each.note.pair === 'before' && each.note.file !== file);

  const share = (event: React.PointerEvent): [number, number] => {
    const box = frame.current?.getBoundingClientRect();
    if (!box) return [0, 0];
    const within = (value: number) => Math.min(1, Math.max(0, value));
    return [within((event.clientX - box.left) / box.width), within((event.clientY - box.top) / box.height)];
  };
  const finish = () => {
    if (drag && Math.hypot(drag.to[0] - drag.from[0], drag.to[1] - drag.from[1]) >= LEAST_DRAG)
      setMarks([...marks, drag]);
    setDrag(null);
  };
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
      <div
        ref={frame}
        role="img"
        aria-label="Photo. Draw on it with a finger: an arrow or a circle."
        className="relative mb-3 cursor-crosshair touch-none select-none"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          const at = share(event);
          setDrag({ shape, from: at, to: at });
        }}
        onPointerMove={(event) => drag && setDrag({ ...drag, to: share(event) })}
        onPointerUp={finish}
        onPointerCancel={() => setDrag(null)}
      >
        <img src={photoAddress(file)} alt="" draggable={false} className="block w-full rounded" />
        <MarksDrawn marks={drag ? [...marks, drag] : marks} />
      </div>
      <div className="flex flex-wrap items-start gap-x-3">
        <Choices
          label="Draw"
          value={shape}
          onChange={(value) => setShape(value as Shape)}
          choices={[
            { value: 'arrow', words: 'arrow' },
            { value: 'circle', words: 'circle' },
          ]}
        />
        <Button weight="quiet" disabled={marks.length === 0} onClick={() => setMarks(marks.slice(0, -1))}>
          Take the last mark off
        </Button>
      </div>
      <TextField
        label="Caption"
        optional
        value={caption}
        onChange={(event) => setCaption(event.target.value)}
      />
      {leaks.length > 0 && (
        <SelectField
          label="Shows which leak"
          optional
          value={leakId}
          onChange={(event) => setLeakId(event.target.value)}
          choices={[
            { value: '', words: 'none' },
            ...leaks.map((leak) => ({
              value: leak.id,
              words: `${labelOf(view.names.leaks, leak.id)}, ${leak.state}`,
            })),
          ]}
        />
      )}
      {oilTraces.length > 0 && (
        <SelectField
          label="Shows which oil stain"
          optional
          value={oilTrace}
          onChange={(event) => setOilTrace(event.target.value)}
          choices={[
            { value: '', words: 'none' },
            ...oilTraces.map((each) => ({ value: each.id, words: each.place })),
          ]}
        />
      )}
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
