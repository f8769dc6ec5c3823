/** Puts a row right, or adds one: its fields, the reason where rates, duties or papers hang on it, and the way back. */
import { say, sayWrong } from '../../data/device/messages';
import { type RowTable, changedFields, wantsWhy } from '../../../contract/rows';
import type { Revision } from '../../../core/logbook/tables';
import { useWriter } from '../../data/device/writer';
import { useChangeRows, useRow } from '../../data/api/queries';
import { WriterField } from '../WriterField';
import { TextField } from '../../parts/Field';
import { Button } from '../../parts/Button';
import { Fold } from '../../parts/Fold';
import { Loaded } from '../../parts/Page';
import { Refused } from '../Refused';
import { SaveBar } from '../SaveBar';
import { useRefusal } from '../useRefusal';
import { Dialog } from '../../parts/Dialog';
import { useKeptDraft } from '../../data/device/useKeptDraft';
import { Fields, applying, namesOf } from '../Fields';
import { RevisionLine } from './RowHistory';
import { useRowNames } from './useRowNames';
import { faultyLabels } from '../../../record/formValues';
import { ROW_FORMS } from '../../../record/rows/rowForms';
import type { Values } from '../../../record/field';
import { capped } from '../../../words/list';
import { ROW_PLACE, draftOfRow, rowOfDraft } from '../../../record/rows/rowValues';
import { withArticle } from '../../../words/counts';
import { NO_WRITER } from '../../../words/refused';

type Row = Record<string, unknown> & { id?: string };

interface Props {
  table: RowTable;
  id: string;
  /** the row to begin with, where it is new */
  fresh?: Row;
  /** of a new row: what else an answer settles */
  settles?: (key: string, value: unknown) => Values;
  /** `added`: the id of a row that is new */
  onClose: (added?: string) => void;
}

export function RowDialog(props: Props) {
  return props.fresh ? (
    <RowFormDialog {...props} row={props.fresh} revisions={[]} isNew />
  ) : (
    <Stored {...props} />
  );
}

function Stored(props: Props) {
  const query = useRow(props.table, props.id);
  if (query.data)
    return (
      <RowFormDialog {...props} row={query.data.row as Row} revisions={query.data.revisions} isNew={false} />
    );
  return (
    <Dialog title={`Change the ${ROW_FORMS[props.table].thing}`} onClose={() => props.onClose()}>
      <Loaded query={query}>{() => null}</Loaded>
    </Dialog>
  );
}

const UNDONE = 'undone at once by its writer';

const hashOf = (revisions: readonly Revision[]): string | null => revisions.at(-1)?.seal?.hash ?? null;

type RowFormProps = Props & { row: Row; revisions: readonly Revision[]; isNew: boolean };

/** What is typed of a row, what stands in the way of it, and saving it. */
function useRowForm({ table, id, row: stored, revisions, isNew, settles, onClose }: RowFormProps) {
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
  const faulty = tried
    ? faultyLabels(form, {
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
    change,
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
    errors: tried ? errors : {},
    answer: (key: string, value: unknown) =>
      set({
        ...draft,
        values: { ...draft.values, ...settles?.(key, value), [key]: value },
        seen: touched ? draft.seen : after,
      }),
  };
}

function RowFormDialog(props: RowFormProps) {
  const { revisions, isNew, onClose } = props;
  const { form, values, draft, set, change, save, refusal, errors, answer, ...state } = useRowForm(props);
  const { needsWhy, noWhy, asksWriter, noWriter, faulty, nothing, meanwhile, after } = state;
  const { tried } = refusal;
  const asked = applying(form.fields, values);
  const first = isNew ? form.first : undefined;
  const open = first ? asked.filter(({ key }) => first.includes(key)) : asked;
  const folded = asked.filter((field) => !open.includes(field));
  const asFields = {
    values,
    errors,
    place: ROW_PLACE,
    machine: null,
    onAnswer: answer,
  };

  return (
    <Dialog
      title={isNew ? `Add ${withArticle(form.thing)}` : `Change the ${form.thing}`}
      onClose={() => onClose()}
      footer={
        <SaveBar words="Save" saving={change} onSave={save}>
          <Refused labels={faulty} />
          {tried && nothing && <p className="mb-2 text-soft">Nothing is changed yet.</p>}
          {meanwhile.length > 0 && (
            <p role="alert" className="mb-2 font-semibold text-ochre">
              ◐ It was changed meanwhile: see above what, then go on.
            </p>
          )}
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
        {meanwhile.length > 0 && (
          <Meanwhile revisions={revisions} from={meanwhile} onSeen={() => set({ ...draft, seen: after })} />
        )}
        <Fields {...asFields} fields={open} />
        {folded.length > 0 && (
          <Fold title="More" about={namesOf(folded)} open={folded.some(({ key }) => key in draft.values)}>
            <Fields {...asFields} fields={folded} />
          </Fold>
        )}
        {needsWhy && (
          <TextField
            label="Why it changes"
            hint="Rates, duties or papers hang on it. The reason stays in its history."
            value={draft.why}
            onChange={(event) => set({ ...draft, why: event.target.value })}
            error={tried && noWhy ? 'Say why.' : null}
          />
        )}
        {asksWriter && <WriterField error={tried && noWriter ? NO_WRITER : undefined} />}
        <button type="submit" hidden aria-hidden="true" tabIndex={-1} />
      </form>
    </Dialog>
  );
}

/** What somebody else wrote while this sheet was open; what was typed here stays as it was typed. */
function Meanwhile({
  revisions,
  from,
  onSeen,
}: {
  revisions: readonly Revision[];
  from: readonly Revision[];
  onSeen: () => void;
}) {
  const names = useRowNames(revisions);
  return (
    <section aria-label="Changed meanwhile" data-fault className="mb-4 border-l-4 border-ochre pl-3">
      <p className="font-semibold text-ochre">
        ◐ Changed by somebody else while this was open. What you typed is still here.
      </p>
      <ol>
        {from.map((revision) => (
          <RevisionLine
            key={revision.seal?.hash}
            revision={revision}
            before={revisions[revisions.indexOf(revision) - 1] ?? null}
            names={names}
          />
        ))}
      </ol>
      <Button className="mt-2" onClick={onSeen}>
        I have seen it: go on
      </Button>
    </section>
  );
}
