/**
 * How each type of part is drawn, as shapes in a cell of 40 by 40 about its middle: the screen and the papers both draw
 * from here.
 */
import type { PartTypeName } from '../../core/circuit/parts';

export type Shape =
  | { path: string }
  | { circle: readonly [x: number, y: number, radius: number] }
  | { rect: readonly [x: number, y: number, width: number, height: number, corner: number]; dashed?: true };

const path = (d: string): Shape => ({ path: d });
const circle = (radius: number, y = 0): Shape => ({ circle: [0, y, radius] });
const rect = (x: number, y: number, width: number, height: number, corner = 0): Shape => ({
  rect: [x, y, width, height, corner],
});

const valve = path('M-11 -7V7L11 -7V7Z');
const serviceValve = [valve, path('M0 0V-12M-5 -12H5')];
const coil = [path('M-15 8V-8H-9V8H-3V-8H3V8H9V-8H15V8')];
const bends = [path('M-12 9V-3A6 6 0 0 1 0 -3V3A6 6 0 0 0 12 3V-9')];
const vessel = rect(-8, -13, 16, 26, 8);
const barrel = [rect(-16, -8, 32, 16, 8), path('M-10 -2H10M-10 3H10')];
const joint = [path('M-14 0H14'), rect(-4, -5, 8, 10)];

export const GLYPHS: Record<PartTypeName, readonly Shape[]> = {
  compressor: [circle(13), path('M-8 7L0 -9L8 7Z')],
  serviceValveSuction: serviceValve,
  serviceValveDischarge: serviceValve,
  dischargeLine: joint,
  oilSeparator: [vessel, path('M-5 5H5M-3 -5V0')],
  condenser: coil,
  condenserBends: bends,
  waterCondenser: barrel,
  headControl: [valve, circle(4, -11)],
  receiver: [vessel],
  receiverValve: serviceValve,
  relief: [path('M-7 10H7L0 -2ZM0 -2V-12M-4 -8L0 -12L4 -8')],
  drier: [rect(-13, -7, 26, 14), path('M-7 -7L-1 7M0 -7L6 7')],
  sightGlass: [circle(10), circle(4)],
  liquidLine: joint,
  header: [rect(-5, -15, 10, 30, 2), path('M5 -8H13M5 0H13M5 8H13')],
  solenoid: [valve, rect(-5, -15, 10, 8)],
  ballValve: [valve, circle(3.5)],
  flareNut: [path('M-8 -9H4L10 0L4 9H-8Z')],
  expansionValve: [valve, path('M0 0V-9M-8 -9A8 5 0 0 1 8 -9Z')],
  capillary: [path('M-14 0C-14 -10 -6 -10 -6 0S2 10 2 0S10 -10 10 0H15')],
  evaporator: coil,
  evaporatorBends: bends,
  evaporatorBarrel: barrel,
  buriedPipe: [{ rect: [-14, -9, 28, 18, 0], dashed: true }, path('M-14 0H14')],
  drainPan: [path('M-15 -5L-11 6H11L15 -5M0 6V12')],
  suctionLine: joint,
  accessPort: [path('M0 12V-2M-7 -2H7V-10H-7Z')],
  accumulator: [vessel, path('M-4 8V-4A4 4 0 0 1 4 -4V8')],
  vibrationAbsorber: [path('M-14 0H-10M10 0H14M-10 -6H10V6H-10ZM-6 -6V6M-2 -6V6M2 -6V6M6 -6V6')],
  hotGasValve: [valve, path('M-4 -14Q0 -9 -4 -5M4 -14Q8 -9 4 -5')],
  checkValve: [path('M-11 0H-5M5 0H11M5 -8V8M5 0L-5 -8V8Z')],
  pressureControl: [rect(-11, -11, 22, 22), path('M-5 6L0 -5L5 6M-11 -4H-6')],
  tee: [circle(3)],
  gaugeTee: [path('M0 12V-6M-8 -6H8M-8 -10V-2M8 -10V-2')],
  pigtail: [path('M0 12C9 8 -9 4 0 0S9 -6 0 -10')],
  processTube: [path('M-2 12V-8M2 12V-8M-6 -8L6 -12')],
  fusiblePlug: [path('M-7 12H7V4H-7ZM-4 4V-6H4V4M0 -2V2')],
  equaliser: [path('M-14 0H14M0 0V-10'), circle(3)],
  oilReturn: [path('M-14 0H14'), path('M0 -12C5 -6 5 -3 0 -3S-5 -6 0 -12')],
  waterValve: [valve, path('M-6 -12Q-3 -15 0 -12T6 -12')],
  other: [rect(-9, -9, 18, 18)],
};
