/**
 * Which explanation does a series support, how strongly, and what slope does it still allow? Averages over what is not known:
 * sizes, times, the scale of the noise, and how long noise lasts from reading to reading. s; sizes in the unit of the series.
 */
import { type Component, type Prior, type Rough, components } from './evidence';
import type { Curve, Explanation } from './explanation';
import { shareBelow } from './normal';
import { type SeriesReading, type Sums, columnsOf, whitened } from './whitened';

export interface Explained<Name extends string> {
  /** share of the evidence for each; all sum to 1 */
  shares: Record<Name, number>;
  /** the best curve of each; null where it cannot explain the series at all */
  curves: Record<Name, Curve | null>;
  /** the slope (or the first flow) that is larger with the chance 1 − share: size per second */
  rateAt: (share: number) => number;
}

/** s over which the noise of a gauge fades, with how often; 0: each reading has its own. */
const FADES = [
  { time: 0, share: 0.5 },
  { time: 6, share: 0.15 },
  { time: 16, share: 0.15 },
  { time: 40, share: 0.14 },
  { time: 100, share: 0.06 },
] as const;
/** At slow sampling a reading that repeats less of its neighbour than this is as good as one of its own. */
const LEAST_REPEAT = 0.05;
/** Noise that lasts longer than this share of the whole is drift. */
const LONGEST_SHARE = 0.2;
const GRID = { from: 20, ratio: 1.07, most: 160 } as const;
/** A rough look takes one τ of so many. */
const QUICK_STRIDE = 5;
/** Assumptions about the noise that are this much worse than the best count for nothing. */
const NEGLIGIBLE = 14;

const logSum = (logs: readonly number[]): number => {
  const most = Math.max(...logs);
  return most === -Infinity
    ? -Infinity
    : most + Math.log(logs.reduce((sum, each) => sum + Math.exp(each - most), 0));
};

/** `readings` in order of time. `tick` is called as work is done, `ticksFor` times at most. */
export function explain<Name extends string>(
  readings: readonly SeriesReading[],
  explanations: readonly Explanation<Name>[],
  prior: Prior & { memory?: readonly number[] },
  tick: () => void = () => undefined,
): Explained<Name> {
  const times = gridOf(explanations);
  const columns = columnsOf(readings, times);
  const noises = fades(readings, prior.memory).map(({ time, share }) => {
    tick();
    const sums = whitened(columns, time);
    // A curve that may be anything tells the noise well enough to leave out what cannot be.
    return { sums, share, quick: quickLook(sums, times, explanations, prior) };
  });
  const best = Math.max(...noises.map(({ quick }) => quick.log));
  const found = noises
    .filter(({ quick }) => quick.log > best - NEGLIGIBLE)
    .flatMap(({ sums, share, quick }) =>
      explanations.flatMap((explanation) => {
        tick();
        return components(sums, times, explanation, { ...prior, ...quick }).map((each) => ({
          ...each,
          log: each.log + Math.log(share),
          name: explanation.name,
        }));
      }),
    );
  const total = logSum(found.map((each) => each.log));
  const of = (name: Name) => found.filter((each) => each.name === name);
  const each = <Value>(value: (name: Name) => Value): Record<Name, Value> =>
    Object.fromEntries(explanations.map(({ name }) => [name, value(name)])) as Record<Name, Value>;
  return {
    shares: each((name) => {
      const share = Math.exp(logSum(of(name).map(({ log }) => log)) - total);
      return Number.isFinite(share) ? share : 0;
    }),
    curves: each((name) => of(name).reduce<(typeof found)[number] | null>(better, null)?.curve ?? null),
    rateAt: quantile(found.map(({ log, rate, doubt }) => ({ weight: Math.exp(log - total), rate, doubt }))),
  };
}

/** The curve that explains the series best when nothing is asked of its sizes: what stands behind the noise. */
export function roughCurve(
  readings: readonly SeriesReading[],
  explanations: readonly Explanation[],
  prior: Prior,
): Curve | null {
  const times = gridOf(explanations);
  return quickLook(whitened(columnsOf(readings, times), 0), times, explanations, prior).curve;
}

function gridOf(explanations: readonly Explanation[]): number[] {
  const longest = Math.max(...explanations.flatMap(({ bends }) => bends.map((each) => each.high)), 10);
  const times: number[] = [];
  for (let time = GRID.from; time <= longest && times.length < GRID.most; time *= GRID.ratio)
    times.push(time);
  return times;
}

/** How often `explain` ticks at most for so many explanations. */
export const ticksFor = (explanations: number): number => FADES.length * (1 + explanations);

const better = <C extends Component>(a: C | null, b: C): C => (a === null || b.log > a.log ? b : a);

/** The assumptions about noise that these readings could tell apart, with their shares. */
function fades(
  readings: readonly SeriesReading[],
  memory?: readonly number[],
): { time: number; share: number }[] {
  const gaps = readings.slice(1).map((each, i) => each.at - (readings[i]?.at ?? 0));
  const spacing = [...gaps].sort((a, b) => a - b)[Math.floor(gaps.length / 2)] ?? 1;
  const span = gaps.reduce((sum, gap) => sum + gap, 0);
  const lasting = FADES.filter(
    ({ time }) =>
      time > 0 &&
      (memory === undefined || memory.includes(time)) &&
      Math.exp(-spacing / time) >= LEAST_REPEAT &&
      time <= LONGEST_SHARE * span,
  );
  return [{ time: 0, share: 1 - lasting.reduce((sum, { share }) => sum + share, 0) }, ...lasting];
}

function quickLook(
  sums: Sums,
  times: readonly number[],
  explanations: readonly Explanation[],
  prior: Prior,
): Rough & { log: number; curve: Curve | null } {
  const bends = explanations.reduce<Explanation['bends']>(
    (most, each) => (each.bends.length > most.length ? each.bends : most),
    [],
  );
  const anything = {
    name: 'anything',
    share: 1,
    bends,
    step: null,
    flow: null,
    slope: null,
    sign: 1,
  } as const;
  const free = { ...prior, drift: 1e6, noise: 1, squares: Infinity };
  const looks = [[], bends].flatMap((shape) =>
    components(sums, times, { ...anything, bends: shape }, free, QUICK_STRIDE),
  );
  const best = looks.reduce<Component | null>(better, null);
  return {
    log: best?.log ?? -Infinity,
    noise: best?.scale ?? 1,
    squares: best?.residual ?? Infinity,
    curve: best?.curve ?? null,
  };
}

/** The slope below which the weights come to `share`. */
function quantile(parts: readonly { weight: number; rate: number; doubt: number }[]) {
  const counted = parts.filter(({ weight }) => weight > 1e-5);
  return (share: number): number => {
    let low = Math.min(...counted.map(({ rate, doubt }) => rate - 6 * doubt));
    let high = Math.max(...counted.map(({ rate, doubt }) => rate + 6 * doubt));
    const whole = counted.reduce((sum, { weight }) => sum + weight, 0);
    for (let round = 0; round < 50; round += 1) {
      const middle = (low + high) / 2;
      const below = counted.reduce(
        (sum, { weight, rate, doubt }) => sum + weight * shareBelow(middle, rate, doubt),
        0,
      );
      if (below < share * whole) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
}
