/**
 * Tight and dry, moist, leaking, not isolated, or a gauge that lies? The evidence for each explanation, what the readings
 * still allow, whether that is firm, and if not, how long to keep watching. s, Pa.
 */
import { refused } from '../../result';
import { type Outcome, calculated, figure } from '../calculated';
import { ticksFor } from '../series/explain';
import { CAUSES_OF_RISE, type CauseOfRise } from './explanations';
import {
  COMMON_GAUGE,
  type GaugeFault,
  type VacuumGauge,
  type VacuumReading,
  gaugeFault,
  withinRange,
} from './gauge';
import { type Looked, lookAt } from './lookAt';
import { cleaned } from './samples';
import { timeNeeded } from './timeNeeded';

/** Fewer readings say nothing of a shape. */
const FEWEST_READINGS = 2;
export interface RiseJudged extends Looked {
  fault: GaugeFault | null;
  kept: readonly VacuumReading[];
  jumps: readonly VacuumReading[];
  /** s more for a firm word; null where it is firm, or two hours would not make it so */
  neededS: number | null;
}

export interface RiseInput {
  readings: readonly VacuumReading[];
  gauge?: VacuumGauge;
  /** Pa/s: a smaller leak does not matter in this machine; null where nobody said */
  matters?: number | null;
  /** whether to reckon how long to watch on; true unless said otherwise */
  promise?: boolean;
}

/**
 * Judges a rise. `progress` is called with a share of the work done. Refuses fewer than two readings; fewer than eight are
 * never firm.
 */
export function judgeRise(
  { readings, gauge = COMMON_GAUGE, matters = null, promise = true }: RiseInput,
  progress: (share: number) => void = () => undefined,
): Outcome<RiseJudged> {
  const fault = gaugeFault(readings, gauge);
  const { kept, jumps } = cleaned(
    fault ? readings : readings.filter((each) => withinRange(each, gauge)),
    gauge,
  );
  if (kept.length < FEWEST_READINGS)
    return refused({ reason: 'tooFewReadings', have: kept.length, need: FEWEST_READINGS });
  let ticks = 0;
  const looked = lookAt(kept, { gauge, matters }, () => {
    ticks += 1;
    progress((0.5 * ticks) / ticksFor(CAUSES_OF_RISE.length));
  });
  const firm = fault !== null || looked.firm;
  const word = fault ? 'gauge' : looked.word;
  const span = Math.max((kept.at(-1)?.at ?? 0) - (kept[0]?.at ?? 0), 1);
  const neededS =
    firm || !promise
      ? null
      : timeNeeded(kept, { gauge, matters }, looked, (share) => progress(0.5 + share / 2));
  progress(1);
  const judged: RiseJudged = {
    ...looked,
    word,
    // Behind a pump that draws, or a gauge that stands, any leak can hide that the gauge would show.
    ...((word === 'gauge' || word === 'notIsolated') && { leakRate: { low: 0, high: gauge.highest / span } }),
    firm,
    fault,
    kept,
    jumps,
    neededS,
  };
  return calculated(judged, workingOf(judged));
}

function workingOf(judged: RiseJudged) {
  return {
    formula: 'p(t) = p₀ + q t + Σ a (1 − e^(−t/τ)); q: leak, a and τ: moisture, or gas out of oil (two τ)',
    figures: [
      figure('readings fitted', 'number', judged.kept.length),
      figure('jumps set aside', 'number', judged.jumps.length),
      figure('what the gauge can tell over this time', 'vacuum', judged.floor),
      figure('least leak that fits', 'vacuumRate', judged.leakRate.low),
      figure('largest leak that fits', 'vacuumRate', judged.leakRate.high),
      ...CAUSES_OF_RISE.map((name) =>
        figure(`share of evidence: ${CAUSE_FIGURES[name]}`, 'share', judged.shares[name]),
      ),
    ],
    source:
      'Bayes’ rule over the explanations: likelihood averaged over sizes, times and noise, correlated noise included',
    validity:
      'With the pump valved off, the gauge at the far end and the temperature steady. A valve that passes from a high pressure is as straight as a leak.',
  };
}

const CAUSE_FIGURES: Record<CauseOfRise, string> = {
  flat: 'steady',
  moisture: 'moisture',
  oil: 'gas out of oil',
  leak: 'leak',
  leakAndMoisture: 'leak and moisture',
  leakAndOil: 'leak and gas out of oil',
  valve: 'valve that passes, slowing',
  falling: 'falling',
};
