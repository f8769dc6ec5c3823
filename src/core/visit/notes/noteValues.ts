/** The words, as codes, that the fields of notes are chosen from. */
export const GRADES = [
  'corrosion',
  'oilOrFrost',
  'detectorHit',
  'audible',
  'bubbles',
  'seen',
  'bench',
] as const;
/** Evidence of a leak, weakest first. */
export type Grade = (typeof GRADES)[number];
/** From here on a hit is a leak. */
export const CONFIRMING: readonly Grade[] = ['bubbles', 'seen', 'bench'];

/** `nextLeak`: does not leak yet, and will: it leads to preventive work. */
export const SPOT_MARKS = ['lookedAt', 'hit', 'false', 'confirmed', 'nextLeak', 'leftOut'] as const;
export type SpotMark = (typeof SPOT_MARKS)[number];
export const FALSE_CAUSES = ['spilledOil', 'wind', 'drainedGas', 'solvent', 'other'] as const;
export type FalseCause = (typeof FALSE_CAUSES)[number];
export const CHOICES = ['repairNow', 'runOn', 'isolatePart', 'coil', 'retrofit', 'retire'] as const;
export type DecisionChoice = (typeof CHOICES)[number];
export const WAYS = ['pumpDown', 'valveOff', 'recoverAll', 'foundEmpty', 'bled', 'none'] as const;
export const TEST_METHODS = ['gauge', 'bubbles', 'detector', 'listening', 'ultrasonic', 'vacuum'] as const;
/** How an evacuation ended, in the words of whoever watched it. */
export const VACUUM_ENDS = ['held', 'quick', 'fixedTime', 'rising', 'notWatched'] as const;
/** What somebody takes the rise for, where it is no verdict of ours. */
export const RISE_EXPLANATIONS = ['valvePasses', 'gasFromOil', 'moisture', 'leak'] as const;
/** What is switched off or bypassed for a while, and must not be forgotten. */
export const DISCONNECTED = ['solenoid', 'contactor', 'timer', 'fan', 'alarm', 'other'] as const;
/** When in the visit a reading was taken. */
export const PHASES = ['asFound', 'beforeCharge', 'afterCharge', 'atEnd'] as const;
export type Phase = (typeof PHASES)[number];
export const RAISED = ['rest', 'nitrogen', 'nitrogenTrace', 'nitrogenHydrogen'] as const;
