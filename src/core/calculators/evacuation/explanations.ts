/**
 * What a pressure after isolating can be explained by, with the sizes that are met: as data. Rises of vapour from water or
 * cold spots take half a minute to half an hour; gas leaves oil with a time of a minute and one of ten and more. A valve that
 * passes lets in less the nearer the two sides come. s, Pa.
 */
import { MICRON } from '../../quantity/units';
import type { Explanation, Range } from '../series/explanation';

const microns = (low: number, high: number): Range => ({ low: low * MICRON, high: high * MICRON });
const perMinute = (low: number, high: number): Range => ({
  low: (low * MICRON) / 60,
  high: (high * MICRON) / 60,
});

export const CAUSES_OF_RISE = [
  'flat',
  'moisture',
  'oil',
  'leak',
  'leakAndMoisture',
  'leakAndOil',
  'valve',
  'falling',
] as const;
export type CauseOfRise = (typeof CAUSES_OF_RISE)[number];

const MOISTURE: readonly Range[] = [{ low: 25, high: 1800 }];
const OIL: readonly Range[] = [
  { low: 25, high: 150 },
  { low: 400, high: 1800 },
];
const LARGEST_LEAK = 300;
/** Gas leaves oil in smaller steps than water, Pa. */
const OIL_STEP = microns(50, 800);

/** A smaller step of moisture keeps no verdict open, Pa. */
const STEP_THAT_MATTERS = 40 * MICRON;
/** Beside a bend a smaller leak is not looked for where nobody said what matters: microns a minute. */
const LEAST_BESIDE = perMinute(2.5, LARGEST_LEAK);
/** A smaller fall is no pump that still draws: share of the level. */
const FALL_THAT_MATTERS = 0.08;
/** A valve so slow that it is straight over so many times the watch is as a leak. */
const STRAIGHT = 30;

export interface Watched {
  /** Pa: the level, and the least change that the gauge can tell over the watch */
  level: number;
  floor: number;
  /** s watched */
  span: number;
  /** Pa/s: the least slope that says something, and the leak that matters in this machine; null where nobody said */
  slope: number;
  matters: number | null;
}

export function explanations({ level, floor, span, slope, matters }: Watched): Explanation<CauseOfRise>[] {
  const least = Math.max(floor, STEP_THAT_MATTERS);
  const step: Range = { low: least, high: Math.max(4000 * MICRON, 4 * least) };
  const fall: Range = { low: Math.max(floor, FALL_THAT_MATTERS * level), high: 4 * Math.max(level, floor) };
  const leak: Range = { low: slope, high: Math.max((LARGEST_LEAK * MICRON) / 60, 4 * slope) };
  const beside: Range = {
    low: matters === null ? Math.max(slope, LEAST_BESIDE.low) : slope,
    high: leak.high,
  };
  const oil: Range = { low: Math.max(least, OIL_STEP.low), high: Math.max(OIL_STEP.high, 4 * least) };
  const plain = { slope: null, bends: [], step, flow: null, sign: 1 } as const;
  return [
    { ...plain, name: 'flat', share: 0.15 },
    { ...plain, name: 'moisture', share: 0.15, bends: MOISTURE },
    { ...plain, name: 'oil', share: 0.16, bends: OIL, step: oil },
    { ...plain, name: 'leak', share: 0.15, slope: leak },
    { ...plain, name: 'leakAndMoisture', share: 0.13, slope: beside, bends: MOISTURE },
    { ...plain, name: 'leakAndOil', share: 0.01, slope: beside, bends: OIL, step: oil },
    {
      ...plain,
      name: 'valve',
      share: 0.12,
      bends: [{ low: 60, high: STRAIGHT * span }],
      step: microns(800, 760_000),
      flow: perMinute(3, LARGEST_LEAK),
    },
    { ...plain, name: 'falling', share: 0.13, bends: [{ low: 20, high: 5000 }], step: fall, sign: -1 },
  ];
}
