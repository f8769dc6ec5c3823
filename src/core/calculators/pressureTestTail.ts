/**
 * A pressure test as a series: brought to one temperature where temperatures are known, parted into a first fall that settles
 * and the tail, and the loss of the tail with its doubt. Pa absolute, K, s.
 */
import { linearRegression, mean, sumNthPowerDeviations } from 'simple-statistics';
import type { Kelvins, Pascals } from '../quantity/si';
import { ROOM_K } from './calculated';
import { explain } from './series/explain';
import type { Explanation } from './series/explanation';

export interface PressureTestReading {
  /** s since the start */
  at: number;
  /** Pa absolute */
  pressure: Pascals;
  /** K of the gas where it was read; null: not taken */
  temperature: Kelvins | null;
}

export interface Gauge {
  /** Pa: one division, or the last digit */
  resolution: number;
  /** K: how far the temperature of the gas may be off */
  temperatureDoubt: number;
}

export interface PressureTestTail {
  /** Pa/s that the tail loses: nine in ten; below 0 it rises */
  loss: { low: number; high: number };
  /** a first fall: none, over, or still going on */
  settling: 'none' | 'over' | 'still';
  /** the first fall stands clear of the gauge */
  fell: boolean;
  /** Pa of the first fall; 0 where there is none */
  fall: number;
  /** s from which on the tail counts, how long it is, and how long the first fall still takes */
  from: number;
  span: number;
  wait: number;
  /** readings of the tail */
  count: number;
  /** Pa, one deviation of one reading: gauge and temperature */
  doubt: number;
  /** every reading carries its temperature */
  corrected: boolean;
  /** share of the evidence that all of the loss is a first fall that settles */
  mayBeSettling: number;
  /** it lost more than an evening's cooling would explain */
  beyondCooling: boolean;
}

/** K, two deviations: how far the gas may drift where nobody took its temperature. */
const TEMPERATURE_NOT_TAKEN_K = 3;
/** No evening cools a machine by more, K. */
const COOLING_K = 20;
/** A first fall is over after so many of its times. */
const SETTLED_TIMES = 4;
const SLOWER = 1.5;
/** Fewer readings cannot show a bend. */
const FEWEST_FOR_BEND = 4;
/** Of a normal distribution. */
export const ONE_SIDED_95 = 1.645;
/** Share of the evidence from which a first fall counts. */
const SEEN = 0.5;

export function tailOf(
  readings: readonly PressureTestReading[],
  changedShare: number,
  gauge: Gauge,
): PressureTestTail {
  const corrected = readings.every((each) => each.temperature !== null);
  const [start] = readings;
  if (!start) throw new Error('A tail needs readings.');
  const level = ({ pressure, temperature }: PressureTestReading): number =>
    corrected && temperature !== null && start.temperature !== null
      ? pressure * ((changedShare * start.temperature) / temperature + 1 - changedShare)
      : pressure;
  const doubt = readingDoubt(start, changedShare, gauge, corrected);
  const series = byMoment(readings.map((each) => ({ at: each.at - start.at, value: level(each) })));
  const end = series.at(-1)?.at ?? 0;
  const { bend, settling } = firstFall(series, doubt);
  const over = bend === null ? 0 : SETTLED_TIMES * bend.time;
  const tail = series.filter(({ at }) => at >= over);
  const still = bend !== null && (over > end || tail.length < 2);
  const counted = still ? series.slice(-2) : tail;
  const { slope, deviation } = slopeOf(counted, doubt);
  // Three readings show no bend; a loss must then stand in the last two as well.
  const later = series.length === FEWEST_FOR_BEND - 1 ? slopeOf(series.slice(-2), doubt) : null;
  const lowest = -slope - ONE_SIDED_95 * deviation;
  const from = counted[0]?.at ?? 0;
  // What the first fall may still do in the tail, its time known to a half, is no loss.
  const rest =
    bend === null || still ? 0 : (bend.step * Math.exp(-from / (SLOWER * bend.time))) / (end - from);
  return {
    loss: {
      low: Math.min(lowest - rest, later ? -later.slope - ONE_SIDED_95 * later.deviation : Infinity),
      high: -slope + ONE_SIDED_95 * deviation,
    },
    settling: bend === null ? 'none' : still ? 'still' : 'over',
    fell: bend !== null,
    fall: bend?.step ?? 0,
    from,
    span: still ? 0 : end - from,
    wait: still ? Math.max(0, over - end) : 0,
    count: counted.length,
    doubt,
    corrected,
    mayBeSettling: settling,
    beyondCooling: level(start) - (series.at(-1)?.value ?? 0) > (start.pressure * COOLING_K) / ROOM_K,
  };
}

/** Pa, one deviation: a division spreads evenly over itself (÷ √12); the temperature's doubt is taken as two deviations. */
export function readingDoubt(
  { pressure, temperature }: PressureTestReading,
  changedShare: number,
  gauge: Gauge,
  corrected = true,
): number {
  const kelvins = corrected
    ? gauge.temperatureDoubt
    : Math.max(TEMPERATURE_NOT_TAKEN_K, gauge.temperatureDoubt);
  const thermal = (changedShare * pressure * kelvins) / 2 / (temperature ?? ROOM_K);
  return Math.hypot(gauge.resolution / Math.sqrt(12), thermal);
}

/** What was read twice at one time is one reading, the mean of both. */
function byMoment(series: readonly { at: number; value: number }[]): { at: number; value: number }[] {
  const moments = new Map<number, number[]>();
  for (const { at, value } of series) moments.set(at, [...(moments.get(at) ?? []), value]);
  return [...moments].map(([at, values]) => ({ at, value: mean(values) }));
}

type Course = 'steady' | 'settling' | 'falling' | 'both' | 'rising';

/** The first fall that levels, where the series shows one: Pa and s; and how well such a fall alone explains the series. */
function firstFall(
  series: readonly { at: number; value: number }[],
  doubt: number,
): { bend: { step: number; time: number } | null; settling: number } {
  if (series.length < FEWEST_FOR_BEND) return { bend: null, settling: 0 };
  const level = series[0]?.value ?? 0;
  const span = series.at(-1)?.at ?? 1;
  // Bends last at least as long as it takes to read one: a fall before the second reading is all that is seen of it.
  const bends = [{ low: 60, high: 2400 }] as const;
  const step = { low: 4 * doubt, high: Math.max(0.3 * level, 8 * doubt) };
  const slope = { low: (2 * doubt) / span, high: Math.max(level / 1800, (8 * doubt) / span) };
  const plain = { slope: null, bends: [], step, flow: null, sign: -1 } as const;
  const explanations: Explanation<Course>[] = [
    { ...plain, name: 'steady', share: 0.35 },
    { ...plain, name: 'settling', share: 0.25, bends },
    { ...plain, name: 'falling', share: 0.25, slope },
    { ...plain, name: 'both', share: 0.1, bends, slope },
    { ...plain, name: 'rising', share: 0.05, bends, sign: 1 },
  ];
  const { shares, curves } = explain(
    series.map((each) => ({ ...each, deviation: doubt })),
    explanations,
    { drift: doubt / span, freedom: KNOWN_NOISE },
  );
  const { settling } = shares;
  if (settling + shares.both < SEEN) return { bend: null, settling };
  const bend = (settling >= shares.both ? curves.settling : curves.both)?.bends[0];
  return { bend: bend ? { step: -bend.step, time: bend.time } : null, settling };
}

/** The noise of a gauge with a division is known: as if so many readings had shown it. */
const KNOWN_NOISE = 20;

function slopeOf(
  tail: readonly { at: number; value: number }[],
  doubt: number,
): { slope: number; deviation: number } {
  const times = tail.map(({ at }) => at);
  return {
    slope: linearRegression(tail.map(({ at, value }) => [at, value])).m,
    deviation: doubt / Math.sqrt(sumNthPowerDeviations(times, 2)),
  };
}
