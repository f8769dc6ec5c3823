/** Between the curve and the screen, there and back. */
import { describe, expect, test } from 'vitest';
import { roundFigures, scaleOf, pathOf, type ChartFrame } from './gripGeometry';
import { loadSaturation } from '../../../core/refrigerant/tables';

const FRAME: ChartFrame = { width: 340, height: 300, left: 50, right: 10, top: 10, bottom: 30 };

const tables = await Promise.all(
  (['R-134a', 'R-448A', 'R-744'] as const).map((name) => loadSaturation(name)),
);

describe.each(tables)('the curve of $name', (table) => {
  const scale = scaleOf(table, FRAME, 273.15);
  if (!scale) throw new Error('No scale.');
  test('stands within its frame, and a point of the screen is the state that it shows', () => {
    for (let step = 0; step <= 10; step += 1) {
      const kelvin = scale.from + ((scale.to - scale.from) * step) / 10;
      expect(scale.x(kelvin)).toBeGreaterThanOrEqual(FRAME.left - 1e-6);
      expect(scale.x(kelvin)).toBeLessThanOrEqual(FRAME.width - FRAME.right + 1e-6);
      expect(scale.kelvinAt(scale.x(kelvin))).toBeCloseTo(kelvin, 6);
    }
    for (let y = FRAME.top; y <= FRAME.height - FRAME.bottom; y += 20)
      expect(scale.y(scale.pascalAt(y))).toBeCloseTo(y, 6);
  });
  test('a finger beyond the frame stays at its edge', () => {
    expect(scale.kelvinAt(-100)).toBe(scale.from);
    expect(scale.kelvinAt(9999)).toBe(scale.to);
    expect(scale.pascalAt(-100)).toBeCloseTo(scale.most, 3);
  });
  test('is drawn from end to end', () => {
    expect(pathOf(table, 'bubble', scale).match(/L/g)?.length).toBeGreaterThan(70);
  });
});

test('round figures are those that lie between the ends', () => {
  expect(roundFigures([0, 10, 20, 30], (kelvin) => kelvin - 273.15, [275, 298])).toEqual([10, 20]);
});
