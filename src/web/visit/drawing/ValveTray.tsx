/** A valve by one touch: shut, or open again. Any part: where the gauge sits. */
import type { MapPart } from '../../../core/circuit/map';
import { partType } from '../../../core/circuit/parts';
import { placesIn, sectionOf } from '../../../core/circuit/sections';
import { shutValves, valvesOf } from '../../../core/visit/valves';
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
  const { shut, doesNotHold } = valvesOf(entries, map);
  const words = partWords(part);
  const { valve = false, ofCompressor = false } = partType(part.type);
  const isShut = shut.has(part.id);
  // A valve that an earlier entry named in its own words is opened by that name.
  const named = shutValves(entries).find((each) => each.part === part.id)?.valve ?? words;
  const section = sectionOf(map, shut, part.id);
  const holds = !doesNotHold.has(part.id);
  const write = async (state: 'shut' | 'open', holding?: 'yes' | 'no') => {
    const entry = newEntry('readings', {
      tool: 'valve',
      valve: isShut ? named : words,
      part: part.id,
      state,
      ofCompressor,
      ...(holding && { holds: holding }),
    });
    const said = holding
      ? holding === 'no'
        ? 'does not hold'
        : 'holds'
      : state === 'open'
        ? 'open again'
        : 'shut';
    if (await deed.save([entry], `${words}: ${said}.`)) onClose();
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
        {isShut && (
          <Button
            className="min-h-14"
            disabled={deed.writing}
            onClick={() => void write('shut', holds ? 'no' : 'yes')}
          >
            {holds ? 'It does not hold' : 'It holds after all'}
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
      {isShut && !holds && (
        <p className="font-semibold text-ochre">
          ◐ Gas comes through it: what stands behind it counts as open to the other side.
        </p>
      )}
      {isShut && <p className="text-soft">If it stays shut, say why in the list below the drawing.</p>}
    </Tray>
  );
}
