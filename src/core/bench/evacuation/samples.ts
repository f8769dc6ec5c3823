/** Readings of a vacuum gauge after isolating, cleaned: in order, and short jumps that return marked, not fitted. */
import type { Pascals } from '../../quantity/si';
export interface VacuumReading {
  /** s since the pump was valved off */
  at: number;
  /** Pa absolute */
  pressure: Pascals;
}

export interface Cleaned {
  kept: VacuumReading[];
  /** a valve that was moved, air trapped in a ball: up and back within seconds */
  jumps: VacuumReading[];
}

/** A jump comes back within this, s; at slow sampling a single reading is all that can be seen of it. */
const JUMP_S = 30;
const JUMP_NOISES = 6;
const NEIGHBOURS = 3;

/** Sorts by time, takes the mean of equal times, and sets jumps aside. `resolution` Pa of the gauge. */
export function cleaned(readings: readonly VacuumReading[], resolution: number): Cleaned {
  const ordered = merged(readings);
  const noise = Math.max(noiseOf(ordered), resolution / 2);
  const kept: VacuumReading[] = [];
  const jumps: VacuumReading[] = [];
  let index = 0;
  while (index < ordered.length) {
    const length = jumpAt(ordered, index, noise);
    if (length === 0) kept.push(...ordered.slice(index, index + 1));
    else jumps.push(...ordered.slice(index, index + length));
    index += Math.max(length, 1);
  }
  return { kept, jumps };
}

function merged(readings: readonly VacuumReading[]): VacuumReading[] {
  const byTime = new Map<number, number[]>();
  for (const { at, pressure } of readings) byTime.set(at, [...(byTime.get(at) ?? []), pressure]);
  return [...byTime]
    .map(([at, pressures]) => ({ at, pressure: pressures.reduce((a, b) => a + b, 0) / pressures.length }))
    .sort((a, b) => a.at - b.at);
}

/** Number of readings from here on that stand far above both what came before and what comes after; 0 for none. */
function jumpAt(readings: readonly VacuumReading[], index: number, noise: number): number {
  const before = readings.slice(Math.max(0, index - NEIGHBOURS), index);
  const start = readings[index];
  if (before.length === 0 || !start) return 0;
  const floor = median(before.map((each) => each.pressure));
  if (start.pressure < floor + JUMP_NOISES * noise) return 0;
  for (let end = index + 1; end < readings.length; end += 1) {
    const next = readings[end];
    if (!next || (end > index + 1 && next.at - start.at > JUMP_S)) return 0;
    const after = readings.slice(end, end + NEIGHBOURS).map((each) => each.pressure);
    const level = median(after);
    const peak = Math.max(...readings.slice(index, end).map((each) => each.pressure));
    // Back again: what is left of the rise is small beside the jump, and the rest stays there.
    if (peak - Math.max(floor, level) > JUMP_NOISES * noise && level - floor < (peak - floor) / 3) {
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

export function median(values: readonly number[]): number {
  const ordered = [...values].sort((a, b) => a - b);
  const middle = Math.floor(ordered.length / 2);
  const high = ordered[middle] ?? 0;
  return ordered.length % 2 === 1 ? high : ((ordered[middle - 1] ?? high) + high) / 2;
}
