/**
 * The physical limit of a vacuum verdict: an observer who knows from which lot the truths and the noise of the simulation
 * are drawn, is told where the spikes are, and weighs the readings by sampling that lot. Times and noise are drawn as the
 * simulation draws them; of each curve the linear sizes are moved to the readings, and it then counts by the lot's density
 * there. For tests and the bench; shares nothing with the verdicts.
 */
import { type Roll, rollOf } from './seeded';
import { type MadeRise, TRUTHS, type TruthKind, digitOf } from './vacuumTruths';

const MICRON = 0.1333223684;

/** How likely a size is in the lot. */
type Density = (size: number) => number;

/** A curve of the lot: a constant and up to two shapes over time, each with a size. */
interface Drawn {
  shapes: ((at: number) => number)[];
  /** of all sizes together, the constant first */
  density: (sizes: readonly number[]) => number;
}

const evenly =
  (low: number, high: number): Density =>
  (size) =>
    size >= low && size <= high ? 1 / (high - low) : 0;
const byOctave =
  (low: number, high: number): Density =>
  (size) =>
    size >= low && size <= high ? 1 / (size * Math.log(high / low)) : 0;
const together =
  (...densities: Density[]) =>
  (sizes: readonly number[]): number =>
    densities.reduce((product, density, i) => product * density(sizes[i] ?? 0), 1);

const START = evenly(100 * MICRON, 600 * MICRON);
const perMinute = (low: number, high: number): Density => byOctave((low * MICRON) / 60, (high * MICRON) / 60);
const steps = (low: number, high: number): Density => byOctave(low * MICRON, high * MICRON);
const levelling = (time: number) => (at: number) => 1 - Math.exp(-at / time);
const straight = (at: number): number => at;

const VALVE_TIMES = { low: 100, high: 75_000 * 60 };

const LOT: Record<TruthKind, { draws: number; draw: (roll: Roll) => Drawn }> = {
  flat: { draws: 1, draw: () => ({ shapes: [], density: together(START) }) },
  leak: { draws: 1, draw: () => ({ shapes: [straight], density: together(START, perMinute(1, 200)) }) },
  moist: {
    draws: 150,
    draw: ({ logBetween }) => ({
      shapes: [levelling(logBetween(30, 1800))],
      density: together(START, steps(80, 3000)),
    }),
  },
  both: {
    draws: 150,
    draw: ({ logBetween }) => ({
      shapes: [levelling(logBetween(30, 1800)), straight],
      density: together(START, steps(80, 3000), perMinute(5, 200)),
    }),
  },
  oil: {
    draws: 500,
    draw: ({ logBetween }) => ({
      shapes: [levelling(logBetween(30, 120)), levelling(logBetween(400, 1800))],
      density: together(START, steps(60, 600), steps(60, 600)),
    }),
  },
  valve: {
    draws: 150,
    draw: ({ logBetween }) => {
      const time = logBetween(VALVE_TIMES.low, VALVE_TIMES.high);
      const other = steps(1500, 750_000);
      const flow = perMinute(10, 300);
      return {
        shapes: [(at) => time * (1 - Math.exp(-at / time))],
        // The lot draws flow and the other side's pressure; here the time was drawn in place of that pressure.
        density: ([start = 0, flows = 0]) =>
          START(start) *
          flow(flows) *
          other(start + flows * time) *
          flows *
          time *
          Math.log(VALVE_TIMES.high / VALVE_TIMES.low),
      };
    },
  },
  falling: {
    draws: 150,
    draw: ({ logBetween }) => {
      const time = logBetween(60, 1200);
      return {
        shapes: [(at) => Math.exp(-at / time)],
        density: together(evenly(30 * MICRON, 600 * MICRON), byOctave(10 * MICRON, 2400 * MICRON)),
      };
    },
  },
};

const FADES = [0, 7, 15, 30, 55];
const NOISES = [0.011, 0.014, 0.017, 0.02, 0.023, 0.026, 0.029];
const STATED = 0.02;
const SIZES_DRAWN = 8;
const SPIKE_S = 8;

/** Share of the evidence for each kind, as they fall in the lot. */
export function idealShares({ readings, spikeAt }: MadeRise, seed: number): Record<TruthKind, number> {
  const roll = rollOf(seed);
  const seen = readings.filter(({ at }) => spikeAt === null || at < spikeAt || at >= spikeAt + SPIKE_S);
  const level = seen.map((_, i) => {
    const near = seen.slice(Math.max(0, i - 4), i + 5);
    return near.reduce((sum, each) => sum + each.pressure, 0) / near.length;
  });
  const lookings = FADES.map((fade) => whiteningOf(seen, level, fade));
  const logs = TRUTHS.map((kind) => {
    const { draws, draw } = LOT[kind];
    const each: number[] = [];
    for (let i = 0; i < draws; i += 1) {
      const drawn = draw(roll);
      const columns = [() => 1, ...drawn.shapes].map((shape) => seen.map(({ at }) => shape(at)));
      lookings.forEach((looking, place) => {
        // Half the lot has white noise, the other half spreads over the fading times.
        const share = place === 0 ? 0.5 : 0.5 / (FADES.length - 1);
        for (const log of logWeights(looking, columns, drawn.density, roll))
          each.push(log + Math.log(share / draws));
      });
    }
    return logSum(each);
  });
  const total = logSum(logs);
  return Object.fromEntries(TRUTHS.map((kind, i) => [kind, Math.exp((logs[i] ?? 0) - total)])) as Record<
    TruthKind,
    number
  >;
}

const logSum = (logs: readonly number[]): number => {
  const most = logs.reduce((a, b) => Math.max(a, b), -Infinity);
  return most === -Infinity
    ? most
    : most + Math.log(logs.reduce((sum, each) => sum + Math.exp(each - most), 0));
};

interface Looking {
  whiten: (column: readonly number[]) => number[];
  y: number[];
  logScale: number;
}

function whiteningOf(seen: MadeRise['readings'], level: readonly number[], fade: number): Looking {
  const deviation = level.map((each) => Math.hypot(STATED * each, digitOf(each) / Math.sqrt(12)));
  const repeat = seen.map(({ at }, i) =>
    i === 0 || fade === 0 ? 0 : Math.exp(-(at - (seen[i - 1]?.at ?? 0)) / fade),
  );
  const whiten = (column: readonly number[]): number[] =>
    column.map((value, i) => {
      const [now, before] = [value / (deviation[i] ?? 1), (column[i - 1] ?? 0) / (deviation[i - 1] ?? 1)];
      const r = repeat[i] ?? 0;
      return (now - r * before) / Math.sqrt(1 - r * r);
    });
  return {
    whiten,
    y: whiten(seen.map((each) => each.pressure)),
    logScale: -repeat.reduce((sum, r, i) => sum + Math.log(Math.sqrt(1 - r * r) * (deviation[i] ?? 1)), 0),
  };
}

/** Logarithms of the likelihood of one curve, its sizes averaged over the lot; one for each strength of the noise. */
function logWeights(
  { whiten, y, logScale }: Looking,
  columns: readonly (readonly number[])[],
  density: (sizes: readonly number[]) => number,
  { bell }: Roll,
): number[] {
  const x = columns.map(whiten);
  const size = x.length;
  // Gram–Schmidt: x = Q R with R upper triangular, so sizes solve R β = Qᵀ y.
  const q: number[][] = [];
  const r = x.map(() => new Array<number>(size).fill(0));
  for (const [j, column] of x.entries()) {
    let rest = [...column];
    q.forEach((unit, i) => {
      const along = dot(unit, rest);
      (r[i] ?? [])[j] = along;
      rest = rest.map((value, n) => value - along * (unit[n] ?? 0));
    });
    const length = Math.sqrt(dot(rest, rest));
    if (!(length > 1e-9)) return [];
    (r[j] ?? [])[j] = length;
    q.push(rest.map((value) => value / length));
  }
  const along = q.map((unit) => dot(unit, y));
  const squares = Math.max(0, dot(y, y) - dot(along, along));
  const logDiagonal = r.reduce((sum, row, i) => sum + Math.log(row[i] ?? 1), 0);
  return NOISES.map((noise) => {
    const scale = noise / STATED;
    let mean = 0;
    for (let draw = 0; draw < SIZES_DRAWN; draw += 1) {
      const sizes = new Array<number>(size).fill(0);
      for (let i = size - 1; i >= 0; i -= 1) {
        const known = sizes.reduce((sum, each, k) => (k > i ? sum + each * (r[i]?.[k] ?? 0) : sum), 0);
        sizes[i] = ((along[i] ?? 0) + scale * bell() - known) / (r[i]?.[i] ?? 1);
      }
      mean += density(sizes) / SIZES_DRAWN;
    }
    return mean === 0
      ? -Infinity
      : logScale -
          (y.length - size) * Math.log(scale) -
          squares / (2 * scale ** 2) -
          logDiagonal +
          (size / 2) * Math.log(2 * Math.PI) +
          Math.log(mean) -
          Math.log(NOISES.length);
  });
}

const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, each, i) => sum + each * (b[i] ?? 0), 0);
