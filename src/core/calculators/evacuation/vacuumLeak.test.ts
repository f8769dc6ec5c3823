/** What a climb under vacuum is as gas a year: by hand, and there and back. */
import { expect, test } from 'vitest';
import { loadSaturation } from '../../refrigerant/tables';
import { ATMOSPHERE, microns } from '../../testkit/bench';
import { restPressure } from '../atWork';
import { slopeOf, widest, yearlyLoss } from './vacuumLeak';

const r404a = await loadSaturation('R-404A');
const circuit = { table: r404a, volume: 0.02, working: ATMOSPHERE + 9e5, atmosphere: ATMOSPHERE };

test('5 microns a minute in 20 L of R-404A at 9 bar: 1.5 kg a year if molecular, 41 kg if laminar', () => {
  const { low, high } = yearlyLoss(circuit, microns(5) / 60);
  // q = 0.02 × 5 × 0.1333223684 ÷ 60 = 2.2220e-4 Pa·m³/s of air; pressure ratio 9.8823.
  // laminar: × (9.8823² − 1) × 18.2 ÷ 12 = × 146.60; molecular: × 9.8823 × √(0.0289652 ÷ 0.0976038) = × 5.3834.
  const perYear = (q: number) => ((q * 0.0976038) / (8.314462618 * 293.15)) * 365 * 86_400;
  expect(low).toBeCloseTo(perYear(2.222039e-4 * 5.3834), 2);
  expect(high).toBeCloseTo(perYear(2.222039e-4 * 146.6), 1);
  expect(high / low).toBeGreaterThan(25);
});

test('there and back: the slope of what could be lost is the slope', () => {
  const slope = microns(3) / 60;
  const { low, high } = yearlyLoss(circuit, slope);
  expect(slopeOf(circuit, low).high).toBeCloseTo(slope, 12);
  expect(slopeOf(circuit, high).low).toBeCloseTo(slope, 12);
});

test('without a pressure it is what the gas stands at, at rest at 20 °C', () => {
  // Dew pressure of R-404A at 20 °C, published: 10.84 bar.
  expect(restPressure(r404a) / 1e5).toBeCloseTo(10.84, 1);
  expect(yearlyLoss({ ...circuit, working: null }, 1)).toEqual(
    yearlyLoss({ ...circuit, working: restPressure(r404a) }, 1),
  );
});

test('where nobody named the gas: from the least to the most', () => {
  expect(
    widest([
      { low: 2, high: 9 },
      { low: 1, high: 5 },
    ]),
  ).toEqual({ low: 1, high: 9 });
});
