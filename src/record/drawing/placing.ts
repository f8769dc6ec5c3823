/**
 * Where the parts of a circuit stand on the drawing, section below section, and where the value of each place is written.
 * Branches that do not fit are pages; what is searched is the whole circuit, whatever page is shown.
 */
import type { CircuitMap, MapPart, MapSection, Pipe } from '../../core/circuit/map';
import { type PlaceName, partOfPlace } from '../../core/visit/readings/places';
import { COLUMNS, SECTIONS, type Slot } from './layoutCells';

/** more branches than this are pages */
export const BRANCHES_OF_A_PAGE = 4;

export interface PlacedPart extends MapPart {
  column: number;
  row: number;
}

export interface Drawing {
  parts: readonly PlacedPart[];
  pipes: readonly Pipe[];
  rows: number;
  /** first row of each section, with its name */
  places: readonly { key: string; where: string; fromRow: number }[];
  /** the box of a place that is read at a part, if the drawing has room for it */
  slotOf: (place: PlaceName, partId: string) => Slot | null;
}

const isBranch = ({ kind }: MapSection): boolean => SECTIONS[kind].branch === true;

/** How many pages a circuit has; a few branches are one. */
export const pagesOf = (map: CircuitMap): number =>
  Math.max(1, Math.ceil(map.sections.filter(isBranch).length / BRANCHES_OF_A_PAGE));

/** The page on which a part stands. */
export function pageOfPart(map: CircuitMap, id: string): number {
  const branches = map.sections.filter(isBranch);
  const index = branches.findIndex((each) => each.parts.some((part) => part.id === id));
  return index < 0 ? 0 : Math.floor(index / BRANCHES_OF_A_PAGE);
}

/** The parts of a section on its grid; one that was added stands in the free cell nearest to its neighbour. */
function cellsOf({ kind, prefix, parts }: MapSection): Map<string, readonly [number, number]> {
  const { rows, cells, slots } = SECTIONS[kind];
  const placed = new Map<string, readonly [number, number]>();
  for (const part of parts) {
    if (part.beside !== undefined) continue;
    const cell = cells[part.id.slice(prefix.length)];
    if (!cell) throw new Error(`No cell for ${part.id}: add it to the section ${kind}.`);
    placed.set(part.id, cell);
  }
  for (const part of parts) {
    if (part.beside === undefined) continue;
    const [column, row] = placed.get(part.beside) ?? [0, 0];
    const taken = new Set([...placed.values()].map(String));
    const free = Array.from({ length: COLUMNS * (rows + 1) }, (_, index): [number, number] => [
      index % COLUMNS,
      Math.floor(index / COLUMNS),
    ]).filter((cell) => !taken.has(String(cell)));
    const far = ([c, r]: readonly [number, number]): number =>
      Math.abs(c - column) + Math.abs(r - row) + (r >= rows ? 2 : 0) + (covered(c, r) ? 3 : 0);
    const best = free.reduce((a, b) => (far(b) < far(a) ? b : a), free[0] ?? [0, 0]);
    placed.set(part.id, best);
  }
  return placed;

  function covered(column: number, row: number): boolean {
    return Object.values(slots).some(
      ([from, at, width]) => at === row && column + 1 > from && column < from + width,
    );
  }
}

/** One page of a circuit, with its pipes; a part of a layout that has no cell is a fault of ours and throws. */
export function drawn(map: CircuitMap, page = 0): Drawing {
  const branches = map.sections.filter(isBranch);
  const shown = new Set(branches.slice(page * BRANCHES_OF_A_PAGE, (page + 1) * BRANCHES_OF_A_PAGE));
  const parts: PlacedPart[] = [];
  const places: Drawing['places'][number][] = [];
  const sectionOfPart = new Map<string, { section: MapSection; fromRow: number }>();
  let row = 0;
  for (const section of map.sections) {
    if (isBranch(section) && !shown.has(section)) continue;
    places.push({ key: `${section.prefix}${section.where}`, where: section.where, fromRow: row });
    const cells = cellsOf(section);
    let rows = SECTIONS[section.kind].rows;
    for (const part of section.parts) {
      const [column, at] = cells.get(part.id) ?? [0, 0];
      parts.push({ ...part, column, row: row + at });
      sectionOfPart.set(part.id, { section, fromRow: row });
      rows = Math.max(rows, at + 1);
    }
    row += rows;
  }
  const known = new Set(parts.map((part) => part.id));
  return {
    parts,
    pipes: [
      ...map.pipes.filter((pipe) => pipe.through.every((id) => known.has(id))),
      // What was added hangs on its neighbour by a short pipe.
      ...parts.flatMap(({ id, beside }): Pipe[] =>
        beside === undefined || !known.has(beside) ? [] : [{ side: 'low', through: [beside, id] }],
      ),
    ],
    rows: row,
    places,
    slotOf: (place, partId) => {
      const of = sectionOfPart.get(partId);
      if (!of) return null;
      // A place that is read at the first part of its kind may be written in another section, where its pipe runs.
      const own = SECTIONS[of.section.kind].slots[place];
      if (own) return [own[0], own[1] + of.fromRow, own[2]];
      if (partOfPlace(map, place)?.id !== partId) return null;
      for (const { section, fromRow } of sectionOfPart.values()) {
        const other = isBranch(section) ? undefined : SECTIONS[section.kind].slots[place];
        if (other) return [other[0], other[1] + fromRow, other[2]];
      }
      return null;
    },
  };
}
