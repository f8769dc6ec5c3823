/** The state of a form of a row: what is typed, what stands in the way of it, what another changed meanwhile, saving it. */
import { type RowTable, changedFields, wantsWhy } from '../../../contract/rows';
import type { Revision } from '../../../core/logbook/tables';
import type { Values } from '../../../record/field';
import { faultyLabels } from '../../../record/formValues';
import { ROW_FORMS } from '../../../record/rows/rowForms';
import { draftOfRow, rowOfDraft } from '../../../record/rows/rowValues';
import { capped } from '../../../words/list';
import { NO_WRITER } from '../../../words/refused';
import { useChangeRows } from '../../data/api/queries';
import { say, sayWrong } from '../../data/device/messages';
import { useKeptDraft } from '../../data/device/useKeptDraft';
import { useWriter } from '../../data/device/writer';
import { refusedFields } from '../refusedFields';
import { useRefusal } from '../useRefusal';

export type Row = Record<string, unknown> & { id?: string };

export interface RowDialogProps {
  table: RowTable;
  id: string;
  /** the row to begin with, where it is new */
  fresh?: Row;
  /** of a new row: what else an answer settles */
  settles?: (key: string, value: unknown) => Values;
  /** `added`: the id of a row that is new */
  onClose: (added?: string) => void;
}

const UNDONE = 'undone at once by its writer';

/** What the latest revision of a row is known by, so that nobody writes over another. */
export const hashOf = (revisions: readonly Revision[]): string | null => revisions.at(-1)?.seal?.hash ?? null;

export type RowFormProps = RowDialogProps & { row: Row; revisions: readonly Revision[]; isNew: boolean };

export function useRowForm({ table, id, row: stored, revisions, isNew, settles, onClose }: RowFormProps) {
  const form = ROW_FORMS[table];
  const { person } = useWriter();
  const change = useChangeRows();
  // Only what was touched is kept: the rest is as the row says it now, also where another wrote it meanwhile.
  const { draft, set, forget } = useKeptDraft(`row ${table} ${isNew ? 'new' : id}`, () => ({
    values: {} as Values,
    why: '',
    /** seal of the version that was on screen when this was typed */
    seen: null as string | null,
  }));
  const before = stored;
  const after = hashOf(revisions);
  const touched = Object.keys(draft.values).length > 0;
  const meanwhile =
    isNew || !touched || draft.seen === after
      ? []
      : revisions.slice(revisions.findIndex(({ seal }) => seal?.hash === draft.seen) + 1);
  const values: Values = { ...draftOfRow(form, before), ...draft.values };
  const refusal = useRefusal();
  const { tried } = refusal;
  const { row, errors } = rowOfDraft(form, before, values);
  const needsWhy = !isNew && wantsWhy(table, before, row);
  const noWhy = needsWhy && draft.why.trim() === '';
  const asksWriter = !(table === 'people' && isNew && !person);
  const refused = refusedFields(
    change.error,
    form.fields.map(({ key }) => key),
  );
  const faulty = tried
    ? faultyLabels(form, {
        ...refused,
        ...errors,
        ...(noWhy ? { why: 'Say why.' } : {}),
        ...(asksWriter && !person ? { by: NO_WRITER } : {}),
      })
    : [];
  const nothing = !isNew && changedFields(before, row).length === 0;

  const save = () => {
    refusal.try();
    // The first person of an empty list writes themselves down.
    const by = person?.id ?? (table === 'people' && isNew ? id : null);
    if (by === null || Object.keys(errors).length > 0 || noWhy || nothing || meanwhile.length > 0) return;
    change.mutate(
      { changes: [{ table, id, row, after }], by, why: draft.why.trim() || null },
      {
        onSuccess: ({ revisions: made }) => {
          forget();
          const last = made.at(-1)?.seal?.hash ?? null;
          say(
            `${capped(form.thing)} ${isNew ? 'added' : 'put right'}.`,
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
          onClose(isNew ? id : undefined);
        },
      },
    );
  };

  return {
    form,
    values,
    draft,
    set,
    saving: { isPending: change.isPending, error: refused ? null : change.error },
    save,
    refusal,
    needsWhy,
    noWhy,
    noWriter: asksWriter && !person,
    asksWriter,
    faulty,
    nothing,
    meanwhile,
    after,
    errors: tried ? { ...refused, ...errors } : {},
    answer: (key: string, value: unknown) => {
      // What the server refused is another thing now.
      change.reset();
      set({
        ...draft,
        values: { ...draft.values, ...settles?.(key, value), [key]: value },
        seen: touched ? draft.seen : after,
      });
    },
  };
}
