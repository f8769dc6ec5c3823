/** Superheat on the dew line, subcooling on the bubble line: differences of temperature in K. */
import type { Kelvins, Pascals } from '../quantity/si';
import { type SaturationTable, saturationTemperature } from '../refrigerant/saturation';
import {
  DOUBT_K,
  type Outcome,
  TABLE_SOURCE,
  calculated,
  fahrenheitDegrees,
  figure,
  isTuned,
  notPositive,
  tableValidity,
} from './calculated';

/** Superheat at the end of the evaporator: aim and range. */
export const SUPERHEAT = {
  target: fahrenheitDegrees(10),
  low: fahrenheitDegrees(6),
  high: fahrenheitDegrees(12),
} as const;
export const SUBCOOLING = { low: fahrenheitDegrees(8), high: fahrenheitDegrees(12) } as const;

export type Band = 'below' | 'within' | 'above';
/** `bandOf(3, { low: 5, high: 8 })` // => 'below' */
export const bandOf = (value: number, { low, high }: { low: number; high: number }): Band =>
  value < low ? 'below' : value > high ? 'above' : 'within';

export interface LineState {
  /** K, superheat or subcooling */
  difference: number;
  /** K, at the pressure that was read */
  saturation: number;
  line: 'dew' | 'bubble';
  band: Band;
  /** below nothing: liquid in the suction line, vapour in the liquid line, or a reading that is wrong */
  beyondSaturation: boolean;
  /** the band rests on less than the table of this refrigerant is sure of */
  doubtful: boolean;
}

const READING_DOUBT_K = 0.5;

/**
 * superheat = T_line − T_dew(p_suction); pressures Pa absolute, temperatures K.
 * R-134a at 30 psig (T_dew 1.5 °C) and 7 °C in the line has about 5.5 K.
 */
export function superheat(input: {
  table: SaturationTable;
  suction: Pascals;
  lineTemperature: Kelvins;
}): Outcome<LineState> {
  return lineState(input.table, 'dew', input.suction, input.lineTemperature);
}

/** subcooling = T_bubble(p_liquid) − T_line; pressures Pa absolute, temperatures K. */
export function subcooling(input: {
  table: SaturationTable;
  liquid: number;
  lineTemperature: Kelvins;
}): Outcome<LineState> {
  return lineState(input.table, 'bubble', input.liquid, input.lineTemperature);
}

function lineState(
  table: SaturationTable,
  line: 'dew' | 'bubble',
  pressure: Pascals,
  lineTemperature: Kelvins,
): Outcome<LineState> {
  const bad = notPositive({ 'line temperature': lineTemperature });
  if (bad) return bad;
  const saturation = saturationTemperature(table, line, pressure);
  if (!saturation.ok) return saturation;
  const warm = line === 'dew';
  const range = warm ? SUPERHEAT : SUBCOOLING;
  const difference = warm ? lineTemperature - saturation.value : saturation.value - lineTemperature;
  return calculated(
    {
      difference,
      saturation: saturation.value,
      line,
      band: bandOf(difference, range),
      beyondSaturation: difference < -READING_DOUBT_K,
      doubtful:
        isTuned(table.name) &&
        Math.min(Math.abs(difference - range.low), Math.abs(difference - range.high)) < DOUBT_K,
    },
    {
      formula: warm
        ? 'superheat = line temperature − dew temperature at the suction pressure'
        : 'subcooling = bubble temperature at the liquid pressure − line temperature',
      figures: [
        figure(warm ? 'suction pressure' : 'liquid pressure', 'pressure', pressure),
        figure(`${line} temperature at it`, 'temperature', saturation.value),
        figure('line temperature', 'temperature', lineTemperature),
        figure(warm ? 'superheat' : 'subcooling', 'temperatureDifference', difference),
      ],
      source: TABLE_SOURCE,
      validity: tableValidity(
        table.name,
        'Read both at the same place: pressure drop between gauge and thermometer counts as an error.',
      ),
    },
  );
}
