/** A reading on the pipe where it was taken: its figure, what it amounts to, and whether it is high, low or right. */
import clsx from 'clsx';
import type { Slot } from '../../record/drawing/layoutCells';
import { CELL } from '../../record/drawing/pipes';
import { MARK_SIGN, type ValueShown } from './shown';
import { asButton } from './touch';

const GAP = 3;
/** mean width of a letter, as a share of its size */
const LETTER = 0.5;
/** smaller than this nobody reads on a roof: what does not fit is cut, and stands whole in the list */
const LEAST = 11.5;
const cut = (words: string, width: number): string => {
  const room = Math.floor(width / (LETTER * LEAST));
  return words.length <= room ? words : `${words.slice(0, room - 1).trimEnd()}…`;
};

/** The size at which words fit a width: large figures shrink before they are cut off. */
const fitting = (words: string, width: number, size: number): number =>
  Math.max(LEAST, Math.min(size, width / (LETTER * Math.max(1, words.length))));

export function ValueBox({
  value,
  slot: [column, row, cells],
  onTouch,
}: {
  value: ValueShown;
  slot: Slot;
  onTouch: ((value: ValueShown) => void) | undefined;
}) {
  const width = cells * CELL;
  const { words, below, mark, empty, next } = value;
  const room = width - 14 - (mark === null ? 0 : 15);
  return (
    <g
      transform={`translate(${String(column * CELL)} ${String(row * CELL)})`}
      data-place={value.place}
      {...asButton(value.said, onTouch && (() => onTouch(value)))}
    >
      <rect width={width} height={CELL} className="fill-transparent" />
      <rect
        x={0}
        y={GAP}
        width={width}
        height={CELL - 2 * GAP}
        rx={4}
        strokeWidth={next ? 2.4 : 1}
        strokeDasharray={empty ? '4 3' : undefined}
        className={clsx(
          empty ? 'fill-paper' : 'fill-card',
          next ? 'stroke-green' : empty ? 'stroke-soft' : 'stroke-line',
        )}
      />
      <text
        x={7}
        y={below === null ? 30 : 21}
        fontSize={fitting(words, room, empty ? 14 : 17)}
        fontWeight={empty ? 400 : 700}
        className={clsx('tabular-nums', empty ? 'fill-soft' : 'fill-ink')}
      >
        {cut(words, room)}
      </text>
      {below !== null && (
        <text x={7} y={38} fontSize={fitting(below, width - 12, 12.5)} className="fill-soft">
          {cut(below, width - 12)}
        </text>
      )}
      {mark !== null && (
        <text
          x={width - 6}
          y={21}
          textAnchor="end"
          fontSize={14}
          className={mark === 'right' ? 'fill-green' : 'fill-brick'}
        >
          {MARK_SIGN[mark]}
        </text>
      )}
    </g>
  );
}
