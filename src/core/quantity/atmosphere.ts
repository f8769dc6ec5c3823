/**
 * Local atmospheric pressure. Gauges read the difference to it, so a site's altitude (metres above sea level)
 * moves every gauge reading. Standard atmosphere, lower layer: up to 11,000 m.
 */
import { type Result, ok, refused } from '../result';

/** Pa absolute at sea level, by definition of the standard atmosphere. */
export const SEA_LEVEL_PA = 101_325;

export const LOWEST_SITE_M = -500;
export const HIGHEST_SITE_M = 11_000;

export interface AltitudeRefusal {
  reason: 'altitudeOutside';
  givenM: number;
  fromM: number;
  toM: number;
}

/**
 * Pa absolute at an altitude in metres: 101325 × (1 − 2.25577e−5 h)^5.25588 (standard atmosphere).
 * 1,609.344 m (one mile) gives about 83.4 kPa. Refuses what lies outside −500 to 11,000 m.
 */
export function atmosphereAt(altitudeM: number): Result<number, AltitudeRefusal> {
  if (!(altitudeM >= LOWEST_SITE_M && altitudeM <= HIGHEST_SITE_M)) {
    return refused({
      reason: 'altitudeOutside',
      givenM: altitudeM,
      fromM: LOWEST_SITE_M,
      toM: HIGHEST_SITE_M,
    });
  }
  return ok(SEA_LEVEL_PA * (1 - 2.25577e-5 * altitudeM) ** 5.25588);
}
