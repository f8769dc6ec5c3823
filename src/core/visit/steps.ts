/**
 * The steps of a visit in the order of the work. Every one may be skipped, returned to, or be the last of a day. An
 * entry says by its kind, or by the tool that wrote it, at which step it was made.
 */
import type { Entry, EntryKind } from '../logbook/entry';

export const STEPS = [
  'before',
  'arrive',
  'read',
  'judge',
  'raise',
  'search',
  'decide',
  'isolate',
  'repair',
  'hold',
  'evacuate',
  'charge',
  'prove',
  'leaveRight',
  'handOver',
] as const;
export type Step = (typeof STEPS)[number];

export const isStep = (text: string): text is Step => STEPS.some((step) => step === text);

const BY_KIND: Partial<Record<EntryKind, Step>> = {
  fullChargeSet: 'charge',
  refrigerantAdded: 'charge',
  refrigerantRecovered: 'isolate',
  leakFound: 'search',
  leakRepaired: 'repair',
  verificationTest: 'prove',
  normalOperation: 'prove',
  leakInspection: 'search',
  processShutdown: 'decide',
  extension: 'decide',
  planFiled: 'decide',
  planCompleted: 'decide',
  unrelatedLeak: 'decide',
  retrofitted: 'decide',
  applianceChanged: 'arrive',
  mothballed: 'isolate',
  retired: 'decide',
  detectionAlarm: 'arrive',
  readings: 'read',
  pressureHold: 'hold',
  evacuation: 'evacuate',
  chargeRun: 'charge',
  partFitted: 'repair',
  search: 'search',
  handover: 'leaveRight',
};

/** Tools that write a kind which is usually of another step. */
const BY_TOOL: Partial<Record<string, Step>> = {
  visitBegun: 'before',
  arrival: 'arrive',
  judgement: 'judge',
  judge: 'judge',
  raised: 'raise',
  decision: 'decide',
  cost: 'decide',
  isolation: 'isolate',
  valve: 'isolate',
  release: 'isolate',
  cylinder: 'isolate',
  heated: 'repair',
  setting: 'repair',
  control: 'prove',
  proof: 'prove',
  trim: 'charge',
  checklist: 'leaveRight',
  signed: 'handOver',
};

/** The step at which an entry was made; a photo says its own. */
export function stepOf(entry: Entry): Step {
  const { step, tool } = entry as { step?: unknown; tool?: unknown };
  if (typeof step === 'string' && isStep(step)) return step;
  if (typeof tool === 'string' && BY_TOOL[tool]) return BY_TOOL[tool];
  return BY_KIND[entry.kind] ?? 'read';
}
