/** The saturation curve with the states that were read on it, in the units of the bench. */
import {
  type SaturationTable,
  hasGlide,
  saturationPressure,
  temperatureRange,
} from '../../../core/refrigerant/saturation';
import { bareFigure, readIn } from '../../../words/measures';
import { useBench } from '../setting';
import { LazyCurves } from './LazyCurves';
import type { Point } from './Curves';

export interface State {
  name: string;
  /** K, Pa absolute */
  temperature: number;
  pressure: number;
  /** liquid lies left of its curve, vapour right of it: the name stands on that side */
  side: 'left' | 'right';
}

const AROUND_K = 30;
const STEPS = 60;

export function SaturationCurve({ table, states }: { table: SaturationTable; states: readonly State[] }) {
  const { system, atmosphere } = useBench();
  const temperatureUnit = readIn('temperature', system);
  const pressureUnit = readIn('pressure', system);
  const range = temperatureRange(table);
  const temperatures = states.map((each) => each.temperature);
  const from = Math.max(range.from, Math.min(...temperatures) - AROUND_K);
  const to = Math.min(range.to, Math.max(...temperatures) + AROUND_K);
  const place = (temperature: number, pressure: number): Point => ({
    x: bareFigure('temperature', temperature, temperatureUnit),
    y: bareFigure('pressure', pressure, pressureUnit, atmosphere),
  });
  const line = (which: 'bubble' | 'dew'): Point[] =>
    Array.from({ length: STEPS + 1 }, (_, i) => from + ((to - from) * i) / STEPS).flatMap((temperature) => {
      const pressure = saturationPressure(table, which, temperature);
      return pressure.ok ? [place(temperature, pressure.value)] : [];
    });
  return (
    <LazyCurves
      label={`${table.name}: saturation`}
      x={{ name: 'Temperature', unit: temperatureUnit }}
      y={{ name: 'Pressure', unit: pressureUnit }}
      curves={
        hasGlide(table)
          ? [
              { name: 'bubble: liquid, for subcooling', points: line('bubble'), look: 'main' },
              { name: 'dew: vapour, for superheat', points: line('dew'), look: 'second' },
            ]
          : [{ name: 'saturation', points: line('bubble'), look: 'main' }]
      }
      marks={states.map((each) => ({
        name: each.name,
        side: each.side,
        ...place(each.temperature, each.pressure),
      }))}
    />
  );
}
