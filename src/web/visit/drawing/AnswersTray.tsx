/** What kind of machine it is: its drawing follows from the answers, until somebody draws what it has of its own. */
import { type Answers, MOST_SIDE_BY_SIDE, answersOf, drawingOf } from '../../../core/circuit/drawing';
import { LAYOUTS } from '../../../core/circuit/layouts';
import { ok } from '../../../core/result';
import { roomsOf } from '../../../record/circuitOf';
import { LAYOUT_WORDS } from '../../../words/circuit';
import { ApiError } from '../../forms/ApiError';
import { Choices } from '../../parts/Choices';
import { Tray } from '../../parts/Tray';
import { useVisit } from '../visitContext';
import { useDrawingChange } from './useDrawingChange';

const COUNTS = Array.from({ length: MOST_SIDE_BY_SIDE }, (_, index) => {
  const words = String(index + 1);
  return { value: words, words };
});

export function AnswersTray({ onClose }: { onClose: () => void }) {
  const { drawing, view } = useVisit();
  const { change, error } = useDrawingChange();
  const answers = answersOf(drawing);
  const rooms = roomsOf(view.machine);
  // What was drawn beside the answers would go with them.
  const drawn = answers ? JSON.stringify(drawingOf(answers)) !== JSON.stringify(drawing) : true;
  const answer = (more: Partial<Answers>, words: string) => {
    const next = { layout: answers?.layout ?? 'split', rooms: answers?.rooms ?? rooms, ...answers, ...more };
    void change(ok(drawingOf(next)), words);
  };
  return (
    <Tray title="What kind of machine" onClose={onClose}>
      <ApiError error={error} />
      {drawn && (
        <p className="mb-2 font-semibold text-ochre">
          ◐ It has parts of its own. Another answer draws it anew without them; undo brings them back.
        </p>
      )}
      <Choices
        label="Drawn as"
        className="mb-3 grid grid-cols-2"
        choices={LAYOUTS.map((value) => ({ value, words: LAYOUT_WORDS[value] }))}
        value={answers?.layout ?? ''}
        onChange={(value) => {
          const layout = LAYOUTS.find((each) => each === value);
          if (layout) answer({ layout, rooms }, `Drawn as: ${LAYOUT_WORDS[layout].toLowerCase()}.`);
        }}
      />
      {answers && (
        <>
          <p className="mb-1 font-semibold">Compressors side by side</p>
          <Choices
            label="Compressors side by side"
            className="mb-3"
            choices={COUNTS}
            value={String(answers.compressors ?? 1)}
            onChange={(value) => answer({ compressors: Number(value) }, `Compressors: ${value}.`)}
          />
          <p className="mb-1 font-semibold">Coils in each room</p>
          <Choices
            label="Coils in each room"
            className="mb-2"
            choices={COUNTS}
            value={String(answers.coils ?? 1)}
            onChange={(value) => answer({ coils: Number(value) }, `Coils in each room: ${value}.`)}
          />
        </>
      )}
    </Tray>
  );
}
