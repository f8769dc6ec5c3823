/** A form that stands in the step itself and writes one entry of the visit; what is typed is kept until it is written. */
import { type ReactNode, useState } from 'react';
import type { Entry } from '../../../core/logbook/entry';
import { dayText } from '../../../core/quantity/day';
import { useWriter } from '../../data/device/writer';
import { freshDraft, useEntryForm } from '../../forms/useEntryForm';
import { FieldGrid, applying, namesOf } from '../../forms/Fields';
import type { Form } from '../../../record/forms';
import type { Values } from '../../../record/field';
import { WriterField } from '../../forms/WriterField';
import { toolOf } from '../../../core/visit/notes/notes';
import { sentenceOf } from '../../../record/sentence';
import { ApiError } from '../../forms/ApiError';
import { Refused } from '../../forms/Refused';
import { Button } from '../../parts/Button';
import { Fold } from '../../parts/Fold';
import { useKeptDraft } from '../../data/device/useKeptDraft';
import { SaveHere } from '../StepBar';
import { useVisit } from '../visitContext';

interface Props {
  spec: Form;
  /** tells this form's draft from others of the step */
  name: string;
  given?: Values;
  /** fields that stand open, in this order; the rest is folded behind its name. Left out: all of them */
  first?: readonly string[];
  /** its button stands in the bar at the thumb */
  atThumb?: boolean;
  save?: string;
  /** more entries that go with it, or what the entry carries besides */
  alter?: (entry: Entry) => readonly Entry[];
  /** shown between the fields and the button, live */
  below?: (values: Values, entry: Entry | null) => ReactNode;
  onSaved?: () => void;
  main?: boolean;
}

export function NoteCard(props: Props) {
  const { spec, first, save = 'Save', below, main, atThumb = false } = props;
  const { record } = useVisit();
  const { person } = useWriter();
  const { form, isTyped, saysNothing, submit } = useNoteForm(props);
  const { values } = form.draft;

  const asked = applying(spec.fields, values);
  const folded = first ? asked.filter((field) => !first.includes(field.key)) : [];
  const open = first ? first.flatMap((key) => asked.find((field) => field.key === key) ?? []) : asked;
  const wrongInside = folded.some((field) => form.shown[field.key] !== undefined);
  const button = (
    <Button
      type="submit"
      form={form.id}
      weight={main === false ? 'plain' : 'main'}
      className="w-full sm:w-auto"
      disabled={form.saving.isPending}
    >
      {form.saving.isPending ? 'Saving…' : save}
    </Button>
  );
  const refused =
    form.tried && saysNothing && form.faulty.length === 0 ? (
      <p role="alert" className="mb-2 font-semibold text-brick">
        ▲ Not saved: nothing is said here yet.
      </p>
    ) : (
      <Refused labels={form.faulty} />
    );
  return (
    <form
      id={form.id}
      aria-label={spec.title}
      className="mb-4"
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      {spec.about && !first && <p className="mb-3 text-soft">{spec.about}</p>}
      <Written entries={record.entries.map(({ entry }) => entry)} spec={spec} />
      <FieldGrid {...form.fields} fields={open} />
      {folded.length > 0 && (
        <Fold
          key={String(wrongInside)}
          title="More"
          about={namesOf(folded)}
          open={wrongInside || folded.some(({ key }) => isTyped(key, values))}
        >
          <FieldGrid {...form.fields} fields={folded} />
        </Fold>
      )}
      {below?.(values, form.entry)}
      {(!person || !first) && <WriterField />}
      <ApiError error={form.saving.error} />
      <SaveHere atThumb={atThumb}>
        {refused}
        {button}
      </SaveHere>
    </form>
  );
}

/** What is typed, kept until it is written; and what writes it. */
function useNoteForm({ spec, name, given = {}, alter, onSaved }: Props) {
  const { visitId, view, place, day, step } = useVisit();
  const { machine } = view;
  const on = dayText(day);
  const fresh = () => freshDraft(spec, view, { given, corrected: null, on });
  const [begun] = useState(fresh);
  // What was known when the form opened was typed by nobody here.
  const isTyped = (key: string, values: Values): boolean =>
    !isEmpty(values[key]) && !sameValue(values[key], begun.values[key]);
  const kept = useKeptDraft(
    `${visitId} ${machine.appliance.id} ${name}`,
    fresh,
    localStorage,
    ({ values }) =>
      spec.fields.some(({ key }) => isTyped(key, values))
        ? { words: spec.title, step, machineId: machine.appliance.id }
        : null,
  );
  const form = useEntryForm({
    spec,
    view,
    today: day,
    place,
    first: begun.values,
    corrects: null,
    visitId,
    draft: { ...kept.draft, on },
    keep: kept.set,
  });
  const { values } = form.draft;
  const saysNothing = spec.fields.length > 0 && spec.fields.every((field) => isEmpty(values[field.key]));
  const submit = () =>
    form.save({
      name: `${machine.appliance.id} ${name}`,
      words: spec.title,
      entries: (entry) => (alter ? alter(entry) : [entry]),
      refused: saysNothing,
      onSaved: () => {
        kept.forget();
        onSaved?.();
      },
    });
  return { form, isTyped, saysNothing, submit };
}

const SHOWN = 2;

/** What this form wrote in this visit: the form begins anew below it. */
function Written({ entries, spec }: { entries: readonly Entry[]; spec: Form }) {
  const { view } = useVisit();
  const own = entries.filter(
    (entry) => entry.kind === spec.kind && toolOf(entry) === (spec.fixed['tool'] ?? null),
  );
  if (own.length === 0) return null;
  return (
    <ul aria-label={`Written: ${spec.title}`} className="mb-3 border-l-4 border-green pl-3">
      {own.slice(-SHOWN).map((entry) => (
        <li key={entry.id} className="truncate">
          <span className="text-soft">Written: </span>
          {sentenceOf(entry, view.system, view.names)}
        </li>
      ))}
    </ul>
  );
}

const sameValue = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Nothing was said: neither a value nor why there is none. */
function isEmpty(value: unknown): boolean {
  if (value === null || value === undefined || value === '' || value === false) return true;
  if (Array.isArray(value)) return value.length === 0;
  if (typeof value === 'object') {
    const { text, how, id } = value as { text?: string; how?: string; id?: string };
    // A leak is always named; it says nothing by itself.
    return id !== undefined || (how === 'value' && text === '');
  }
  return false;
}
