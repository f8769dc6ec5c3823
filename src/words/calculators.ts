/** Words of the bench: refusals with their remedy, workings with their figures, advice and verdicts. */
import type { CalculatorRefusal, Working as CoreWorking } from '../core/calculators/calculated';
import type { EvacuationReason } from '../core/calculators/evacuation/verdict';
import type { CauseOfRise } from '../core/calculators/evacuation/explanations';
import type { RiseWord } from '../core/calculators/evacuation/lookAt';
import type { TrimAdvice } from '../core/calculators/charge/trim';
import type { ControlWarning } from '../core/calculators/pressureControl';
import type { DetectionMethod } from '../core/calculators/leakSize';
import type { StandingVerdict } from '../core/calculators/standingCheck';
import type { ValveAdvice } from '../core/calculators/valveAdvice';
import type { PressureTestWord, WeakEvidence } from '../core/calculators/pressureTest';
import type { MeasureRefusal } from '../core/quantity/measure';
import { type Dimension, UNITS } from '../core/quantity/units';
import type { Show } from './measures';
import type { WorkingSaid } from './working';
import { capped } from './list';

export function calculatorRefusalWords(refusal: CalculatorRefusal, show: Show): string {
  switch (refusal.reason) {
    case 'outsideTable': {
      const dimension = refusal.quantity === 'temperature' ? 'temperature' : 'pressure';
      const range = `${show(dimension, refusal.from)} to ${show(dimension, refusal.to)}`;
      const what = refusal.quantity === 'temperature' ? 'temperature' : 'pressure';
      return `${refusal.refrigerant} has no saturation at ${show(dimension, refusal.given)}: its table reaches from ${range}. Check the ${what}, its unit and the refrigerant.`;
    }
    case 'outOfRange':
      return `${capped(refusal.field)} is ${show(refusal.dimension, refusal.given)}; this holds from ${show(refusal.dimension, refusal.from)} to ${show(refusal.dimension, refusal.to)}.`;
    case 'notPositive':
      return `${capped(refusal.field)} must be more than nothing.`;
    case 'aboveDesignPressure':
      return `Do not test at ${show('pressure', refusal.given)}: the least marked design pressure of the section is ${show('pressure', refusal.limit)}. Let it down first.`;
    case 'notAboveAtmosphere':
      return `${capped(refusal.field)} must lie above the air outside (${show('pressure', refusal.atmosphere)}): else nothing leaks out.`;
    case 'tooFewReadings':
      return `${String(refusal.have)} of at least ${String(refusal.need)} so far; add more.`;
    case 'notInOrder':
      return `${capped(refusal.first)} must be less than ${refusal.second}. Check both.`;
    case 'beyondFill':
      return `Do not put ${show('mass', refusal.given)} in: ${refusal.room > 0 ? `only ${show('mass', refusal.room)} fit below 80 %` : 'it is past 80 % already'}. Take another bottle.`;
    case 'beyondBottle':
      return `${refusal.refrigerant} stands at ${show('pressure', refusal.pressure)} at 77 °F: no ordinary recovery bottle is made for that. Use one that is marked for it.`;
    case 'mixedGases':
      return `The bottle holds ${refusal.held}. Never put ${refusal.given} on top of it: take an empty bottle, or one of ${refusal.given}.`;
  }
}

const EXAMPLES: Partial<Record<Dimension, string>> = {
  pressure: '68 psig, 12 inHg or 4.7 bar',
  pressureDifference: '14 psi or 1 bar',
  vacuum: '500 micron or 0.67 mbar',
  temperature: '35 °F or 2 °C',
  temperatureDifference: '10 °F or 5 K',
  length: '5 ft 6 in, 3/8 in or 1.5 m',
  volume: '0.5 gal or 23.8 L',
  flow: '6 cfm or 2.8 L/s',
  duration: '10 min or 1 h 30 min',
  mass: '12 lb 6 oz or 5.4 kg',
  massRate: '8 oz/yr or 200 g/yr',
  share: '80',
};

export function measureRefusalWords(refusal: MeasureRefusal): string {
  const example = EXAMPLES[refusal.dimension] ?? '12.5';
  switch (refusal.reason) {
    case 'empty':
      return `Type it as ${example}.`;
    case 'notAMeasure':
      return `“${refusal.text}” does not read as a measure. Type it as ${example}.`;
    case 'decimalComma':
      return 'A comma can mean two things. Use a point for decimals, and no comma for thousands.';
    case 'unknownUnit':
      return `“${refusal.unit}” is no unit of this. Known: ${Object.keys(UNITS[refusal.dimension]).filter(Boolean).join(', ')}.`;
    case 'belowZero':
      return refusal.dimension === 'pressure' || refusal.dimension === 'temperature'
        ? 'That lies below absolute zero. Check the figure and its unit.'
        : 'Less than nothing does not exist here.';
  }
}

/** A working of the core as a screen shows it. */
export const workingWords = (working: CoreWorking, show: Show): WorkingSaid => ({
  formula: working.formula,
  steps: [
    ...working.figures.map((each) => `${capped(each.name)}: ${show(each.dimension, each.si)}`),
    `Holds: ${working.validity}`,
  ],
  source: working.source,
});

export const STANDING_VERDICT_WORDS: Record<StandingVerdict, { title: string; about: string }> = {
  liquidPresent: {
    title: 'Liquid is left',
    about:
      'The gauge stands at saturation. How much liquid it does not say: a spoonful reads the same as a full receiver.',
  },
  vapourOnly: {
    title: 'Vapour only: the charge is nearly gone',
    about: 'Find the leak before a full charge, else it must be recovered again.',
  },
  airOrWrongGas: {
    title: 'Air, or another gas than said',
    about:
      'Check the refrigerant on the label and both temperatures. Identify the gas before any of it goes into a bottle.',
  },
};

export function valveWords({ action, quarterTurns }: ValveAdvice): string {
  const turns = quarterTurns === 1 ? 'a quarter turn' : quarterTurns === 2 ? 'half a turn' : '';
  switch (action) {
    case 'open':
      return `Open the valve ${turns} (less spring), wait about 10 minutes, read again`;
    case 'close':
      return `Close the valve ${turns} (more spring), wait about 10 minutes, read again`;
    case 'leave':
      return 'Leave the valve as it is';
    case 'liquidFirst':
      return 'Leave the valve: no solid liquid reaches it. Look for low charge or a restriction first';
  }
}

export const CONTROL_WARNING_WORDS: Record<ControlWarning, string> = {
  belowAtmosphere: 'Cut-out lies below 0 psig: a leak on the low side would draw in air and moisture.',
  tooClose: 'Cut-in and cut-out are less than 5 psi apart: the compressor will start and stop too often.',
};

export const WEAK_WORDS: Record<WeakEvidence, string> = {
  belowWorkingPressure:
    'Weak evidence: the section runs at a higher pressure than it was tested at. A leak that opens under pressure can hide.',
  tailNotSettled:
    'The fall has not settled: gas that was let in still takes the temperature of the pipes. Let it stand and start again from here.',
  temperatureNotTaken:
    'Not corrected for temperature: not every reading has one. A degree and a half either way is allowed for.',
};

export const RISE_SAID: Record<RiseWord, { title: string; about: string; short: string }> = {
  flat: { title: 'Tight and dry', about: 'The vacuum stays put.', short: 'flat' },
  levelling: {
    title: 'Levelling, from moisture or gas out of oil',
    about:
      'It climbs and levels off. Warm the cold parts and the crankcase, run the pump with ballast, or break with dry nitrogen and pump again.',
    short: 'levelling (moisture or gas out of oil)',
  },
  climbing: {
    title: 'A leak',
    about:
      'It keeps climbing in a straight line. Break the vacuum with nitrogen and search. A valve that passes from a side under pressure climbs as straight: raise the pressure on the other side, or pump it too; what then changes came through the valve.',
    short: 'climbing (leak)',
  },
  climbingAndLevelling: {
    title: 'A leak, and moisture',
    about: 'A bend at first, then a straight climb that does not end.',
    short: 'climbing and levelling (leak and moisture)',
  },
  climbingOrPassingValve: {
    title: 'A leak, or a valve that passes',
    about:
      'It climbs, and slower the higher it stands, as when the two sides of a valve near each other. Raise the pressure on the other side, or pump it too: if the climb changes, it is the valve.',
    short: 'climbing (leak or passing valve)',
  },
  notIsolated: {
    title: 'Not isolated, it still falls',
    about:
      'The pump still draws, or the first gas still spreads. Valve the pump off, and begin the clock when the fall has ended.',
    short: 'still falling (not isolated)',
  },
  gauge: {
    title: 'The gauge tells nothing',
    about:
      'It stands at one figure, or out of its range. Clean it, check its battery and cable, and compare it with another.',
    short: 'gauge stands still or is out of its range',
  },
};

export const CAUSE_OF_RISE_WORDS: Record<CauseOfRise, string> = {
  flat: 'steady',
  moisture: 'moisture',
  oil: 'gas out of oil',
  leak: 'a leak',
  leakAndMoisture: 'a leak and moisture',
  leakAndOil: 'a leak and gas out of oil',
  valve: 'a valve that passes',
  falling: 'a pump that still draws',
};

export const EVACUATION_REASON_WORDS: Record<EvacuationReason, string> = {
  notIsolated: 'it was not isolated',
  gauge: 'the gauge tells nothing',
  startTooHigh: 'it began above the goal of this way of working',
  tooShort: 'it was not watched long enough',
  endTooHigh: 'it ended above the limit of this way of working',
  leak: 'a leak is sure',
  leakNotExcluded: 'a leak is not excluded yet',
  notTightEnough: 'a leak that matters in this machine could still hide',
};

/** Why a loss is not firm yet. */
export const LOSS_IN_DOUBT =
  'Not firm: a first fall that settles, or an evening that cools, may be all of it. Read on, with temperatures.';

export const PRESSURE_TEST_SAID: Record<PressureTestWord, { title: string; about: string }> = {
  holding: { title: 'Holding', about: 'No loss that matters could hide in this.' },
  settled: {
    title: 'Settled, and holding since',
    about: 'It fell at first, as when warm gas meets cold pipe, and has stood since.',
  },
  losing: { title: 'Losing', about: 'Soap every joint that was touched.' },
  risen: {
    title: 'The pressure rose',
    about:
      'More than temperature explains: the gas was warmer than said, or a valve lets by from a higher side.',
  },
  cannotTell: { title: 'Cannot tell yet', about: 'A leak that matters could still hide.' },
};

export const TRIM_WORDS: Record<TrimAdvice, { title: string; about: string }> = {
  add: {
    title: 'Add',
    about: 'In small steps, vapour or liquid metered into the low side, and read again after each.',
  },
  addSlowly: {
    title: 'Add slowly',
    about: 'Nearly there, or the box is still warm: a little, wait, read again.',
  },
  stop: { title: 'Stop: charged', about: 'Write the charge, refrigerant and date on the machine.' },
  tooMuch: { title: 'Too much in it', about: 'Recover some, by weight, into a bottle of the same gas.' },
  checkValve: {
    title: 'The charge is right, the superheat is not',
    about: 'Look at the valve, its bulb and the air over the coil.',
  },
  flooding: {
    title: 'Stop: liquid comes back',
    about:
      'Superheat is gone though little liquid stands before the valve: more gas would only come back too. Look at the valve, its bulb, the fan and the ice on the coil.',
  },
  restriction: {
    title: 'Stop: liquid backs up while the coil starves',
    about:
      'A restriction or a starved valve, not a lack of gas: feel along the drier and the valve, and judge.',
  },
  plugged: {
    title: 'Stop: the capillary holds liquid back',
    about:
      'The coil starves while liquid backs up: a plugged capillary or drier. More gas only raises the head.',
  },
  waitForBox: {
    title: 'Wait for the box',
    about: 'All looks right, but the box is still warm. Judge again when it is near its temperature.',
  },
};

export const DETECTION_LIMIT_WORDS: Record<DetectionMethod, string> = {
  soap: 'Bubbles under soap',
  heatedDiode: 'Heated-diode detector',
  standingGauge: 'This pressure test on this gauge',
};
