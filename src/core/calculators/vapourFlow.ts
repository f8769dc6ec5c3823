/**
 * One leak, another gas or pressure: laminar flow through a fine passage. Throughput q in Pa·m³/s is proportional to
 * (p_in² − p_out²) ÷ viscosity; mass is q M/(R T). An estimate: real leaks are not all laminar.
 */
import type { Pascals } from '../quantity/si';
import { type Refrigerant, refrigerant } from '../refrigerant/refrigerant';
import { GAS_CONSTANT, ROOM_K } from './calculated';

/** Viscosity of vapours near 20 °C and moderate pressure, Pa·s; the class figures lie within about 20 % of each gas. */
export const NITROGEN_VISCOSITY = 17.6e-6;
export const AIR_VISCOSITY = 18.2e-6;
const VISCOSITY = {
  carbonDioxide: 14.7e-6,
  ammonia: 9.9e-6,
  hydrocarbon: 7.8e-6,
  halocarbon: 12e-6,
} as const;

export function vapourViscosity(name: string): number {
  const { composition }: Refrigerant = refrigerant(name);
  const [first] = composition;
  if (name === 'R-744') return VISCOSITY.carbonDioxide;
  if (name === 'R-717') return VISCOSITY.ammonia;
  return first?.kind === 'HC' ? VISCOSITY.hydrocarbon : VISCOSITY.halocarbon;
}

export interface Passage {
  /** Pa absolute on either side */
  inside: number;
  outside: Pascals;
  /** Pa·s of the gas that flows */
  viscosity: number;
}

/** Throughput under `to` of the leak that passes `throughput` under `from`; Pa·m³/s. */
export function scaledThroughput(throughput: number, from: Passage, to: Passage): number {
  return (throughput * drive(to)) / drive(from);
}

/** A passage with the molar mass of its gas, kg/mol. */
export interface Stream extends Passage {
  molarMass: number;
}

/**
 * Throughput under `to` for each Pa·m³/s under `from`, by the kind of the leak: a molecular one grows as the pressure inside and
 * falls with the root of the molar mass, a laminar one as above; below 0 where it would flow inwards.
 */
export const leakRatios = (from: Stream, to: Stream): { molecular: number; laminar: number } => ({
  molecular: (to.inside / from.inside) * Math.sqrt(from.molarMass / to.molarMass),
  laminar: scaledThroughput(1, from, to),
});

const drive = ({ inside, outside, viscosity }: Passage): number => (inside ** 2 - outside ** 2) / viscosity;

/**
 * kg/s of a gas with molar mass kg/mol that passes `throughput` Pa·m³/s, at 20 °C unless said otherwise.
 * `massRate(1, 0.028, 293.15)` // => 0.0000115
 */
export const massRate = (throughput: number, molarMass: number, temperature = ROOM_K): number =>
  (throughput * molarMass) / (GAS_CONSTANT * temperature);

/** Pa·m³/s of kg/s: the inverse of `massRate`. */
export const throughputOf = (rate: number, molarMass: number, temperature = ROOM_K): number =>
  (rate * GAS_CONSTANT * temperature) / molarMass;
