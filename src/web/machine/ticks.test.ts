import { describe, expect, test } from 'vitest';
import { roundTicks } from './ticks';

describe('ticks of an axis', () => {
  test.each([
    [-3.3, 40, [0, 10, 20, 30, 40]],
    [-120, 640, [0, 200, 400, 600]],
    [0, 0.07, [0, 0.02, 0.04, 0.06]],
    [-0.4, 0.3, [-0.4, -0.2, 0, 0.2]],
    [0, 132, [0, 50, 100]],
  ])('from %s to %s stand at %j', (least, most, ticks) => {
    expect(roundTicks(least, most)).toEqual(ticks);
  });
  test('are few, round and hold the zero, whatever the range', () => {
    for (let most = 0.013; most < 5000; most *= 1.37)
      for (const share of [0, 0.2, 1]) {
        const ticks = roundTicks(-most * share, most);
        expect(ticks).toContain(0);
        expect(ticks.length).toBeGreaterThan(1);
        expect(ticks.length).toBeLessThan(7);
        for (const tick of ticks) expect(String(tick).replace(/[-.]|^0+/g, '').length).toBeLessThan(7);
      }
  });
  test('of nothing is zero alone', () => expect(roundTicks(0, 0)).toEqual([0]));
});
