/**
 * Saturation of a refrigerant: what the gauge reads while liquid and vapour stand together, both ways, and the
 * density of both. K, Pa absolute, kg/m³. Bubble is for liquid (subcooling), dew for vapour (superheat); for a
 * blend with glide they differ at one temperature. Outside its table every function refuses, with the range.
 *
 * Tables are per kelvin (Helmholtz equations of state). Between rows ln p is linear in 1/T, which inverts exactly;
 * ln ρ runs as a cubic through the four nearest rows, since near the critical point it bends too much for a line.
 */
import { ZERO_CELSIUS } from '../quantity/units';
import type { Density, Kelvins, Pascals } from '../quantity/si';
import { type Result, ok, refused } from '../result';

/** A table as its file holds it: one figure per kelvin from the first temperature up. */
export interface SaturationTable {
  name: string;
  molarMass_kg_mol: number;
  criticalTemperature_C: number | null;
  firstTemperature_C: number;
  bubblePressure_Pa: readonly number[];
  /** null where bubble and dew are one: a pure fluid */
  dewPressure_Pa: readonly number[] | null;
  liquidDensity_kg_m3: readonly number[];
  vapourDensity_kg_m3: readonly number[];
  source: string;
}

export interface OutsideTable {
  reason: 'outsideTable';
  refrigerant: string;
  quantity: 'temperature' | 'bubblePressure' | 'dewPressure';
  given: number;
  from: number;
  to: number;
}

type Looked<Value> = Result<Value, OutsideTable>;
export type Line = 'bubble' | 'dew';

/** First and last temperature of a table, K. */
export function temperatureRange(table: SaturationTable): { from: number; to: number } {
  const first = table.firstTemperature_C;
  return { from: first + ZERO_CELSIUS, to: first + table.bubblePressure_Pa.length - 1 + ZERO_CELSIUS };
}

const pressuresOf = (table: SaturationTable, line: Line): readonly number[] =>
  line === 'dew' ? (table.dewPressure_Pa ?? table.bubblePressure_Pa) : table.bubblePressure_Pa;

export function pressureRange(table: SaturationTable, line: Line): { from: number; to: number } {
  const pressures = pressuresOf(table, line);
  return { from: at(pressures, 0), to: at(pressures, pressures.length - 1) };
}

/** True where bubble and dew differ at one temperature. */
export const hasGlide = (table: SaturationTable): boolean => table.dewPressure_Pa !== null;

/** Pa absolute at a temperature in K, on the bubble or the dew line. */
export function saturationPressure(
  table: SaturationTable,
  line: Line,
  temperature: Kelvins,
): Looked<Pascals> {
  const { from, to } = temperatureRange(table);
  if (!within(temperature, from, to)) return outside(table, 'temperature', temperature, from, to);
  const pressures = pressuresOf(table, line);
  const row = Math.min(Math.max(Math.floor(temperature - from), 0), pressures.length - 2);
  const low = from + row;
  const share = (1 / low - 1 / temperature) / (1 / low - 1 / (low + 1));
  const lnLow = Math.log(at(pressures, row));
  return ok(Math.exp(lnLow + share * (Math.log(at(pressures, row + 1)) - lnLow)));
}

/** K at a pressure in Pa absolute: the exact inverse of `saturationPressure`. */
export function saturationTemperature(
  table: SaturationTable,
  line: Line,
  pressure: Pascals,
): Looked<Kelvins> {
  const { from, to } = pressureRange(table, line);
  if (!within(pressure, from, to)) {
    return outside(table, line === 'bubble' ? 'bubblePressure' : 'dewPressure', pressure, from, to);
  }
  const pressures = pressuresOf(table, line);
  const row = Math.min(lastNotAbove(pressures, pressure), pressures.length - 2);
  const low = temperatureRange(table).from + row;
  const lnLow = Math.log(at(pressures, row));
  const share = (Math.log(pressure) - lnLow) / (Math.log(at(pressures, row + 1)) - lnLow);
  return ok(1 / (1 / low - share * (1 / low - 1 / (low + 1))));
}

/** kg/m³ of saturated liquid (on the bubble line) at a temperature in K. */
export const liquidDensity = (table: SaturationTable, temperature: Kelvins): Looked<Density> =>
  density(table, table.liquidDensity_kg_m3, temperature);

/** kg/m³ of saturated vapour (on the dew line) at a temperature in K. */
export const vapourDensity = (table: SaturationTable, temperature: Kelvins): Looked<Density> =>
  density(table, table.vapourDensity_kg_m3, temperature);

export interface SaturatedState {
  temperature: Kelvins;
  bubblePressure: Pascals;
  dewPressure: Pascals;
  liquidDensity: Density;
  vapourDensity: Density;
}

/** Everything the table says at a temperature in K. */
export function saturatedState(
  table: SaturationTable,
  temperature: Kelvins,
): Result<SaturatedState, OutsideTable> {
  const bubble = saturationPressure(table, 'bubble', temperature);
  const dew = saturationPressure(table, 'dew', temperature);
  const liquid = liquidDensity(table, temperature);
  const vapour = vapourDensity(table, temperature);
  if (!bubble.ok) return bubble;
  if (!dew.ok) return dew;
  if (!liquid.ok) return liquid;
  if (!vapour.ok) return vapour;
  return ok({
    temperature,
    bubblePressure: bubble.value,
    dewPressure: dew.value,
    liquidDensity: liquid.value,
    vapourDensity: vapour.value,
  });
}

function density(table: SaturationTable, rows: readonly number[], temperature: Kelvins): Looked<Density> {
  const { from, to } = temperatureRange(table);
  if (!within(temperature, from, to)) return outside(table, 'temperature', temperature, from, to);
  const position = temperature - from;
  const first = Math.min(Math.max(Math.floor(position) - 1, 0), rows.length - 4);
  const x = position - first;
  // Lagrange weights of the nodes 0, 1, 2, 3.
  const ln =
    (-(x - 1) * (x - 2) * (x - 3) * Math.log(at(rows, first))) / 6 +
    (x * (x - 2) * (x - 3) * Math.log(at(rows, first + 1))) / 2 -
    (x * (x - 1) * (x - 3) * Math.log(at(rows, first + 2))) / 2 +
    (x * (x - 1) * (x - 2) * Math.log(at(rows, first + 3))) / 6;
  return ok(Math.exp(ln));
}

/** An end of the table given in °F or bar may miss it by a last digit: that is still the end. */
const FLOAT_DUST = 1e-12;
const within = (given: number, from: number, to: number): boolean =>
  given >= from * (1 - FLOAT_DUST) && given <= to * (1 + FLOAT_DUST);

/** Index of the last row whose pressure is not above the given one; pressures rise strictly. */
function lastNotAbove(pressures: readonly number[], pressure: Pascals): number {
  let low = 0;
  let high = pressures.length - 1;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (at(pressures, middle) <= pressure) low = middle;
    else high = middle - 1;
  }
  return low;
}

function outside(
  table: SaturationTable,
  quantity: OutsideTable['quantity'],
  given: number,
  from: number,
  to: number,
): { ok: false; refusal: OutsideTable } {
  return refused({ reason: 'outsideTable', refrigerant: table.name, quantity, given, from, to });
}

function at(rows: readonly number[], index: number): number {
  const value = rows[index];
  if (value === undefined) throw new Error(`A saturation table has no row ${String(index)}.`);
  return value;
}
