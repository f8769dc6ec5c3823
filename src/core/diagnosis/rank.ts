/**
 * Ranked causes of what was read, with the readings for and against each, and the next reading that tells the most.
 * Shares by Bayes' rule over the data in `causes.ts`, readings taken as independent within a cause, each of them misread now
 * and then. Where the readings cannot part two causes, the answer is "one of these two".
 */
import { CAUSES, CAUSE_NAMES, type Cause, type CauseName, type SignReason } from './causes';
import { type MachineKind, anyMachine, canBe, canRead } from './machineKind';
import { type Observed, READINGS, READING_NAMES, type Reading, speaking, speaksAtRest } from './readings';

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

/** Two causes that what was read cannot part, and the reading that would; null where none of those left does. */
export interface OneOfTwo {
  causes: readonly [CauseName, CauseName];
  parts: Reading | null;
}

export interface Diagnosis {
  ranked: readonly RankedCause[];
  /** the two leading ones, where neither can be told from the other */
  oneOfTwo: OneOfTwo | null;
  next: NextReading | null;
  /** readings that were left aside: the machine stands still, or has no such part */
  aside: readonly Reading[];
}

/** Less than this is not worth the walk, bits. */
const LEAST_BITS = 0.02;

/** One reading in so many is misread, or taken at the wrong place: then it says what is usual. */
const MISREAD = 0.13;

/** Chance of each value of a reading under a cause: the usual shares, lifted and lowered by its signs. */
function chances(cause: CauseName, reading: Reading): ReadonlyMap<string, number> {
  const { signs }: Cause = CAUSES[cause];
  const usual: Readonly<Record<string, number>> = READINGS[reading].usual;
  const raised = Object.entries(usual).map(([value, share]) => {
    const sign = signs.find((each) => each.reading === reading && each.value === value);
    return [value, share * 2 ** (sign?.weight ?? 0)] as const;
  });
  const total = raised.reduce((sum, [, share]) => sum + share, 0);
  return new Map(
    raised.map(([value, share]) => [value, (1 - MISREAD) * (share / total) + MISREAD * (usual[value] ?? 0)]),
  );
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

/** Causes of this kind of machine with their shares given what was read. */
function shares(observed: Observed, machine: MachineKind): Map<CauseName, number> {
  const taken = Object.entries(speaking(observed)) as [Reading, string][];
  const raw = CAUSE_NAMES.filter((cause) => canBe(machine, cause)).map((cause) => {
    const likelihood = taken.reduce(
      (product, [reading, value]) => product * chanceOf(cause, reading, value),
      1,
    );
    return [cause, CAUSES[cause].share * likelihood] as const;
  });
  const total = raw.reduce((sum, [, share]) => sum + share, 0);
  return new Map(raw.map(([cause, share]) => [cause, share / total]));
}

/** `machine`: what it has; a machine without a sight glass is neither judged nor asked by one. */
export function diagnose(given: Observed, machine: MachineKind = anyMachine): Diagnosis {
  const observed = Object.fromEntries(
    Object.entries(given).filter(([reading]) => canRead(machine, reading as Reading)),
  ) as Observed;
  const counted = speaking(observed);
  const now = shares(observed, machine);
  const ranked = [...now]
    .map(([cause, share]) => ({ cause, share, ...reasons(cause, counted) }))
    .sort((a, b) => b.share - a.share);
  const oneOfTwo = oneOfTwoIn(ranked, observed, machine);
  const next = nextReading(observed, now, machine);
  return {
    ranked,
    oneOfTwo,
    next: oneOfTwo?.parts ? expected(observed, now, oneOfTwo.parts, machine) : next,
    aside: (Object.keys(given) as Reading[]).filter((reading) => !(reading in counted)),
  };
}

/** Pairs that gauges alone cannot part. */
const ALIKE: readonly (readonly [CauseName, CauseName])[] = [
  ['liquidLineRestriction', 'valveStarving'],
  ['nonCondensables', 'overcharge'],
  ['nonCondensables', 'condenserStarved'],
  ['overcharge', 'condenserStarved'],
  ['lowCharge', 'liquidLineRestriction'],
  ['lowCharge', 'pumpedDown'],
];
/** Together they lead clearly, and neither is this many times the other. */
const TOGETHER = 0.55;
const NEARLY_EQUAL = 3;

function oneOfTwoIn(
  ranked: readonly RankedCause[],
  observed: Observed,
  machine: MachineKind,
): OneOfTwo | null {
  const [first, second] = ranked;
  if (!first || !second) return null;
  const alike = ALIKE.some((pair) => pair.includes(first.cause) && pair.includes(second.cause));
  if (!alike || first.share + second.share < TOGETHER || first.share > NEARLY_EQUAL * second.share)
    return null;
  const open = openReadings(observed, machine)
    .map((reading) => ({ reading, apart: apart(first.cause, second.cause, reading) }))
    .sort((a, b) => b.apart - a.apart || READINGS[a.reading].effort - READINGS[b.reading].effort);
  const [best] = open;
  return {
    causes: [first.cause, second.cause],
    parts: best && best.apart >= LEAST_APART ? best.reading : null,
  };
}

/** How differently two causes show a reading: half the sum of the differences of its chances. */
const apart = (one: CauseName, other: CauseName, reading: Reading): number =>
  Object.keys(READINGS[reading].usual).reduce(
    (sum, value) => sum + Math.abs(chanceOf(one, reading, value) - chanceOf(other, reading, value)) / 2,
    0,
  );
const LEAST_APART = 0.15;

/** Readings that were not taken and would speak: of this machine, running or at rest. */
const openReadings = (observed: Observed, machine: MachineKind): Reading[] =>
  READING_NAMES.filter(
    (reading) =>
      observed[reading] === undefined &&
      // Nobody weighs a charge out only to judge.
      reading !== 'recovered' &&
      canRead(machine, reading) &&
      (observed.running !== 'no' || speaksAtRest(reading)),
  );

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
function nextReading(
  observed: Observed,
  now: Map<CauseName, number>,
  machine: MachineKind,
): NextReading | null {
  const candidates = openReadings(observed, machine)
    .map((reading) => expected(observed, now, reading, machine))
    .sort((a, b) => b.bits - a.bits || READINGS[a.reading].effort - READINGS[b.reading].effort);
  const best = candidates[0];
  return best && best.bits >= LEAST_BITS ? best : null;
}

function expected(
  observed: Observed,
  now: Map<CauseName, number>,
  reading: Reading,
  machine: MachineKind,
): NextReading {
  const answers = Object.keys(READINGS[reading].usual).map((value) => {
    const chance = [...now].reduce((sum, [cause, share]) => sum + share * chanceOf(cause, reading, value), 0);
    const then = shares({ ...observed, [reading]: value }, machine);
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
