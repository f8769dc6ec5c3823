/** Charging by superheat and subcooling: how the next addition will move them, and when to stop. K. */
import type { KelvinsApart } from '../../quantity/si';
import { SUBCOOLING, SUPERHEAT, bandOf } from '../superheat';
import { type Outcome, calculated, fahrenheitDegrees, figure } from '../calculated';

export type Metering = 'valve' | 'fixed';
export type TrimAdvice =
  | 'add'
  | 'addSlowly'
  | 'stop'
  | 'tooMuch'
  | 'checkValve'
  | 'waitForBox'
  /** liquid comes back though little stands before the valve: more gas would only come back too */
  | 'flooding'
  /** the coil starves while liquid backs up: a restriction or a starved valve, a plugged capillary */
  | 'restriction'
  | 'plugged';
export type Effect = 'rises' | 'falls' | 'stays';

export interface Trim {
  advice: TrimAdvice;
  /** what the next addition does */
  superheat: Effect;
  subcooling: Effect;
}

/** A box this far above its goal still loads the coil: readings are not yet those of normal running, K. */
const STILL_WARM = 5;
/** This near to the aim, additions become small, K. */
const NEAR = fahrenheitDegrees(3);
/** Less than this before the opening is no column of liquid, K. */
const NO_LIQUID = fahrenheitDegrees(2);
/** A fixed opening wants more superheat at the compressor than a valve: up to 20 °F at design conditions, K. */
const FIXED_SUPERHEAT = { low: SUPERHEAT.low, high: fahrenheitDegrees(20) } as const;

/** `boxAbove`: how far the box still is above its goal, K. */
export function trim(input: {
  metering: Metering;
  superheat: KelvinsApart;
  subcooling: KelvinsApart;
  boxAbove: number;
}): Outcome<Trim> {
  const { metering, superheat, subcooling, boxAbove } = input;
  const range = metering === 'valve' ? SUPERHEAT : FIXED_SUPERHEAT;
  const value: Trim = {
    advice: metering === 'valve' ? byValve(superheat, subcooling) : byFixed(superheat, subcooling),
    // A valve holds superheat once it has liquid; a fixed opening passes more with every addition.
    superheat: metering === 'valve' && subcooling >= NEAR ? 'stays' : 'falls',
    subcooling: 'rises',
  };
  // A warm box excuses every reading but liquid that comes back, and too much of it.
  const settled = boxAbove <= STILL_WARM || value.advice === 'tooMuch' || value.advice === 'flooding';
  return calculated(settled ? value : { ...value, advice: 'waitForBox' }, {
    formula:
      metering === 'valve'
        ? 'valve: charge to subcooling; the valve keeps the superheat'
        : 'fixed opening: charge to superheat; subcooling only warns of too much',
    figures: [
      figure('superheat', 'temperatureDifference', superheat),
      figure('lowest', 'temperatureDifference', range.low),
      figure('highest', 'temperatureDifference', range.high),
      figure('subcooling', 'temperatureDifference', subcooling),
      figure('least subcooling', 'temperatureDifference', SUBCOOLING.low),
      figure('most subcooling', 'temperatureDifference', SUBCOOLING.high),
      figure('box above its goal', 'temperatureDifference', boxAbove),
    ],
    source: 'Superheat 6–12 °F at the end of the evaporator, subcooling 8–12 °F',
    validity:
      'Steady running, clean condenser, fans on. By weight comes first where the full charge is known.',
  });
}

function byValve(superheat: KelvinsApart, subcooling: KelvinsApart): TrimAdvice {
  const band = bandOf(subcooling, SUBCOOLING);
  const over = bandOf(superheat, SUPERHEAT);
  if (band === 'above') return over === 'above' ? 'restriction' : 'tooMuch';
  if (band === 'below' && over === 'below') return 'flooding';
  if (band === 'within') return over === 'within' ? 'stop' : 'checkValve';
  return SUBCOOLING.low - subcooling < NEAR ? 'addSlowly' : 'add';
}

function byFixed(superheat: KelvinsApart, subcooling: KelvinsApart): TrimAdvice {
  const band = bandOf(superheat, FIXED_SUPERHEAT);
  if (band === 'above' && subcooling > SUBCOOLING.high) return 'plugged';
  if (band === 'below') return subcooling < NO_LIQUID ? 'flooding' : 'tooMuch';
  if (subcooling > 2 * SUBCOOLING.high) return 'tooMuch';
  if (band === 'within') return 'stop';
  return superheat - FIXED_SUPERHEAT.high < NEAR ? 'addSlowly' : 'add';
}
