/** Where an entry stands: at which step of the visit, and in which block of the service record. */
import type { Entry } from '../core/logbook/entry';
import { readNote, toolOf } from '../core/visit/notes/notes';
import { type Step, isStep } from '../core/visit/steps';
import { calculatorOf, isCalculator } from './calculators';
import type { PaperBlock } from './paperBlocks';
import { recordOf } from './records';

/** The step at which an entry was made: a photo says its own, a calculator stands in one. */
export function stepOf(entry: Entry): Step {
  const { step } = entry as { step?: unknown };
  if (typeof step === 'string' && isStep(step)) return step;
  const tool = toolOf(entry);
  return (isCalculator(tool) ? calculatorOf(tool).files : undefined) ?? recordOf(entry).step;
}

/** Steps at which something was recorded; a photo alone does not make one. */
export const stepsRecorded = (entries: readonly { entry: Entry }[]): ReadonlySet<Step> =>
  new Set(entries.filter(({ entry }) => entry.kind !== 'photo').map(({ entry }) => stepOf(entry)));

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

export function blockOf(entry: Entry): PaperBlock {
  const tool = toolOf(entry);
  const filed = isCalculator(tool) ? calculatorOf(tool).paper : undefined;
  return filed ?? recordOf(entry).paper ?? BY_STEP[stepOf(entry)];
}

/** A part that was looked at without a word: told as a number. */
export function isCleanSpot(entry: Entry): boolean {
  const spot = readNote(entry, 'spot');
  return spot?.mark === 'lookedAt' && !spot.why && !entry.note;
}
