/** Forecast of a fleet: 20,000 machines, 200 draws each, against drawing the random numbers alone. */
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { type LeakingMachine, forecastFleet } from '../src/core/judge/forecast';
import { dice } from '../src/core/testkit/vacuumCurves';
import { type Comparison, compare } from './measure';

const MACHINES = 20_000;
const DRAWS = 200;

export async function benchForecast(): Promise<Comparison[]> {
  const roll = dice(9);
  const machines = Array.from({ length: MACHINES }, (_, index): LeakingMachine => {
    const fullCharge = 5 + 300 * roll();
    return {
      fullCharge,
      missing: 0,
      rate: (fullCharge * (0.02 + 0.5 * roll())) / 365,
      spread: 0.1 + roll(),
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
