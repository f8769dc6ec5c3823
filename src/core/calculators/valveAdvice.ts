/** Which way and roughly how far to turn a thermostatic expansion valve, from the superheat it keeps. */
import type { KelvinsApart } from '../quantity/si';
import { SUBCOOLING, SUPERHEAT, bandOf } from './superheat';
import { type Outcome, calculated, fahrenheitDegrees, figure } from './calculated';

/** Change of superheat for a quarter turn, K: valves differ, so it is only a first step. */
const KELVIN_A_QUARTER = fahrenheitDegrees(1);
/** More than half a turn at once makes valves hunt. */
const MOST_QUARTERS = 2;
const WAIT_MINUTES = 10;

export interface ValveAdvice {
  action: 'open' | 'close' | 'leave' | 'liquidFirst';
  quarterTurns: number;
  waitMinutes: number;
  /** K, what the superheat should come to */
  expected: number;
}

/**
 * `superheatK` and `subcoolingK` in K, subcooling null where it was not read. Opening lowers superheat. Never turns so
 * far that the expected superheat leaves the target range.
 */
export function valveAdvice(
  superheatK: KelvinsApart,
  subcoolingK: KelvinsApart | null,
): Outcome<ValveAdvice> {
  const band = bandOf(superheatK, SUPERHEAT);
  // Below the range of subcooling the valve may see vapour, and no setting of it helps.
  const starved = subcoolingK !== null && subcoolingK < SUBCOOLING.low && band === 'above';
  const wanted = Math.round(Math.abs(superheatK - SUPERHEAT.target) / KELVIN_A_QUARTER);
  const quarters = band === 'within' || starved ? 0 : Math.min(Math.max(wanted, 1), MOST_QUARTERS);
  const expected = superheatK - Math.sign(superheatK - SUPERHEAT.target) * quarters * KELVIN_A_QUARTER;
  const action = starved ? 'liquidFirst' : band === 'within' ? 'leave' : band === 'above' ? 'open' : 'close';
  return calculated(
    { action, quarterTurns: quarters, waitMinutes: WAIT_MINUTES, expected },
    {
      formula:
        'quarter turns = (superheat − target) ÷ change of superheat for a quarter turn, at most half a turn',
      figures: [
        figure('superheat', 'temperatureDifference', superheatK),
        figure('target', 'temperatureDifference', SUPERHEAT.target),
        ...(subcoolingK === null ? [] : [figure('subcooling', 'temperatureDifference', subcoolingK)]),
        figure('lowest', 'temperatureDifference', SUPERHEAT.low),
        figure('highest', 'temperatureDifference', SUPERHEAT.high),
        figure('for a quarter turn, about', 'temperatureDifference', KELVIN_A_QUARTER),
      ],
      source: 'Target superheat at the end of the evaporator: 10 °F, range 6–12 °F',
      validity:
        'With the box near its temperature, the coil free of ice and a full column of liquid at the valve. Valves differ: turn, wait, read again.',
    },
  );
}
