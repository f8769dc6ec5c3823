/** The lines of a drawing, and the places on them that can be touched: those long enough for a thumb between two parts. */
import type { Carries } from '../../core/logbook/piping';
import { LINE_WORDS, partWords } from '../../words/circuit';
import { uncapped } from '../../words/list';
import { pathOf } from '../../record/drawing/pipes';
import type { Drawing, PlacedPart } from '../../record/drawing/placing';
import { asButton } from './touch';

/** A place on a line, between two parts. */
export interface Joint {
  one: string;
  other: string;
  carries: Carries;
}

/** Cells between two parts from which on a thumb finds the line. */
const TOUCHABLE_CELLS = 2;
const THUMB = 30;

const far = (a: PlacedPart, b: PlacedPart): number => Math.abs(a.column - b.column) + Math.abs(a.row - b.row);

export function LinePaths({
  drawing,
  onLine,
}: {
  drawing: Drawing;
  onLine?: ((joint: Joint) => void) | undefined;
}) {
  const byId = new Map(drawing.parts.map((part) => [part.id, part]));
  const wordsOf = (id: string): string => {
    const part = byId.get(id);
    return part ? uncapped(partWords(part)) : id;
  };
  const joints = drawing.pipes.flatMap(({ carries, through }) =>
    carries === null
      ? []
      : through.slice(1).flatMap((other, at): Joint[] => {
          const one = through[at] ?? '';
          const [a, b] = [byId.get(one), byId.get(other)];
          return a && b && far(a, b) >= TOUCHABLE_CELLS ? [{ one, other, carries }] : [];
        }),
  );
  return (
    <>
      {drawing.pipes.map((pipe, index) => (
        <path
          key={index}
          d={pathOf(pipe, byId)}
          fill="none"
          className={pipe.side === 'high' ? 'stroke-ink' : 'stroke-green'}
          strokeWidth={pipe.side === 'high' ? 3.5 : 1.6}
          strokeDasharray={pipe.carries === 'hotGas' ? '6 4' : undefined}
        />
      ))}
      {onLine &&
        joints.map((joint) => (
          <g
            key={`${joint.one} ${joint.other} ${joint.carries}`}
            {...asButton(
              `${LINE_WORDS[joint.carries]} between ${wordsOf(joint.one)} and ${wordsOf(joint.other)}`,
              () => onLine(joint),
            )}
          >
            <path
              d={pathOf({ through: [joint.one, joint.other] }, byId)}
              fill="none"
              stroke="transparent"
              strokeWidth={THUMB}
            />
          </g>
        ))}
    </>
  );
}
