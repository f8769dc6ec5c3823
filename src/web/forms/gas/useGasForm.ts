/** The state of a form of gas: that of every entry, with what it would mean and the reasons for what looks odd. */
import { useState } from 'react';
import type { Step } from '../../../core/visit/steps';
import type { Entry } from '../../../core/logbook/entry';
import { type SenseWarning, acceptedReasons, withAccepted } from '../../../core/logbook/sense';
import { effectiveOf } from '../../../core/logbook/order';
import { dayText } from '../../../core/quantity/day';
import { faultyLabels } from '../../../record/formValues';
import { type GasKind, kindForm } from '../../../record/forms';
import { isWeighed, notWeighedOf } from '../../../record/notWeighed';
import { portionAfter } from '../../../record/portions';
import { KINDS } from '../../../record/records';
import { WARNING_WORDS, senseErrorWords } from '../../../words/refusals';
import { useCylindersToHand } from '../../data/api/queries';
import type { MachineView } from '../../data/api/machineView';
import { rememberMachine } from '../../data/device/recentMachines';
import { useKeptDraft } from '../../data/device/useKeptDraft';
import { type EntryDraft, freshDraft, useEntryForm } from '../useEntryForm';
import { useGasPreview } from './useGasPreview';

export interface GasFormProps {
  view: MachineView;
  supersedes: string | null;
  leakId: string | null;
  direction: GasKind;
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

interface GasDraft extends EntryDraft {
  kind: GasKind;
  /** reasons for what looks odd */
  accepted: Partial<Record<SenseWarning, string>>;
}

export function useGasForm(props: GasFormProps) {
  const { view, place, supersedes, leakId, visitId = null, step, also, onDone } = props;
  const { machine, standing, today } = view;
  const corrects = machine.entries.find(({ id }) => id === supersedes) ?? null;
  const fresh = (kind: GasKind, before: readonly Entry[]): GasDraft => ({
    ...freshDraft(kindForm(kind), view, {
      given: { ...portionAfter(kind, before), ...(leakId === null ? {} : { leakId }) },
      corrected: corrects,
      on: props.on ?? dayText(today),
    }),
    kind,
    accepted: corrects ? acceptedReasons(corrects) : {},
  });
  const inVisit =
    visitId === null
      ? []
      : effectiveOf(machine.entries, machine.appliance.id).filter((each) => each.visitId === visitId);
  const [begun] = useState(() => fresh((corrects?.kind as GasKind | undefined) ?? props.direction, inVisit));
  const kept = useKeptDraft<GasDraft>(
    `${place ?? 'gas '}${machine.appliance.id} ${supersedes ?? ''}`,
    () => begun,
    // A draft of a visit outlives the browser too, for a phone may go flat on the roof.
    place === undefined ? sessionStorage : localStorage,
    ({ values, kind }) =>
      step === undefined || (values['mass'] === '' && isWeighed(values['massUnknown']))
        ? null
        : { words: KINDS[kind].name, step, machineId: machine.appliance.id },
  );
  const { kind } = kept.draft;
  const spec = kindForm(kind);
  const form = useEntryForm({
    spec,
    view,
    first: kind === begun.kind ? begun.values : kept.draft.values,
    corrects,
    visitId,
    // The day of a visit is chosen in its head; a draft from yesterday must not bring its own.
    draft: props.on === undefined ? kept.draft : { ...kept.draft, on: props.on },
    keep: kept.set,
  });
  const { draft, set, tried } = form;
  const cylinders = useCylindersToHand(
    standing.present.refrigerant?.name ?? null,
    String(draft.values['cylinderId']),
  );
  const preview = useGasPreview(form.asIf(), {
    machine,
    today,
    visitId,
    on: draft.on,
    supersedes,
    cylinders,
  });
  const odd = preview?.sense.errors[0];
  const unanswered = preview?.sense.warnings.filter((warning) => !draft.accepted[warning]?.trim()) ?? [];
  const errors = { ...(odd ? { [odd.field]: senseErrorWords(odd) } : {}), ...form.errors };
  // What is typed is judged while it is typed; what is missing, once somebody tries to save.
  const typed = { mass: draft.values['mass'] !== '', on: draft.on !== '' };
  const shown = tried
    ? errors
    : Object.fromEntries(Object.entries(errors).filter(([key]) => typed[key as keyof typeof typed]));

  return {
    ...form,
    fields: { ...form.fields, errors: shown },
    errors,
    shown,
    spec,
    corrects: corrects !== null,
    /** the other way; amount and bottle stay */
    turn: (next: GasKind) => {
      const other = fresh(next, inVisit);
      const { mass, massUnknown, cylinderId } = draft.values;
      set({ kind: next, values: { ...other.values, mass, massUnknown, cylinderId } });
    },
    /** the weight that a scale gave */
    weigh: (mass: string) => {
      const why = { ...notWeighedOf(draft.values['massUnknown']), ticked: false };
      set({ values: { ...draft.values, mass, massUnknown: why } });
    },
    save: () =>
      form.save({
        name: `gas ${place ?? ''}${machine.appliance.id} ${supersedes ?? ''}`,
        words: KINDS[kind].name,
        entries: (entry) => [withAccepted(entry, draft.accepted), ...(also?.() ?? [])],
        refused: odd !== undefined || unanswered.length > 0,
        onSaved: (entry) => {
          rememberMachine(machine.appliance.id);
          kept.forget(visitId === null ? undefined : fresh(kind, [...inVisit, entry]));
          onDone();
        },
      }),
    /** labels of what is wrong, once somebody tried to save */
    faulty: tried
      ? [...faultyLabels(spec, errors), ...unanswered.map((warning) => WARNING_WORDS[warning])]
      : [],
    preview,
    view,
  };
}

export type GasFormState = ReturnType<typeof useGasForm>;
