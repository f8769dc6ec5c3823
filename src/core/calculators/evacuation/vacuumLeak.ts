/**
 * A climb under vacuum as gas a year at work, and back. From vacuum to pressure a molecular leak grows as the pressure, a
 * laminar one as its square over the viscosity: some thirty times apart, so every figure is a range.
 */
import type { CubicMetres, Kilograms, Pascals } from '../../quantity/si';
import { YEAR_S } from '../../quantity/units';
import type { SaturationTable } from '../../refrigerant/saturation';
import { restPressure } from '../atWork';
import type { Range } from '../series/explanation';
import { AIR_VISCOSITY, leakRatios, massRate, vapourViscosity } from '../vapourFlow';

/** kg/mol */
const AIR_MOLAR_MASS = 0.0289652;

export interface LeakingCircuit {
  table: SaturationTable;
  volume: CubicMetres;
  /** Pa absolute at work; null: what it stands at, at rest at 20 °C */
  working: Pascals | null;
  atmosphere: Pascals;
}

/** kg/s of refrigerant at work for each Pa/s under vacuum: `low` molecular, `high` laminar. */
function perSlope({ table, volume, working, atmosphere }: LeakingCircuit): Range {
  const molarMass = table.molarMass_kg_mol;
  const inside = working ?? restPressure(table);
  const { molecular, laminar } = leakRatios(
    { inside: atmosphere, outside: 0, viscosity: AIR_VISCOSITY, molarMass: AIR_MOLAR_MASS },
    { inside, outside: atmosphere, viscosity: vapourViscosity(table.name), molarMass },
  );
  const [low, high] = [molecular, laminar].sort((a, b) => a - b) as [number, number];
  return { low: massRate(volume * Math.max(0, low), molarMass), high: massRate(volume * high, molarMass) };
}

/**
 * kg a year at work of a climb in Pa/s. 5 microns a minute in 20 L of R-404A at 9 bar on the gauge: from about 1.5 kg to about
 * 42 kg.
 */
export function yearlyLoss(circuit: LeakingCircuit, slope: number): Range {
  const { low, high } = perSlope(circuit);
  return { low: low * slope * YEAR_S, high: high * slope * YEAR_S };
}

/** Pa/s that a leak of `yearly` kg a year at work makes under vacuum: `low` if it is laminar, `high` if molecular. */
export function slopeOf(circuit: LeakingCircuit, yearly: Kilograms): Range {
  const { low, high } = perSlope(circuit);
  return { low: yearly / YEAR_S / high, high: yearly / YEAR_S / low };
}

/** Where nobody named the gas: from the least to the most that any known one would lose. */
export const widest = (ranges: readonly Range[]): Range => ({
  low: Math.min(...ranges.map(({ low }) => low)),
  high: Math.max(...ranges.map(({ high }) => high)),
});
