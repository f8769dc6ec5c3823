/**
 * What a series can be explained by: steady, with up to two bends that level, with a slope, in either direction. Sizes that
 * nobody knows beforehand are taken as equally likely in each octave of their range. s; sizes in the unit of the series.
 */
export interface Range {
  low: number;
  high: number;
}

export interface Explanation<Name extends string = string> {
  name: Name;
  /** how often it is met before anything was read; all sum to 1 */
  share: number;
  /** size per second of a slope without end; null: none but what the gauge drifts */
  slope: Range | null;
  /** τ of each bend, in order, the later ones longer */
  bends: readonly Range[];
  /** what a bend adds in the end; null: anything, also downwards */
  step: Range | null;
  /** bends that are fast or slow by how much flows at first: size per second. Then that flow is the leak */
  flow: Range | null;
  /** up or down */
  sign: 1 | -1;
}

/** A curve that was fitted: value(t) = start + slope t + Σ step (1 − e^(−t/time)), t from the first reading. */
export interface Curve {
  start: number;
  slope: number;
  bends: readonly { step: number; time: number }[];
}

export const curveAt = ({ start, slope, bends }: Curve, since: number): number =>
  start + slope * since - bends.reduce((sum, { step, time }) => sum + step * Math.expm1(-since / time), 0);
