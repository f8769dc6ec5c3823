/** How pipes run between the parts of a drawing. */
import type { Pipe, PlacedPart } from './placing';

/** side of a cell, in units of the drawing */
export const CELL = 48;

/** The middle of a part. */
export const middleOf = (part: PlacedPart): { x: number; y: number } => ({
  x: part.column * CELL + CELL / 2,
  y: part.row * CELL + CELL / 2,
});

/** From part to part along the grid, so that pipes run square: across first, but up before across to the right. */
export function pathOf(pipe: Pick<Pipe, 'through'>, byId: ReadonlyMap<string, PlacedPart>): string {
  const points = pipe.through.flatMap((id) => byId.get(id) ?? []).map(middleOf);
  return points.reduce((path, { x, y }, index) => {
    const before = points[index - 1];
    if (!before) return `M${String(x)} ${String(y)}`;
    const upFirst = y < before.y && x > before.x;
    return upFirst ? `${path}V${String(y)}H${String(x)}` : `${path}H${String(x)}V${String(y)}`;
  }, '');
}
