/** The state of a gas form: what is typed, the entry that it makes, what that would mean, and saving it. */
import { useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { Entry } from '../../core/logbook/entry';
import { bareUnit, massSystemOf } from '../../core/rules/massSystem';
import { type Day, dayText } from '../../core/quantity/day';
import { useWriter } from '../app/writer';
import { useAppend, useCylinders } from '../data/queries';
import { rememberMachine } from '../data/recentMachines';
import { type Machine, standingWith, usePacks } from '../data/standing';
import { undoing } from '../entries/voiding';
import {
  type Direction,
  type GasDraft,
  correctionDraft,
  entryOf,
  freshDraft,
  massOf,
  smallUnit,
} from './gasDraft';
import { previewOf } from './gasPreview';
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
  /** what the entry carries besides, and what is written with it */
  alter?: (entry: Entry, at: string) => readonly Entry[];
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
  const { machine, today, place, alter, onDone } = props;
  const { person } = useWriter();
  const packs = usePacks();
  const cylinders = useCylinders().data ?? [];
  const append = useAppend();
  const [draft, setDraft] = useState<GasDraft>(() => firstDraft(props));
  const [tried, setTried] = useState(false);
  // First sent then: a second try must be the same entry.
  const sentAt = useRef<string | null>(null);
  const set = (change: Partial<GasDraft>) => {
    const next = { ...draft, ...change };
    setDraft(next);
    keepDraft(machine.appliance.id, next, place);
  };

  const system = massSystemOf(machine.site);
  const present = useMemo(() => standingWith(machine, packs, today), [machine, packs, today]);
  // Small machines are charged in grams or ounces; their full charge tells which unit a bare number means.
  const unit = smallUnit(machine) ?? bareUnit(system);
  const { entry, errors } = entryOf(draft, machine.appliance.id, person?.id ?? null, unit);
  // What it would mean is shown before a reason is given or a writer chosen.
  const asIf = { ...draft, correctionReason: draft.correctionReason || 'as if' };
  const guess = entryOf(asIf, machine.appliance.id, person?.id ?? 'nobody', unit).entry;
  const preview = guess ? previewOf(guess, machine, cylinders, packs, today) : null;
  const senseError = preview?.sense.errors[0];
  const unanswered = preview?.sense.warnings.filter((warning) => !draft.accepted[warning]?.trim()) ?? [];
  const added = draft.direction === 'refrigerantAdded';

  const save = () => {
    setTried(true);
    if (!entry || senseError || unanswered.length > 0) return;
    sentAt.current ??= new Date().toISOString();
    const written = alter ? alter(entry, sentAt.current) : [entry];
    append.mutate(written, {
      onSuccess: () => {
        rememberMachine(machine.appliance.id);
        forgetDraft(machine.appliance.id, draft.supersedes, place);
        setDraft({ ...freshDraft(props.on ?? dayText(today), props.direction), leakId: props.leakId ?? '' });
        setTried(false);
        sentAt.current = null;
        toast.success(
          `${added ? 'Gas added' : 'Gas recovered'}: saved to the logbook of ${machine.appliance.name}.`,
          {
            action: {
              label: 'Undo',
              onClick: () =>
                append.mutate(written.toReversed().map((each) => undoing(each, machine.entries))),
            },
          },
        );
        onDone();
      },
    });
  };

  return {
    draft,
    set,
    save,
    saving: append,
    tried,
    errors,
    preview,
    senseError,
    unanswered,
    present,
    system,
    unit,
    added,
    cylinders,
    read: massOf(draft.amount, unit),
  };
}

export type GasFormState = ReturnType<typeof useGasForm>;
