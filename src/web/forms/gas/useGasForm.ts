/** The state of a gas form: what is typed, the entry that it makes, what that would mean, and saving it. */
import { useMemo, useState } from 'react';
import type { Entry } from '../../../core/logbook/entry';
import { leakLabels } from '../../../core/logbook/leakLabels';
import { bareUnit, chargedUnit, massSystemOf } from '../../../core/rules/massSystem';
import { type Day, dayText } from '../../../core/quantity/day';
import { useWriter } from '../../data/writer';
import { useBottlesToHand } from '../../data/queries';
import { rememberMachine } from '../../data/recentMachines';
import { type Machine, standingWith, usePacks } from '../../data/standing';
import { useWriting } from '../../data/useWriting';
import {
  type Direction,
  type GasDraft,
  correctionDraft,
  entryOf,
  freshDraft,
  massOf,
} from '../../../record/gasDraft';
import { previewOf } from '../../data/gasPreview';
import { placedInDay } from '../../../record/placeInDay';
import { forgetDraft, keepDraft, keptDraft } from './keptDrafts';

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
  /** what is written with it */
  also?: () => readonly Entry[];
  onDone: () => void;
}

function firstDraft(props: GasFormProps): GasDraft {
  const { machine, today, supersedes, leakId, direction, place, on } = props;
  const target = machine.entries.find((entry) => entry.id === supersedes);
  const kept = keptDraft(machine.appliance.id, supersedes, place);
  // The day of a visit is chosen in its head; a draft from yesterday must not bring its own.
  if (kept) return { ...kept, on: on ?? kept.on };
  if (target?.kind === 'refrigerantAdded' || target?.kind === 'refrigerantRecovered')
    return correctionDraft(target);
  return { ...freshDraft(on ?? dayText(today), direction), leakId: leakId ?? '' };
}

export function useGasForm(props: GasFormProps) {
  const { machine, today, place, supersedes, visitId = null, also, onDone } = props;
  const { person } = useWriter();
  const packs = usePacks();
  const { write, writing } = useWriting();
  const [error, setError] = useState<Error | null>(null);
  const [draft, setDraft] = useState<GasDraft>(() => firstDraft(props));
  const [tried, setTried] = useState(false);
  const day = { visitId, today: dayText(today) };
  const set = (change: Partial<GasDraft>) => {
    const next = { ...draft, ...change };
    setDraft(next);
    keepDraft(machine.appliance.id, next, place);
  };

  const present = useMemo(() => standingWith(machine, packs, today), [machine, packs, today]);
  const charged = chargedUnit(present.history);
  const system = massSystemOf(machine.site, charged);
  const cylinders = useBottlesToHand(present.present.refrigerant.name, draft.cylinderId);
  const unit = bareUnit(system, charged);
  const target = machine.entries.find((each) => each.id === supersedes);
  const corrected =
    target?.kind === 'refrigerantAdded' || target?.kind === 'refrigerantRecovered' ? target : null;
  const { entry, errors } = entryOf(draft, machine.appliance.id, person?.id ?? null, unit, corrected);
  // What it would mean is shown before a reason is given or a writer chosen.
  const asIf = { ...draft, correctionReason: draft.correctionReason || 'as if' };
  const guess = entryOf(asIf, machine.appliance.id, person?.id ?? 'nobody', unit, corrected).entry;
  const preview = guess
    ? previewOf(
        placedInDay(guess, { ...day, at: new Date().toISOString() }),
        machine,
        cylinders,
        packs,
        today,
      )
    : null;
  const senseError = preview?.sense.errors[0];
  const unanswered = preview?.sense.warnings.filter((warning) => !draft.accepted[warning]?.trim()) ?? [];
  const added = draft.direction === 'refrigerantAdded';

  const save = () => {
    setTried(true);
    if (!entry || senseError || unanswered.length > 0) return;
    // Kept before it is sent: a second try after a reload is the same deed.
    keepDraft(machine.appliance.id, draft, place);
    const written = [placedInDay(entry, { ...day, at: new Date().toISOString() }), ...(also?.() ?? [])];
    void write(
      `${visitId === null ? '' : `${visitId} `}gas ${place ?? ''}${machine.appliance.id} ${draft.supersedes ?? ''}`,
      written,
      `${added ? 'Gas added' : 'Gas recovered'}: saved to the logbook of ${machine.appliance.name}.`,
      machine.entries,
    ).then((problem) => {
      setError(problem);
      if (problem) return;
      rememberMachine(machine.appliance.id);
      forgetDraft(machine.appliance.id, draft.supersedes, place);
      setDraft({ ...freshDraft(props.on ?? dayText(today), props.direction), leakId: props.leakId ?? '' });
      setTried(false);
      onDone();
    });
  };

  return {
    draft,
    set,
    save,
    saving: { error, isPending: writing },
    tried,
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

export type GasFormState = ReturnType<typeof useGasForm>;
