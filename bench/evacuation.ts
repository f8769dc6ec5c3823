/** Fitting the rise of a vacuum: 10,000 readings, and how often the verdict is right on made-up gauges. */
import { type RiseJudged, judgeRise } from '../src/core/bench/evacuation/judgeRise';
import { TICKS } from '../src/core/bench/evacuation/rise';
import { CURVE_KINDS, type CurveKind, dice, vacuumCurve } from '../src/core/testkit/vacuumCurves';
import { type Comparison, compare } from './measure';

const READINGS = 10_000;
const RUNS = 7;

export async function benchRise(): Promise<Comparison[]> {
  const roll = dice(5);
  const readings = Array.from({ length: READINGS }, (_, at) => ({
    at,
    pressure: 45 + 0.01 * at + 60 * (1 - Math.exp(-at / 700)) + roll() - 0.5,
  }));
  return [
    await compare(
      `verdict on ${READINGS.toLocaleString('en')} readings, four explanations`,
      `the exponentials of its ${String(TICKS)} fits alone`,
      {
        subject: () => {
          if (!judgeRise({ readings, resolution: 0.13 }).ok) throw new Error('The curve was refused.');
        },
        baseline: () => {
          let sum = 0;
          for (let fit = 1; fit <= TICKS; fit += 1)
            for (const { at } of readings) sum += Math.exp(-at / (10 * fit));
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

const KIND_OF: Record<RiseJudged['rise'], CurveKind> = {
  flat: 'flat',
  levelling: 'moist',
  climbing: 'leaking',
  both: 'both',
};

/** What 300 made-up gauges are, against what the verdict says of them. */
export function confusionTable(firstSeed: number, count = 300): string {
  const cells = new Map<string, number>();
  let sure = 0;
  let right = 0;
  for (let seed = firstSeed; seed < firstSeed + count; seed += 1) {
    const made = vacuumCurve(seed);
    const judged = judgeRise(made);
    if (!judged.ok) continue;
    const said = KIND_OF[judged.value.value.rise];
    const column = judged.value.value.sure ? said : 'unsure';
    cells.set(`${made.kind} ${column}`, (cells.get(`${made.kind} ${column}`) ?? 0) + 1);
    if (judged.value.value.sure) {
      sure += 1;
      if (said === made.kind) right += 1;
    }
  }
  const columns = [...CURVE_KINDS, 'unsure'] as const;
  const rows = CURVE_KINDS.map((kind) =>
    [
      kind.padEnd(9),
      ...columns.map((column) => String(cells.get(`${kind} ${column}`) ?? 0).padStart(9)),
    ].join(''),
  );
  return [
    `Vacuum verdicts on ${String(count)} made-up gauges (seeds from ${String(firstSeed)}); rows are, columns said:`,
    ['         ', ...columns.map((column) => column.padStart(9))].join(''),
    ...rows,
    `sure of ${String(sure)}, right in ${String(right)} of them (${((100 * right) / sure).toFixed(1)} %)`,
  ].join('\n');
}
