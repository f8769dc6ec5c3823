/**
 * The three explanations of a rise after isolating, fitted to p(t) = p0 + q t + a (1 − e^(−t/τ)): flat (p0), climbing
 * (a leak: q), levelling (moisture or dissolved gas: a, τ), and both. Least squares weighted by the gauge's noise, τ on a
 * grid and refined, all else solved directly; evidence by AICc. s, Pa.
 */
import { type Fit, type Normal, bestFit } from './leastSquares';
import type { VacuumReading } from './samples';

export const RISES = ['flat', 'climbing', 'levelling', 'both'] as const;
export type Rise = (typeof RISES)[number];

export interface RiseFit {
  rise: Rise;
  /** Pa at isolation */
  start: number;
  /** Pa/s, never negative */
  slope: number;
  /** Pa, what moisture adds in the end */
  step: number;
  /** s; 0 where nothing levels */
  time: number;
  /** corrected Akaike information criterion; smaller is better */
  aicc: number;
  /** mean weighted square of the residuals: 1 where the noise is as assumed */
  scatter: number;
}

/**
 * Moisture and dissolved gas level off within this, s. A slower rise cannot be told from a leak by watching; so a firm
 * word about a leak waits until a levelling as slow as this would have shown its bend.
 */
export const SLOWEST_LEVELLING_S = 1500;
export const FASTEST_LEVELLING_S = 8;
/** Noise is never taken as smaller than half of what the gauge shows it to be. */
export const LEAST_SCATTER = 0.25;
const GRID = 28;
const REFINEMENTS = 24;

const PARAMETERS: Record<Rise, number> = { flat: 1, climbing: 2, levelling: 3, both: 4 };

export interface GaugeNoise {
  /** Pa */
  resolution: number;
  /** share of the reading, one standard deviation */
  relative: number;
}

/** Readings with their weights, prepared once for many values of τ. */
interface Prepared {
  at: Float64Array;
  pressure: Float64Array;
  weight: Float64Array;
}

export function prepared(readings: readonly VacuumReading[], noise: GaugeNoise): Prepared {
  const at = Float64Array.from(readings, (each) => each.at);
  const pressure = Float64Array.from(readings, (each) => each.pressure);
  // A neighbourhood's level, not the reading itself, sets the weight: else low readings would pull the fit down.
  const weight = pressure.map((_, i) => {
    const near = pressure.subarray(Math.max(0, i - 2), i + 3);
    const level = near.reduce((sum, each) => sum + each, 0) / near.length;
    return 1 / (noise.resolution ** 2 / 12 + (noise.relative * level) ** 2);
  });
  return { at, pressure, weight };
}

function normalOf({ at, pressure, weight }: Prepared, rise: Rise, time: number): Normal {
  const sloped = rise === 'climbing' || rise === 'both';
  const levelled = rise === 'levelling' || rise === 'both';
  const size = 1 + Number(sloped) + Number(levelled);
  const gram = Array.from({ length: size }, () => new Array<number>(size).fill(0));
  const right = new Array<number>(size).fill(0);
  let yy = 0;
  const row = new Float64Array(size);
  row[0] = 1;
  for (let n = 0; n < at.length; n += 1) {
    const t = at[n] ?? 0;
    const y = pressure[n] ?? 0;
    const w = weight[n] ?? 0;
    if (sloped) row[1] = t;
    if (levelled) row[size - 1] = 1 - Math.exp(-t / time);
    for (let i = 0; i < size; i += 1) {
      const wx = w * (row[i] ?? 0);
      right[i] = (right[i] ?? 0) + wx * y;
      const line = gram[i];
      if (line) for (let j = 0; j < size; j += 1) line[j] = (line[j] ?? 0) + wx * (row[j] ?? 0);
    }
    yy += w * y * y;
  }
  return { gram, right, yy };
}

function riseFit(data: Prepared, rise: Rise, time: number, fit: Fit): RiseFit {
  const n = data.at.length;
  const sloped = rise === 'climbing' || rise === 'both';
  const [start = 0, second = 0, third = 0] = fit.factors;
  // The scatter counts as one parameter more.
  const k = PARAMETERS[rise] + 1;
  const scatter = fit.squares / n;
  const likelihood = n * Math.log(Math.max(scatter, LEAST_SCATTER));
  return {
    rise,
    start,
    slope: sloped ? second : 0,
    step: sloped ? third : rise === 'levelling' ? second : 0,
    time: rise === 'levelling' || rise === 'both' ? time : 0,
    aicc: n > k + 1 ? likelihood + 2 * k + (2 * k * (k + 1)) / (n - k - 1) : Infinity,
    scatter,
  };
}

/** The best fit of one explanation; for those that level, over τ between its bounds. `tick` is called as work is done. */
export function fitRise(data: Prepared, rise: Rise, tick: () => void = () => undefined): RiseFit {
  const attempt = (time: number): RiseFit => {
    tick();
    return riseFit(data, rise, time, bestFit(normalOf(data, rise, time)));
  };
  if (rise === 'flat' || rise === 'climbing') return attempt(1);
  const low = Math.log(FASTEST_LEVELLING_S);
  const high = Math.log(SLOWEST_LEVELLING_S);
  const step = (high - low) / (GRID - 1);
  const grid = Array.from({ length: GRID }, (_, i) => attempt(Math.exp(low + i * step)));
  const best = grid.reduce((a, b) => (b.scatter < a.scatter ? b : a));
  return goldenSection(
    Math.max(low, Math.log(best.time) - step),
    Math.min(high, Math.log(best.time) + step),
    (logTime) => attempt(Math.exp(logTime)),
    best,
  );
}

/** How often `fitRise` ticks for all four explanations together. */
export const TICKS = 2 + 2 * (GRID + REFINEMENTS);

function goldenSection(low: number, high: number, attempt: (x: number) => RiseFit, start: RiseFit): RiseFit {
  const ratio = (Math.sqrt(5) - 1) / 2;
  let best = start;
  for (let round = 0; round < REFINEMENTS / 2; round += 1) {
    const left = attempt(high - ratio * (high - low));
    const right = attempt(low + ratio * (high - low));
    if (left.scatter < right.scatter) high = low + ratio * (high - low);
    else low = high - ratio * (high - low);
    for (const each of [left, right]) if (each.scatter < best.scatter) best = each;
  }
  return best;
}

/** Pa at t seconds by a fit. */
export const riseAt = (fit: RiseFit, at: number): number =>
  fit.start + fit.slope * at + (fit.time > 0 ? fit.step * (1 - Math.exp(-at / fit.time)) : 0);
