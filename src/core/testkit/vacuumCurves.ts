/**
 * Made-up vacuum gauges for tests and the bench: a volume with a film of water and a leak, stepped in time, read by a
 * gauge with noise, drift and a last digit. Shares nothing with the fit.
 */
export const CURVE_KINDS = ['flat', 'moist', 'leaking', 'both'] as const;
export type CurveKind = (typeof CURVE_KINDS)[number];

export interface Curve {
  kind: CurveKind;
  readings: { at: number; pressure: number }[];
  resolution: number;
}

/** A small generator with a seed (linear congruence of 48 bits), for tests only. */
export function dice(seed: number): () => number {
  let state = (BigInt(seed) * 2_654_435_761n + 11n) & 0xffffffffffffn;
  return () => {
    state = (state * 25214903917n + 11n) & 0xffffffffffffn;
    return Number(state >> 16n) / 2 ** 32;
  };
}

const MICRON = 0.1333223684;

export function vacuumCurve(seed: number): Curve {
  const roll = dice(seed);
  for (let i = 0; i < 8; i += 1) roll();
  const between = (low: number, high: number): number => low + (high - low) * roll();
  const logBetween = (low: number, high: number): number => low * (high / low) ** roll();
  const bell = (): number => Math.sqrt(-2 * Math.log(1 - roll())) * Math.cos(2 * Math.PI * roll());
  const kind = CURVE_KINDS[Math.floor(roll() * 4)] ?? 'flat';
  const sampling = logBetween(1, 60);
  const watch = between(600, 1800);
  const resolution = (roll() < 0.5 ? 1 : 10) * MICRON;
  const noise = between(0.002, 0.02);
  const leaks = kind === 'leaking' || kind === 'both';
  const moist = kind === 'moist' || kind === 'both';
  // Pa/s from a leak: 10 to 150 microns a minute.
  const leak = leaks ? (logBetween(10, 150) * MICRON) / 60 : 0;
  // A film of water at a cold spot: it fills the volume up to its vapour pressure, faster while there is much of it.
  const waterLevel = moist ? logBetween(150, 4000) * MICRON : 0;
  const exchange = 1 / logBetween(40, 600);
  let film = waterLevel * between(1.2, 8);
  let water = 0;
  let air = between(100, 600) * MICRON;
  const step = 0.5;
  const readings: Curve['readings'] = [];
  let next = 0;
  for (let at = 0; at <= watch; at += step) {
    if (at >= next) {
      const seen = (air + water) * (1 + noise * bell());
      readings.push({ at, pressure: Math.max(0, Math.round(seen / resolution)) * resolution });
      next += sampling;
    }
    air += leak * step;
    const wetted = Math.min(1, 2 * Math.sqrt(film / (waterLevel * 1.2 || 1)));
    const given = Math.min(film, exchange * wetted * Math.max(0, waterLevel - water) * step);
    film -= given;
    water += given;
  }
  return { kind, readings, resolution };
}
