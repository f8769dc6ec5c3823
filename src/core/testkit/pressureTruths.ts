/**
 * Made-up pressure tests for tests and the bench: nitrogen in a section whose gas cools or warms, that leaks or not, and takes
 * the temperature of the pipes at first or not; read by a gauge with a last digit and a thermometer that is a little off.
 * Shares nothing with the verdicts but the standing time, which it is to be held to. s, Pa, K.
 */
import { judgePressureTest, standingSeconds } from '../calculators/pressureTest';
import { readingDoubt } from '../calculators/pressureTestTail';
import type { Report } from './confusion';
import { rollOf } from './seeded';

export const HELD = ['tight', 'leak', 'settling', 'settlingAndLeak'] as const;
export type HeldKind = (typeof HELD)[number];

const RIGHT: Record<HeldKind, readonly string[]> = {
  tight: ['holding', 'settled'],
  leak: ['losing'],
  settling: ['holding', 'settled'],
  settlingAndLeak: ['losing'],
};

/** What is said of one made-up test: leaks are of the size that matters or up to five times that. */
export function heldOf(seed: number): Report {
  const { uniform, between, logBetween, bell } = rollOf(seed);
  const kind = HELD[Math.floor(uniform() * HELD.length)] ?? 'tight';
  const start = logBetween(5, 28) * 1e5;
  const gauge = { resolution: logBetween(500, 7000), temperatureDoubt: between(0.2, 1.5) };
  const first = between(278, 305);
  const doubt = readingDoubt({ at: 0, pressure: start, temperature: first }, 1, gauge);
  // What matters shows within ten minutes to two days; one stands from a third of that to three times as long.
  const matters = doubt / logBetween(600, 40_000);
  const stood = standingSeconds(doubt, matters) * logBetween(0.33, 3);
  const leak = kind === 'leak' || kind === 'settlingAndLeak' ? matters * logBetween(1, 5) : 0;
  const settles = kind === 'settling' || kind === 'settlingAndLeak';
  const fall = settles ? start * logBetween(0.004, 0.04) : 0;
  const time = logBetween(120, 900);
  const weather = between(-12, 8);
  const count = 3 + Math.floor(uniform() * 10);
  const readings = Array.from({ length: count }, (_, i) => {
    // Read oftener at first, as people do.
    const at = stood * (i / (count - 1)) ** 1.5;
    const gas = first + weather * Math.sin((Math.PI * at) / (2 * stood));
    const there = ((start - fall * (1 - Math.exp(-at / time)) - leak * at) * gas) / first;
    const pressure = Math.round(there / gauge.resolution) * gauge.resolution;
    return { at, pressure, temperature: gas + (gauge.temperatureDoubt / 2) * bell() };
  });
  const outcome = judgePressureTest({
    readings,
    changedShare: 1,
    gauge,
    limits: { design: null, working: null },
    matters,
  });
  if (!outcome.ok) throw new Error('A made-up test was refused.');
  const { word, firm } = outcome.value.value;
  return { kind, word, firm, right: RIGHT[kind].includes(word) };
}
