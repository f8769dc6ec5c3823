/**
 * Where the parts of each kind of section stand, on a grid eight cells wide, and where beside them the values of its places
 * are written: on the pipe where they were taken, or in the room that it leaves free.
 */
import type { SectionKind } from '../../core/circuit/map';
import type { PlaceName } from '../../core/visit/readings/places';

export const COLUMNS = 8;

type Cells = Readonly<Record<string, readonly [column: number, row: number]>>;
/** column, row and width, in cells */
export type Slot = readonly [column: number, row: number, width: number];
type Slots = Partial<Record<PlaceName | 'split', Slot>>;

/** A condensing unit: its liquid leaves at the right, its suction comes back at the left. */
const UNIT: Cells = {
  compressor: [0, 2],
  dischargeValve: [1, 0],
  dischargeLine: [2, 0],
  condenser: [4, 0],
  condenserBends: [5, 0],
  headControl: [6, 0],
  receiver: [6, 1],
  receiverValve: [7, 1],
  drier: [7, 2],
  sightGlass: [7, 3],
  pressureControl: [1, 3],
  suctionValve: [0, 3],
};
const UNIT_SLOTS: Slots = {
  head: [0.7, 1, 2.72],
  ambient: [3.46, 1, 2.5],
  amps: [1.05, 2, 2.37],
  receiverLevel: [3.46, 2, 2.5],
  suction: [1.95, 3, 2.72],
  sightGlass: [4.7, 3, 2.25],
};

export const SECTIONS: Record<SectionKind, { rows: number; cells: Cells; slots: Slots; branch?: true }> = {
  unit: { rows: 4, cells: UNIT, slots: UNIT_SLOTS },
  /** drawn elsewhere: no place is known beforehand */
  free: { rows: 0, cells: {}, slots: {} },
  lines: {
    rows: 2,
    cells: { liquidLine: [7, 0], accessPort: [0, 0], suctionLine: [0, 1] },
    slots: {
      standing: [0.95, 0, 2.72],
      liquidLine: [3.9, 0, 3.05],
      suctionLine: [0.95, 1, 2.9],
      dischargeLine: [4.2, 1, 2.75],
    },
  },
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
    slots: { box: [0.95, 1, 2.9], frost: [4.85, 1, 2.15] },
  },
  rack: {
    rows: 6,
    cells: {
      compressor: [1, 2],
      suctionValve: [1, 3],
      dischargeValve: [2, 0],
      dischargeLine: [3, 0],
      oilSeparator: [4, 0],
      condenser: [6, 0],
      condenserBends: [7, 0],
      receiver: [7, 1],
      receiverValve: [7, 2],
      relief: [6, 2],
      drier: [7, 3],
      sightGlass: [7, 4],
      pressureControl: [2, 3],
      accessPort: [1, 4],
      suctionHeader: [0, 5],
      liquidHeader: [7, 5],
    },
    slots: {
      head: [1.7, 1, 2.72],
      ambient: [4.46, 1, 2.5],
      amps: [2.05, 2, 2.37],
      receiverLevel: [4.46, 2, 1.5],
      suction: [3, 3, 2.72],
      sightGlass: [4.7, 4, 2.25],
      standing: [1.95, 4, 2.72],
      suctionLine: [0.95, 5, 2.9],
      liquidLine: [3.9, 5, 3.05],
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
    slots: {},
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
      sightGlass: [7, 2],
      flareNut: [7, 3],
      expansionValve: [6, 3],
      evaporator: [5, 3],
      evaporatorBends: [3, 3],
      buriedPipe: [2, 3],
      drainPan: [4, 4],
      suctionLine: [0, 3],
      accessPort: [0, 2],
    },
    slots: {
      head: [1.05, 1, 2.72],
      ambient: [3.9, 1, 2.6],
      suction: [1.05, 2, 2.72],
      liquidLine: [3.9, 2, 3.05],
      suctionLine: [0.5, 4, 2.9],
      box: [5, 4, 2.9],
    },
  },
  chiller: {
    rows: 6,
    cells: {
      compressor: [1, 1],
      dischargeValve: [2, 0],
      dischargeLine: [3, 0],
      condenser: [5, 0],
      relief: [6, 2],
      receiverValve: [7, 1],
      drier: [7, 2],
      sightGlass: [7, 3],
      solenoid: [6, 4],
      expansionValve: [5, 4],
      evaporator: [3, 4],
      suctionLine: [0, 4],
      accessPort: [0, 3],
      suctionValve: [0, 2],
      pressureControl: [1, 2],
    },
    slots: {
      head: [1.8, 1, 2.62],
      ambient: [4.46, 1, 2.5],
      amps: [2.05, 2, 2.37],
      suction: [0.95, 3, 2.72],
      liquidLine: [3.9, 3, 3.05],
      suctionLine: [0, 5, 2.9],
      box: [3.1, 5, 2.9],
    },
  },
  tankUnit: {
    rows: 6,
    cells: {
      ...UNIT,
      flareNut: [7, 4],
      expansionValve: [6, 4],
      plate: [4, 4],
      suctionLine: [2, 4],
      accessPort: [0, 4],
    },
    slots: {
      ...UNIT_SLOTS,
      sightGlass: [4.7, 5, 2.25],
      liquidLine: [4.7, 3, 2.25],
      suctionLine: [0, 5, 2.3],
      box: [2.35, 5, 2.3],
    },
  },
};
