/** The normal distribution, cut to a range. */
import { errorFunction } from 'simple-statistics';

const below = (z: number): number => (1 + errorFunction(z / Math.SQRT2)) / 2;
const density = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);

/** Smaller shares are beyond what the error function tells. */
const LEAST_SHARE = 1e-6;

/** Share of a normal distribution between two values, and the mean of that part; null where next to nothing lies there. */
export function cut(
  mean: number,
  deviation: number,
  low: number,
  high: number,
): { share: number; mean: number } | null {
  const [from, to] = [(low - mean) / deviation, (high - mean) / deviation];
  const share = below(to) - below(from);
  if (!(share > LEAST_SHARE)) return null;
  const middle = mean + (deviation * (density(from) - density(to))) / share;
  return { share, mean: Math.min(Math.max(middle, low), high) };
}

/** Share of a normal distribution below a value. */
export const shareBelow = (value: number, mean: number, deviation: number): number =>
  deviation > 0 ? below((value - mean) / deviation) : value >= mean ? 1 : 0;
