/** What a vacuum gauge can tell: its last digit by range, where it begins and ends, and how far it may drift. Pa. */
import { MICRON } from '../../quantity/units';
import type { Pascals } from '../../quantity/si';

export interface VacuumReading {
  /** s since the pump was valved off */
  at: number;
  /** Pa absolute */
  pressure: Pascals;
}

export interface VacuumGauge {
  /** the last digit up to a pressure, Pa, in order; the last holds beyond */
  digits: readonly { upTo: number; digit: number }[];
  /** above this it stands at its stop */
  highest: Pascals;
}

/** A thermistor gauge of the trade: 1 micron below 500, then 5, 10 and 50. */
export const COMMON_GAUGE: VacuumGauge = {
  digits: [
    { upTo: 500 * MICRON, digit: MICRON },
    { upTo: 1000 * MICRON, digit: 5 * MICRON },
    { upTo: 5000 * MICRON, digit: 10 * MICRON },
    { upTo: Infinity, digit: 50 * MICRON },
  ],
  highest: 25_000 * MICRON,
};

/** The same gauge, read or typed no finer than `digit` Pa. */
export const readTo = (digit: number, gauge: VacuumGauge = COMMON_GAUGE): VacuumGauge => ({
  ...gauge,
  digits: gauge.digits.map((each) => ({ ...each, digit: Math.max(each.digit, digit) })),
});

export const digitAt = ({ digits }: VacuumGauge, pressure: Pascals): number =>
  digits.find(({ upTo }) => pressure < upTo)?.digit ?? digits.at(-1)?.digit ?? MICRON;

/** Warmth and age move a gauge by as much while one watches; twice the last digit is never told either. */
const DRIFT_SHARE = 0.01;

/** Pa over the whole watch: a smaller rise says nothing. */
export const floorAt = (gauge: VacuumGauge, pressure: Pascals): number =>
  Math.max(DRIFT_SHARE * pressure, 2 * digitAt(gauge, pressure));

/** A gauge that works flickers by more than this share. */
const LEAST_FLICKER = 0.005;

/** Fewer equal figures are chance. */
const FEWEST_STUCK = 8;

export type GaugeFault = 'stuck' | 'outOfRange';

/** Stands at one figure although its last digit is fine enough to show its own unrest, or most of it is beyond its range. */
export function gaugeFault(readings: readonly VacuumReading[], gauge: VacuumGauge): GaugeFault | null {
  const beyond = readings.filter((each) => !withinRange(each, gauge)).length;
  if (beyond > readings.length / 2) return 'outOfRange';
  const [first] = readings;
  if (!first || readings.length < FEWEST_STUCK || readings.some((each) => each.pressure !== first.pressure))
    return null;
  return digitAt(gauge, first.pressure) < LEAST_FLICKER * first.pressure ? 'stuck' : null;
}

export const withinRange = ({ pressure }: VacuumReading, gauge: VacuumGauge): boolean =>
  pressure >= digitAt(gauge, 0) && pressure <= gauge.highest;
