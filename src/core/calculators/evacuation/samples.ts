/** Readings of a vacuum gauge after isolating, cleaned: in order, and short jumps that return marked, not fitted. */
import { linearRegression, linearRegressionLine, mean, median } from 'simple-statistics';
import { type VacuumGauge, type VacuumReading, digitAt } from './gauge';

export interface Cleaned {
  kept: VacuumReading[];
  /** a valve that was moved, air trapped in a ball: up and back within seconds */
  jumps: VacuumReading[];
}

/** A jump comes back within this, s; at slow sampling a single reading is all that can be seen of it. */
const JUMP_S = 30;
const JUMP_NOISES = 7;
/** A jump of less than this share of the level is left to the fit. */
const JUMP_SHARE = 0.12;
const NEIGHBOURS = 5;
/** Nothing stands before a first reading to hold it against: only a spike that is a good part of the level counts. */
const LEADING_SHARE = 0.3;

/** Sorts by time, takes the mean of equal times, and sets jumps aside. */
export function cleaned(readings: readonly VacuumReading[], gauge: VacuumGauge): Cleaned {
  const ordered = merged(readings);
  const level = median(ordered.map((each) => each.pressure));
  const noise = Math.max(noiseOf(ordered), digitAt(gauge, level) / 2);
  const kept: VacuumReading[] = [];
  const jumps: VacuumReading[] = [];
  let index = leadingJump(ordered, noise);
  jumps.push(...ordered.slice(0, index));
  while (index < ordered.length) {
    const length = jumpAt(ordered, index, noise);
    if (length === 0) kept.push(...ordered.slice(index, index + 1));
    else jumps.push(...ordered.slice(index, index + length));
    index += Math.max(length, 1);
  }
  return { kept, jumps };
}

/** What counts as a jump above a level, Pa. */
const least = (level: number, noise: number): number => Math.max(JUMP_NOISES * noise, JUMP_SHARE * level);

/**
 * Number of readings at the start that stand in the spike of a valve: far above where the line through what follows would
 * have them, within seconds of it, while that line does not go on falling.
 */
function leadingJump(readings: readonly VacuumReading[], noise: number): number {
  const start = readings[0];
  if (!start) return 0;
  let found = 0;
  for (let end = 1; end <= readings.length - NEIGHBOURS; end += 1) {
    const next = readings[end];
    if (!next || (end > 1 && next.at - start.at > JUMP_S)) return found;
    const line = lineThrough(readings.slice(end, end + NEIGHBOURS));
    const height = start.pressure - line.at(start.at);
    if (height < Math.max(least(line.at(next.at), noise), LEADING_SHARE * line.at(next.at))) continue;
    if (line.slope * line.span < -Math.max(3 * noise, height / 5) || line.worst > height / 4) continue;
    // The spike ends where nothing stands above that line any more.
    let stop = end;
    const above = (each: VacuumReading | undefined): boolean =>
      each !== undefined && each.pressure - line.at(each.at) > 3 * noise;
    while (stop > 1 && !above(readings[stop - 1])) stop -= 1;
    if (stop < end) return Math.max(stop, found);
    found = stop;
  }
  return found;
}

function lineThrough(readings: readonly VacuumReading[]) {
  const line = linearRegression(readings.map(({ at, pressure }) => [at, pressure]));
  const at = linearRegressionLine(line);
  return {
    at,
    slope: line.m,
    span: (readings.at(-1)?.at ?? 0) - (readings[0]?.at ?? 0),
    worst: Math.max(...readings.map((each) => Math.abs(each.pressure - at(each.at)))),
  };
}

function merged(readings: readonly VacuumReading[]): VacuumReading[] {
  const byTime = new Map<number, number[]>();
  for (const { at, pressure } of readings) byTime.set(at, [...(byTime.get(at) ?? []), pressure]);
  return [...byTime]
    .map(([at, pressures]) => ({ at, pressure: mean(pressures) }))
    .sort((a, b) => a.at - b.at);
}

/** Number of readings from here on that stand far above both what came before and what comes after; 0 for none. */
function jumpAt(readings: readonly VacuumReading[], index: number, noise: number): number {
  const before = readings.slice(Math.max(0, index - NEIGHBOURS), index);
  const start = readings[index];
  if (before.length === 0 || !start) return 0;
  const floor = median(before.map((each) => each.pressure));
  if (start.pressure < floor + least(floor, noise)) return 0;
  for (let end = index + 1; end < readings.length; end += 1) {
    const next = readings[end];
    if (!next || (end > index + 1 && next.at - start.at > JUMP_S)) return 0;
    const after = readings.slice(end, end + NEIGHBOURS).map((each) => each.pressure);
    const level = median(after);
    const peak = Math.max(...readings.slice(index, end).map((each) => each.pressure));
    // Back again: what is left of the rise is small beside the jump, and the rest stays there.
    if (peak - Math.max(floor, level) > least(floor, noise) && level - floor < (peak - floor) / 3) {
      if (next.pressure - floor < (peak - floor) / 3) return end - index;
    }
  }
  return 0;
}

/** Standard deviation of the noise: from second differences, which a straight rise does not touch. */
export function noiseOf(readings: readonly VacuumReading[]): number {
  const second: number[] = [];
  for (let index = 1; index < readings.length - 1; index += 1) {
    const [a, b, c] = [readings[index - 1], readings[index], readings[index + 1]];
    if (!a || !b || !c) continue;
    const share = (b.at - a.at) / (c.at - a.at);
    second.push(Math.abs(b.pressure - a.pressure - share * (c.pressure - a.pressure)));
  }
  if (second.length === 0) return 0;
  // Half the readings even out to √1.5 times the deviation; 1.4826 turns a median deviation into a standard one.
  return (1.4826 * median(second)) / Math.sqrt(1.5);
}

const MOST_BINS = 120;

/** Means over equal times where there are more readings than a fit can use. */
export function binned(readings: readonly VacuumReading[]): VacuumReading[] {
  if (readings.length <= MOST_BINS) return [...readings];
  const first = readings[0]?.at ?? 0;
  const width = ((readings.at(-1)?.at ?? 0) - first) / MOST_BINS;
  const bins: { at: number; pressure: number; count: number }[] = [];
  for (const { at, pressure } of readings) {
    const place = Math.min(MOST_BINS - 1, Math.floor((at - first) / width));
    const bin = (bins[place] ??= { at: 0, pressure: 0, count: 0 });
    bin.at += at;
    bin.pressure += pressure;
    bin.count += 1;
  }
  return bins.flatMap((bin) => (bin ? [{ at: bin.at / bin.count, pressure: bin.pressure / bin.count }] : []));
}
