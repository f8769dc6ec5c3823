/** Where each entry of a visit stands on its service record: whatever was written stands somewhere. */
import type { Entry, EntryKind } from '../core/logbook/entry';
import { readNote, toolOf } from '../core/visit/notes';
import { type Step, stepOf } from '../core/visit/steps';

export const PAPER_BLOCKS = [
  'found',
  'searched',
  'gas',
  'decided',
  'done',
  'tested',
  'runs',
  'ways',
  'left',
  'photos',
  'signature',
  /** said by the heading of the paper itself */
  'heading',
] as const;
export type PaperBlock = (typeof PAPER_BLOCKS)[number];

const BY_TOOL: Partial<Record<string, PaperBlock>> = {
  visitBegun: 'heading',
  school: 'ways',
  checklist: 'left',
  signed: 'signature',
  picture: 'photos',
  release: 'gas',
};

const BY_KIND: Partial<Record<EntryKind, PaperBlock>> = {
  photo: 'photos',
  refrigerantAdded: 'gas',
  refrigerantRecovered: 'gas',
  fullChargeSet: 'gas',
  chargeRun: 'gas',
  cylinderWeighed: 'gas',
  cylinderReceived: 'gas',
  cylinderSent: 'gas',
  cylinderTransferred: 'gas',
  pressureHold: 'tested',
  verificationTest: 'tested',
  evacuation: 'tested',
  handover: 'left',
};

const BY_STEP: Record<Step, PaperBlock> = {
  before: 'found',
  arrive: 'found',
  read: 'found',
  judge: 'found',
  raise: 'found',
  search: 'searched',
  decide: 'decided',
  isolate: 'done',
  repair: 'done',
  hold: 'tested',
  evacuate: 'tested',
  charge: 'gas',
  prove: 'runs',
  leaveRight: 'left',
  handOver: 'left',
};

export const blockOf = (entry: Entry): PaperBlock =>
  BY_TOOL[toolOf(entry) ?? ''] ?? BY_KIND[entry.kind] ?? BY_STEP[stepOf(entry)];

/** A part that was looked at without a word: told as a number. */
export function isCleanSpot(entry: Entry): boolean {
  const spot = readNote(entry, 'spot');
  return spot?.mark === 'lookedAt' && !spot.why && !entry.note;
}
