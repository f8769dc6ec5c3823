/**
 * A series of readings as sums for least squares, under one assumption about its noise: independent from reading to
 * reading, or fading with a correlation time (a first-order autoregression over uneven times). s; values in their own unit.
 */
export interface SeriesReading {
  at: number;
  value: number;
  /** one standard deviation of its noise, as far as it is known before looking at the series; a common factor is found */
  deviation: number;
}

/** Columns of the fits: 1, the time since the first reading, and 1 − e^(−t/τ) for each τ of the grid. */
export const CONSTANT = 0;
export const TIME = 1;
export const FIRST_BEND = 2;

export interface Sums {
  /** sum of products of two columns; of a column and the values; of the values with themselves */
  product: (one: number, other: number) => number;
  right: Float64Array;
  squares: number;
  /** number of readings */
  count: number;
  /** logarithm of what whitening does to the likelihood */
  logScale: number;
}

/** The columns at the readings, each over its deviation: made once for all assumptions about the noise. `times`: τ, s. */
export interface Columns {
  columns: Float64Array[];
  values: Float64Array;
  readings: readonly SeriesReading[];
}

export function columnsOf(readings: readonly SeriesReading[], times: readonly number[]): Columns {
  const start = readings[0]?.at ?? 0;
  const column = (shape: (since: number) => number): Float64Array =>
    Float64Array.from(readings, ({ at, deviation }) => shape(at - start) / deviation);
  return {
    columns: [
      column(() => 1),
      column((since) => since),
      ...times.map((time) => column((since) => -Math.expm1(-since / time))),
    ],
    values: Float64Array.from(readings, ({ value, deviation }) => value / deviation),
    readings,
  };
}

/** `fade`: s after which noise has faded to 1/e; 0 where each reading has its own. */
export function whitened({ columns, values, readings }: Columns, fade: number): Sums {
  const repeats = readings.map(({ at }, i) =>
    i === 0 || fade === 0 ? 0 : Math.exp(-(at - (readings[i - 1]?.at ?? 0)) / fade),
  );
  const whiten = (column: Float64Array): Float64Array =>
    column.map((value, i) => {
      const repeat = repeats[i] ?? 0;
      return (value - repeat * (column[i - 1] ?? 0)) / Math.sqrt(1 - repeat * repeat);
    });
  const white = columns.map(whiten);
  const y = whiten(values);
  const products = new Float64Array(white.length * white.length).fill(NaN);
  return {
    // Most pairs of bends are never asked for.
    product: (one, other) => {
      const place = one * white.length + other;
      const known = products[place] ?? NaN;
      if (!Number.isNaN(known)) return known;
      return (products[place] = dot(white[one], white[other]));
    },
    right: Float64Array.from(white, (column) => dot(column, y)),
    squares: dot(y, y),
    count: readings.length,
    logScale: -readings.reduce(
      (sum, { deviation }, i) => sum + Math.log(deviation * Math.sqrt(1 - (repeats[i] ?? 0) ** 2)),
      0,
    ),
  };
}

function dot(a: Float64Array | undefined, b: Float64Array | undefined): number {
  let sum = 0;
  if (a && b) for (let i = 0; i < a.length; i += 1) sum += (a[i] ?? 0) * (b[i] ?? 0);
  return sum;
}
