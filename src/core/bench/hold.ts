/**
 * Standing pressure test: what a sealed charge of nitrogen must read after its temperature changed, what the residual
 * means against the gauge, and how long a hold must stand to show a leak. Pa absolute, K, s, m³.
 */
import type { Kelvins, Pascals } from '../quantity/si';
import { refused } from '../result';
import { type Calculated, type Outcome, calculated, figure, notPositive, outOfRange } from './calculated';

export interface HoldReading {
  /** s since the start */
  at: number;
  /** Pa absolute */
  pressure: Pascals;
  /** K of the gas */
  temperature: Kelvins;
}

export interface HoldLimits {
  /** the least marked design pressure of the section, Pa absolute */
  design: number | null;
  /** what the section runs at, Pa absolute */
  working: number | null;
}

export interface Gauge {
  /** Pa: one division, or the last digit */
  resolution: number;
  /** K: how far the temperature of the gas may be off */
  temperatureDoubt: number;
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

export type HoldVerdict =
  /** no loss larger than `loss` could hide in the doubt */
  | { kind: 'holding'; lossAtMost: number }
  /** Pa/s, with its doubt */
  | { kind: 'losing'; rate: number; rateDoubt: number }
  /** s from the start after which a loss that matters would show */
  | { kind: 'cannotTell'; untilS: number }
  /** more pressure than the temperature explains: warmer gas than said, or a valve that lets by */
  | { kind: 'risen' };

export type WeakEvidence = 'belowWorkingPressure' | 'tailNotSettled';

export interface HoldJudged {
  expected: number;
  /** measured − expected, Pa */
  residual: number;
  /** Pa: what gauge and thermometer leave open, either way (two standard deviations) */
  doubt: number;
  verdict: HoldVerdict;
  weak: readonly WeakEvidence[];
}

/**
 * Judges a hold by its first and last reading. `matters` is the loss in Pa/s that must not hide, null where nobody said:
 * then a hold within the doubt counts as holding, with the largest loss that could hide.
 * Refuses a start above the design pressure: such a test must not be made.
 */
export function judgeHold(input: {
  readings: readonly HoldReading[];
  changedShare: number;
  gauge: Gauge;
  limits: HoldLimits;
  matters: number | null;
}): Outcome<HoldJudged> {
  const { readings, gauge, limits, matters } = input;
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
  const calculatedEnd = expectedPressure({
    start: first.pressure,
    startTemperature: first.temperature,
    endTemperature: last.temperature,
    changedShare: input.changedShare,
  });
  if (!calculatedEnd.ok) return calculatedEnd;
  const expected = calculatedEnd.value.value;
  const residual = last.pressure - expected;
  const doubt = holdDoubt(expected, last.temperature, input.changedShare, gauge);
  const judged: HoldJudged = {
    expected,
    residual,
    doubt,
    verdict: verdictOf(residual, doubt, elapsed, matters),
    weak: weakOf(readings, gauge, limits),
  };
  return calculated(judged, holdWorking(calculatedEnd.value, judged, last.pressure, elapsed));
}

/**
 * Pa, two standard deviations of the residual: a division spreads evenly over itself (÷ √12) at both readings; the
 * temperature's doubt is taken as two deviations, at both readings.
 */
export function holdDoubt(
  pressure: Pascals,
  temperature: Kelvins,
  changedShare: number,
  gauge: Gauge,
): number {
  const reading = gauge.resolution ** 2 / 12;
  const thermal = ((changedShare * pressure * gauge.temperatureDoubt) / 2 / temperature) ** 2;
  return 2 * Math.sqrt(2 * reading + 2 * thermal);
}

function verdictOf(residual: number, doubt: number, elapsed: number, matters: number | null): HoldVerdict {
  if (residual < -doubt) return { kind: 'losing', rate: -residual / elapsed, rateDoubt: doubt / elapsed };
  if (residual > doubt) return { kind: 'risen' };
  const lossAtMost = (Math.max(0, -residual) + doubt) / elapsed;
  if (matters === null || lossAtMost <= matters) return { kind: 'holding', lossAtMost };
  return { kind: 'cannotTell', untilS: (Math.max(0, -residual) + doubt) / matters };
}

function weakOf(readings: readonly HoldReading[], gauge: Gauge, limits: HoldLimits): WeakEvidence[] {
  const start = readings[0]?.pressure ?? 0;
  return [
    ...(limits.working !== null && start < limits.working ? (['belowWorkingPressure'] as const) : []),
    ...(tailSettled(readings, gauge) ? [] : (['tailNotSettled'] as const)),
  ];
}

/**
 * The temperature of freshly let-in gas still drifts: its mark is that the corrected pressure falls unevenly. Compares
 * the fall over the last third with that over the third before; with fewer than four readings nothing can be said.
 */
function tailSettled(readings: readonly HoldReading[], gauge: Gauge): boolean {
  const start = readings[0];
  const last = readings[readings.length - 1];
  if (!start || !last || readings.length < 4) return true;
  const corrected = (at: number): number => {
    const after = readings.find((each) => each.at >= at) ?? last;
    const before = readings.findLast((each) => each.at <= at) ?? start;
    const share = after.at === before.at ? 0 : (at - before.at) / (after.at - before.at);
    const value = (each: HoldReading): number => (each.pressure * start.temperature) / each.temperature;
    return value(before) + share * (value(after) - value(before));
  };
  const third = (last.at - start.at) / 3;
  const middle = corrected(start.at + third) - corrected(start.at + 2 * third);
  const tail = corrected(start.at + 2 * third) - corrected(last.at);
  return Math.abs(middle - tail) <= 2 * gauge.resolution;
}

function holdWorking(end: Calculated<number>, judged: HoldJudged, measured: number, elapsed: number) {
  return {
    ...end.working,
    formula: `${end.working.formula}; residual = measured − expected`,
    figures: [
      ...end.working.figures,
      figure('measured pressure', 'pressure', measured),
      figure('residual', 'pressureDifference', judged.residual),
      figure('doubt of gauge and temperature, either way', 'pressureDifference', judged.doubt),
      figure('time stood', 'duration', elapsed),
    ],
  };
}
