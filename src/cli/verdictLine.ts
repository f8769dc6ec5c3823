/** One line of the verdict command: a vacuum or a pressure test as JSON, and its verdict, or what is wrong with it. */
import { z } from 'zod';
import { SHARE_THAT_MATTERS, restPressure } from '../core/calculators/atWork';
import { gasesOf } from '../core/calculators/lossAsGas';
import { judgePressureTest } from '../core/calculators/pressureTest';
import { judgeRise } from '../core/calculators/evacuation/judgeRise';
import { type LeakingCircuit, slopeOf, widest, yearlyLoss } from '../core/calculators/evacuation/vacuumLeak';
import { SEA_LEVEL_PA } from '../core/quantity/atmosphere';
import { MICRON, LITRE, ZERO_CELSIUS } from '../core/quantity/units';
import { TEST_GASES } from '../core/logbook/entry';
import { problemText, problemsOf } from '../core/logbook/problems';
import { REFRIGERANT_NAMES } from '../core/refrigerant/refrigerant';
import { loadSaturation } from '../core/refrigerant/tables';
import { jsonOf } from './lines';

const HOUR_S = 3600;

const seconds = z.number().min(0);
const positive = z.number().positive();
const machine = {
  volumeL: positive.optional(),
  fullChargeGrams: positive.optional(),
  refrigerant: z.enum(REFRIGERANT_NAMES as [string, ...string[]]).optional(),
};
const vacuumTest = z.strictObject({
  test: z.literal('vacuum'),
  /** s since the pump was valved off, Pa absolute */
  readings: z.array(z.tuple([seconds, z.number().min(0)])).min(2),
  ...machine,
});
const pressureTest = z.strictObject({
  test: z.literal('pressure'),
  /** s, Pa absolute, °C of the gas where it was read */
  readings: z
    .array(
      z.union([z.tuple([seconds, positive, z.number().min(-100).max(200)]), z.tuple([seconds, positive])]),
    )
    .min(2),
  testGas: z.enum(TEST_GASES).default('nitrogen'),
  leakGramsPerYear: positive.optional(),
  resolutionPa: positive.optional(),
  ...machine,
});
const verdictTest = z.discriminatedUnion('test', [vacuumTest, pressureTest]);

type Bounds = [low: number, high: number];

export interface VacuumAnswer {
  word: string;
  firm: boolean;
  leakMicronsPerMinute: Bounds;
  hiddenGramsPerYear: Bounds | null;
  neededS: number | null;
  jumps: number[];
}
export interface PressureAnswer {
  word: string;
  firm: boolean;
  lossPaPerHour: Bounds;
  hiddenGramsPerYear: Bounds | null;
  neededS: number | null;
}

export async function verdictLine(line: string): Promise<VacuumAnswer | PressureAnswer | { error: string }> {
  const text = jsonOf(line);
  if ('error' in text) return text;
  const read = verdictTest.safeParse(text.json);
  if (!read.success) return { error: problemsOf(read.error).map(problemText).join(' ') };
  return read.data.test === 'vacuum' ? vacuumAnswer(read.data) : pressureAnswer(read.data);
}

/** Six digits tell more than any gauge; a float's dust is nobody's figure. */
const rounded = (value: number): number => Number(value.toPrecision(6));
const bounds = ({ low, high }: { low: number; high: number }): Bounds => [rounded(low), rounded(high)];

async function circuitsOf({ volumeL, refrigerant }: z.infer<typeof vacuumTest>): Promise<LeakingCircuit[]> {
  if (volumeL === undefined) return [];
  const names = refrigerant === undefined ? REFRIGERANT_NAMES : [refrigerant];
  const circuits = await Promise.all(
    names.map(async (name) => ({
      table: await loadSaturation(name),
      volume: volumeL * LITRE,
      working: null,
      atmosphere: SEA_LEVEL_PA,
    })),
  );
  // Nobody named the gas: of those that lose at rest. A named one that stands below the atmosphere is told as it is.
  return refrigerant === undefined
    ? circuits.filter(({ table }) => restPressure(table) > SEA_LEVEL_PA)
    : circuits;
}

async function vacuumAnswer(test: z.infer<typeof vacuumTest>): Promise<VacuumAnswer | { error: string }> {
  const circuits = await circuitsOf(test);
  const yearly =
    test.fullChargeGrams === undefined ? null : (SHARE_THAT_MATTERS * test.fullChargeGrams) / 1000;
  const outcome = judgeRise({
    readings: test.readings.map(([at, pressure]) => ({ at, pressure })),
    matters:
      circuits.length > 0 && yearly !== null
        ? widest(circuits.map((circuit) => slopeOf(circuit, yearly))).low
        : null,
  });
  if (!outcome.ok) return { error: 'readings: two readings at different times at least, jumps left out.' };
  const { word, firm, leakRate, neededS, jumps } = outcome.value.value;
  const perMinute = { low: (leakRate.low / MICRON) * 60, high: (leakRate.high / MICRON) * 60 };
  const hidden = circuits.map((circuit) => yearlyLoss(circuit, leakRate.high));
  return {
    word,
    firm,
    leakMicronsPerMinute: bounds(perMinute),
    hiddenGramsPerYear: hidden.length === 0 ? null : bounds(inGrams(widest(hidden))),
    neededS: neededS === null ? null : Math.ceil(neededS),
    jumps: jumps.map(({ at }) => at),
  };
}

const inGrams = ({ low, high }: { low: number; high: number }) => ({ low: low * 1000, high: high * 1000 });

async function pressureAnswer(
  test: z.infer<typeof pressureTest>,
): Promise<PressureAnswer | { error: string }> {
  const readings = test.readings
    .map(([at, pressure, celsius]) => ({
      at,
      pressure,
      temperature: celsius === undefined ? null : celsius + ZERO_CELSIUS,
    }))
    .sort((a, b) => a.at - b.at);
  const start = readings[0]?.pressure ?? 0;
  const table = test.refrigerant === undefined ? null : await loadSaturation(test.refrigerant);
  if (test.testGas === 'refrigerant' && table === null)
    return { error: 'refrigerant: name the gas that the section stands under.' };
  const gases =
    test.volumeL === undefined
      ? null
      : gasesOf({
          testGas: test.testGas,
          table,
          volume: test.volumeL * LITRE,
          test: start,
          atmosphere: SEA_LEVEL_PA,
        });
  const yearly =
    test.leakGramsPerYear ??
    (test.fullChargeGrams === undefined ? null : SHARE_THAT_MATTERS * test.fullChargeGrams);
  const outcome = judgePressureTest({
    readings,
    changedShare: 1,
    gauge: { resolution: test.resolutionPa ?? USUAL_DIGIT, temperatureDoubt: TEMPERATURE_DOUBT_K },
    limits: { design: null, working: null },
    matters: gases && yearly !== null ? gases.fallOf(yearly / 1000) : null,
  });
  if (!outcome.ok) return { error: 'readings: two readings at different times at least.' };
  const { word, firm, tail, neededS } = outcome.value.value;
  const hidden = gases && gases.yearlyOf(Math.max(0, tail.loss.high));
  return {
    word,
    firm,
    lossPaPerHour: bounds({ low: tail.loss.low * HOUR_S, high: tail.loss.high * HOUR_S }),
    hiddenGramsPerYear: hidden && bounds(inGrams(hidden)),
    neededS: firm || neededS === null ? null : Math.ceil(neededS),
  };
}

/** A hundredth of a bar, and half a kelvin either way: what a digital set of gauges tells. */
const USUAL_DIGIT = 1000;
const TEMPERATURE_DOUBT_K = 0.5;
