/** Puts a row right, or adds one: its fields, the reason where rates, duties or papers hang on it, and the way back. */
import { say, sayWrong } from '../../data/messages';
import { useState } from 'react';
import { type RowTable, changedFields, wantsWhy } from '../../../contract/rows';
import type { Revision } from '../../../core/logbook/tables';
import { useWriter } from '../../data/writer';
import { useChangeRows, useRow } from '../../data/queries';
import { WriterField } from '../WriterField';
import { TextField } from '../../parts/Field';
import { Loaded } from '../../parts/Page';
import { Refused } from '../Refused';
import { SaveBar } from '../SaveBar';
import { useRefusal } from '../useRefusal';
import { Sheet } from '../../parts/Sheet';
import { useKeptDraft } from '../../data/useKeptDraft';
import { RowFieldControl } from './RowFieldControl';
import { faultyLabels } from '../../../record/formValues';
import { ROW_FORMS } from '../../../record/rows/rowForms';
import { type RowDraft, draftOfRow, rowOfDraft } from '../../../record/rows/rowValues';

type Row = Record<string, unknown> & { id?: string };

interface Props {
  table: RowTable;
  id: string;
  /** the row to begin with, where it is new */
  fresh?: Row;
  onClose: () => void;
}

export function RowSheet(props: Props) {
  return props.fresh ? (
    <RowFormSheet {...props} row={props.fresh} revisions={[]} isNew />
  ) : (
    <Stored {...props} />
  );
}

function Stored(props: Props) {
  const query = useRow(props.table, props.id);
  if (query.data)
    return (
      <RowFormSheet {...props} row={query.data.row as Row} revisions={query.data.revisions} isNew={false} />
    );
  return (
    <Sheet title={`Change the ${ROW_FORMS[props.table].thing}`} onClose={props.onClose}>
      <Loaded query={query}>{() => null}</Loaded>
    </Sheet>
  );
}

const UNDONE = 'undone at once by its writer';

function RowFormSheet({
  table,
  id,
  row: stored,
  revisions,
  isNew,
  onClose,
}: Props & { row: Row; revisions: readonly Revision[]; isNew: boolean }) {
  const form = ROW_FORMS[table];
  const { person } = useWriter();
  const change = useChangeRows();
  // What was read when the sheet opened: what another writes meanwhile must not be written over.
  const [{ before, after }] = useState({ before: stored, after: revisions.at(-1)?.seal?.hash ?? null });
  const { draft, set, forget } = useKeptDraft(`row ${table} ${isNew ? 'new' : id}`, () => ({
    values: draftOfRow(form, before),
    why: '',
  }));
  const values: RowDraft = { ...draftOfRow(form, before), ...draft.values };
  const refusal = useRefusal();
  const { tried } = refusal;
  const { row, errors } = rowOfDraft(form, before, values);
  const needsWhy = !isNew && wantsWhy(table, before, row);
  const noWhy = needsWhy && draft.why.trim() === '';
  const asksWriter = !(table === 'people' && isNew && !person);
  const faulty = tried
    ? faultyLabels(form, {
        ...errors,
        ...(noWhy ? { why: 'Say why.' } : {}),
        ...(asksWriter && !person ? { by: 'Choose who is writing.' } : {}),
      })
    : [];
  const nothing = !isNew && changedFields(before, row).length === 0;

  const save = () => {
    refusal.try();
    // The first person of an empty list writes themselves down.
    const by = person?.id ?? (table === 'people' && isNew ? id : null);
    if (by === null || Object.keys(errors).length > 0 || noWhy || nothing) return;
    change.mutate(
      { changes: [{ table, id, row, after }], by, why: draft.why.trim() || null },
      {
        onSuccess: ({ revisions: made }) => {
          forget();
          const last = made.at(-1)?.seal?.hash ?? null;
          say(
            `${form.thing.charAt(0).toUpperCase()}${form.thing.slice(1)} ${isNew ? 'added' : 'put right'}.`,
            isNew
              ? {}
              : {
                  action: {
                    label: 'Undo',
                    onClick: () =>
                      change.mutate(
                        { changes: [{ table, id, row: before, after: last }], by, why: UNDONE },
                        { onError: (error) => sayWrong(`Not undone: ${error.message}`) },
                      ),
                  },
                },
          );
          onClose();
        },
      },
    );
  };

  return (
    <Sheet
      title={isNew ? `Add a ${form.thing}` : `Change the ${form.thing}`}
      onClose={onClose}
      footer={
        <SaveBar words="Save" saving={change} onSave={save}>
          <Refused labels={faulty} />
          {tried && nothing && <p className="mb-2 text-soft">Nothing is changed yet.</p>}
        </SaveBar>
      }
    >
      <form
        id={refusal.form}
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        {form.fields.map((field) => (
          <RowFieldControl
            key={field.key}
            field={field}
            value={values[field.key]}
            row={values}
            error={tried ? errors[field.key] : undefined}
            onChange={(value) => set({ ...draft, values: { ...values, [field.key]: value } })}
          />
        ))}
        {needsWhy && (
          <TextField
            label="Why it changes"
            hint="Rates, duties or papers hang on it. The reason stays in its history."
            value={draft.why}
            onChange={(event) => set({ ...draft, why: event.target.value })}
            error={tried && noWhy ? 'Say why.' : null}
          />
        )}
        {asksWriter && <WriterField error={tried && !person ? 'Choose who is writing.' : undefined} />}
        <button type="submit" hidden aria-hidden="true" tabIndex={-1} />
      </form>
    </Sheet>
  );
}
