/**
 * Standing pressure test: what a sealed charge of nitrogen must read after its temperature changed, and what a series of
 * readings says of a leak: a first fall that settles is none. Pa absolute, K, s.
 */
import type { Kelvins } from '../quantity/si';
import { refused } from '../result';
import { type Outcome, ROOM_K, calculated, figure, notPositive, outOfRange } from './calculated';
import {
  type Gauge,
  type PressureTestReading,
  type PressureTestTail,
  ONE_SIDED_95,
  tailOf,
} from './pressureTestTail';

export interface PressureTestLimits {
  /** the least marked design pressure of the section, Pa absolute */
  design: number | null;
  /** what the section runs at, Pa absolute */
  working: number | null;
}

/**
 * p2 = p1 × T2/T1 where all the gas changed its temperature; where only a share of the volume did, the rest stays at
 * T1: p2 = p1 ÷ (share × T1/T2 + 1 − share). 100 psig at 75 °F, cooled to 40 °F at sea level: 92.49 psig.
 */
export function expectedPressure(input: {
  start: number;
  startTemperature: Kelvins;
  endTemperature: Kelvins;
  changedShare: number;
}): Outcome<number> {
  const { start, startTemperature, endTemperature, changedShare } = input;
  const bad =
    notPositive({
      'start pressure': start,
      'start temperature': startTemperature,
      'end temperature': endTemperature,
    }) ?? outOfRange('share that changed', 'share', changedShare, 0, 1);
  if (bad) return bad;
  const expected = start / ((changedShare * startTemperature) / endTemperature + 1 - changedShare);
  return calculated(expected, {
    formula:
      changedShare === 1
        ? 'p₂ = (p₁ + atmosphere) × T₂ ÷ T₁ − atmosphere'
        : 'p₂ = (p₁ + atmosphere) ÷ (share × T₁ ÷ T₂ + 1 − share) − atmosphere',
    figures: [
      figure('start pressure', 'pressure', start),
      figure('start temperature of the gas', 'temperature', startTemperature),
      figure('end temperature of the gas', 'temperature', endTemperature),
      ...(changedShare === 1 ? [] : [figure('share of the volume that changed', 'share', changedShare)]),
      figure('expected pressure', 'pressure', expected),
    ],
    source: 'Ideal gas in a closed volume; absolute pressures and temperatures',
    validity: 'Dry nitrogen below about 40 bar; not for a test under refrigerant while liquid is present.',
  });
}

export const PRESSURE_TEST_CODES = ['holding', 'settled', 'losing', 'risen', 'cannotTell'] as const;
/** `settled`: it fell at first, and holds since; `risen`: more pressure than temperature explains, or a valve that lets by. */
export type PressureTestWord = (typeof PRESSURE_TEST_CODES)[number];

export type WeakEvidence = 'belowWorkingPressure' | 'tailNotSettled' | 'temperatureNotTaken';

export interface PressureTestJudged {
  word: PressureTestWord;
  firm: boolean;
  /** what the last reading should be by its temperature, and measured − expected, Pa */
  expected: number;
  residual: number;
  tail: PressureTestTail;
  /** s more until a leak of the size that matters is found, or excluded, with 95 %; null where nobody said what matters */
  neededS: number | null;
  weak: readonly WeakEvidence[];
}

/**
 * Judges a hold by its readings. `matters` is the loss in Pa/s that must not hide, null where nobody said: then it can
 * lose, or settle, but never hold. Refuses a start above the design pressure: such a test must not be made.
 */
export function judgePressureTest(input: {
  readings: readonly PressureTestReading[];
  changedShare: number;
  gauge: Gauge;
  limits: PressureTestLimits;
  matters: number | null;
}): Outcome<PressureTestJudged> {
  const { readings, gauge, limits, matters, changedShare } = input;
  const first = readings[0];
  const last = readings[readings.length - 1];
  if (!first || !last || readings.length < 2)
    return refused({ reason: 'tooFewReadings', have: readings.length, need: 2 });
  const elapsed = last.at - first.at;
  const bad = notPositive({ 'time between the readings': elapsed, 'gauge division': gauge.resolution });
  if (bad) return bad;
  const highest = Math.max(...readings.map((each) => each.pressure));
  if (limits.design !== null && highest > limits.design)
    return refused({ reason: 'aboveDesignPressure', given: highest, limit: limits.design });
  const corrected = readings.every((each) => each.temperature !== null);
  const calculatedEnd = expectedPressure({
    start: first.pressure,
    startTemperature: first.temperature ?? ROOM_K,
    endTemperature: (corrected ? last.temperature : first.temperature) ?? ROOM_K,
    changedShare,
  });
  if (!calculatedEnd.ok) return calculatedEnd;
  const expected = calculatedEnd.value.value;
  const tail = tailOf(readings, changedShare, gauge);
  const judged: PressureTestJudged = {
    ...wordOf(tail, matters),
    expected,
    residual: last.pressure - expected,
    tail,
    neededS: neededOf(tail, matters),
    weak: [
      ...(limits.working !== null && first.pressure < limits.working
        ? (['belowWorkingPressure'] as const)
        : []),
      ...(tail.settling === 'still' ? (['tailNotSettled'] as const) : []),
      ...(corrected ? [] : (['temperatureNotTaken'] as const)),
    ],
  };
  const { working } = calculatedEnd.value;
  return calculated(judged, {
    ...working,
    formula: `${working.formula}; loss = slope of the tail at one temperature, by least squares`,
    figures: [
      ...working.figures,
      figure('measured pressure', 'pressure', last.pressure),
      figure('measured − expected', 'pressureDifference', judged.residual),
      figure('time stood', 'duration', elapsed),
      figure('tail that counts', 'duration', tail.span),
      figure('doubt of one reading (one deviation)', 'pressureDifference', tail.doubt),
      figure('least loss that fits', 'pressureRate', tail.loss.low),
      figure('largest loss that fits', 'pressureRate', tail.loss.high),
    ],
  });
}

/** A fall of less than so many minutes is not told from gas that takes the temperature of the pipes, s. */
const LEAST_TAIL_S = 600;

/** A rise counts from three deviations on: nine in ten of a loss are 3.29 wide. */
const RISEN_WIDTHS = 3 / (2 * ONE_SIDED_95);
/** With more of the evidence a first fall alone may be all of it. */
const DOUBTFUL = 0.05;

function wordOf(
  { loss, settling, mayBeSettling, fell, span, corrected, beyondCooling, count }: PressureTestTail,
  matters: number | null,
): Pick<PressureTestJudged, 'word' | 'firm'> {
  const open = { word: 'cannotTell', firm: false } as const;
  if (settling === 'still') return open;
  const middle = (loss.low + loss.high) / 2;
  if (middle < 0 && -middle > RISEN_WIDTHS * (loss.high - loss.low))
    return { word: 'risen', firm: corrected };
  const stands: PressureTestWord = fell ? 'settled' : 'holding';
  if (loss.low > 0) {
    // Two figures without temperatures: the first fall of warm gas looks the same.
    if (!corrected && count < 3) return open;
    const small = matters !== null && loss.high <= matters;
    // Who took no temperature cannot tell a slow leak from the evening.
    if (small) return { word: stands, firm: true };
    return { word: 'losing', firm: (corrected || beyondCooling) && mayBeSettling <= DOUBTFUL };
  }
  if (matters !== null) return loss.high <= matters ? { word: stands, firm: true } : open;
  // Without a size nothing holds; a first fall that levelled can still be told from a leak.
  return fell && span >= LEAST_TAIL_S ? { word: 'settled', firm: false } : open;
}

/**
 * s from now until the tail's slope is known well enough: by its first and last reading alone, so that it does not move as
 * one waits, and readings between only make it surer.
 */
function neededOf({ doubt, span, wait }: PressureTestTail, matters: number | null): number | null {
  if (matters === null) return null;
  return Math.max(0, wait + standingSeconds(doubt, matters) - span);
}

/** Two readings of which one may be wrong either way, each end at 95 % of a normal distribution: 2 × 1.645 × √2. */
const FOUND_AND_CLEARED = 2 * ONE_SIDED_95 * Math.SQRT2;

/**
 * s after which a fall of `matters` Pa/s is found with 95 % and a tight system cleared with 95 %, by two readings of `doubt`
 * Pa each (one deviation).
 */
export const standingSeconds = (doubt: number, matters: number): number =>
  (FOUND_AND_CLEARED * doubt) / matters;

/** Pa/s: the smallest fall that is found, or excluded, with 95 % after so many seconds. */
export const fallFound = (doubt: number, seconds: number): number => (FOUND_AND_CLEARED * doubt) / seconds;
