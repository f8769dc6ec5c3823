/** Words of the ways of working: the question, each answer, and why ours is the default. */
import type { WayOfWorking, WayQuestion } from '../core/visit/waysOfWorking';

export const QUESTION_WORDS: Record<WayQuestion, { title: string; reason: string }> = {
  detection: {
    title: 'Which detection first',
    reason: 'Electronic to find, bubbles to confirm: fastest, and leaves nothing in the system.',
  },
  holdPressure: {
    title: 'Test pressure',
    reason: 'The least marked design pressure of the parts under test, never above.',
  },
  vacuum: {
    title: 'Vacuum goal',
    reason: 'The shape of the rise decides; the numbers only open and close it.',
  },
  vacuumOfSection: {
    title: 'Vacuum of a section never opened',
    reason: 'What stayed above atmosphere has taken in no air.',
  },
  drier: { title: 'Drier', reason: 'At every opening; air brings moisture each time.' },
  charge: {
    title: 'How to charge',
    reason: 'By weight when a full charge is known, then checked by the other two.',
  },
  recoveredGas: { title: 'Recovered gas', reason: 'Same owner only, if clean; recorded per bottle.' },
  pumpDown: {
    title: 'Pump down',
    reason: 'To nothing, with a full pressure test and vacuum; the quick way is recorded as such.',
  },
};

export const WAY_WORDS: Record<WayOfWorking, string> = {
  electronicThenBubbles: 'electronic, then bubbles',
  bubblesOnly: 'bubbles only',
  nitrogenAndEars: 'nitrogen and ears, ultrasonic',
  dye: 'dye and lamp after a day',
  leastDesignPressure: 'least marked design pressure',
  lowSideOnly: '90–130 psig, low side',
  higherWhereMarked: '200–275 psig, every part marked for it',
  fiveHundredAndHold: '500 microns, ten minutes, and the shape',
  shapeDecides: 'the shape decides, up to 1,500 when flat',
  fixedTime: 'a fixed time',
  notNeededAboveAtmosphere: 'not needed if it stayed above atmosphere',
  alwaysNeeded: 'always',
  everyOpening: 'at every opening',
  whenTurnedOrOpenLong: 'when the indicator turned, or open for long',
  byWeight: 'by weight',
  bySuperheatAndSubcooling: 'by superheat and subcooling',
  bySightGlass: 'by sight glass and pull-down',
  sameOwnerIfClean: 'back to the same owner, if clean',
  newGasOnly: 'new gas only',
  toNothing: 'to nothing',
  slightPositive: 'to slight pressure, the quick way',
};
