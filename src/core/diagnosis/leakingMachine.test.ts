/** From a logbook to the ground of a forecast: intervals counted by hand on the calendar. */
import { describe, expect, test } from 'vitest';
import { gas, note, standing, topOff } from '../testkit/facts';
import { rateOf } from './leaking';
import { leakingMachine } from './leakingMachine';

const POUND = 0.45359237;
const machineOf = (...given: Parameters<typeof standing>) => {
  const found = leakingMachine(standing(...given));
  if (!found.ok) throw new Error(found.why);
  return found.machine;
};

describe('a machine of 100 lb filled on 1 March 2025 and topped off twice', () => {
  const story = [gas('2025-03-01'), topOff('2025-09-17', 10), topOff('2026-04-05', 6)];

  test('16 lb in 400 days, the last 232 days ago', () => {
    // 1 March to 17 September 2025: 200 days; to 5 April 2026: 200 days; to 23 November 2026: 232 days.
    const found = machineOf(story, '2026-11-23');
    expect(rateOf(found) / POUND).toBeCloseTo(16 / 400, 9);
    expect(found.fillings.map(({ days, full }) => [days, full])).toEqual([
      [200, false],
      [200, false],
    ]);
    // Commissioned by weight: full. Whether a top-off was to full nobody said.
    expect(found.startedFull).toBe(true);
    expect(found.daysSinceGas).toBe(232);
    expect(found.fullCharge / POUND).toBeCloseTo(100, 6);
    expect(found.threshold).toEqual({ percent: 20, method: 'annualizing' });
    // Annualizing looks at no window.
    expect(found.additions).toEqual([]);
  });

  test('by the rolling average the additions of the last year stand in the window', () => {
    const found = machineOf(story, '2026-04-15', { method: 'rolling' });
    expect(found.additions.map((each) => [each.daysAgo, Math.round(each.mass / POUND)])).toEqual([
      [210, 10],
      [10, 6],
    ]);
  });

  test('years between installation and commissioning are no interval', () => {
    const found = machineOf(story, '2026-11-23', { appliance: { installedOn: '2020-03-01' } });
    expect(rateOf(found) / POUND).toBeCloseTo(16 / 400, 8);
  });

  test('a day that nobody weighed makes no interval, and the next begins anew', () => {
    const found = machineOf(
      [gas('2025-03-01'), topOff('2025-09-17', 10), topOff('2026-04-05', null)],
      '2026-11-23',
    );
    expect(rateOf(found) / POUND).toBeCloseTo(10 / 200, 9);
    const later = machineOf(
      [gas('2025-03-01'), topOff('2025-09-17', null), topOff('2026-04-05', 6)],
      '2026-11-23',
    );
    expect(later.fillings.map(({ days }) => days)).toEqual([200]);
    expect(later.startedFull).toBe(false);
  });

  test('only the last six fillings count', () => {
    const early = Array.from({ length: 5 }, (_, i) => topOff(`2020-0${String(i + 2)}-01`, 50));
    const late = Array.from({ length: 6 }, (_, i) => topOff(`2021-0${String(i + 1)}-01`, 1));
    const found = machineOf([gas('2020-01-01'), ...early, ...late], '2021-08-01');
    // From 1 June 2020 to 1 June 2021: 365 days, 6 lb.
    expect(rateOf(found) / POUND).toBeCloseTo(6 / 365, 8);
  });

  test('intervals are as long as they were', () => {
    const found = machineOf(
      [gas('2020-01-01'), topOff('2023-01-01', 6), topOff('2026-01-01', 6)],
      '2026-02-01',
    );
    // 1,096 days each.
    expect(found.fillings.map(({ days }) => days)).toEqual([1096, 1096]);
  });
});

test.each([
  ['without a full charge', [gas('2025-03-01'), topOff('2025-09-17', 10)], { pounds: null }, 'noFullCharge'],
  ['retired', [gas('2025-03-01'), topOff('2025-09-17', 10), note('retired', '2026-01-01')], {}, 'retired'],
  ['never topped off', [gas('2025-03-01')], {}, 'noIntervals'],
  ['without any gas', [], {}, 'noIntervals'],
] as const)('%s there is no forecast, and it says why', (_, story, scene, why) => {
  expect(leakingMachine(standing([...story], '2026-11-23', scene))).toEqual({ ok: false, why });
});
