/** How pipes run between the parts of a drawing. */
import { cornerOf } from './grid';
import { COLUMNS } from './layoutCells';
import type { Pipe, PlacedPart } from './placing';

/** side of a cell, in units of the drawing */
export const CELL = 48;

/** The middle of a part. */
export const middleOf = (part: PlacedPart): { x: number; y: number } => ({
  x: part.column * CELL + CELL / 2,
  y: part.row * CELL + CELL / 2,
});

type Point = readonly [x: number, y: number];

const WIDTH = COLUMNS * CELL;
/** A line outside of all parts keeps so far from the edge. */
const EDGE = 4;
/** So near to a line the middle of a part counts as crossed. */
const CROSSED = 14;

const isOn = ([x, y]: Point, [x1, y1]: Point, [x2, y2]: Point): boolean =>
  x > Math.min(x1, x2) - CROSSED &&
  x < Math.max(x1, x2) + CROSSED &&
  y > Math.min(y1, y2) - CROSSED &&
  y < Math.max(y1, y2) + CROSSED;

/**
 * Square ways from one point to another, as one would draw them: across first, but up before across to the right; then the
 * other way round, outside of all parts, and by the free lane between two cells.
 */
function ways(from: Point, to: Point): Point[][] {
  const [[x1, y1], [x2, y2]] = [from, to];
  const corner = cornerOf(from, to);
  const lane = y2 + (y1 <= y2 ? -CELL / 2 : CELL / 2);
  const aisle = x2 + (x1 <= x2 ? -CELL / 2 : CELL / 2);
  const outside = x2 > WIDTH / 2 ? Math.min(x2 + CELL / 2, WIDTH - EDGE) : Math.max(x2 - CELL / 2, EDGE);
  const by = (x: number): Point[] => [
    [x, y1],
    [x, y2],
  ];
  return [
    [corner],
    [[x1 + x2 - corner[0], y1 + y2 - corner[1]]],
    by(outside),
    [
      [x1, lane],
      [x2, lane],
    ],
    by(aisle),
  ];
}

/** The way of `ways` that crosses the fewest of the other parts, the first of equals. */
function wayBetween(from: Point, to: Point, others: readonly Point[]): Point[] {
  let best: { points: Point[]; crossed: number } | null = null;
  for (const middle of ways(from, to)) {
    const points = [...middle, to];
    const crossed = others.filter((part) =>
      points.some((point, at) => isOn(part, points[at - 1] ?? from, point)),
    ).length;
    if (best === null || crossed < best.crossed) best = { points, crossed };
    if (crossed === 0) break;
  }
  return best?.points ?? [to];
}

/** From part to part along the grid, so that pipes run square and past what does not stand in them. */
export function pathOf({ through }: Pick<Pipe, 'through'>, byId: ReadonlyMap<string, PlacedPart>): string {
  const parts = through.flatMap((id) => byId.get(id) ?? []);
  const at = (part: PlacedPart): Point => {
    const { x, y } = middleOf(part);
    return [x, y];
  };
  const written = ([x, y]: Point): string => `${String(x)} ${String(y)}`;
  return parts.reduce((path, part, index) => {
    const before = parts[index - 1];
    if (!before) return `M${written(at(part))}`;
    const others = [...byId.values()].filter((each) => each !== part && each !== before).map(at);
    return `${path}${wayBetween(at(before), at(part), others)
      .map((point) => `L${written(point)}`)
      .join('')}`;
  }, '');
}
