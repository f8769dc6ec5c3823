/** What kind of machine it is: its drawing follows from the answer, until somebody draws what it has of its own. */
import { answersOf, drawingOf } from '../../../core/circuit/drawing';
import { LAYOUTS } from '../../../core/circuit/layouts';
import { ok } from '../../../core/result';
import { LAYOUT_WORDS } from '../../../words/circuit';
import { countWords } from '../../../words/counts';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { Tray } from '../../parts/Tray';
import { useVisit } from '../visitContext';
import { useDrawingChange } from './useDrawingChange';

export function AnswersTray({ onClose }: { onClose: () => void }) {
  const { map, drawing, view } = useVisit();
  const { change, error, writing } = useDrawingChange();
  const { appliance, spaces } = view.machine;
  const answers = answersOf(drawing);
  const own = map.parts.filter((part) => part.own).length;
  const rooms = (appliance.serves ?? []).flatMap((id) => spaces.find((space) => space.id === id)?.name ?? []);
  return (
    <Tray title="What kind of machine" onClose={onClose}>
      <ApiError error={error} />
      {own > 0 && (
        <p className="mb-2 font-semibold text-ochre">
          ◐ {countWords(own, 'part')} of its own {own === 1 ? 'is' : 'are'} not taken over: draw{' '}
          {own === 1 ? 'it' : 'them'} anew, or undo.
        </p>
      )}
      <div className="grid grid-cols-2 gap-2">
        {LAYOUTS.map((layout) => (
          <Button
            key={layout}
            className="min-h-14"
            disabled={writing || (layout === answers?.layout && own === 0)}
            onClick={() =>
              void change(
                ok(drawingOf({ layout, rooms })),
                `Drawn as: ${LAYOUT_WORDS[layout].toLowerCase()}.`,
              ).then((written) => written && onClose())
            }
          >
            {layout === answers?.layout ? `● ${LAYOUT_WORDS[layout]}` : LAYOUT_WORDS[layout]}
          </Button>
        ))}
      </div>
    </Tray>
  );
}
