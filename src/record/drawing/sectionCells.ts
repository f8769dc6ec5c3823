/**
 * Where the parts of one section stand on its grid. Those of its layout have their cells; one of the machine's own takes the
 * place on its line: between its neighbours, in a row that is put in where there is none, or beside what it hangs on.
 */
import type { CircuitMap, MapSection } from '../../core/circuit/map';
import { joints } from '../../core/circuit/pieces';
import { type Cell, Grid, type SectionCells } from './grid';

/** A part of a layout that has no cell is a fault of ours and throws. */
export function sectionCells(
  map: Pick<CircuitMap, 'parts' | 'lines' | 'stubs'>,
  section: MapSection,
): SectionCells {
  const ids = new Set(section.parts.map(({ id }) => id));
  const place = new Map(map.parts.map(({ id }, index) => [id, index]));
  const first = place.get(section.parts[0]?.id ?? '') ?? 0;
  const beside = new Map<string, string[]>();
  const note = (id: string, next: string): void => {
    if (ids.has(id)) beside.set(id, [...(beside.get(id) ?? []), next]);
  };
  const lines = joints(map).filter(([one, other]) => ids.has(one) || ids.has(other));
  const isAbove = (id: string): boolean => (place.get(id) ?? 0) < first;
  const grid = new Grid(section, lines, (one, other) =>
    ids.has(one) && ids.has(other) ? null : isAbove(ids.has(one) ? other : one) ? 'up' : 'down',
  );
  const own = section.parts.filter((part) => part.own && !grid.cells.has(part.id)).map(({ id }) => id);
  for (const [one, other] of lines) {
    note(one, other);
    note(other, one);
  }
  for (let left = own; left.length > 0;) {
    const placedBeside = (id: string): Cell[] => {
      const neighbours = beside.get(id) ?? [];
      const inside = neighbours.flatMap((next) =>
        [grid.cells.get(next)].filter((cell) => cell !== undefined),
      );
      const [only] = inside;
      if (!only || inside.length > 1) return inside;
      // Its line leaves the section straight up or down, to where the other part stands.
      const outside = neighbours.find((next) => !ids.has(next));
      if (outside === undefined) return inside;
      return [only, [only[0], isAbove(outside) ? -1 : grid.rows]];
    };
    // What has most of its neighbours in place finds its own place best.
    const next = left.reduce((best, id) => (placedBeside(id).length > placedBeside(best).length ? id : best));
    grid.place(next, placedBeside(next));
    left = left.filter((id) => id !== next);
  }
  return grid;
}
