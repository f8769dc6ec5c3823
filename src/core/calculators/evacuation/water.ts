/**
 * Boiling point of water at a vacuum: the saturation line of ice below 273.16 K (IAPWS 2011, sublimation pressure) and
 * of water above it (IAPWS 1992, saturation properties). K and Pa absolute.
 */
import type { Kelvins, Pascals } from '../../quantity/si';
import { type Outcome, calculated, figure, outOfRange } from '../calculated';

const TRIPLE_K = 273.16;
const TRIPLE_PA = 611.657;
const CRITICAL_K = 647.096;
const CRITICAL_PA = 22_064_000;
const ICE = [
  [-21.2144006, 0.00333333333],
  [27.3203819, 1.20666667],
  [-6.1059813, 1.70333333],
] as const;
const LIQUID = [
  [-7.85951783, 1],
  [1.84408259, 1.5],
  [-11.7866497, 3],
  [22.6807411, 3.5],
  [-15.9618719, 4],
  [1.80122502, 7.5],
] as const;

/** Colder than any machine's low side gets while it is evacuated, to boiling at sea level. */
const COLDEST_K = 173.15;
const HOTTEST_K = 373.15;

/** Pa over ice or water at a temperature in K between 173.15 and 373.15. */
export function waterPressure(temperature: Kelvins): number {
  if (temperature < TRIPLE_K) {
    const reduced = temperature / TRIPLE_K;
    const sum = ICE.reduce((total, [factor, power]) => total + factor * reduced ** power, 0);
    return TRIPLE_PA * Math.exp(sum / reduced);
  }
  const distance = 1 - temperature / CRITICAL_K;
  const sum = LIQUID.reduce((total, [factor, power]) => total + factor * distance ** power, 0);
  return CRITICAL_PA * Math.exp((CRITICAL_K / temperature) * sum);
}

export interface WaterBoils {
  /** K */
  temperature: Kelvins;
  overIce: boolean;
  /** the coldest part lies below it, so water or ice there stays; null where nobody measured it */
  cannotDry: boolean | null;
}

/** K at which water or ice boils off at a pressure in Pa. 500 microns: near −24 °C over ice; 5,000: near 1.2 °C. */
export function waterBoils(pressure: Pascals, coldest: number | null): Outcome<WaterBoils> {
  const bad = outOfRange('vacuum', 'vacuum', pressure, waterPressure(COLDEST_K), waterPressure(HOTTEST_K));
  if (bad) return bad;
  let low = COLDEST_K;
  let high = HOTTEST_K;
  while (high - low > 1e-9) {
    const middle = (low + high) / 2;
    if (waterPressure(middle) < pressure) low = middle;
    else high = middle;
  }
  const value = {
    temperature: low,
    overIce: low < TRIPLE_K,
    cannotDry: coldest === null ? null : coldest < low,
  };
  return calculated(value, {
    formula: 'the temperature at which the saturation pressure of ice or water is the reading',
    figures: [
      figure('vacuum', 'vacuum', pressure),
      figure('water boils at', 'temperature', low),
      ...(coldest === null ? [] : [figure('coldest part', 'temperature', coldest)]),
    ],
    source: 'IAPWS: sublimation pressure of ice (2011), saturation pressure of water (1992)',
    validity: 'Pure water or ice at the coldest part; water dissolved in oil is held back longer.',
  });
}
