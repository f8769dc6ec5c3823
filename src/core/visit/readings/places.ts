/**
 * Where a machine is read: each place with what is measured there, and the types of part at which it stands, the likeliest
 * first. The round is the run of the thumb: what every judgement stands on, in the order in which a person reads it.
 */
import type { Dimension } from '../../quantity/units';
import { READINGS, type Reading } from '../../diagnosis/readings';
import type { CircuitMap, MapPart } from '../../circuit/map';
import type { PartTypeName } from '../../circuit/parts';

export interface NumberPlace {
  dimension: Dimension;
  /** types of part at which it is read; none: of the site, not of a part */
  at: readonly PartTypeName[];
  /** gas that moves in or out makes an earlier reading speak of another charge */
  spoiledByGas: boolean;
  /** as an instrument shows it, which took pressure and temperature by itself */
  readOff?: true;
}

const COIL = ['evaporator', 'evaporatorBarrel', 'buriedPipe'] as const;
const CONDENSER = ['condenser', 'waterCondenser'] as const;

export const NUMBER_PLACES = {
  suction: { dimension: 'pressure', at: ['serviceValveSuction', 'accessPort'], spoiledByGas: true },
  head: { dimension: 'pressure', at: ['serviceValveDischarge', 'dischargeLine'], spoiledByGas: true },
  suctionLine: { dimension: 'temperature', at: ['suctionLine', 'header'], spoiledByGas: true },
  liquidLine: { dimension: 'temperature', at: ['liquidLine', 'sightGlass', 'drier'], spoiledByGas: true },
  box: { dimension: 'temperature', at: COIL, spoiledByGas: false },
  ambient: { dimension: 'temperature', at: CONDENSER, spoiledByGas: false },
  amps: { dimension: 'current', at: ['compressor'], spoiledByGas: true },
  rated: { dimension: 'current', at: ['compressor'], spoiledByGas: false },
  standing: { dimension: 'pressure', at: ['accessPort', 'serviceValveSuction'], spoiledByGas: true },
  dischargeLine: { dimension: 'temperature', at: ['dischargeLine'], spoiledByGas: true },
  receiverLevel: { dimension: 'share', at: ['receiver'], spoiledByGas: true },
  coilLiquid: { dimension: 'temperature', at: ['expansionValve', 'capillary'], spoiledByGas: true },
  coilSuction: { dimension: 'temperature', at: ['evaporatorBends', ...COIL], spoiledByGas: true },
  superheat: {
    dimension: 'temperatureDifference',
    at: ['suctionLine', 'header'],
    spoiledByGas: true,
    readOff: true,
  },
  subcooling: {
    dimension: 'temperatureDifference',
    at: ['liquidLine', 'sightGlass', 'drier'],
    spoiledByGas: true,
    readOff: true,
  },
  saturationLow: {
    dimension: 'temperature',
    at: ['serviceValveSuction', 'accessPort'],
    spoiledByGas: true,
    readOff: true,
  },
  saturationHigh: {
    dimension: 'temperature',
    at: ['serviceValveDischarge', 'dischargeLine'],
    spoiledByGas: true,
    readOff: true,
  },
  waterIn: { dimension: 'temperature', at: ['waterCondenser'], spoiledByGas: false },
  waterOut: { dimension: 'temperature', at: ['waterCondenser'], spoiledByGas: true },
  secondBox: { dimension: 'temperature', at: COIL, spoiledByGas: false },
  defrostTime: { dimension: 'duration', at: COIL, spoiledByGas: false },
  defrostEnd: { dimension: 'temperature', at: ['evaporatorBends', ...COIL], spoiledByGas: false },
  valveTurns: { dimension: 'number', at: ['expansionValve'], spoiledByGas: false },
  onSite: { dimension: 'duration', at: [], spoiledByGas: false },
} as const satisfies Record<string, NumberPlace>;

export type NumberName = keyof typeof NUMBER_PLACES;
export const NUMBER_NAMES = Object.keys(NUMBER_PLACES) as NumberName[];
export const isReadOff = (name: string): boolean => {
  const place: NumberPlace | null = isNumberName(name) ? NUMBER_PLACES[name] : null;
  return place?.readOff === true;
};
export const isNumberName = (name: string): name is NumberName => name in NUMBER_PLACES;

/** Read one after the other; the rest stands at its part. */
export const ROUND: readonly NumberName[] = [
  'suction',
  'head',
  'suctionLine',
  'liquidLine',
  'box',
  'ambient',
];

/** Worth reading beside the round before anything is changed: gas and nitrogen spoil them. */
export const AMPLE: readonly ('amps' | 'sightGlass' | 'frost' | 'standing')[] = [
  'amps',
  'sightGlass',
  'frost',
  'standing',
];

/** Signs that a person sees: one of a few words. Those told by figures are read as figures. */
const SIGN_AT = {
  running: ['compressor'],
  safety: ['pressureControl', 'compressor'],
  sightGlass: ['sightGlass'],
  indicator: ['sightGlass'],
  oil: ['compressor'],
  frost: ['evaporator', 'evaporatorBarrel', 'buriedPipe'],
  condenserFace: ['condenser', 'waterCondenser'],
  evaporatorFan: ['evaporator'],
  drierDrop: ['drier'],
  solenoidCold: ['solenoid'],
  restClimb: ['compressor'],
} as const satisfies Partial<Record<Reading, readonly PartTypeName[]>>;

export type SignName = keyof typeof SIGN_AT;
export const SIGN_NAMES = Object.keys(SIGN_AT) as SignName[];
export const isSignName = (name: string): name is SignName => name in SIGN_AT;
export const signValues = (name: SignName): string[] => Object.keys(READINGS[name].usual);

/** Of the place, not of the machine: they explain a false reading and a long day. */
export const CIRCUMSTANCES = {
  weather: ['dry', 'rain', 'snow'],
  wind: ['calm', 'breeze', 'strong'],
} as const;
export type Circumstance = keyof typeof CIRCUMSTANCES;
export const CIRCUMSTANCE_NAMES = Object.keys(CIRCUMSTANCES) as Circumstance[];

export type PlaceName = NumberName | SignName | Circumstance;

/** Signs that a change of charge makes old. */
const SIGNS_SPOILED: readonly string[] = ['sightGlass', 'frost', 'drierDrop', 'restClimb'];

export const spoiledByGas = (name: string): boolean =>
  isNumberName(name) ? NUMBER_PLACES[name].spoiledByGas : SIGNS_SPOILED.includes(name);

const typesOf = (name: PlaceName): readonly PartTypeName[] =>
  isNumberName(name) ? NUMBER_PLACES[name].at : isSignName(name) ? SIGN_AT[name] : [];

/** The part of this machine at which a place is read; null where it has none of the kind, or the place is of the site. */
export function partOfPlace(map: CircuitMap, name: PlaceName): MapPart | null {
  for (const type of typesOf(name)) {
    const part = map.parts.find((each) => each.type === type);
    if (part) return part;
  }
  return null;
}

/** What is read at a part, figures first; the coil of a second room is read like that of the first. */
export function placesAt(map: CircuitMap, part: MapPart): PlaceName[] {
  return [...NUMBER_NAMES, ...SIGN_NAMES].filter((name) => {
    const first = partOfPlace(map, name);
    return first !== null && (first.id === part.id || (first.type === part.type && isOfPlaces(name)));
  });
}

/** Read in each room or at each compressor; pressures are those of the whole side. */
const isOfPlaces = (name: PlaceName): boolean => {
  const dimension = isNumberName(name) ? NUMBER_PLACES[name].dimension : null;
  return dimension !== 'pressure';
};

/** What this machine can be read for: a capillary has no turns of a valve, air no water. */
export const placesOf = (map: CircuitMap): PlaceName[] => [
  ...[...NUMBER_NAMES, ...SIGN_NAMES].filter((name) => partOfPlace(map, name) !== null),
  'onSite',
  ...CIRCUMSTANCE_NAMES,
];
