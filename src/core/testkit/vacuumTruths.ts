/**
 * Made-up vacuum gauges for tests and the bench: what happens in the system is stepped in time, then read by a gauge with
 * noise, a last digit and the spike of a valve. Shares nothing with the fits. s, Pa.
 */
import { type Roll, rollOf } from './seeded';

export const TRUTHS = ['flat', 'moist', 'oil', 'leak', 'both', 'valve', 'falling'] as const;
export type TruthKind = (typeof TRUTHS)[number];

const MICRON = 0.1333223684;

/** What goes on in the system, Pa and s; nought where it does not. */
export interface VacuumTruth {
  kind: TruthKind;
  start: number;
  /** Pa/s of air from outside */
  leak: number;
  /** vapour that comes out until its pressure is reached */
  sources: readonly { step: number; time: number }[];
  /** the other side of a valve that passes, and what flows at first, Pa/s */
  valve: { other: number; flow: number } | null;
  /** the pump still draws: to where, and how fast */
  pump: { floor: number; time: number } | null;
}

/** How it is read. */
export interface VacuumLook {
  /** s */
  sampling: number;
  watch: number;
  /** share of the reading, one standard deviation */
  noise: number;
  /** s over which noise fades; 0: each reading its own */
  correlation: number;
}

export interface MadeRise {
  truth: VacuumTruth;
  look: VacuumLook;
  readings: { at: number; pressure: number }[];
  /** when a spike was put in, s; null: none */
  spikeAt: number | null;
}

/** Sizes of the truths, in microns and seconds: the audit's, each octave as likely. */
export function truthOf(kind: TruthKind, { between, logBetween }: Roll): VacuumTruth {
  const start = between(100, 600) * MICRON;
  const perMinute = (low: number, high: number): number => (logBetween(low, high) * MICRON) / 60;
  const moisture = () => ({ step: logBetween(80, 3000) * MICRON, time: logBetween(30, 1800) });
  const nothing = { kind, start, leak: 0, sources: [], valve: null, pump: null };
  switch (kind) {
    case 'flat':
      return nothing;
    case 'moist':
      return { ...nothing, sources: [moisture()] };
    case 'oil':
      return {
        ...nothing,
        sources: [
          { step: logBetween(60, 600) * MICRON, time: logBetween(30, 120) },
          { step: logBetween(60, 600) * MICRON, time: logBetween(400, 1800) },
        ],
      };
    case 'leak':
      return { ...nothing, leak: perMinute(1, 200) };
    case 'both':
      return { ...nothing, leak: perMinute(5, 200), sources: [moisture()] };
    case 'valve':
      return { ...nothing, valve: { other: logBetween(1500, 750_000) * MICRON, flow: perMinute(10, 300) } };
    case 'falling':
      return {
        ...nothing,
        start: start * between(1.3, 4),
        pump: { floor: start * between(0.3, 1), time: logBetween(60, 1200) },
      };
  }
}

/** Pa at each second asked for, stepped in time. */
export function happening(truth: VacuumTruth, at: readonly number[]): number[] {
  const step = 0.5;
  let air = truth.start;
  const vapour = truth.sources.map(() => 0);
  let now = 0;
  return at.map((when) => {
    for (; now < when - 1e-9; now += step) {
      air += truth.leak * step;
      if (truth.valve) {
        const { other, flow } = truth.valve;
        air += (flow * Math.max(0, other - air) * step) / (other - truth.start);
      }
      if (truth.pump) air += ((truth.pump.floor - air) * step) / truth.pump.time;
      truth.sources.forEach((source, i) => {
        const there = vapour[i] ?? 0;
        vapour[i] = there + ((source.step - there) * step) / source.time;
      });
    }
    return vapour.reduce((sum, each) => sum + each, air);
  });
}

export function lookOf({ uniform, between, logBetween }: Roll): VacuumLook {
  const sampling = logBetween(1, 60);
  return {
    sampling,
    watch: Math.max(logBetween(180, 1800), 8 * sampling),
    noise: between(0.01, 0.03),
    correlation: uniform() < 0.5 ? 0 : logBetween(5, 60),
  };
}

/** A gauge's last digit by its range. */
export const digitOf = (pressure: number): number =>
  (pressure < 500 * MICRON ? 1 : pressure < 1000 * MICRON ? 5 : pressure < 5000 * MICRON ? 10 : 50) * MICRON;

/** Reads a truth; a spike of a few seconds where `spiked`. */
export function readThrough(truth: VacuumTruth, look: VacuumLook, roll: Roll, spiked: boolean): MadeRise {
  const count = Math.floor(look.watch / look.sampling) + 1;
  const at = Array.from({ length: count }, (_, i) => i * look.sampling);
  const spikeAt = spiked ? (at[roll.uniform() < 0.4 ? 0 : Math.floor(roll.uniform() * count)] ?? 0) : null;
  const height = roll.between(1.8, 5);
  const fade = look.correlation > 0 ? Math.exp(-look.sampling / look.correlation) : 0;
  let noise = roll.bell();
  const readings = happening(truth, at).map((pressure, i) => {
    if (i > 0) noise = fade * noise + Math.sqrt(1 - fade ** 2) * roll.bell();
    const since = spikeAt === null ? -1 : (at[i] ?? 0) - spikeAt;
    const spike = since >= 0 && since < 8 ? (height - 1) * Math.exp(-since / 3) : 0;
    const seen = pressure * (1 + look.noise * noise) * (1 + spike);
    const digit = digitOf(seen);
    return { at: at[i] ?? 0, pressure: Math.max(0, Math.round(seen / digit)) * digit };
  });
  return { truth, look, readings, spikeAt };
}

/** One gauge a seed: all kinds as often. */
export function madeRise(seed: number): MadeRise {
  const roll = rollOf(seed);
  const kind = TRUTHS[Math.floor(roll.uniform() * TRUTHS.length)] ?? 'flat';
  const truth = truthOf(kind, roll);
  return readThrough(truth, lookOf(roll), roll, roll.uniform() < 1 / 3);
}
