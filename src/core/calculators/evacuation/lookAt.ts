/** The word on a rise by its readings alone, with its evidence: not yet how long to watch on. s, Pa. */
import { mean, median } from 'simple-statistics';
import { MICRON } from '../../quantity/units';
import type { Prior } from '../series/evidence';
import { type Explained, explain, roughCurve } from '../series/explain';
import { type Curve, type Explanation, curveAt } from '../series/explanation';
import type { SeriesReading } from '../series/whitened';
import { type CauseOfRise, explanations } from './explanations';
import { type VacuumGauge, type VacuumReading, digitAt, floorAt } from './gauge';
import { binned } from './samples';

export const RISE_WORDS = [
  'notIsolated',
  'gauge',
  'flat',
  'levelling',
  'climbing',
  'climbingAndLevelling',
  'climbingOrPassingValve',
] as const;
export type RiseWord = (typeof RISE_WORDS)[number];

/** Fewer than this say what it looks like, and never more. */
const FEWEST_FIRM = 8;
/**
 * A firm word has at least this share of the evidence. A leak beside moisture looks like either alone: firm words of one of
 * them leave it next to nothing. Set on 3,000 made-up rises so that of each kind of truth at most one in twenty is wrong.
 */
const FIRM = {
  flat: 0.85,
  levelling: 0.9,
  straight: 0.85,
  both: 0.75,
  falling: 0.85,
  besides: 0.06,
} as const;
/** Noise as it is expected before looking, a share of the reading; the readings then tell it. */
const USUAL_NOISE = 0.017;
/** The stated noise weighs as much as so many readings. */
const NOISE_FREEDOM = 5;
const BOUND = 0.95;
/** Pa/s: the least leak that is looked for where nobody said what matters. */
const LEAST_LEAK = MICRON / 60;

export interface Looked {
  word: RiseWord;
  firm: boolean;
  /** shares of the evidence with a leak (or a passing valve) in it, and with moisture or gas out of oil */
  leak: number;
  moisture: number;
  shares: Record<CauseOfRise, number>;
  curves: Record<CauseOfRise, Curve | null>;
  /** Pa/s: nine in ten of what a leak can be by these readings; `high` is what could still hide where none is seen */
  leakRate: { low: number; high: number };
  /** Pa over the watch: a smaller rise is within what the gauge can tell */
  floor: number;
}

export interface Setting {
  gauge: VacuumGauge;
  /** Pa/s: a smaller leak does not matter in this machine; null where nobody said */
  matters: number | null;
  /** s: only these memories of the noise are weighed; left out: all */
  memory?: readonly number[];
}

/** The word by the readings alone, without asking how long to watch on. */
export function lookAt(
  kept: readonly VacuumReading[],
  { gauge, matters, memory }: Setting,
  tick: () => void = () => undefined,
): Looked {
  const level = median(kept.map((each) => each.pressure));
  const span = (kept.at(-1)?.at ?? 0) - (kept[0]?.at ?? 0);
  const floor = floorAt(gauge, level);
  // Without a machine, what the gauge drifts is flat and a leak begins at a micron a minute; between them nothing is sure.
  const drift = Math.max(floor / span, matters ?? 0);
  const slope = Math.max(drift, matters ?? LEAST_LEAK);
  const causes = explanations({ level, floor, span, slope, matters });
  const prior = { drift: drift / 2, freedom: NOISE_FREEDOM, ...(memory && { memory }) };
  const found = explain(seriesOf(kept, gauge, causes, prior), causes, prior, tick);
  const { firm, ...word } = wordOf(found);
  return {
    ...word,
    firm: firm && kept.length >= FEWEST_FIRM,
    shares: found.shares,
    curves: found.curves,
    leakRate: rateOf(found),
    floor,
  };
}

/** The level behind the noise, not the reading itself, sets the weight: else low readings would pull the fit down. */
function seriesOf(
  kept: readonly VacuumReading[],
  gauge: VacuumGauge,
  causes: readonly Explanation[],
  prior: Prior,
): SeriesReading[] {
  const few = binned(kept);
  const start = few[0]?.at ?? 0;
  const weighed = (levels: (index: number, at: number) => number): SeriesReading[] =>
    few.map(({ at, pressure }, index) => {
      const level = levels(index, at);
      const digit = digitAt(gauge, level) / Math.sqrt(12);
      return { at, value: pressure, deviation: Math.hypot(USUAL_NOISE * level, digit) };
    });
  const near = weighed((index) => {
    const around = few.slice(Math.max(0, index - 2), index + 3);
    return mean(around.map(({ pressure }) => pressure));
  });
  const curve = roughCurve(near, causes, prior);
  const least = Math.min(...few.map(({ pressure }) => pressure)) / 2;
  return curve ? weighed((_, at) => Math.max(least, curveAt(curve, at - start))) : near;
}

function wordOf({ shares }: Explained<CauseOfRise>): Pick<Looked, 'word' | 'firm' | 'leak' | 'moisture'> {
  const both = shares.leakAndMoisture + shares.leakAndOil;
  const straight = shares.leak + shares.valve;
  const levelling = shares.moisture + shares.oil;
  const alone = both <= FIRM.besides;
  const words: { word: RiseWord; share: number; firm: boolean }[] = [
    { word: 'flat', share: shares.flat, firm: shares.flat >= FIRM.flat },
    { word: 'levelling', share: levelling, firm: levelling >= FIRM.levelling && alone },
    {
      word: shares.valve > shares.leak ? 'climbingOrPassingValve' : 'climbing',
      share: straight,
      firm: straight >= FIRM.straight && alone,
    },
    { word: 'climbingAndLevelling', share: both, firm: both >= FIRM.both },
    { word: 'notIsolated', share: shares.falling, firm: shares.falling >= FIRM.falling },
  ];
  const { word, firm } = words.reduce((a, b) => (b.share > a.share ? b : a));
  return { word, firm, leak: straight + both, moisture: levelling + both };
}

const rateOf = ({ rateAt }: Explained<CauseOfRise>): Looked['leakRate'] => ({
  low: Math.max(0, rateAt(1 - BOUND)),
  high: Math.max(0, rateAt(BOUND)),
});
