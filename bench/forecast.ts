/** Forecast of a fleet: 20,000 machines, 200 draws each, against drawing the random numbers alone. */
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { forecastFleet } from '../src/core/diagnosis/forecast';
import type { LeakingMachine } from '../src/core/diagnosis/leaking';
import { FLEETS, madeMachine } from '../src/core/testkit/leakingFleet';
import { seeded } from '../src/core/testkit/seeded';
import { type Comparison, compare } from './measure';

const MACHINES = 20_000;
const DRAWS = 200;

export async function benchForecast(): Promise<Comparison[]> {
  const roll = seeded(9);
  const machines = Array.from({ length: MACHINES }, (_, index): LeakingMachine => {
    const fullCharge = 5 + 300 * roll();
    return {
      fullCharge,
      fillings: Array.from({ length: 1 + (index % 5) }, () => ({
        days: 100 + Math.floor(600 * roll()),
        added: fullCharge * (0.02 + 0.2 * roll()),
        full: index % 3 === 0,
      })),
      startedFull: true,
      workingMinimum: 0.8,
      threshold: { percent: 20, method: index % 2 === 0 ? 'annualizing' : 'rolling' },
      daysSinceGas: Math.floor(300 * roll()),
      additions: [{ daysAgo: 310, mass: fullCharge * 0.1 * roll() }],
    };
  });
  return [
    await compare(
      `forecast of ${MACHINES.toLocaleString('en')} machines, ${String(DRAWS)} draws each`,
      'drawing its random numbers alone',
      {
        subject: () => void forecastFleet(machines, { draws: DRAWS, seed: 1, horizonDays: 1825 }),
        baseline: () => {
          const generator = xoroshiro128plus(1);
          let sum = 0;
          for (let draw = 0; draw < 2 * MACHINES * DRAWS; draw += 1) sum += uniformFloat64(generator);
          if (sum < 0) throw new Error('Uniform numbers are not negative.');
        },
        perRun: MACHINES,
        unit: 'machines/s',
        runs: 5,
        warmUp: 1,
      },
    ),
  ];
}

/** How often the eight in ten hold on fleets whose future is known. */
export function printForecasts(machines = 2000): void {
  for (const kind of FLEETS) {
    const made = Array.from({ length: machines }, (_, i) => madeMachine(kind, i + 1));
    const held = forecastFleet(
      made.map(({ machine }) => machine),
      { draws: DRAWS, seed: 1, horizonDays: 1e9 },
    ).filter(({ short }, i) => {
      const truth = made[i]?.short ?? NaN;
      return truth >= (short.early ?? Infinity) && truth <= (short.late ?? Infinity);
    }).length;
    console.log(
      `forecast, a fleet that is ${kind}: eight in ten hold in ${((100 * held) / machines).toFixed(0)} %`,
    );
  }
  console.log('');
}
