/** The verdict command: its contract line by line, and once as an engineer runs it. */
import { spawnSync } from 'node:child_process';
import { describe, expect, test } from 'vitest';
import { type PressureAnswer, type VacuumAnswer, verdictLine } from './verdictLine';

const MICRON = 0.1333223684;
const line = (test: object) => JSON.stringify(test);
const vacuum = async (rest: object) => (await verdictLine(line({ test: 'vacuum', ...rest }))) as VacuumAnswer;
const pressure = async (rest: object) =>
  (await verdictLine(line({ test: 'pressure', ...rest }))) as PressureAnswer;
const every = (seconds: number, count: number, pascals: (s: number) => number) =>
  Array.from({ length: count }, (_, i) => [i * seconds, pascals(i * seconds)]);
/** An unrest of a hundredth, written down. */
const unrest = (s: number) => 1 + 0.01 * Math.sin(s * 1.7) + 0.006 * Math.sin(s * 0.61 + 2);

describe('vacuum', () => {
  test('a straight climb: firm, its bounds in microns a minute, as gas a year with a volume', async () => {
    const readings = every(10, 121, (s) => (300 + (100 * s) / 60) * MICRON * unrest(s));
    const found = await vacuum({ readings, volumeL: 20, fullChargeGrams: 6800, refrigerant: 'R-404A' });
    expect(found).toMatchObject({ word: 'climbing', firm: true, neededS: null, jumps: [] });
    const [low, high] = found.leakMicronsPerMinute;
    expect(low).toBeLessThan(100);
    expect(high).toBeGreaterThan(100);
    const [least, most] = found.hiddenGramsPerYear ?? [0, 0];
    expect(most / least).toBeGreaterThan(20);
  });
  test('without a volume nothing is said of grams; flat says what could hide', async () => {
    const found = await vacuum({ readings: every(10, 91, (s) => 400 * MICRON * unrest(s)) });
    expect(found).toMatchObject({ word: 'flat', firm: true, hiddenGramsPerYear: null });
    expect(found.leakMicronsPerMinute[0]).toBe(0);
    expect(found.leakMicronsPerMinute[1]).toBeGreaterThan(0);
  });
  test('a volume without a named gas: from the least to the most that any would lose', async () => {
    const readings = every(10, 91, (s) => 400 * MICRON * unrest(s));
    const any = await vacuum({ readings, volumeL: 20 });
    const named = await vacuum({ readings, volumeL: 20, refrigerant: 'R-404A' });
    expect(any.hiddenGramsPerYear?.[0]).toBeLessThanOrEqual(named.hiddenGramsPerYear?.[0] ?? 0);
    expect(any.hiddenGramsPerYear?.[1]).toBeGreaterThanOrEqual(named.hiddenGramsPerYear?.[1] ?? 0);
  });
  test('still falling, stuck, or short: not isolated, gauge, and how long to watch', async () => {
    expect((await vacuum({ readings: every(20, 31, (s) => 20 + 44 * Math.exp(-s / 200)) })).word).toBe(
      'notIsolated',
    );
    expect((await vacuum({ readings: every(20, 31, () => 0) })).word).toBe('gauge');
    const short = await vacuum({
      readings: [
        [0, 40.1],
        [10, 41.3],
      ],
    });
    expect(short.firm).toBe(false);
  });
  test('the spike of a valve is named by its second', async () => {
    const readings = every(5, 121, (s) => (s === 300 ? 220 : 55) * unrest(s));
    expect((await vacuum({ readings })).jumps).toEqual([300]);
  });
});

describe('pressure', () => {
  const held = { testGas: 'nitrogen', volumeL: 40, leakGramsPerYear: 60, resolutionPa: 2000 };
  test('two hours at one figure cannot tell 60 g of nitrogen a year in 40 L, and say how long it takes', async () => {
    const found = await pressure({
      ...held,
      readings: [
        [0, 1_001_325, 20],
        [7200, 1_001_325, 20],
      ],
    });
    expect(found).toMatchObject({ word: 'cannotTell', firm: false });
    // 60 g a year in 40 L: 60e-3 ÷ 31,536,000 × 8.314462618 × 293.15 ÷ (0.0280134 × 0.04) = 4.1385e-3 Pa/s.
    // One reading: √((2000 ÷ √12)² + (1,001,325 × 0.5 ÷ 2 ÷ 293.15)²) = 1,030.6 Pa; 2 × 1.645 × √2 × 1,030.6 ÷ 4.1385e-3 s.
    expect((found.neededS ?? 0) / (1_158_600 - 7200)).toBeCloseTo(1, 2);
  });
  test('a fall that goes on is losing, and grams follow from volume and slope', async () => {
    const readings = [0, 1, 2, 3, 4, 5].map((i) => [600 * i, 1_001_325 - 20_000 * i, 20]);
    const found = await pressure({ ...held, readings });
    expect(found).toMatchObject({ word: 'losing', firm: true, neededS: null });
    const [low, high] = found.lossPaPerHour;
    expect(low).toBeLessThan(120_000);
    expect(high).toBeGreaterThan(120_000);
    const grams = (pascalsAnHour: number) =>
      ((0.04 * (pascalsAnHour / 3600) * 0.0280134) / (8.314462618 * 293.15)) * 31_536_000 * 1000;
    expect((found.hiddenGramsPerYear?.[1] ?? 0) / grams(high)).toBeCloseTo(1, 4);
  });
  test('a first fall that settles; and no size, no green word', async () => {
    const bars = [9, 8.76, 8.72, 8.72, 8.72];
    const readings = bars.map((bar, i) => [600 * i, 101_325 + bar * 1e5]);
    expect(await pressure({ readings })).toMatchObject({ word: 'settled', hiddenGramsPerYear: null });
    expect(
      (
        await pressure({
          readings: [
            [0, 1e6, 20],
            [60, 1e6, 20],
          ],
        })
      ).word,
    ).toBe('cannotTell');
  });
  test('with the gas of the machine, grams are a range at what it stands at', async () => {
    const found = await pressure({
      readings: [
        [0, 1_001_325, 20],
        [86_400, 1_001_325, 20],
      ],
      volumeL: 20,
      refrigerant: 'R-404A',
      fullChargeGrams: 6800,
    });
    const [low, high] = found.hiddenGramsPerYear ?? [0, 0];
    expect(low).toBeGreaterThan(0);
    expect(high).toBeGreaterThan(low);
  });
});

test.each([
  ['no JSON', 'x', '$: cannot be read as JSON'],
  ['an unknown test', line({ test: 'smell', readings: [] }), '$.test'],
  ['one reading', line({ test: 'vacuum', readings: [[0, 40]] }), '$.readings'],
  [
    'a field that nobody knows',
    line({
      test: 'vacuum',
      readings: [
        [0, 1],
        [1, 2],
      ],
      volume: 3,
    }),
    'volume',
  ],
  [
    'a gas that nobody knows',
    line({
      test: 'vacuum',
      readings: [
        [0, 1],
        [1, 2],
      ],
      refrigerant: 'R-9',
    }),
    '$.refrigerant',
  ],
  [
    'two readings at one time',
    line({
      test: 'vacuum',
      readings: [
        [5, 40],
        [5, 41],
      ],
    }),
    'different times',
  ],
  [
    'a test under a gas without its name',
    line({
      test: 'pressure',
      readings: [
        [0, 1e6],
        [9, 1e6],
      ],
      testGas: 'refrigerant',
    }),
    'refrigerant',
  ],
])('%s is answered with what is wrong', async (_, given, words) => {
  expect(((await verdictLine(given)) as { error: string }).error).toContain(words);
});

test('as run: one answer a line in order, exit 2 where one was bad, and its own help', () => {
  const run = (input: string, ...rest: string[]) =>
    spawnSync('npx', ['tsx', 'src/cli/verdict.ts', ...rest], { input, encoding: 'utf8' });
  const good = line({ test: 'vacuum', readings: every(20, 31, () => 0) });
  const { stdout, status } = run(`${good}\nx\n${good}\n`);
  const answers = stdout
    .trimEnd()
    .split('\n')
    .map((each) => Object.keys(JSON.parse(each) as object)[0]);
  expect(answers).toEqual(['word', 'error', 'word']);
  expect(status).toBe(2);
  expect(run('', '--help').stdout).toContain('npm run --silent verdict');
});
