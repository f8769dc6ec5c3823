/** A draft of gas added or recovered, or of a full charge: what is typed, and the entry that it makes. */
import { v7 as uuidv7 } from 'uuid';
import {
  ADDED_REASONS,
  type AddedReason,
  type Entry,
  RECOVERED_REASONS,
  type RecoveredReason,
} from '../../core/logbook/entry';
import { ACCEPTED, type SenseWarning } from '../../core/logbook/sense';
import { type Mass, type MassUnit, parseMass } from '../../core/quantity/mass';
import { massRefusalWords } from '../words/refusals';

export type Direction = 'refrigerantAdded' | 'refrigerantRecovered';

export interface GasDraft {
  id: string;
  direction: Direction;
  amount: string;
  notWeighed: boolean;
  whyNotWeighed: string;
  addedReason: AddedReason;
  recoveredReason: RecoveredReason;
  on: string;
  cylinderId: string;
  leakId: string;
  note: string;
  supersedes: string | null;
  correctionReason: string;
  accepted: Partial<Record<SenseWarning, string>>;
}

export const freshDraft = (on: string, direction: Direction = 'refrigerantAdded'): GasDraft => ({
  id: uuidv7(),
  direction,
  amount: '',
  notWeighed: false,
  whyNotWeighed: '',
  addedReason: ADDED_REASONS[0],
  recoveredReason: RECOVERED_REASONS[0],
  on,
  cylinderId: '',
  leakId: '',
  note: '',
  supersedes: null,
  correctionReason: '',
  accepted: {},
});

type WithTyped = Mass & { 'x-typed'?: string };

/** The draft that corrects an entry, filled with what the entry says. */
export function correctionDraft(entry: Extract<Entry, { kind: Direction }>): GasDraft {
  const mass = entry.mass as WithTyped | null;
  return {
    ...freshDraft(entry.on, entry.kind),
    amount: mass ? (mass['x-typed'] ?? `${String(mass.value)} ${mass.unit}`) : '',
    notWeighed: mass === null,
    whyNotWeighed: entry.massUnknown ?? '',
    ...(entry.kind === 'refrigerantAdded'
      ? { addedReason: entry.reason, leakId: entry.leakId ?? '' }
      : { recoveredReason: entry.reason }),
    cylinderId: entry.cylinderId ?? '',
    note: entry.note ?? '',
    supersedes: entry.id,
  };
}

export type DraftErrors = Partial<
  Record<'amount' | 'whyNotWeighed' | 'on' | 'correctionReason' | 'by', string>
>;

/** The mass that was typed, with the text itself kept beside it. */
export function massOf(text: string, unit: MassUnit): { mass: WithTyped } | { error: string } {
  const parsed = parseMass(text, unit);
  return parsed.ok
    ? { mass: { ...parsed.value, 'x-typed': text.trim() } }
    : { error: massRefusalWords(parsed.refusal) };
}

/** The entry of a draft, or what is still missing. */
export function entryOf(
  draft: GasDraft,
  applianceId: string,
  by: string | null,
  unit: MassUnit,
): { entry: Entry | null; errors: DraftErrors } {
  const errors: DraftErrors = {};
  let mass: WithTyped | null = null;
  if (draft.notWeighed) {
    if (draft.whyNotWeighed.trim() === '')
      errors.whyNotWeighed = 'Say why nobody weighed, such as “no scale on the roof”.';
  } else {
    const read = massOf(draft.amount, unit);
    if ('mass' in read) mass = read.mass;
    else errors.amount = read.error;
  }
  if (draft.on === '') errors.on = 'Give the day on which it was done.';
  if (draft.supersedes !== null && draft.correctionReason.trim() === '') {
    errors.correctionReason = 'Say why the entry is corrected; both versions stay in the record.';
  }
  if (by === null) errors.by = 'Choose who is writing.';
  if (Object.keys(errors).length > 0 || by === null) return { entry: null, errors };
  const common = {
    id: draft.id,
    on: draft.on,
    by,
    applianceId,
    mass,
    massUnknown: draft.notWeighed ? draft.whyNotWeighed.trim() : undefined,
    cylinderId: draft.cylinderId || undefined,
    note: draft.note.trim() || undefined,
    ...(draft.supersedes === null
      ? {}
      : { supersedes: draft.supersedes, correctionReason: draft.correctionReason.trim() }),
    ...(Object.keys(draft.accepted).length > 0 ? { [ACCEPTED]: draft.accepted } : {}),
  };
  const entry =
    draft.direction === 'refrigerantAdded'
      ? { ...common, kind: draft.direction, reason: draft.addedReason, leakId: draft.leakId || undefined }
      : { ...common, kind: draft.direction, reason: draft.recoveredReason };
  return { entry: entry as Entry, errors };
}

/** Small machines are charged in grams or ounces: the unit in which the full charge was last set, where it is one of these. */
export function smallUnit(machine: { entries: readonly Entry[] }): 'g' | 'oz' | null {
  const set = machine.entries.findLast((entry) => entry.kind === 'fullChargeSet');
  const unit = set?.kind === 'fullChargeSet' ? set.mass?.unit : undefined;
  return unit === 'g' || unit === 'oz' ? unit : null;
}
