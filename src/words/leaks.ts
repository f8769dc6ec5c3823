/** Words of leaks and of what weakens a test. */
import type { TEST_GASES } from '../core/logbook/entry';
import { VOIDING, type Weakness } from '../core/visit/leaks/evidence';
import type { LeakState, LeakStory } from '../core/visit/leaks/leakStory';
import type { LeakStateInLaw as RuleLeakState } from '../core/rules/leaks';
import type { Note } from '../core/visit/notes/notes';
import { isUnknown, valueOf } from '../core/visit/notes/stated';
import type { Check } from '../core/visit/touched';
import type {
  DISCONNECTED,
  DecisionChoice,
  Grade,
  RISE_EXPLANATIONS,
  TEST_METHODS,
  VACUUM_ENDS,
  WAYS,
} from '../core/visit/notes/notes';
import { FALSE_WORDS } from './circuit';
import { dateWords } from './dates';
import type { JointAdvice, JointWay, Metal } from '../core/visit/joints';

export const LEAK_STATE_WORDS: Record<LeakState, string> = {
  suspected: 'suspected',
  confirmed: 'confirmed',
  repaired: 'repaired',
  tested: 'first test passed',
  testedAgain: 'tested again',
  deferred: 'put off',
  dismissed: 'dismissed',
  withdrawn: 'withdrawn',
};

/** The states that the rules know, in the same words as everywhere. */
export const LEAK_STATE_IN_LAW_WORDS: Record<RuleLeakState, string> = {
  found: 'found, not repaired',
  repaired: 'repaired, not tested',
  tested: LEAK_STATE_WORDS.tested,
  verified: LEAK_STATE_WORDS.testedAgain,
};

export const GRADE_WORDS: Record<Grade, string> = {
  corrosion: 'corrosion',
  oilOrFrost: 'oil or frost',
  detectorHit: 'detector hit',
  audible: 'heard',
  bubbles: 'bubbles',
  seen: 'seen',
  bench: 'proven on the bench after removal',
};

export const WEAKNESS_WORDS: Record<Weakness, string> = {
  sectionNotSaid: 'which section stood under test is not recorded',
  valvesNotSaid: 'which valves stood open is not recorded',
  valveShutBetween: 'a valve stood shut between gauge and joint: it tested nothing behind it',
  gasNotSaid: 'the test gas is not recorded',
  detectorOnPlainNitrogen: 'a gas detector cannot see plain nitrogen: its silence says nothing',
  bubblesInsideHousing: 'it leaks into its own housing: no bubble shows outside',
  pressureNotSaid: 'the pressure at the joint is not recorded',
  belowWorkingPressure: 'tested below the pressure that the section runs at',
  minutesNotSaid: 'how long it stood is not recorded',
  minutesTooFew: 'it stood less than five minutes',
  vacuumAlone: 'a vacuum as the only test: at most one atmosphere, from the wrong side',
  methodNotSaid: 'the method is not recorded',
};

export const CHOICE_WORDS: Record<DecisionChoice, string> = {
  repairNow: 'Repair now',
  runOn: 'Run on with it',
  isolatePart: 'Isolate the part',
  coil: 'New coil',
  retrofit: 'Convert',
  retire: 'Retire',
};

export const WAY_WORDS: Record<(typeof WAYS)[number], string> = {
  pumpDown: 'Pumped down',
  valveOff: 'Section valved off',
  recoverAll: 'Whole charge recovered',
  foundEmpty: 'Found empty already',
  bled: 'Bled from a section',
  none: 'Not opened',
};

export const CHECK_WORDS: Record<Check, string> = {
  capsOn: 'Caps on and tight',
  portsClosed: 'Ports closed',
  coresRenewed: 'Access cores renewed and back in',
  valveReopened: 'Open again',
  nitrogenOut: 'Nitrogen out, regulator off',
  gaugeOff: 'Vacuum gauge off, above atmosphere',
  drierDated: 'Date written on the drier',
  oilCleaned: 'Oil cleaned, so that nobody is misled',
  labelWritten: 'Refrigerant, charge and date written on the machine',
  settingsNoted: 'Settings noted at the control',
  panelsClosed: 'Panels closed, lights and fans as they were',
  doNotStartOff: '“Do not start” tag taken off',
  putBack: 'On again, as it was',
};

/** A check by its id, with the valve that it is about where there is one: `valveReopened king valve`. */
export function checkItemWords(item: string): string {
  const [check = '', ...about] = item.split(' ');
  const words = check in CHECK_WORDS ? CHECK_WORDS[check as Check] : check;
  // Of what was taken off: what it is, and its own name.
  const [what = '', ...name] = about;
  if (check === 'putBack' && what in DISCONNECTED_WORDS)
    return `${[DISCONNECTED_WORDS[what as keyof typeof DISCONNECTED_WORDS], ...name].join(' ')}: ${words.toLowerCase()}`;
  return about.length > 0 ? `${about.join(' ')}: ${words.toLowerCase()}` : words;
}

export const METAL_WORDS: Record<Metal, string> = {
  copper: 'copper',
  brass: 'brass',
  steel: 'steel',
  aluminium: 'aluminium',
};

export const JOINT_WAY_WORDS: Record<JointWay, string> = {
  brazed: 'brazed',
  pressed: 'press coupling',
  flared: 'flare made again',
  tightened: 'tightened',
  exchanged: 'part exchanged',
};

/** A press coupling needs no heat: what it needs instead. */
export const PRESS_ADVICE =
  'No heat: pipe round, clean and scored by nothing, depth marked on both ends, pressed fully or the sealant given its curing time, then tested.';
/** Before any flame on a circuit that burns. */
export const NO_FLAME_ADVICE =
  'This circuit burns: no brazing until it is recovered, purged with nitrogen and the air tested. A press coupling or a flare needs no flame.';

export function jointWords({ alloy }: JointAdvice): string {
  switch (alloy) {
    case 'phosphorusCopper':
      return 'Copper–phosphorus alloy, no flux: its phosphorus is the flux. Nitrogen flowing.';
    case 'highSilver':
      return 'High-silver alloy with flux; phosphorus would make the joint brittle. Wash the flux off. Nitrogen flowing.';
    case 'exchangePart':
      return 'Aluminium is not brazed on site: exchange the part, or a mechanical joint that the maker allows.';
  }
}

export const TEST_GAS_WORDS = {
  nitrogen: 'nitrogen',
  nitrogenTrace: 'nitrogen with a trace of refrigerant',
  nitrogenHydrogen: 'nitrogen–hydrogen',
  refrigerant: 'refrigerant',
} as const satisfies Record<(typeof TEST_GASES)[number], string>;

/** How a leak was looked for, in the trade's words; another tool's word stands as it is. */
export const METHOD_NAMES = {
  electronic: 'detector',
  bubbles: 'bubbles',
  ultrasonic: 'ultrasonic',
  audible: 'listening',
  dye: 'dye',
  visual: 'by eye',
} as const;

/** What each method cannot see, in a line. */
export const BLIND_WORDS: Record<keyof typeof METHOD_NAMES, string> = {
  electronic: 'plain nitrogen; a leak in gas that hangs there already; reacts to breath, oil, solvent',
  bubbles: 'a leak so big that it blows them off, wind, and what leaks into its own housing',
  ultrasonic: 'a slow leak without hiss; fans and motors drown it',
  audible: 'anything slow; a plant room is loud',
  dye: 'today’s leak: it needs a day’s running, and marks the machine for good',
  visual: 'dry leaks, and what ice or lagging hides',
};

export const methodWords = (method: string): string =>
  method in METHOD_NAMES ? METHOD_NAMES[method as keyof typeof METHOD_NAMES] : method;

export const TEST_METHOD_WORDS = {
  gauge: 'gauge',
  bubbles: 'bubbles',
  detector: 'detector',
  listening: 'listening',
  ultrasonic: 'ultrasonic',
  vacuum: 'vacuum',
} as const satisfies Record<(typeof TEST_METHODS)[number], string>;

export const VACUUM_END_WORDS: Record<(typeof VACUUM_ENDS)[number], string> = {
  held: 'held after the pump was shut off',
  quick: 'quick, not held',
  fixedTime: 'pumped for a fixed time',
  rising: 'crept up',
  notWatched: 'not watched',
};

export const RISE_WORDS: Record<(typeof RISE_EXPLANATIONS)[number], string> = {
  valvePasses: 'gas through a passing valve',
  gasFromOil: 'gas out of the oil',
  moisture: 'moisture',
  leak: 'a leak',
};

/** What to do about a rise, by what it is taken for. */
export const RISE_ADVICE: Record<(typeof RISE_EXPLANATIONS)[number], string> = {
  valvePasses:
    'Raise or pump the other side too and look again: what then stands still came through the valve. Say which valve passes.',
  gasFromOil: 'Warm the crankcase and pump on: a slow rise that levels off is gas leaving the oil, no leak.',
  moisture:
    'Pump on with the ballast open, break with dry nitrogen, change the pump oil, renew the drier last.',
  leak: 'Break with nitrogen, put it under pressure and search again.',
};

export const DISCONNECTED_WORDS: Record<(typeof DISCONNECTED)[number], string> = {
  solenoid: 'solenoid coil',
  contactor: 'contactor',
  timer: 'timer, bypassed',
  fan: 'fan',
  alarm: 'smoke alarm',
  other: 'something else',
};

/** What weakens a test in one sentence, and whether it then proves nothing at all; null where nothing does. */
export function weakWords(weak: readonly Weakness[]): { nothing: boolean; words: string } | null {
  if (weak.length === 0) return null;
  const nothing = weak.some((each) => VOIDING.includes(each));
  const why = weak.map((each) => WEAKNESS_WORDS[each]).join('; ');
  return { nothing, words: `${nothing ? 'Proves nothing' : 'Weak evidence'}: ${why}.` };
}

/** Why, until when and by whom it was put off. */
function deferredWords({ why, until, decidedBy }: Note<'decision'>): string {
  const day = valueOf(until);
  const end = day === null ? isUnknown(until) && 'nobody knows until when' : `until ${dateWords(day)}`;
  return [why, end, decidedBy && `decided by ${decidedBy}`].filter(Boolean).join(', ');
}

/** What is known of a leak beside its state: its best evidence, who put it off and why, or why it is none. */
export function leakLine(leak: LeakStory): string {
  return [
    leak.grade ? GRADE_WORDS[leak.grade] : null,
    leak.onSuspicion && leak.state === 'repaired' ? 'exchanged on suspicion' : null,
    leak.deferred && deferredWords(leak.deferred),
    leak.falseCause && FALSE_WORDS[leak.falseCause],
    leak.because,
  ]
    .filter(Boolean)
    .join(' · ');
}
