/**
 * Ranked causes of what was read, with the readings for and against each, and the next reading that tells the most.
 * Shares by Bayes' rule over the data in `causes.ts`, readings taken as independent within a cause.
 */
import { CAUSES, CAUSE_NAMES, type Cause, type CauseName, type SignReason } from './causes';
import { type Observed, READINGS, READING_NAMES, type Reading } from './readings';

export interface Evidence {
  reading: Reading;
  value: string;
  /** powers of two for (above nothing) or against */
  weight: number;
  reason: SignReason;
}

export interface RankedCause {
  cause: CauseName;
  /** 0 to 1; all causes sum to 1 */
  share: number;
  reasonsFor: readonly Evidence[];
  reasonsAgainst: readonly Evidence[];
}

export interface NextReading {
  reading: Reading;
  /** bits of doubt that it is expected to remove */
  bits: number;
  /** what each answer would make the leading cause */
  answers: readonly { value: string; chance: number; leads: CauseName; share: number }[];
}

export interface Judgement {
  ranked: readonly RankedCause[];
  next: NextReading | null;
}

/** Less than this is not worth the walk, bits. */
const LEAST_BITS = 0.02;

/** Chance of each value of a reading under a cause: the usual shares, lifted and lowered by its signs. */
function chances(cause: CauseName, reading: Reading): ReadonlyMap<string, number> {
  const { signs }: Cause = CAUSES[cause];
  const usual: Readonly<Record<string, number>> = READINGS[reading].usual;
  const raised = Object.entries(usual).map(([value, share]) => {
    const sign = signs.find((each) => each.reading === reading && each.value === value);
    return [value, share * 2 ** (sign?.weight ?? 0)] as const;
  });
  const total = raised.reduce((sum, [, share]) => sum + share, 0);
  return new Map(raised.map(([value, share]) => [value, share / total]));
}

const CHANCES = new Map(
  CAUSE_NAMES.map((cause) => [
    cause,
    new Map(READING_NAMES.map((reading) => [reading, chances(cause, reading)])),
  ]),
);

/** Chance that a machine with this cause shows the value. */
export function chanceOf(cause: CauseName, reading: Reading, value: string): number {
  const chance = CHANCES.get(cause)?.get(reading)?.get(value);
  if (chance === undefined) throw new Error(`${reading} has no value ${value}.`);
  return chance;
}

/** Causes with their shares given what was read, the likeliest first. */
function shares(observed: Observed): Map<CauseName, number> {
  const taken = Object.entries(observed) as [Reading, string][];
  const raw = CAUSE_NAMES.map((cause) => {
    const likelihood = taken.reduce(
      (product, [reading, value]) => product * chanceOf(cause, reading, value),
      1,
    );
    return [cause, CAUSES[cause].share * likelihood] as const;
  });
  const total = raw.reduce((sum, [, share]) => sum + share, 0);
  return new Map(raw.map(([cause, share]) => [cause, share / total]));
}

export function judge(observed: Observed): Judgement {
  const now = shares(observed);
  const ranked = [...now]
    .map(([cause, share]) => ({ cause, share, ...reasons(cause, observed) }))
    .sort((a, b) => b.share - a.share);
  return { ranked, next: nextReading(observed, now) };
}

function reasons(cause: CauseName, observed: Observed): Pick<RankedCause, 'reasonsFor' | 'reasonsAgainst'> {
  const { signs }: Cause = CAUSES[cause];
  const met = signs.filter((sign) => observed[sign.reading] === sign.value);
  const byWeight = (a: Evidence, b: Evidence): number => Math.abs(b.weight) - Math.abs(a.weight);
  return {
    reasonsFor: met.filter((sign) => sign.weight > 0).sort(byWeight),
    reasonsAgainst: met.filter((sign) => sign.weight < 0).sort(byWeight),
  };
}

/** The untaken reading with the largest expected fall of entropy; of equals, the quicker. */
function nextReading(observed: Observed, now: Map<CauseName, number>): NextReading | null {
  const open = READING_NAMES.filter((reading) => observed[reading] === undefined);
  const candidates = open
    .map((reading) => expected(observed, now, reading))
    .sort((a, b) => b.bits - a.bits || READINGS[a.reading].effort - READINGS[b.reading].effort);
  const best = candidates[0];
  return best && best.bits >= LEAST_BITS ? best : null;
}

function expected(observed: Observed, now: Map<CauseName, number>, reading: Reading): NextReading {
  const answers = Object.keys(READINGS[reading].usual).map((value) => {
    const chance = [...now].reduce((sum, [cause, share]) => sum + share * chanceOf(cause, reading, value), 0);
    const then = shares({ ...observed, [reading]: value });
    const [leads, share] = [...then].reduce((a, b) => (b[1] > a[1] ? b : a));
    return { value, chance, leads, share, doubt: entropy(then) };
  });
  const after = answers.reduce((sum, each) => sum + each.chance * each.doubt, 0);
  return {
    reading,
    bits: Math.max(0, entropy(now) - after),
    answers: answers.map(({ value, chance, leads, share }) => ({ value, chance, leads, share })),
  };
}

function entropy(shared: Map<CauseName, number>): number {
  return [...shared.values()].reduce((sum, share) => (share > 0 ? sum - share * Math.log2(share) : sum), 0);
}
