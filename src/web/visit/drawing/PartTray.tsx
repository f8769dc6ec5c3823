/** A part of the drawing: what stands on which side of it, a second one beside it, its name, and that it is gone. */
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { type Changed, put } from '../../../core/circuit/changes';
import { named, strike, takeOut } from '../../../core/circuit/takingOut';
import type { MapPart } from '../../../core/circuit/map';
import { type PartTypeName, partType } from '../../../core/circuit/parts';
import { SIDE_BY_SIDE, secondBeside } from '../../../core/circuit/sideBySide';
import { shutParts } from '../../../core/visit/valves';
import { dayText } from '../../../core/quantity/day';
import { LINE_WORDS, PART_WORDS, partName, partWords } from '../../../words/circuit';
import { capped, uncapped } from '../../../words/list';
import type { Joint } from '../../drawing/LinePaths';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { TextField } from '../../parts/Field';
import { Fold } from '../../parts/Fold';
import { Tray } from '../../parts/Tray';
import { useVisit } from '../visitContext';
import { useDrawingChange } from './useDrawingChange';

/** What usually hangs on a part, the likeliest first. */
const HANGS: readonly PartTypeName[] = [
  'accessPort',
  'pressureControl',
  'pigtail',
  'relief',
  'gaugeTee',
  'processTube',
  'fusiblePlug',
];

interface Props {
  part: MapPart;
  /** the line on one side of it was chosen */
  onJoint: (joint: Joint) => void;
  onClose: () => void;
}

export function PartTray({ part, onJoint, onClose }: Props) {
  const { map, drawing } = useVisit();
  const { change, error, writing } = useDrawingChange();
  const words = partWords(part);
  const write = async (changed: Changed, said: string) => {
    if (await change(changed, said)) onClose();
  };
  const nameOf = (id: string): string => {
    const other = map.parts.find((each) => each.id === id);
    return other ? partName(other) : id;
  };
  const joints = map.lines.flatMap(({ carries, through }) =>
    through.slice(1).flatMap((id, at): (Joint & { to: boolean })[] => {
      const before = through[at] ?? '';
      return id === part.id || before === part.id
        ? [{ one: before, other: id, carries, to: before === part.id }]
        : [];
    }),
  );
  const hang = (type: PartTypeName) =>
    void write(
      put(drawing, [{ id: uuidv7(), type, where: part.where }], { how: 'stub', on: part.id }),
      `${PART_WORDS[type]}: hangs on ${uncapped(words)}.`,
    );
  return (
    <Tray title={words} onClose={onClose}>
      <ApiError error={error} />
      {joints.length > 0 && <p className="mb-1 font-semibold">Something stands on the line</p>}
      <div className="mb-3 grid grid-cols-2 gap-2">
        {joints.map((joint) => (
          <Button
            key={`${joint.one} ${joint.other} ${joint.carries}`}
            className="min-h-14"
            onClick={() => onJoint(joint)}
          >
            {`${capped(LINE_WORDS[joint.carries])} ${joint.to ? `to ${uncapped(nameOf(joint.other))}` : `from ${uncapped(nameOf(joint.one))}`}`}
          </Button>
        ))}
        {SIDE_BY_SIDE.includes(part.type) && (
          <Button
            className="min-h-14"
            disabled={writing}
            onClick={() =>
              void write(
                secondBeside(drawing, part.id, uuidv7),
                `A second one stands beside ${uncapped(words)}.`,
              )
            }
          >
            A second one beside it
          </Button>
        )}
      </div>
      {!partType(part.type).dry && (
        <Fold title="Something hangs on it" about="port, control, pigtail, relief">
          <div className="grid grid-cols-2 gap-2">
            {HANGS.map((type) => (
              <Button key={type} disabled={writing} onClick={() => hang(type)}>
                {PART_WORDS[type]}
              </Button>
            ))}
          </div>
        </Fold>
      )}
      <NameOrGone part={part} busy={writing} onChange={(changed, said) => void write(changed, said)} />
    </Tray>
  );
}

function NameOrGone({
  part,
  busy,
  onChange,
}: {
  part: MapPart;
  busy: boolean;
  onChange: (changed: Changed, said: string) => void;
}) {
  const { map, drawing, day, view } = useVisit();
  const [name, setName] = useState(part.name ?? '');
  const isShut = shutParts(view.standing.history.entries, map).has(part.id);
  const words = partWords(part);
  return (
    <Fold title="Its name, or that it is gone" about="taken out, never was there">
      <TextField
        label="Called here"
        optional
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      {isShut && (
        <p className="mb-2 text-ochre">◐ It is written down as shut: say “open again” before it goes.</p>
      )}
      <div className="flex flex-wrap gap-2">
        <Button
          disabled={busy}
          onClick={() => onChange(named(drawing, part.id, name), 'The part has its name.')}
        >
          Keep the name
        </Button>
        <Button
          disabled={busy || isShut}
          onClick={() => onChange(takeOut(drawing, part.id, dayText(day)), `${words}: taken out.`)}
        >
          Taken out today
        </Button>
        <Button
          weight="quiet"
          disabled={busy || isShut}
          onClick={() => onChange(strike(drawing, part.id), `${words}: this machine has none.`)}
        >
          This machine has none
        </Button>
      </div>
    </Fold>
  );
}
