/** The state of a form that writes one entry of a machine, or corrects one: what is typed, the entry that it makes, saving it. */
import { v7 as uuidv7 } from 'uuid';
import type { Entry } from '../../core/logbook/entry';
import { type Day, dayText } from '../../core/quantity/day';
import type { Values } from '../../record/field';
import { type FormResult, faultyLabels, initialValues, madeOf } from '../../record/formValues';
import type { Form } from '../../record/forms';
import { placedInDay } from '../../record/placeInDay';
import { type FormPlace, placeOf } from '../../record/place';
import type { MachineView } from '../data/api/machineView';
import { useWrite } from '../data/api/useWrite';
import { fitting } from '../data/device/kept';
import { useWriter } from '../data/device/writer';
import { useRefusal } from './useRefusal';

/** What is typed, kept on the device until it is written. */
export interface EntryDraft {
  /** of the entry, made once: a second try after a reload is the same deed */
  id: string;
  values: Values;
  on: string;
  note: string;
  correctionReason: string;
}

/** What a form begins with: the entry that it corrects, or what is known. */
export const freshDraft = (
  spec: Form,
  { standing, names }: MachineView,
  { given, corrected, on }: { given: Values; corrected: Entry | null; on: string },
): EntryDraft => ({
  id: uuidv7(),
  values: initialValues(spec, given, corrected, standing, names.leaks),
  on: corrected?.on ?? on,
  note: corrected?.note ?? '',
  correctionReason: '',
});

interface EntryFormProps<Draft extends EntryDraft> {
  spec: Form;
  view: MachineView;
  /** the day up to which it may be written, where that is not today */
  today?: Day;
  /** where the form stands in a visit, that of the visit */
  place?: FormPlace;
  /** what the form begins with */
  first: Values;
  /** the entry that it corrects */
  corrects: Entry | null;
  /** the visit that it belongs to */
  visitId: string | null;
  draft: Draft;
  keep: (draft: Draft) => void;
}

export interface EntryDeed {
  /** tells it from other deeds of the device */
  name: string;
  words: string;
  /** what is written, made of the entry of the form */
  entries: (entry: Entry) => readonly Entry[];
  /** what else stands in the way: nothing is sent */
  refused?: boolean;
  onSaved: (entry: Entry) => void;
}

export function useEntryForm<Draft extends EntryDraft>(props: EntryFormProps<Draft>) {
  const { spec, view, first, corrects, visitId, draft: kept, keep } = props;
  const { machine, standing } = view;
  const { today = view.today } = props;
  const { place = placeOf(view.bareUnit, machine.site, view.names.leaks) } = props;
  const { person } = useWriter();
  const { error, writing, save: write } = useWrite();
  const refusal = useRefusal();
  const draft = { ...kept, values: fitting(first, kept.values) };
  const set = (change: Partial<Draft>) => keep({ ...draft, ...change });
  const make = (as: { by: string | null; correctionReason: string }): FormResult =>
    madeOf(
      spec,
      draft.values,
      {
        id: draft.id,
        kind: spec.kind,
        on: draft.on,
        applianceId: machine.appliance.id,
        note: draft.note,
        corrected: corrects && { entry: corrects, values: first },
        ...as,
      },
      place,
      today,
    );
  const { entry, errors } = make({ by: person?.id ?? null, correctionReason: draft.correctionReason });
  const shown = refusal.tried ? errors : {};

  const save = ({ name, words, entries, refused = false, onSaved }: EntryDeed) => {
    refusal.try();
    if (!entry || refused) return;
    // Kept before it is sent: a second try after a reload is the same deed.
    keep(draft);
    const at = new Date().toISOString();
    const placed = placedInDay(entry, { visitId, today: dayText(today), at });
    void write({
      name: visitId === null ? name : `${visitId} ${name}`,
      entries: entries(placed),
      words: `${words}: saved to the logbook of ${machine.appliance.name}.`,
      known: machine.entries,
    }).then((saved) => {
      if (!saved) return;
      refusal.settle();
      onSaved(placed);
    });
  };

  return {
    draft,
    set,
    /** as it would be written; null while something is missing */
    entry,
    save,
    saving: { error, isPending: writing },
    tried: refusal.tried,
    id: refusal.form,
    errors,
    /** errors, once somebody tried to save */
    shown,
    faulty: faultyLabels(spec, shown),
    /** what it would be, before a reason is given or a writer chosen */
    asIf: () =>
      entry ??
      make({ by: person?.id ?? 'nobody', correctionReason: draft.correctionReason || 'as if' }).entry,
    fields: {
      values: draft.values,
      errors: shown,
      place,
      machine: { standing, packs: machine.packs },
      onAnswer: (key: string, value: unknown) =>
        keep({ ...draft, values: { ...draft.values, [key]: value } }),
    },
  };
}
export type EntryFormState = Pick<ReturnType<typeof useEntryForm<EntryDraft>>, 'draft' | 'set' | 'shown'>;
