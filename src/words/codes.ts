/** The trade's words for the codes of the logbook and the rules; one word per thing, as in the handbook. */
import type { AddedReason, FullChargeMethod, RecoveredInto, RecoveredReason } from '../core/logbook/entry';
import type { Category, Detection, LeakRateMethod } from '../core/logbook/fields';
import { PACK_NAMES, type PackId } from '../core/logbook/packNames';
import type { ApplianceKind, PURPOSES } from '../core/logbook/tables';
import type { Dimension } from '../core/quantity/units';
import type { Instrument } from '../core/visit/instrument';
import type { CaseState } from '../core/rules/caseDeadlines';
import type { ClosedBecause } from '../core/rules/case';
import type { ObligationKind, ObligationState } from '../core/rules/obligation';
import type { NoteCode } from '../core/rules/standing';
import type { MachineState } from '../core/rules/machineState';

export const PACK_WORDS: Record<PackId, string> = PACK_NAMES;

export const KIND_WORDS: Record<ApplianceKind, string> = {
  walkIn: 'walk-in',
  reachIn: 'reach-in',
  rack: 'rack',
  condensingUnit: 'condensing unit',
  chiller: 'chiller',
  milkTank: 'milk tank',
  iceMachine: 'ice machine',
  other: 'other',
};

export const CATEGORY_WORDS: Record<Category, string> = {
  commercialRefrigeration: 'commercial refrigeration',
  industrialProcess: 'industrial process',
  comfortCooling: 'comfort cooling',
  other: 'other',
};

export const DETECTION_WORDS: Record<Detection, string> = {
  none: 'none',
  part: 'on part of it',
  whole: 'on the whole',
};

export const METHOD_WORDS: Record<LeakRateMethod, string> = {
  annualizing: 'annualizing',
  rolling: 'rolling average',
};

export const PURPOSE_WORDS: Record<(typeof PURPOSES)[number], string> = {
  virgin: 'new gas',
  recovery: 'recovered gas',
  mixed: 'mixed gas, to be destroyed',
};

export const DIMENSION_WORDS: Record<Instrument['dimension'], string> = {
  pressure: 'pressure gauge',
  temperature: 'thermometer',
  vacuum: 'vacuum gauge',
  mass: 'scale',
  current: 'ammeter',
  detector: 'leak detector',
};

/** An offset is a difference of what the instrument reads. */
export const OFFSET_IN = {
  pressure: 'pressureDifference',
  temperature: 'temperatureDifference',
  vacuum: 'vacuum',
  mass: 'mass',
  current: 'current',
  detector: 'number',
} as const satisfies Record<Instrument['dimension'], Dimension>;

export const STATE_WORDS: Record<MachineState, string> = {
  overdue: 'overdue',
  caseOpen: 'case open',
  watch: 'watch',
  healthy: 'healthy',
  unknown: 'cannot be judged',
  retired: 'retired',
};

export const ADDED_WORDS: Record<AddedReason, string> = {
  topOff: 'Top-off',
  recharge: 'Recharge after a repair',
  seasonal: 'Seasonal, put back',
  commission: 'Commissioning',
  retrofit: 'After a conversion',
  moved: 'Moved here from another machine',
};

export const RECOVERED_WORDS: Record<RecoveredReason, string> = {
  repair: 'For a repair',
  seasonal: 'Seasonal, taken out',
  retrofit: 'For a conversion',
  retire: 'For retirement',
  moved: 'Moved to another machine',
};

export const RECOVERED_INTO_WORDS: Record<RecoveredInto, string> = {
  cylinder: 'Into a bottle',
  outdoors: 'Let out outdoors',
};

export const FULL_CHARGE_WORDS: Record<FullChargeMethod, string> = {
  maker: "maker's figure",
  calculated: 'calculated from components',
  weighed: 'weighed in or out',
  range: 'an estimate, as a range',
};

export const OBLIGATION_WORDS: Record<ObligationKind, string> = {
  repair: 'Repair',
  initialTest: 'First test after repair',
  followUpTest: 'Second test after repair',
  inspection: 'Leak inspection',
  plan: 'Retrofit or retirement plan',
  planDone: 'Carry out the plan',
  chronicReport: 'Chronic leaker report',
  detection: 'Install automatic leak detection',
  detectionCheck: 'Check the leak detection',
};

export const OBLIGATION_STATE_WORDS: Record<ObligationState, string> = {
  done: 'done',
  void: 'void',
  overdue: 'overdue',
  dueSoon: 'due soon',
  upcoming: 'upcoming',
};

export const CASE_STATE_WORDS: Record<CaseState, string> = {
  open: 'open',
  tested: 'first test passed',
  verified: 'verified',
  plan: 'plan wanted',
  closed: 'closed',
};

export const CLOSED_WORDS: Record<ClosedBecause, string> = {
  confirmed: 'the next addition stayed within the limit',
  presumed: 'no gas was added for twelve months',
  verified: 'every leak was verified',
  unrelated: 'the next addition came of another leak',
  exceeded: 'the next addition exceeded again; a new case opened',
  planCompleted: 'the plan was carried out',
  retrofitted: 'the machine was converted',
  retired: 'the machine was retired',
};

export const NOTE_WORDS: Record<NoteCode, string> = {
  daysUnknown: 'No gas and no installation day is recorded before it, so annualizing took a full year.',
  fullChargeUnknown:
    'The full charge is not known, or was not on a day when gas was added. Set it to see a rate.',
  recoveredUnknown: 'Gas was recovered that nobody weighed; it repays nothing.',
  refrigerantUnknown:
    'The refrigerant is not known, or was not on a day when gas was added. Say it to see which rules cover.',
  weightUnknown: 'Gas was added that nobody weighed; of that day only the least is known.',
};
