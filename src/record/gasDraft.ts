/** A draft of gas added or recovered, or of a full charge: what is typed, and the entry that it makes. */
import { v7 as uuidv7 } from 'uuid';
import {
  ADDED_REASONS,
  type AddedReason,
  type Entry,
  RECOVERED_REASONS,
  type RecoveredReason,
} from '../core/logbook/entry';
import { ACCEPTED, type SenseWarning, acceptedReasons } from '../core/logbook/sense';
import { type Mass, type MassUnit, parseMass } from '../core/quantity/mass';
import { massRefusalWords } from '../words/refusals';
import { NO_WRITER } from '../words/refused';

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
  /** let out outdoors, where the law allows it: hydrocarbons only */
  outdoors: boolean;
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
  outdoors: false,
  leakId: '',
  note: '',
  supersedes: null,
  correctionReason: '',
  accepted: {},
});

/** What the next portion begins with: reason, bottle, leak and why nobody weighs stay; the figure is a new one. */
export const nextPortion = (draft: GasDraft): GasDraft => ({
  ...freshDraft(draft.on, draft.direction),
  addedReason: draft.addedReason,
  recoveredReason: draft.recoveredReason,
  cylinderId: draft.cylinderId,
  leakId: draft.leakId,
  whyNotWeighed: draft.whyNotWeighed,
});

/**
 * The first draft of a direction: as the last gas of this visit was written; where gas was taken out for a repair before, it
 * goes back. `before`: entries of the machine in this visit, in their order.
 */
export function draftAfter(on: string, direction: Direction, before: readonly Entry[]): GasDraft {
  const last = before.findLast((entry): entry is GasEntry => entry.kind === direction);
  if (last) return nextPortion({ ...correctionDraft(last), on });
  const takenOut = before.findLast((entry) => entry.kind === 'refrigerantRecovered');
  const back = takenOut && GOES_BACK[takenOut.reason];
  return { ...freshDraft(on, direction), ...(back ? { addedReason: back } : {}) };
}

/** As what gas goes back that was taken out for this. */
const GOES_BACK: Partial<Record<RecoveredReason, AddedReason>> = {
  repair: 'recharge',
  seasonal: 'seasonal',
  retrofit: 'retrofit',
};

type WithTyped = Mass & { 'x-typed'?: string };

/** The draft that corrects an entry, filled with what the entry says. */
type GasEntry = Extract<Entry, { kind: Direction }>;

export function correctionDraft(entry: GasEntry): GasDraft {
  const mass = entry.mass as WithTyped | null;
  return {
    ...freshDraft(entry.on, entry.kind),
    amount: mass ? typedMass(mass) : '',
    notWeighed: mass === null,
    whyNotWeighed: entry.massUnknown ?? '',
    ...(entry.kind === 'refrigerantAdded'
      ? { addedReason: entry.reason, leakId: entry.leakId ?? '' }
      : { recoveredReason: entry.reason, outdoors: entry.into === 'outdoors' }),
    cylinderId: entry.cylinderId ?? '',
    note: entry.note ?? '',
    supersedes: entry.id,
    accepted: acceptedReasons(entry),
  };
}

export type DraftErrors = Partial<
  Record<'amount' | 'whyNotWeighed' | 'on' | 'correctionReason' | 'by', string>
>;

/** A mass as it was typed, or as it would be. */
export const typedMass = (mass: WithTyped): string => mass['x-typed'] ?? `${String(mass.value)} ${mass.unit}`;

/** The mass that was typed, with the text itself kept beside it. */
export function massOf(text: string, unit: MassUnit): { mass: WithTyped } | { error: string } {
  const parsed = parseMass(text, unit);
  return parsed.ok
    ? { mass: { ...parsed.value, 'x-typed': text.trim() } }
    : { error: massRefusalWords(parsed.refusal) };
}

/** What an entry carries beside what a correction says anew. */
function wholeOf(entry: GasEntry): Record<string, unknown> {
  const { seal: _seal, recordedAt: _recordedAt, ...rest } = entry;
  // A leak is the matter of gas that was added, a way out of gas that was recovered: neither outlives its direction.
  const { leakId: _leakId, into: _into, ...common } = rest as Record<string, unknown>;
  return common;
}

const sameWeight = (a: GasDraft, b: GasDraft): boolean =>
  a.amount === b.amount && a.notWeighed === b.notWeighed && a.whyNotWeighed === b.whyNotWeighed;

/** Into a bottle, said as it was said before. */
const wayOf = (corrected: GasEntry | null): 'cylinder' | null | undefined =>
  corrected?.kind === 'refrigerantRecovered' && corrected.into !== 'outdoors' ? corrected.into : undefined;

/** Left out or null: what stood there before stays, so that nothing seems changed. */
const blankOf = (before: string | null | undefined): null | undefined => (before === null ? null : undefined);

/** The entry of a draft, or what is still missing. */
/** `corrected`: the entry that the draft corrects. What nobody touched of it stays as it was. */
export function entryOf(
  draft: GasDraft,
  applianceId: string,
  by: string | null,
  unit: MassUnit,
  corrected: GasEntry | null = null,
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
  if (corrected !== null && draft.correctionReason.trim() === '') {
    errors.correctionReason = 'Say why the entry is corrected; both versions stay in the record.';
  }
  if (by === null) errors.by = NO_WRITER;
  if (Object.keys(errors).length > 0 || by === null) return { entry: null, errors };
  const untouched = corrected !== null && sameWeight(draft, correctionDraft(corrected));
  const common = {
    ...(corrected ? wholeOf(corrected) : {}),
    id: draft.id,
    on: draft.on,
    by,
    applianceId,
    mass: untouched ? corrected.mass : mass,
    massUnknown: untouched
      ? corrected.massUnknown
      : draft.notWeighed
        ? draft.whyNotWeighed.trim()
        : undefined,
    cylinderId: draft.cylinderId || blankOf(corrected?.cylinderId),
    note:
      draft.note.trim() === (corrected?.note ?? '').trim() ? corrected?.note : draft.note.trim() || undefined,
    ...(corrected ? { supersedes: corrected.id, correctionReason: draft.correctionReason.trim() } : {}),
    ...(Object.keys(draft.accepted).length > 0 ? { [ACCEPTED]: draft.accepted } : {}),
  };
  const added = corrected?.kind === 'refrigerantAdded' ? corrected : null;
  const entry =
    draft.direction === 'refrigerantAdded'
      ? {
          ...common,
          kind: draft.direction,
          reason: draft.addedReason,
          leakId: draft.leakId || blankOf(added?.leakId),
        }
      : {
          ...common,
          kind: draft.direction,
          reason: draft.recoveredReason,
          into: draft.outdoors ? 'outdoors' : wayOf(corrected),
        };
  return { entry: entry as Entry, errors };
}
