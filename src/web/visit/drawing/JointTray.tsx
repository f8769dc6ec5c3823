/** A place on a line, between two parts: what is put there in flow, or a line of its own from here to another place. */
import { v7 as uuidv7 } from 'uuid';
import { type Changed, put } from '../../../core/circuit/changes';
import { PART_TYPES, type PartTypeName, partType } from '../../../core/circuit/parts';
import type { Carries } from '../../../core/logbook/piping';
import { LINE_WORDS, PART_WORDS } from '../../../words/circuit';
import { uncapped } from '../../../words/list';
import type { Joint } from '../../drawing/LinePaths';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { PickField } from '../../parts/PickField';
import { Tray } from '../../parts/Tray';
import { useVisit } from '../visitContext';
import { useDrawingChange } from './useDrawingChange';

const USUAL: readonly PartTypeName[] = [
  'ballValve',
  'drier',
  'sightGlass',
  'accessPort',
  'solenoid',
  'checkValve',
];
const MORE = (Object.keys(PART_TYPES) as PartTypeName[]).filter(
  (type) => !USUAL.includes(type) && !partType(type).stub && type !== 'other',
);
/** On a line of its own: what stands in it, and what it carries; null carries what it leaves. */
const ACROSS: readonly (readonly [PartTypeName, Carries | null])[] = [
  ['hotGasValve', 'hotGas'],
  ['ballValve', null],
  ['checkValve', null],
  ['solenoid', null],
  ['equaliser', 'equaliser'],
  ['oilReturn', 'oil'],
];

interface Props {
  joint: Joint;
  /** where a line of its own begins that ends here */
  from: Joint | null;
  wordsOf: (id: string) => string;
  /** a line of its own begins here */
  onFrom: () => void;
  onDone: () => void;
  onClose: () => void;
}

export function JointTray({ joint, from, wordsOf, onFrom, onDone, onClose }: Props) {
  const { map, drawing } = useVisit();
  const { change, error, writing } = useDrawingChange();
  const { one, other, carries } = joint;
  const where = map.parts.find(({ id }) => id === one)?.where;
  const write = async (changed: Changed, said: string) => {
    if (await change(changed, said)) onDone();
  };
  const putHere = (type: PartTypeName) =>
    void write(
      put(drawing, [{ id: uuidv7(), type, where }], { how: 'inLine', between: [one, other] }),
      `${PART_WORDS[type]}: on the ${LINE_WORDS[carries]}.`,
    );
  const lead = (start: Joint, type: PartTypeName, carried: Carries) =>
    void write(
      put(drawing, [{ id: uuidv7(), type, where }], {
        how: 'across',
        from: [start.one, start.other],
        to: [one, other],
        carries: carried,
      }),
      `${PART_WORDS[type]}: on a line of its own.`,
    );
  return (
    <Tray
      title={`On the ${LINE_WORDS[carries]}, between ${uncapped(wordsOf(one))} and ${uncapped(wordsOf(other))}`}
      onClose={onClose}
    >
      <ApiError error={error} />
      {from ? (
        <>
          <p className="mb-2 text-soft">The line ends here. What stands in it?</p>
          <div className="grid grid-cols-2 gap-2">
            {ACROSS.map(([type, carried]) => (
              <Button
                key={type}
                className="min-h-14"
                disabled={writing}
                onClick={() => lead(from, type, carried ?? from.carries)}
              >
                {PART_WORDS[type]}
              </Button>
            ))}
          </div>
        </>
      ) : (
        <>
          <p className="mb-2 text-soft">In flow: a valve that is shut here parts the line.</p>
          <div className="mb-3 grid grid-cols-2 gap-2">
            {USUAL.map((type) => (
              <Button key={type} className="min-h-14" disabled={writing} onClick={() => putHere(type)}>
                {type === 'accessPort' ? 'Tee and port' : PART_WORDS[type]}
              </Button>
            ))}
          </div>
          <PickField
            label="Something else"
            optional
            value=""
            choices={MORE.map((value) => ({ value, words: PART_WORDS[value] }))}
            onChange={(type) => MORE.filter((each) => each === type).forEach(putHere)}
          />
          <Button className="w-full" onClick={onFrom}>
            A line leaves here, to another place…
          </Button>
        </>
      )}
    </Tray>
  );
}
