/** The state of a gas form: what is typed, the entry that it makes, what that would mean, and saving it. */
import { useMemo } from 'react';
import type { Step } from '../../../core/visit/steps';
import type { Entry, EntryOf } from '../../../core/logbook/entry';
import { type SenseError, type SenseWarning, readsRecord } from '../../../core/logbook/sense';
import { leakLabels } from '../../../core/logbook/leakLabels';
import { effectiveOf } from '../../../core/logbook/order';
import { bareUnit, chargedUnit, massSystemOf } from '../../../core/rules/massSystem';
import { type Day, dayText } from '../../../core/quantity/day';
import { useWriter } from '../../data/device/writer';
import { useCylindersToHand } from '../../data/api/queries';
import { rememberMachine } from '../../data/device/recentMachines';
import { type Machine, usePacks } from '../../data/api/standing';
import { standingWith } from '../../../record/foldedMachine';
import { useWrite } from '../../data/api/useWrite';
import { WARNING_WORDS, senseErrorWords } from '../../../words/refusals';
import { useRefusal } from '../useRefusal';
import {
  type Direction,
  type DraftErrors,
  type GasDraft,
  correctionDraft,
  entryOf,
  draftAfter,
  massOf,
  nextPortion,
} from '../../../record/gasDraft';
import { useGasPreview } from './useGasPreview';
import { useKeptDraft } from '../../data/device/useKeptDraft';
import { placedInDay } from '../../../record/placeInDay';

export interface GasFormProps {
  machine: Machine;
  today: Day;
  supersedes: string | null;
  leakId: string | null;
  direction: Direction;
  /** tells the kept draft from others of the machine, such as one of a visit */
  place?: string;
  /** the day it begins with, where that is not today */
  on?: string;
  /** the visit that it belongs to */
  visitId?: string | null;
  /** of that visit, where the form stands in it */
  step?: Step;
  /** what is written with it */
  also?: () => readonly Entry[];
  onDone: () => void;
}

function firstDraft(
  { machine, today, leakId, direction, on, visitId = null }: GasFormProps,
  corrected: EntryOf<Direction> | null,
): GasDraft {
  if (corrected) return correctionDraft(corrected);
  const inVisit =
    visitId === null
      ? []
      : effectiveOf(machine.entries, machine.appliance.id).filter((each) => each.visitId === visitId);
  const draft = draftAfter(on ?? dayText(today), direction, inVisit);
  return { ...draft, leakId: leakId ?? draft.leakId };
}

export function useGasForm(props: GasFormProps) {
  const { machine, today, place, supersedes, visitId = null, step, also, onDone } = props;
  const { person } = useWriter();
  const packs = usePacks();
  const { error, writing, save: write } = useWrite();
  const refusal = useRefusal();
  const { tried } = refusal;
  const target = machine.entries.find((each) => each.id === supersedes);
  const corrected = target && readsRecord(target) ? target : null;
  const kept = useKeptDraft<GasDraft>(
    `${place ?? 'gas '}${machine.appliance.id} ${supersedes ?? ''}`,
    () => firstDraft(props, corrected),
    // A draft of a visit outlives the browser too, for a phone may go flat on the roof.
    place === undefined ? sessionStorage : localStorage,
    ({ amount, notWeighed, direction }) =>
      step === undefined || (amount.trim() === '' && !notWeighed)
        ? null
        : {
            words: direction === 'refrigerantAdded' ? 'Gas added' : 'Gas recovered',
            step,
            machineId: machine.appliance.id,
          },
  );
  // The day of a visit is chosen in its head; a draft from yesterday must not bring its own.
  const draft = props.on === undefined ? kept.draft : { ...kept.draft, on: props.on };
  const set = (change: Partial<GasDraft>) => kept.set({ ...draft, ...change });

  const present = useMemo(() => standingWith(machine, packs, today), [machine, packs, today]);
  const charged = chargedUnit(present.history);
  const system = massSystemOf(machine.site, charged);
  const cylinders = useCylindersToHand(present.present.refrigerant?.name ?? null, draft.cylinderId);
  const unit = bareUnit(system, charged);
  const { entry, errors } = entryOf(draft, machine.appliance.id, person?.id ?? null, unit, corrected);
  // What it would mean is shown before a reason is given or a writer chosen.
  const asIf = { ...draft, correctionReason: draft.correctionReason || 'as if' };
  const guess = entryOf(asIf, machine.appliance.id, person?.id ?? 'nobody', unit, corrected).entry;
  const preview = useGasPreview(guess, { machine, today, visitId, on: draft.on, supersedes, cylinders });
  const senseError = preview?.sense.errors[0];
  const unanswered = preview?.sense.warnings.filter((warning) => !draft.accepted[warning]?.trim()) ?? [];
  const added = draft.direction === 'refrigerantAdded';

  const save = () => {
    refusal.try();
    if (!entry || senseError || unanswered.length > 0) return;
    // Kept before it is sent: a second try after a reload is the same deed.
    kept.set(draft);
    const at = new Date().toISOString();
    void write({
      name: `${visitId === null ? '' : `${visitId} `}gas ${place ?? ''}${machine.appliance.id} ${draft.supersedes ?? ''}`,
      entries: [placedInDay(entry, { visitId, today: dayText(today), at }), ...(also?.() ?? [])],
      words: `${added ? 'Gas added' : 'Gas recovered'}: saved to the logbook of ${machine.appliance.name}.`,
      known: machine.entries,
    }).then((saved) => {
      if (!saved) return;
      rememberMachine(machine.appliance.id);
      kept.forget(visitId === null ? undefined : nextPortion(draft));
      refusal.settle();
      onDone();
    });
  };

  return {
    draft,
    set,
    save,
    saving: { error, isPending: writing },
    tried,
    id: refusal.form,
    /** labels of what is wrong, once somebody tried to save */
    faulty: tried ? faultyOf(errors, senseError, unanswered) : [],
    errors,
    preview,
    senseError,
    unanswered,
    present,
    labels: leakLabels(machine.entries),
    system,
    unit,
    added,
    cylinders,
    read: massOf(draft.amount, unit),
  };
}

const LABELS: Record<keyof DraftErrors, string> = {
  amount: 'Amount',
  whyNotWeighed: 'Why not weighed',
  on: 'Day',
  correctionReason: 'Reason for the correction',
  by: 'Who is writing',
};

function faultyOf(
  errors: DraftErrors,
  senseError: SenseError | undefined,
  unanswered: readonly SenseWarning[],
): string[] {
  return [
    ...(Object.keys(errors) as (keyof DraftErrors)[]).map((key) => LABELS[key]),
    ...(senseError ? [senseErrorWords(senseError)] : []),
    ...unanswered.map((warning) => WARNING_WORDS[warning]),
  ];
}

export type GasFormState = ReturnType<typeof useGasForm>;
