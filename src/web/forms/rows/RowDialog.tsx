/** Puts a row right, or adds one: its fields, the reason where rates, duties or papers hang on it, and the way back. */
import type { Revision } from '../../../core/logbook/tables';
import { useRow } from '../../data/api/queries';
import { WriterField } from '../WriterField';
import { TextField } from '../../parts/Field';
import { Button } from '../../parts/Button';
import { Fold } from '../../parts/Fold';
import { Loaded } from '../../parts/Page';
import { Refused } from '../Refused';
import { SaveBar } from '../SaveBar';
import { Dialog } from '../../parts/Dialog';
import { Fields, applying, namesOf } from '../Fields';
import { RevisionLine } from './RowHistory';
import { type Row, type RowDialogProps, type RowFormProps, useRowForm } from './useRowForm';
import { useRowNames } from './useRowNames';
import { ROW_FORMS } from '../../../record/rows/rowForms';
import { ROW_PLACE } from '../../../record/rows/rowValues';
import { withArticle } from '../../../words/counts';

export function RowDialog(props: RowDialogProps) {
  return props.fresh ? (
    <RowFormDialog {...props} row={props.fresh} revisions={[]} isNew />
  ) : (
    <Stored {...props} />
  );
}

function Stored(props: RowDialogProps) {
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

function RowFormDialog(props: RowFormProps) {
  const { revisions, isNew, onClose } = props;
  const { form, values, draft, set, saving, save, refusal, errors, answer, ...state } = useRowForm(props);
  const { needsWhy, noWhy, asksWriter, faulty, nothing, meanwhile, after } = state;
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
        <SaveBar words="Save" saving={saving} onSave={save}>
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
        {asksWriter && <WriterField />}
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
