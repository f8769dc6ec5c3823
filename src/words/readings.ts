/** Words of the places at which a machine is read. */
import type { Lacking } from '../core/diagnosis/observe';
import type { Phase } from '../core/visit/notes/notes';
import {
  CIRCUMSTANCES,
  type Circumstance,
  type NumberName,
  type PlaceName,
  isNumberName,
  isSignName,
  signValues,
} from '../core/visit/readings/places';
import { type Choice, choices } from './choice';
import { READING_WORDS, VALUE_WORDS } from './diagnosis';

export const NUMBER_WORDS: Record<NumberName, string> = {
  suction: 'Suction pressure',
  head: 'Head pressure',
  suctionLine: 'Suction line',
  liquidLine: 'Liquid line',
  box: 'Box',
  ambient: 'Air at the condenser',
  amps: 'Amps',
  rated: 'Rated amps',
  standing: 'Standing pressure',
  dischargeLine: 'Discharge line',
  receiverLevel: 'Receiver level',
  coilLiquid: 'Liquid at the coil',
  coilSuction: 'Suction at the coil',
  superheat: 'Superheat, read off',
  subcooling: 'Subcooling, read off',
  saturationLow: 'Saturation on the low gauge',
  saturationHigh: 'Saturation on the high gauge',
  waterIn: 'Water in',
  waterOut: 'Water out',
  secondBox: 'Second thermometer in the box',
  defrostTime: 'Defrost took',
  defrostEnd: 'Defrost ended at',
  valveTurns: 'Valve turned by (turns, − to shut)',
  onSite: 'Hours on site',
};

/** What helps to read a place rightly. */
export const NUMBER_HINTS: Partial<Record<NumberName, string>> = {
  standing: 'At rest, solenoid open, before any nitrogen.',
  receiverLevel: 'By its glass, or heated from outside and marked where it changes.',
  coilSuction: 'Where the bulb sits.',
  superheat: 'As the instrument shows it; its refrigerant must be set to that of the machine.',
  subcooling: 'As the instrument shows it; its refrigerant must be set to that of the machine.',
  saturationLow: 'The degrees on the gauge, on the scale of this refrigerant.',
  saturationHigh: 'The degrees on the gauge, on the scale of this refrigerant.',
};

const CIRCUMSTANCE_WORDS: Record<Circumstance, string> = { weather: 'Weather', wind: 'Wind' };

export const placeWords = (name: PlaceName): string =>
  isNumberName(name) ? NUMBER_WORDS[name] : isSignName(name) ? READING_WORDS[name] : CIRCUMSTANCE_WORDS[name];

/** A reading by its name, also one of another tool. */
export const readingWords = (name: string): string =>
  isNumberName(name) || isSignName(name) || name in CIRCUMSTANCES ? placeWords(name as PlaceName) : name;

export const signWords = (name: string, value: string): string => VALUE_WORDS[`${name} ${value}`] ?? value;

/** The words that a sign can say. */
export const signChoices = (name: Exclude<PlaceName, NumberName>): Choice[] => {
  const values: string[] = isSignName(name) ? signValues(name) : [...CIRCUMSTANCES[name]];
  return choices(values, Object.fromEntries(values.map((value) => [value, signWords(name, value)])));
};

export const PHASE_WORDS: Record<Phase, string> = {
  asFound: 'as found',
  beforeCharge: 'before charge',
  afterCharge: 'after charge',
  atEnd: 'at the end',
};

/** A reading that cannot speak, and the one that it needs. */
export const lackingWords = ({ reading, needs }: Lacking): string =>
  `${NUMBER_WORDS[reading]} says nothing without ${NUMBER_WORDS[needs].toLowerCase()}.`;
