/** Made-up leaking machines whose future is known: for the forecast's tests and the bench. kg, days. */
import type { LeakingMachine } from '../diagnosis/leaking';
import { rollOf } from './seeded';

export const FLEETS = ['steady', 'varying', 'walking', 'partial'] as const;
export type FleetKind = (typeof FLEETS)[number];

export interface MadeMachine {
  machine: LeakingMachine;
  /** days from today on which the charge falls below the working minimum */
  short: number;
}

/**
 * Steady: one rate. Varying: by half from filling to filling. Walking: each rate a third off the one before. Partial: steady,
 * topped off to anything between four fifths and full, and nobody says so. The others are always filled to full, and it is
 * said in half of them.
 */
export function madeMachine(kind: FleetKind, seed: number): MadeMachine {
  const { uniform, between, logBetween, bell } = rollOf(seed);
  const fullCharge = logBetween(3, 300);
  const base = fullCharge * logBetween(0.03, 0.8) * (1 / 365);
  const count = 1 + Math.floor(uniform() * 7);
  const said = uniform() < 0.5;
  let walk = 0;
  const rateOfFilling = (): number => {
    if (kind === 'varying') return base * Math.exp(0.5 * bell());
    if (kind === 'walking') {
      walk += 0.33 * bell();
      return base * Math.exp(walk);
    }
    return base;
  };
  let missing = 0;
  let days = 0;
  const fillings = Array.from({ length: count }, () => {
    const rate = rateOfFilling();
    // Somebody comes when a tenth to a third is gone, or once in three years.
    days = Math.min(
      Math.ceil(Math.max(0.02, between(0.1, 0.33) - missing / fullCharge) * (fullCharge / rate)),
      1100,
    );
    const lost = missing + rate * days;
    const left = kind === 'partial' ? between(0, Math.min(0.2 * fullCharge, lost)) : 0;
    missing = left;
    return { days, added: lost - left, full: kind !== 'partial' && said };
  });
  const rate = rateOfFilling();
  const daysSinceGas = Math.floor((uniform() * 0.6 * (0.2 * fullCharge)) / rate);
  return {
    machine: {
      fullCharge,
      fillings,
      startedFull: true,
      workingMinimum: 0.8,
      threshold: null,
      daysSinceGas,
      additions: [],
    },
    short: Math.max(0, (0.2 * fullCharge - missing) / rate - daysSinceGas),
  };
}
