/**
 * The circuit of a machine, drawn by hand of ours: parts on their grid, pipes between them, the high side thick. Each part can be
 * touched, reached by key, and says its name and mark; a list beside it says the same without the drawing.
 */
import { useState } from 'react';
import type { CircuitMap, MapPart, Pipe } from '../../core/visit/circuit/map';
import type { SpotMark } from '../../core/visit/notes';
import { MARK_WORDS, partName, partWords } from '../../words/circuit';
import { Button } from '../parts/Button';
import { GLYPHS } from './glyphs';
import { BRANCHES_OF_A_PAGE, COLUMNS, type Drawn, type PlacedPart, drawn, pagesOf } from './placing';

const CELL = 48;
const HALF = CELL / 2;
const NAME_WIDTH = COLUMNS * CELL;

export interface PartShown {
  mark: SpotMark | null;
  /** leaks of all time at this part */
  leaks: number;
  /** place in the proposed order, for the first few */
  rank: number | null;
}

const at = (part: PlacedPart): { x: number; y: number } => ({
  x: part.column * CELL + HALF,
  y: part.row * CELL + HALF,
});

/** From part to part along the grid: across first, then down, so that pipes run square. */
function pathOf(pipe: Pipe, byId: ReadonlyMap<string, PlacedPart>): string {
  return pipe.through
    .flatMap((id) => byId.get(id) ?? [])
    .map(at)
    .reduce(
      (path, point, index) =>
        index === 0
          ? `M${String(point.x)} ${String(point.y)}`
          : `${path}H${String(point.x)}V${String(point.y)}`,
      '',
    );
}

/** Left where the first cells of the row are free, else behind the line that runs down there. */
const labelAt = (map: Drawn, row: number): number =>
  row === 0 || map.parts.some((part) => part.row === row && part.column === 1) ? 2 : 60;

const MARK_SHAPE: Record<SpotMark, { fill: string; word: string }> = {
  lookedAt: { fill: 'fill-card stroke-green', word: '✓' },
  hit: { fill: 'fill-ochre stroke-ochre', word: '!' },
  false: { fill: 'fill-card stroke-soft', word: '×' },
  confirmed: { fill: 'fill-brick stroke-brick', word: '◆' },
  nextLeak: { fill: 'fill-ochre stroke-ochre', word: '→' },
  leftOut: { fill: 'fill-card stroke-soft', word: '–' },
};

export function CircuitDrawing(props: {
  map: CircuitMap;
  shown: (part: MapPart) => PartShown;
  onTouch?: (part: MapPart) => void;
  label: string;
}) {
  const { map } = props;
  const [page, setPage] = useState(0);
  const pages = pagesOf(map);
  const shown = Math.min(page, pages - 1);
  return (
    <>
      <OnePage {...props} map={drawn(map, shown)} />
      {pages > 1 && (
        <div className="no-print mt-1 flex flex-wrap items-center gap-2">
          <Button disabled={shown === 0} onClick={() => setPage(shown - 1)}>
            Circuits before
          </Button>
          <span className="text-soft">
            Page {shown + 1} of {pages}, {BRANCHES_OF_A_PAGE} circuits each
          </span>
          <Button disabled={shown === pages - 1} onClick={() => setPage(shown + 1)}>
            More circuits
          </Button>
        </div>
      )}
    </>
  );
}

function OnePage({
  map,
  shown,
  onTouch,
  label,
}: {
  map: Drawn;
  shown: (part: MapPart) => PartShown;
  onTouch?: (part: MapPart) => void;
  label: string;
}) {
  const byId = new Map(map.parts.map((part) => [part.id, part]));
  return (
    <svg
      viewBox={`0 0 ${String(NAME_WIDTH)} ${String(map.rows * CELL)}`}
      className="block w-full max-w-[28rem] touch-manipulation select-none"
      role="group"
      aria-label={label}
    >
      {map.places.map((place, index) => (
        <g key={place.key}>
          {index > 0 && (
            <line
              x1={0}
              x2={NAME_WIDTH}
              y1={place.fromRow * CELL}
              y2={place.fromRow * CELL}
              className="stroke-line"
              strokeWidth={1}
            />
          )}
          <text
            x={labelAt(map, place.fromRow)}
            y={place.fromRow * CELL + 11}
            className="fill-soft"
            fontSize={11}
          >
            {place.where}
          </text>
        </g>
      ))}
      {map.pipes.map((pipe, index) => (
        <path
          key={index}
          d={pathOf(pipe, byId)}
          fill="none"
          className={pipe.side === 'high' ? 'stroke-ink' : 'stroke-green'}
          strokeWidth={pipe.side === 'high' ? 3.5 : 1.6}
        />
      ))}
      {map.parts.map((part) => (
        <Part key={part.id} part={part} shown={shown(part)} onTouch={onTouch} />
      ))}
    </svg>
  );
}

function said(part: MapPart, { mark, leaks, rank }: PartShown): string {
  return [
    partWords(part),
    mark && MARK_WORDS[mark],
    leaks > 0 && (leaks === 1 ? 'leaked once' : `leaked ${String(leaks)} times`),
    rank !== null && `number ${String(rank)} to search`,
  ]
    .filter(Boolean)
    .join(', ');
}

function Part({
  part,
  shown,
  onTouch,
}: {
  part: PlacedPart;
  shown: PartShown;
  onTouch: ((part: MapPart) => void) | undefined;
}) {
  const { x, y } = at(part);
  const { mark, leaks, rank } = shown;
  return (
    <g
      transform={`translate(${String(x)} ${String(y)})`}
      {...(onTouch
        ? {
            role: 'button',
            tabIndex: 0,
            'aria-label': said(part, shown),
            className: 'cursor-pointer',
            onClick: () => onTouch(part),
            onKeyDown: (event: React.KeyboardEvent) => {
              if (event.key !== 'Enter' && event.key !== ' ') return;
              event.preventDefault();
              onTouch(part);
            },
          }
        : { role: 'img', 'aria-label': said(part, shown) })}
    >
      <title>{partName(part)}</title>
      <rect x={-HALF} y={-HALF} width={CELL} height={CELL} className="fill-transparent" />
      <g className="fill-paper stroke-ink" strokeWidth={1.6} strokeLinejoin="round">
        {GLYPHS[part.type]}
      </g>
      {leaks > 0 && (
        <g transform="translate(-14 12)">
          <path d="M0 -7L7 0L0 7L-7 0Z" className="fill-brick" />
          <text textAnchor="middle" y={3.5} fontSize={9} fontWeight={700} className="fill-card">
            {leaks}
          </text>
        </g>
      )}
      {rank !== null && mark === null && (
        <text x={-21} y={-11} fontSize={12} fontWeight={700} className="fill-green">
          {rank}
        </text>
      )}
      {mark !== null && (
        <g transform="translate(14 -13)">
          <circle r={8} className={MARK_SHAPE[mark].fill} strokeWidth={1.6} />
          <text
            textAnchor="middle"
            y={4}
            fontSize={11}
            fontWeight={700}
            className={['hit', 'confirmed', 'nextLeak'].includes(mark) ? 'fill-card' : 'fill-ink'}
          >
            {MARK_SHAPE[mark].word}
          </text>
        </g>
      )}
    </g>
  );
}
