/** Words of the circuit map: parts, layouts, and why a part is searched early. */
import { type LayoutName } from '../core/circuit/layouts';
import type { ChangeRefusal } from '../core/circuit/changes';
import type { MapPart } from '../core/circuit/map';
import { type Passing, placesIn } from '../core/circuit/sections';
import type { Carries } from '../core/logbook/piping';
import type { PartTypeName } from '../core/circuit/parts';
import type { FALSE_CAUSES, SpotMark } from '../core/visit/notes/notes';
import type { OrderReason } from '../core/visit/leaks/search';
import { listAnd, uncapped } from './list';

export const PART_WORDS: Record<PartTypeName, string> = {
  compressor: 'Compressor',
  serviceValveSuction: 'Suction service valve',
  serviceValveDischarge: 'Discharge service valve',
  dischargeLine: 'Discharge line',
  oilSeparator: 'Oil separator',
  condenser: 'Condenser',
  condenserBends: 'Condenser bends',
  waterCondenser: 'Condenser barrel',
  headControl: 'Head pressure valve',
  receiver: 'Receiver',
  receiverValve: 'Receiver valve',
  relief: 'Relief valve',
  drier: 'Drier',
  sightGlass: 'Sight glass',
  liquidLine: 'Liquid line',
  header: 'Suction header',
  solenoid: 'Solenoid',
  ballValve: 'Ball valve',
  flareNut: 'Flare nut',
  expansionValve: 'Expansion valve',
  capillary: 'Capillary',
  evaporator: 'Evaporator coil',
  evaporatorBends: 'U-bends',
  evaporatorBarrel: 'Evaporator barrel',
  buriedPipe: 'Buried pipe',
  drainPan: 'Drain pan',
  suctionLine: 'Suction line',
  accessPort: 'Access port',
  pressureControl: 'Pressure control',
  accumulator: 'Accumulator',
  vibrationAbsorber: 'Vibration absorber',
  hotGasValve: 'Hot gas valve',
  checkValve: 'Check valve',
  tee: 'Tee',
  gaugeTee: 'Gauge tee',
  pigtail: 'Pigtail',
  processTube: 'Process tube, pinched off',
  fusiblePlug: 'Fusible plug',
  equaliser: 'Equaliser connection',
  oilReturn: 'Oil return',
  waterValve: 'Water valve',
  other: 'Another part',
};

/** Where several parts are of one type, what tells them apart. */
const OWN_WORDS: Partial<Record<string, string>> = {
  capillaryJoint: 'Capillary joint at the coil',
  plate: 'Plate in the tank floor',
  suctionHeader: 'Suction header',
  liquidHeader: 'Liquid header',
  liquidBallValve: 'Liquid ball valve',
  suctionBallValve: 'Suction ball valve',
};

export const partName = (part: MapPart): string =>
  part.name ??
  OWN_WORDS[part.id.slice(part.id.lastIndexOf('.') + 1)] ??
  (part.nth === undefined ? PART_WORDS[part.type] : `${PART_WORDS[part.type]} ${String(part.nth)}`);
export const partWords = (part: MapPart): string => `${partName(part)}, ${part.where}`;

export const LAYOUT_WORDS: Record<LayoutName, string> = {
  split: 'Split, with receiver',
  capillary: 'Self-contained, capillary',
  cabinetValve: 'Self-contained, expansion valve',
  twoRooms: 'One unit, several rooms',
  rack: 'Rack with circuits',
  chiller: 'Chiller circuit',
  waterCooled: 'Water-cooled',
  milkTank: 'Milk tank, this unit',
};

export const LINE_WORDS: Record<Carries, string> = {
  discharge: 'discharge line',
  liquid: 'liquid line',
  suction: 'suction line',
  hotGas: 'hot-gas line',
  capillary: 'capillary',
  equaliser: 'equaliser line',
  oil: 'oil line',
  water: 'water line',
};

/** That a section is open although its valves are shut: `the suction ball valve does not hold: open to machine room`. */
export const passingWords = ({ valves, beyond }: Passing): string =>
  `${listAnd(valves.map((part) => uncapped(partWords(part))))} ${valves.length === 1 ? 'does' : 'do'} not hold: open to ${listAnd(placesIn(beyond))}`;

/** Why a drawing cannot be changed so, and what can be done instead. */
export function changeRefusalWords(refusal: ChangeRefusal): string {
  switch (refusal.code) {
    case 'unknownPart':
    case 'idTaken':
      return 'The drawing was changed meanwhile. Close this and touch the part again.';
    case 'notJoined':
      return 'Nothing leads from one of these to the other any more. Touch the line again.';
    case 'stubInFlow':
      return 'This only hangs there: no gas flows through it. Touch the part on which it hangs.';
    case 'oneAtATime':
      return 'Only one part can hang here.';
    case 'linesMeet':
      return 'Lines meet in this tee. Take out what hangs on one of them first.';
    case 'notBetweenTwo':
      return 'A second one beside it needs one line in and one line out. Draw it by a line from one place to another.';
    case 'toItself':
      return 'A line needs two ends.';
    case 'whichSide':
      return 'Before or behind this valve? Touch the line on that side of it.';
  }
}

export const MARK_WORDS: Record<SpotMark, string> = {
  lookedAt: 'looked at, nothing',
  hit: 'hit',
  false: 'false hit',
  confirmed: 'leak confirmed',
  nextLeak: 'the next leak',
  leftOut: 'left out',
};

export const FALSE_WORDS: Record<(typeof FALSE_CAUSES)[number], string> = {
  spilledOil: 'spilled oil',
  wind: 'wind',
  drainedGas: 'gas drained from above',
  solvent: 'solvent or foam',
  other: 'something else',
};

export function orderReasonWords({ code, times }: { code: OrderReason; times: number }): string {
  switch (code) {
    case 'leakedHere':
      return times === 1 ? 'leaked here before' : `leaked here ${String(times)} times`;
    case 'leakedOnSimilar':
      return `${String(times)} × on machines of this kind`;
    case 'oilThere':
      return 'oil seen there';
    case 'drainPanHit':
      return 'the drain pan below gave a hit';
    case 'leaksReadily':
      return 'leaks readily';
  }
}
