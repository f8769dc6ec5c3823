/** A valve by one touch: shut, or open again. Any part: where the gauge sits. */
import type { MapPart } from '../../../core/circuit/map';
import { partType } from '../../../core/circuit/parts';
import { placesIn, sectionOf } from '../../../core/circuit/sections';
import { shutParts, shutValves } from '../../../core/visit/visitRecord';
import { partWords } from '../../../words/circuit';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { Tray } from '../../parts/Tray';
import { useVisitWrite } from '../useVisitWrite';
import { useVisit } from '../visitContext';

interface Props {
  part: MapPart;
  onClose: () => void;
  /** the gauge sits here: the section around it is what is tested or pumped */
  onGauge?: () => void;
}

export function ValveTray({ part, onClose, onGauge }: Props) {
  const { map, view, newEntry } = useVisit();
  const deed = useVisitWrite(`valve ${part.id}`);
  const { entries } = view.standing.history;
  const shut = shutParts(entries, map);
  const words = partWords(part);
  const { valve = false, ofCompressor = false } = partType(part.type);
  const isShut = shut.has(part.id);
  // A valve that an earlier entry named in its own words is opened by that name.
  const named = shutValves(entries).find((each) => each.part === part.id)?.valve ?? words;
  const section = sectionOf(map, shut, part.id);
  const write = async (state: 'shut' | 'open') => {
    const entry = newEntry('readings', {
      tool: 'valve',
      valve: isShut ? named : words,
      part: part.id,
      state,
      ofCompressor,
    });
    if (await deed.save([entry], `${words}: ${state === 'open' ? 'open again' : 'shut'}.`)) onClose();
  };
  return (
    <Tray title={words} onClose={onClose}>
      {section && (
        <p className="mb-2 text-soft">
          {section.length} parts stand together here: {placesIn(section).join(', ')}.
        </p>
      )}
      <ApiError error={deed.error} />
      <div className="mb-2 grid grid-cols-2 gap-2">
        {valve && (
          <Button
            weight="main"
            className="min-h-14"
            disabled={deed.writing}
            onClick={() => void write(isShut ? 'open' : 'shut')}
          >
            {isShut ? 'Open again' : 'Shut'}
          </Button>
        )}
        {onGauge && !isShut && (
          <Button
            className="min-h-14"
            onClick={() => {
              onGauge();
              onClose();
            }}
          >
            The gauge sits here
          </Button>
        )}
      </div>
      {!valve && !onGauge && (
        <p className="pb-2 text-soft">This is no valve: touch one to shut or open it.</p>
      )}
      {valve && !isShut && ofCompressor && (
        <p className="font-semibold text-brick">▲ While it is shut: do not start.</p>
      )}
      {isShut && <p className="text-soft">If it stays shut, say why in the list below the drawing.</p>}
    </Tray>
  );
}
