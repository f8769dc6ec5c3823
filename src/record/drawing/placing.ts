/**
 * Where the parts of a circuit stand on the drawing, section below section, and where the value of each place is written.
 * Branches that do not fit are pages; what is searched is the whole circuit, whatever page is shown.
 */
import { type CircuitMap, type MapPart, type MapSection, sideOf } from '../../core/circuit/map';
import type { Side } from '../../core/circuit/parts';
import type { Carries } from '../../core/logbook/piping';
import { type PlaceName, partOfPlace } from '../../core/visit/readings/places';
import { SECTIONS, type Slot } from './layoutCells';
import type { SectionCells } from './grid';
import { sectionCells } from './sectionCells';

/** more branches than this are pages */
export const BRANCHES_OF_A_PAGE = 4;

export interface PlacedPart extends MapPart {
  column: number;
  row: number;
}

/** A line as it is drawn; null carries nothing: something hangs there. */
export interface Pipe {
  carries: Carries | null;
  side: Side;
  through: readonly string[];
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

/** One page of a circuit, with its pipes; a part of a layout that has no cell is a fault of ours and throws. */
export function drawn(map: CircuitMap, page = 0): Drawing {
  const branches = map.sections.filter(isBranch);
  const shown = new Set(branches.slice(page * BRANCHES_OF_A_PAGE, (page + 1) * BRANCHES_OF_A_PAGE));
  const parts: PlacedPart[] = [];
  const places: Drawing['places'][number][] = [];
  const sectionOfPart = new Map<string, { cells: SectionCells; branch: boolean; fromRow: number }>();
  let row = 0;
  for (const section of map.sections) {
    if (isBranch(section) && !shown.has(section)) continue;
    places.push({ key: `${section.prefix}${section.where}`, where: section.where, fromRow: row });
    const cells = sectionCells(map, section);
    for (const part of section.parts) {
      const [column, at] = cells.cells.get(part.id) ?? [0, 0];
      parts.push({ ...part, column, row: row + at });
      sectionOfPart.set(part.id, { cells, branch: isBranch(section), fromRow: row });
    }
    row += cells.rows;
  }
  const known = new Set(parts.map((part) => part.id));
  return {
    parts,
    pipes: [
      ...map.lines.map(({ carries, through }) => ({ carries, side: sideOf(carries), through })),
      ...map.stubs.map(({ part, on }) => ({ carries: null, side: 'low' as const, through: [on, part] })),
    ].filter(({ through }) => through.every((id) => known.has(id))),
    rows: row,
    places,
    slotOf: (place, partId) => {
      const of = sectionOfPart.get(partId);
      if (!of) return null;
      // A place that is read at the first part of its kind may be written in another section, where its pipe runs.
      const own = of.cells.slots.get(place);
      if (own) return [own[0], own[1] + of.fromRow, own[2]];
      if (partOfPlace(map, place)?.id !== partId) return null;
      for (const { cells, branch, fromRow } of sectionOfPart.values()) {
        const other = branch ? undefined : cells.slots.get(place);
        if (other) return [other[0], other[1] + fromRow, other[2]];
      }
      return null;
    },
  };
}
