/**
 * Tight and dry, moist, leaking, or both? The evidence of the four explanations, what the readings still allow, whether
 * that is firm, and if not, how long to keep watching. s, Pa.
 */
import { refused } from '../../result';
import { type Outcome, calculated, figure, notPositive } from '../calculated';
import { type Bounds, bounds } from './bounds';
import { RISES, type Rise, type RiseFit, TICKS, fitRise, prepared, riseAt } from './rise';
import { type VacuumReading, cleaned, median, noiseOf } from './samples';

/** A leak or a step smaller than this does not keep a verdict open: 5 microns a minute, 40 microns. */
const LEAK_THAT_MATTERS = (5 * 0.1333223684) / 60;
const STEP_THAT_MATTERS = 40 * 0.1333223684;
/** Difference of AICc from which an explanation without this part is as good as excluded (e³ : 1). */
const FIRM = 6;
/** Fewer readings cannot carry four parameters. */
const FEWEST_READINGS = 8;
const LEAST_RELATIVE_NOISE = 0.002;

export interface RiseJudged {
  rise: Rise;
  sure: boolean;
  /** Akaike weights: shares of evidence that a leak, and that moisture, is part of it */
  leak: number;
  moisture: number;
  fits: Record<Rise, RiseFit>;
  bounds: Bounds;
  kept: readonly VacuumReading[];
  jumps: readonly VacuumReading[];
  /** s of watching in all for a firm word; null where more than two hours would be needed */
  neededS: number | null;
}

export interface RiseInput {
  readings: readonly VacuumReading[];
  /** Pa of the gauge */
  resolution: number;
}

/** Judges a rise. `progress` is called with a share of the work done. */
export function judgeRise(
  input: RiseInput,
  progress: (share: number) => void = () => undefined,
): Outcome<RiseJudged> {
  const bad = notPositive({ 'gauge resolution': input.resolution });
  if (bad) return bad;
  const { kept, jumps } = cleaned(input.readings, input.resolution);
  if (kept.length < FEWEST_READINGS)
    return refused({ reason: 'tooFewReadings', have: kept.length, need: FEWEST_READINGS });
  let ticks = 0;
  const looked = lookAt(kept, input.resolution, () => {
    ticks += 1;
    progress((0.9 * ticks) / TICKS);
  });
  const neededS = looked.sure ? spanOf(kept) : timeNeeded(kept, input.resolution, looked.fits[looked.rise]);
  progress(1);
  const judged: RiseJudged = { ...looked, kept, jumps, neededS };
  return calculated(judged, workingOf(judged));
}

type Looked = Omit<RiseJudged, 'kept' | 'jumps' | 'neededS'>;

function lookAt(readings: readonly VacuumReading[], resolution: number, tick: () => void): Looked {
  const level = median(readings.map((each) => each.pressure));
  const relative = Math.max(noiseOf(readings) / level, LEAST_RELATIVE_NOISE);
  const data = prepared(readings, { resolution, relative });
  const fits = Object.fromEntries(RISES.map((rise) => [rise, fitRise(data, rise, tick)])) as Record<
    Rise,
    RiseFit
  >;
  const { flat, climbing, levelling, both } = fits;
  const least = Math.min(...RISES.map((rise) => fits[rise].aicc));
  const weight = (fit: RiseFit): number => Math.exp((least - fit.aicc) / 2);
  const total = RISES.reduce((sum, rise) => sum + weight(fits[rise]), 0);
  const limits = bounds(data, Math.min(...RISES.map((rise) => fits[rise].scatter)), [
    levelling.time,
    both.time,
  ]);
  const leak = present(
    Math.min(flat.aicc, levelling.aicc) - Math.min(climbing.aicc, both.aicc),
    limits.slope <= LEAK_THAT_MATTERS,
  );
  const moisture = present(
    Math.min(flat.aicc, climbing.aicc) - Math.min(levelling.aicc, both.aicc),
    limits.step <= STEP_THAT_MATTERS,
  );
  return {
    rise: leak.is ? (moisture.is ? 'both' : 'climbing') : moisture.is ? 'levelling' : 'flat',
    sure: leak.sure && moisture.sure,
    leak: (weight(climbing) + weight(both)) / total,
    moisture: (weight(levelling) + weight(both)) / total,
    fits,
    bounds: limits,
  };
}

/** A part is there when doing without it costs evidence; it is surely absent only when what is allowed is too small. */
const present = (gain: number, tooSmall: boolean): { is: boolean; sure: boolean } =>
  gain >= FIRM ? { is: true, sure: true } : { is: gain > 0 && !tooSmall, sure: tooSmall };

const spanOf = (readings: readonly VacuumReading[]): number =>
  (readings[readings.length - 1]?.at ?? 0) - (readings[0]?.at ?? 0);

const LONGEST_WATCH_S = 7200;
const STRETCH = 1.25;
const MOST_READINGS = 150;

/**
 * Watching on as the best fit foresees, with the noise seen so far, until the word would be firm. The made-up readings
 * alternate about the curve, so that they scatter as the real ones do.
 */
function timeNeeded(readings: readonly VacuumReading[], resolution: number, fit: RiseFit): number | null {
  const first = readings[0]?.at ?? 0;
  const span = spanOf(readings);
  const spacing = span / (readings.length - 1);
  const noise = Math.max(noiseOf(readings), resolution / Math.sqrt(12));
  for (let watch = span * STRETCH; watch <= LONGEST_WATCH_S; watch *= STRETCH) {
    const count = Math.max(Math.round(watch / spacing) + 1, FEWEST_READINGS);
    const kept = Math.min(count, MOST_READINGS);
    // Fewer readings stand for all: their noise is smaller as the mean of several would be.
    const each = noise * Math.sqrt(kept / count);
    const foreseen = Array.from({ length: kept }, (_, i) => {
      const at = first + (watch * i) / (kept - 1);
      return { at, pressure: riseAt(fit, at) + each * (WOBBLE[i % WOBBLE.length] ?? 0) };
    });
    if (lookAt(foreseen, Math.min(resolution, each * 2), () => undefined).sure) return watch;
  }
  return null;
}

/** A fixed unrest with mean 0 and mean square 1. */
const WOBBLE = [1.2, -0.7, -1.3, 0.4, 1.1, -1.2, 0.9, -0.4] as const;

function workingOf(judged: RiseJudged) {
  const fit = judged.fits[judged.rise];
  return {
    formula: 'p(t) = p₀ + q t + a (1 − e^(−t/τ)); q: leak, a and τ: moisture or dissolved gas',
    figures: [
      figure('readings fitted', 'number', judged.kept.length),
      figure('jumps set aside', 'number', judged.jumps.length),
      figure('p₀', 'vacuum', fit.start),
      figure('q', 'vacuumRate', fit.slope),
      figure('a', 'vacuum', fit.step),
      figure('τ', 'duration', fit.time),
      figure('largest q still possible', 'vacuumRate', judged.bounds.slope),
      figure('largest a still possible', 'vacuum', judged.bounds.step),
      figure('share of evidence with a leak', 'share', judged.leak),
      figure('share of evidence with moisture', 'share', judged.moisture),
      ...RISES.map((rise) => figure(`AICc ${rise}`, 'number', judged.fits[rise].aicc)),
    ],
    source: 'Weighted least squares; Akaike information criterion, corrected for few readings',
    validity:
      'With the pump valved off, the gauge at the far end and the temperature steady. Levelling slower than 25 minutes looks like a leak.',
  };
}
