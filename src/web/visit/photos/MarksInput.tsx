/** A photo to draw on with a finger: arrows and circles, the last of which can be taken off. */
import { useRef, useState } from 'react';
import type { Marks } from '../../../record/photos';
import { photoAddress } from '../../data/addresses/photoAddress';
import { MarksDrawn } from '../../paper/Picture';
import { Button } from '../../parts/Button';
import { Choices } from '../../parts/Choices';

type Shape = Marks[number]['shape'];
/** Shorter drags are slips of the finger, as a share of the picture. */
const LEAST_DRAG = 0.03;

export function MarksInput({
  file,
  marks,
  onMarks,
}: {
  file: string;
  marks: Marks;
  onMarks: (marks: Marks) => void;
}) {
  const [shape, setShape] = useState<Shape>('arrow');
  const [drag, setDrag] = useState<Marks[number] | null>(null);
  const frame = useRef<HTMLDivElement>(null);
  const share = (event: React.PointerEvent): [number, number] => {
    const box = frame.current?.getBoundingClientRect();
    if (!box) return [0, 0];
    const within = (value: number) => Math.min(1, Math.max(0, value));
    return [within((event.clientX - box.left) / box.width), within((event.clientY - box.top) / box.height)];
  };
  const finish = () => {
    if (drag && Math.hypot(drag.to[0] - drag.from[0], drag.to[1] - drag.from[1]) >= LEAST_DRAG)
      onMarks([...marks, drag]);
    setDrag(null);
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
        <Button weight="quiet" disabled={marks.length === 0} onClick={() => onMarks(marks.slice(0, -1))}>
          Take the last mark off
        </Button>
      </div>
    </>
  );
}
