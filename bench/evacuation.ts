/** Judging the rise of a vacuum: 10,000 readings, and how often the word is firm and right on made-up gauges. */
import { judgeRise } from '../src/core/calculators/evacuation/judgeRise';
import { RISE_WORDS } from '../src/core/calculators/evacuation/lookAt';
import { type KindCount, confusionTable, countByKind, total } from '../src/core/testkit/confusion';
import { idealShares } from '../src/core/testkit/idealObserver';
import { seeded } from '../src/core/testkit/seeded';
import { toldOf, toldOfSeeds } from '../src/core/testkit/vacuumTold';
import { TRUTHS, type TruthKind, madeRise } from '../src/core/testkit/vacuumTruths';
import { type Comparison, compare } from './measure';

const READINGS = 10_000;
const RUNS = 7;

export async function benchRise(): Promise<Comparison[]> {
  const roll = seeded(5);
  const readings = Array.from({ length: READINGS }, (_, at) => ({
    at,
    pressure: 45 + 60 * (1 - Math.exp(-at / 700)) + roll() - 0.5,
  }));
  return [
    await compare(
      `verdict on ${READINGS.toLocaleString('en')} readings, eight explanations`,
      'the exponentials of a hundred curves through them',
      {
        subject: () => {
          if (!judgeRise({ readings }).ok) throw new Error('The curve was refused.');
        },
        baseline: () => {
          let sum = 0;
          for (let curve = 1; curve <= 100; curve += 1)
            for (const { at } of readings) sum += Math.exp(-at / (10 * curve));
          if (sum < 0) throw new Error('Exponentials are not negative.');
        },
        perRun: READINGS,
        unit: 'readings/s',
        runs: RUNS,
        warmUp: 2,
      },
    ),
  ];
}

/** What the readings let say to one who knows the lot: kinds that no reading parts count together, as the words do. */
const GROUPS: readonly (readonly TruthKind[])[] = [
  ['flat'],
  ['moist', 'oil'],
  ['leak', 'valve'],
  ['both'],
  ['falling'],
];

interface Leaning {
  share: number;
  right: boolean;
}

function idealLeaning(seed: number): Leaning {
  const made = madeRise(seed);
  const shares = idealShares(made, seed + 7_000_000);
  const [share, kinds] = GROUPS.map(
    (group) => [group.reduce((sum, kind) => sum + shares[kind], 0), group] as const,
  ).reduce((a, b) => (b[0] > a[0] ? b : a));
  return { share, right: kinds.includes(made.truth.kind) };
}

/** How many the ideal observer is firm on where it is wrong as often as we are. */
function firmAtError(leanings: readonly Leaning[], error: number): number {
  const surest = [...leanings].sort((a, b) => b.share - a.share);
  let wrong = 0;
  let firm = 0;
  surest.forEach(({ right }, place) => {
    wrong += Number(!right);
    if (wrong <= error * (place + 1)) firm = place + 1;
  });
  return firm;
}

/** 800 rises a seed; beside the first 200 of each the ideal observer, who takes half a second for one. */
export function printRises(firstSeeds: readonly number[], count = 800, ideal = 200): void {
  const told = firstSeeds.flatMap((seed) => toldOfSeeds(seed, count));
  console.log(`Vacuum: ${String(told.length)} made-up rises; rows are, columns said and firm:`);
  console.log(confusionTable(told, RISE_WORDS));
  const counts = countByKind(told);
  for (const kind of TRUTHS) console.log(`${kind.padEnd(8)} ${countWords(counts.get(kind))}`);
  console.log(`in all   ${countWords(total(counts.values()))}`);
  const beside = firstSeeds.flatMap((seed) => Array.from({ length: ideal }, (_, i) => seed + i));
  const ours = total(countByKind(beside.flatMap((seed) => toldOf(madeRise(seed)) ?? [])).values());
  const firm = firmAtError(beside.map(idealLeaning), ours.wrong / Math.max(1, ours.firm));
  console.log(
    `beside an ideal observer, ${String(beside.length)} of them: firm ${String(ours.firm)}, it ${String(firm)} at the same error\n`,
  );
}

export const countWords = (count: KindCount | undefined): string =>
  count === undefined
    ? 'not met'
    : `met ${String(count.met)}, firm ${String(count.firm)} (${((100 * count.firm) / count.met).toFixed(0)} %), wrong ${String(count.wrong)} (${((100 * count.wrong) / Math.max(1, count.firm)).toFixed(1)} % of the firm)`;
