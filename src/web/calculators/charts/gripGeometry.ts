/**
 * Between the saturation curve and the screen: temperature across, pressure up on a scale of equal shares, so that the
 * curve is nearly a straight line that a thumb can follow. K and Pa absolute; pixels of the drawing.
 */
import {
  type SaturationTable,
  saturationPressure,
  temperatureRange,
} from '../../../core/refrigerant/saturation';
import { bareFigure } from '../../../words/measures';

export interface ChartFrame {
  width: number;
  height: number;
  left: number;
  right: number;
  top: number;
  bottom: number;
}

export interface Scale {
  from: number;
  to: number;
  least: number;
  most: number;
  x: (kelvin: number) => number;
  y: (pascal: number) => number;
  kelvinAt: (x: number) => number;
  pascalAt: (y: number) => number;
}

/** What people work at: from a deep freezer to a hot condenser, as far as the table reaches. */
const COLDEST_K = 228.15;
const HOTTEST_K = 343.15;
/** room at both ends of the pressures, as shares of the whole */
const ROOM = 0.08;

/** `include`: K, a state that was typed; one beyond the usual range widens it. Null where the table has no such range. */
export function scaleOf(table: SaturationTable, frame: ChartFrame, include: number): Scale | null {
  const range = temperatureRange(table);
  const from = Math.max(range.from, Math.min(COLDEST_K, include));
  const to = Math.min(range.to, Math.max(HOTTEST_K, include));
  const low = saturationPressure(table, 'dew', from);
  const high = saturationPressure(table, 'bubble', to);
  if (!low.ok || !high.ok || to <= from) return null;
  const span = Math.log(high.value) - Math.log(low.value);
  const least = Math.exp(Math.log(low.value) - span * ROOM);
  const most = Math.exp(Math.log(high.value) + span * ROOM);
  const across = frame.width - frame.left - frame.right;
  const up = frame.height - frame.top - frame.bottom;
  const share = (pascal: number) => (Math.log(pascal) - Math.log(least)) / (Math.log(most) - Math.log(least));
  return {
    from,
    to,
    least,
    most,
    x: (kelvin) => frame.left + ((kelvin - from) / (to - from)) * across,
    y: (pascal) => frame.height - frame.bottom - share(pascal) * up,
    kelvinAt: (x) => Math.min(to, Math.max(from, from + ((x - frame.left) / across) * (to - from))),
    pascalAt: (y) => {
      const at = Math.min(1, Math.max(0, (frame.height - frame.bottom - y) / up));
      return Math.exp(Math.log(least) + at * (Math.log(most) - Math.log(least)));
    },
  };
}

const STEPS = 80;

/** The curve as an SVG path. */
export function pathOf(table: SaturationTable, which: 'bubble' | 'dew', scale: Scale): string {
  const points = Array.from({ length: STEPS + 1 }, (_, index) => {
    const kelvin = scale.from + ((scale.to - scale.from) * index) / STEPS;
    const pressure = saturationPressure(table, which, kelvin);
    return pressure.ok ? `${scale.x(kelvin).toFixed(1)} ${scale.y(pressure.value).toFixed(1)}` : null;
  }).filter((point) => point !== null);
  return `M${points.join('L')}`;
}

/** Round figures of a unit between two SI values. */
export function roundFigures(
  candidates: readonly number[],
  toBare: (si: number) => number,
  [least, most]: readonly [number, number],
): number[] {
  return candidates.filter((figure) => figure >= toBare(least) && figure <= toBare(most));
}

export const TEMPERATURE_FIGURES: Record<'us' | 'metric', readonly number[]> = {
  us: [-40, -20, 0, 20, 40, 60, 80, 100, 120, 140],
  metric: [-40, -30, -20, -10, 0, 10, 20, 30, 40, 50, 60, 70],
};
export const PRESSURE_FIGURES: Record<'us' | 'metric', readonly number[]> = {
  us: [0, 10, 25, 50, 100, 200, 350, 600, 1000],
  metric: [0, 1, 2, 5, 10, 20, 40, 80],
};

export const bareOf =
  (dimension: 'temperature' | 'pressure', unit: string, atmosphere: number) =>
  (si: number): number =>
    bareFigure(dimension, si, unit, atmosphere);
