/** What every form of an entry asks beside its own fields: the day, why it is corrected, a note, and who is writing. */
import { type Day, dayText } from '../../core/quantity/day';
import { TextArea, TextField } from '../parts/Field';
import { WriterField } from './WriterField';
import type { EntryFormState } from './useEntryForm';

type Part = Pick<EntryFormState, 'draft' | 'set' | 'shown'>;

export const DayField = ({ form: { draft, set, shown }, today }: { form: Part; today: Day }) => (
  <TextField
    label="Day"
    type="date"
    max={dayText(today)}
    value={draft.on}
    onChange={(event) => set({ on: event.target.value })}
    error={shown['on'] ?? null}
  />
);

export const CorrectionReason = ({ form: { draft, set, shown } }: { form: Part }) => (
  <TextField
    label="Reason for the correction"
    value={draft.correctionReason}
    onChange={(event) => set({ correctionReason: event.target.value })}
    error={shown['correctionReason'] ?? null}
  />
);

export const NoteField = ({ form: { draft, set } }: { form: Part }) => (
  <TextArea
    label="Note"
    optional
    value={draft.note}
    onChange={(event) => set({ note: event.target.value })}
  />
);

export const EntryFrame = ({
  form,
  today,
  corrects,
}: {
  form: Part;
  today: Day;
  /** it corrects an entry */
  corrects: boolean;
}) => (
  <>
    <DayField form={form} today={today} />
    {corrects && <CorrectionReason form={form} />}
    <NoteField form={form} />
    <WriterField />
  </>
);
