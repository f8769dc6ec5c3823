/**
 * Evidence for one explanation under one assumption about the noise: the likelihood averaged over all sizes that the
 * explanation allows (linear ones in closed form, τ on a grid), with the scale of the noise averaged out. Bayes' rule then
 * weighs explanations of different richness without a penalty that somebody chose.
 */
import { gammaln } from 'simple-statistics';
import type { Curve, Explanation, Range } from './explanation';
import { cut } from './normal';
import { CONSTANT, FIRST_BEND, type Sums, TIME } from './whitened';

export interface Prior {
  /** one standard deviation of the gauge's own drift, size per second */
  drift: number;
  /** how many readings the stated deviations are worth */
  freedom: number;
}

/** One fitted form of an explanation, with its weight. */
export interface Component {
  log: number;
  /** factor of the stated deviations by which it scatters */
  scale: number;
  /** weighted squares of what is left */
  residual: number;
  /** what flows without end (or at first, through a valve), size per second, and its doubt */
  rate: number;
  doubt: number;
  curve: Curve;
}

/** Forms that explain this much worse than the best count for nothing. */
const NEGLIGIBLE = 30;

/** What a rough look has told: the factor of the deviations, and the least weighted squares, of a curve that may be anything. */
export interface Rough {
  noise: number;
  squares: number;
}

/** All forms of `explanation` that count. */
export function components(
  sums: Sums,
  times: readonly number[],
  explanation: Explanation,
  prior: Prior & Rough,
  stride = PAIR_STRIDE,
): Component[] {
  const found: Component[] = [];
  let best = -Infinity;
  for (const places of combinations(times, explanation.bends, stride)) {
    const one = component(sums, times, explanation, places, prior);
    if (one === null || one.log < best - NEGLIGIBLE) continue;
    best = Math.max(best, one.log);
    found.push(one);
  }
  const spacing = Math.log((times[1] ?? 1) / (times[0] ?? 1)) * (explanation.bends.length > 1 ? stride : 1);
  // The average over the grid: a uniform share in ln τ within the ranges, or in the logarithm of what flows at first.
  const weight = explanation.bends.reduce((sum, range) => {
    const { low, high } = explanation.flow ?? range;
    return sum + Math.log(spacing / Math.log(high / low));
  }, 0);
  return found.map((each) => ({ ...each, log: each.log + Math.log(explanation.share) + weight }));
}

/** A curve that fits worse than the rough look by this much of a logarithm is not worth finishing. */
const HOPELESS = 40;

const gammas = new Map<number, number>();
const logGamma = (of: number): number => {
  const known = gammas.get(of) ?? gammaln(of);
  gammas.set(of, known);
  return known;
};

/** A second bend that is not clearly slower than the first is no second bend. */
const LEAST_RATIO = 2;
/** For two together every other τ is fine enough. */
const PAIR_STRIDE = 2;

function* combinations(
  times: readonly number[],
  bends: readonly Range[],
  stride: number,
): Generator<number[]> {
  const within = (range: Range): number[] =>
    times.flatMap((time, place) => (time >= range.low && time <= range.high ? [place] : []));
  const [first, second] = bends;
  if (!first) return yield [];
  for (const one of within(first)) {
    if (!second) yield [one];
    else if (one % stride === 0)
      for (const two of within(second))
        if (two % stride === 0 && (times[two] ?? 0) >= LEAST_RATIO * (times[one] ?? 0)) yield [one, two];
  }
}

function component(
  sums: Sums,
  times: readonly number[],
  explanation: Explanation,
  places: readonly number[],
  { drift, freedom, noise, squares }: Prior & Rough,
): Component | null {
  const { slope, step, flow, sign } = explanation;
  // The sizes that are cut to a range stand last: the factor of the sums then gives them one by one.
  const columns = [CONSTANT, TIME, ...places.map((place) => FIRST_BEND + place)];
  const size = columns.length;
  const factored = factorOf(sums, columns, slope === null ? (noise / drift) ** 2 : 0);
  if (!factored) return null;
  const { lower, explained, logDeterminant } = factored;
  const residual = Math.max(0, sums.squares - explained);
  const free = sums.count - size + freedom + (slope === null ? 1 : 0);
  if (free <= 0 || (free / 2) * Math.log((residual + freedom) / (squares + freedom)) > HOPELESS) return null;
  const factors = solved(factored, size);
  const scale = Math.sqrt((residual + freedom) / free);
  let log =
    sums.logScale -
    logDeterminant / 2 +
    (size / 2) * Math.log(2 * Math.PI) +
    logGamma(free / 2) -
    (free / 2) * Math.log((residual + freedom) / 2) -
    (slope === null ? 0.5 * Math.log(2 * Math.PI * (drift / noise) ** 2) : 0);

  // From the last size to the first, each given those behind it at the middle of what their range leaves.
  const chosen = Float64Array.from(factors);
  const doubts = new Float64Array(size);
  for (let i = size - 1; i >= (slope === null ? 2 : 1); i -= 1) {
    const pivot = lower[i * size + i] ?? 1;
    let mean = factors[i] ?? 0;
    for (let k = i + 1; k < size; k += 1)
      mean -= ((lower[k * size + i] ?? 0) / pivot) * ((chosen[k] ?? 0) - (factors[k] ?? 0));
    chosen[i] = mean;
    doubts[i] = scale / pivot;
    const time = times[(columns[i] ?? 0) - FIRST_BEND] ?? 0;
    const whole = i === 1 ? slope : step;
    if (whole === null) continue;
    const range = i > 1 && flow ? between(whole, { low: flow.low * time, high: flow.high * time }) : whole;
    const part = range && cut(sign * mean, scale / pivot, range.low, range.high);
    if (!part) return null;
    chosen[i] = sign * part.mean;
    log += Math.log(part.share / (part.mean * Math.log(whole.high / whole.low)));
  }
  const bends = places.map((place, index) => ({ step: chosen[2 + index] ?? 0, time: times[place] ?? 0 }));
  const [one] = bends;
  return {
    log,
    scale,
    residual,
    ...(flow && one
      ? { rate: (sign * one.step) / one.time, doubt: (doubts[2] ?? 0) / one.time }
      : { rate: sign * (chosen[1] ?? 0), doubt: Math.hypot(scale * slopeDoubt(lower, size), drift) }),
    curve: { start: factors[0] ?? 0, slope: chosen[1] ?? 0, bends },
  };
}

/** The sums of some columns as lower × lowerᵀ, with what the values leave unexplained before it. */
interface Factor {
  lower: Float64Array;
  half: Float64Array;
  explained: number;
  logDeterminant: number;
}

/** Cholesky's factor, `ridge` added to the slope's own square; null where columns cannot be told apart. */
function factorOf(sums: Sums, columns: readonly number[], ridge: number): Factor | null {
  const size = columns.length;
  const lower = new Float64Array(size * size);
  const half = new Float64Array(size);
  let explained = 0;
  let logDeterminant = 0;
  for (let i = 0; i < size; i += 1) {
    const column = columns[i] ?? 0;
    for (let j = 0; j <= i; j += 1) {
      let sum = sums.product(column, columns[j] ?? 0) + (i === TIME && j === TIME ? ridge : 0);
      for (let k = 0; k < j; k += 1) sum -= (lower[i * size + k] ?? 0) * (lower[j * size + k] ?? 0);
      if (i !== j) lower[i * size + j] = sum / (lower[j * size + j] ?? 1);
      else if (sum <= 1e-12 * sums.product(column, column)) return null;
      else lower[i * size + i] = Math.sqrt(sum);
    }
    let value = sums.right[column] ?? 0;
    for (let k = 0; k < i; k += 1) value -= (lower[i * size + k] ?? 0) * (half[k] ?? 0);
    const pivot = lower[i * size + i] ?? 1;
    half[i] = value / pivot;
    explained += (half[i] ?? 0) ** 2;
    logDeterminant += 2 * Math.log(pivot);
  }
  return { lower, half, explained, logDeterminant };
}

/** The sizes of the columns at their best. */
function solved({ lower, half }: Factor, size: number): Float64Array {
  const factors = new Float64Array(size);
  for (let i = size - 1; i >= 0; i -= 1) {
    let value = half[i] ?? 0;
    for (let k = i + 1; k < size; k += 1) value -= (lower[k * size + i] ?? 0) * (factors[k] ?? 0);
    factors[i] = value / (lower[i * size + i] ?? 1);
  }
  return factors;
}

/** Deviation of the slope with all else free, from the factor of the sums. */
function slopeDoubt(lower: Float64Array, size: number): number {
  const inverse = new Float64Array(size);
  let squares = 0;
  for (let i = 1; i < size; i += 1) {
    let value = i === 1 ? 1 : 0;
    for (let k = 1; k < i; k += 1) value -= (lower[i * size + k] ?? 0) * (inverse[k] ?? 0);
    inverse[i] = value / (lower[i * size + i] ?? 1);
    squares += (inverse[i] ?? 0) ** 2;
  }
  return Math.sqrt(squares);
}

const between = (a: Range, b: Range): Range | null => {
  const low = Math.max(a.low, b.low);
  const high = Math.min(a.high, b.high);
  return low < high ? { low, high } : null;
};
