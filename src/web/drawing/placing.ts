/**
 * Where the parts of a circuit stand on the drawing: a grid eight cells wide, section below section. Branches that do not
 * fit are pages; what is searched is the whole circuit, whatever page is shown.
 */
import type { CircuitMap, MapPart, MapSection, Pipe, SectionKind } from '../../core/visit/circuit/map';

export const COLUMNS = 8;
/** more branches than this are pages */
export const BRANCHES_OF_A_PAGE = 6;

export interface PlacedPart extends MapPart {
  column: number;
  row: number;
}

export interface Drawn {
  parts: readonly PlacedPart[];
  pipes: readonly Pipe[];
  rows: number;
  /** first row of each section, with its name */
  places: readonly { key: string; where: string; fromRow: number }[];
}

type Cells = Readonly<Record<string, readonly [column: number, row: number]>>;

/** A condensing unit: its liquid leaves at the right, its suction comes back at the left. */
const UNIT: Cells = {
  compressor: [0, 1],
  dischargeValve: [1, 0],
  dischargeLine: [2, 0],
  condenser: [4, 0],
  condenserBends: [5, 0],
  headControl: [6, 0],
  receiver: [6, 1],
  receiverValve: [7, 1],
  pressureControl: [1, 2],
  suctionValve: [0, 2],
  drier: [7, 2],
  sightGlass: [6, 2],
};

const SECTIONS: Record<SectionKind, { rows: number; cells: Cells; branch?: true }> = {
  unit: { rows: 3, cells: UNIT },
  lines: { rows: 2, cells: { liquidLine: [7, 0], accessPort: [0, 0], suctionLine: [0, 1] } },
  room: {
    rows: 2,
    branch: true,
    cells: {
      solenoid: [7, 0],
      flareNut: [6, 0],
      expansionValve: [5, 0],
      evaporator: [4, 0],
      evaporatorBends: [3, 0],
      drainPan: [4, 1],
    },
  },
  rack: {
    rows: 4,
    cells: {
      compressor: [1, 1],
      suctionValve: [1, 2],
      dischargeValve: [2, 0],
      dischargeLine: [3, 0],
      oilSeparator: [4, 0],
      condenser: [6, 0],
      condenserBends: [7, 0],
      receiver: [6, 1],
      relief: [5, 1],
      receiverValve: [7, 1],
      drier: [7, 2],
      sightGlass: [6, 2],
      pressureControl: [3, 2],
      accessPort: [2, 2],
      suctionHeader: [0, 3],
      liquidHeader: [7, 3],
    },
  },
  rackCircuit: {
    rows: 1,
    branch: true,
    cells: {
      liquidBallValve: [7, 0],
      solenoid: [6, 0],
      flareNut: [5, 0],
      expansionValve: [4, 0],
      evaporator: [3, 0],
      evaporatorBends: [2, 0],
      suctionBallValve: [1, 0],
    },
  },
  cabinet: {
    rows: 5,
    cells: {
      compressor: [0, 1],
      dischargeLine: [1, 0],
      condenser: [3, 0],
      condenserBends: [5, 0],
      drier: [7, 1],
      capillary: [7, 2],
      capillaryJoint: [6, 3],
      evaporator: [5, 3],
      evaporatorBends: [3, 3],
      buriedPipe: [2, 3],
      drainPan: [4, 4],
      suctionLine: [0, 3],
      accessPort: [0, 2],
    },
  },
  chiller: {
    rows: 5,
    cells: {
      compressor: [1, 1],
      dischargeValve: [2, 0],
      dischargeLine: [3, 0],
      condenser: [5, 0],
      relief: [6, 1],
      receiverValve: [7, 1],
      drier: [7, 2],
      sightGlass: [7, 3],
      solenoid: [6, 4],
      expansionValve: [5, 4],
      evaporator: [3, 4],
      suctionLine: [0, 4],
      accessPort: [0, 3],
      suctionValve: [0, 2],
      pressureControl: [2, 2],
    },
  },
  tankUnit: {
    rows: 5,
    cells: {
      ...UNIT,
      flareNut: [7, 3],
      expansionValve: [6, 3],
      plate: [4, 3],
      suctionLine: [2, 3],
      accessPort: [0, 3],
    },
  },
};

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

/** One page of a circuit, with its pipes; a part that has no cell is a fault of ours and throws. */
export function drawn(map: CircuitMap, page = 0): Drawn {
  const branches = map.sections.filter(isBranch);
  const shown = new Set(branches.slice(page * BRANCHES_OF_A_PAGE, (page + 1) * BRANCHES_OF_A_PAGE));
  const parts: PlacedPart[] = [];
  const places: Drawn['places'][number][] = [];
  let row = 0;
  for (const section of map.sections) {
    if (isBranch(section) && !shown.has(section)) continue;
    const { rows, cells } = SECTIONS[section.kind];
    places.push({ key: `${section.prefix}${section.where}`, where: section.where, fromRow: row });
    for (const part of section.parts) {
      const cell = cells[part.id.slice(section.prefix.length)];
      if (!cell) throw new Error(`No cell for ${part.id}: add it to the section ${section.kind}.`);
      parts.push({ ...part, column: cell[0], row: row + cell[1] });
    }
    row += rows;
  }
  const known = new Set(parts.map((part) => part.id));
  return {
    parts,
    pipes: map.pipes.filter((pipe) => pipe.through.every((id) => known.has(id))),
    rows: row,
    places,
  };
}
