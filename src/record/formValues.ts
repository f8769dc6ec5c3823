/** Between what a form holds and the entry that it makes. */
import { type Entry, entrySchema } from '../core/logbook/entry';
import type { LeakLabels } from '../core/logbook/leakLabels';
import { entryProblems } from '../core/logbook/logbook';
import { asNamedToday } from '../core/logbook/olderNames';
import { problemsOf } from '../core/logbook/problems';
import { dayOf } from '../core/quantity/day';
import type { Standing } from '../core/rules/standing';
import { noteProblems } from '../core/visit/notes/noteProblems';
import type { AskedField, Values } from './field';
import type { Form } from './forms';
import type { LeakDraft } from './leakDraft';
import type { FormPlace } from './place';
import { beginField, readField } from './fieldKinds';
import { valueAt } from './sentence';
import { massRefusalWords } from '../words/refusals';
import { NO_WRITER } from '../words/refused';

function putPath(target: Values, key: string, value: unknown): void {
  const parts = key.split('.');
  const last = parts.pop() ?? key;
  let inner = target;
  for (const part of parts) inner = (inner[part] ??= {}) as Values;
  inner[last] = value;
}

/** Values to begin with: those of the entry that is corrected, what is known, else the field's own. */
export function initialValues(
  spec: Form,
  given: Values,
  corrected: Entry | null,
  standing: Standing,
  labels: LeakLabels = new Map(),
): Values {
  const source: Values = corrected ? (asNamedToday(corrected) as unknown as Values) : given;
  const context = { values: source, standing, labels };
  return Object.fromEntries(
    spec.fields.map((field) => [field.key, beginField(field, valueAt(source, field.key), context)]),
  );
}

export interface FormResult {
  entry: Entry | null;
  errors: Record<string, string>;
}

export interface Frame {
  id: string;
  kind: string;
  on: string;
  by: string | null;
  applianceId: string;
  note: string;
  /** the entry that is corrected, with what the form held when it was opened: what nobody touched stays as it was */
  corrected: { entry: Entry; values: Values } | null;
  correctionReason: string;
}

/** What an entry carries beside what the writer of a correction says anew. */
function wholeOf(entry: Entry): Values {
  const {
    id: _id,
    seal: _seal,
    recordedAt: _recordedAt,
    supersedes: _s,
    correctionReason: _r,
    ...rest
  } = entry;
  return structuredClone(rest) as Values;
}

function dropPath(target: Values, key: string): void {
  const parts = key.split('.');
  const last = parts.pop() ?? key;
  const inner = parts.reduce<Values | null | undefined>((value, part) => value?.[part] as Values, target);
  if (inner) Reflect.deleteProperty(inner, last);
}

/** Of a leak only which one it is counts: the new one that is offered beside it differs each time. */
const untouched = (field: AskedField, now: unknown, before: unknown): boolean =>
  field.type === 'leak' || field.type === 'newLeak'
    ? (now as LeakDraft).id === (before as LeakDraft).id
    : JSON.stringify(now) === JSON.stringify(before);

const isBlank = (value: unknown): boolean =>
  value === undefined || (Array.isArray(value) && value.length === 0);

function isNeeded(field: AskedField, values: Values): boolean {
  if (typeof field.needed === 'function') return field.needed(values);
  return field.needed ?? (field.type === 'long' && !field.stated && !field.optional);
}

const lackWords = (field: AskedField): string =>
  field.type === 'date'
    ? field.stated
      ? 'Give the day, or say that nobody knows it.'
      : 'Give the day.'
    : field.type === 'measure'
      ? 'Type the figure.'
      : field.type === 'mass'
        ? massRefusalWords({ reason: 'empty' })
        : 'Say a few words here.';

/** The entry of a form, or an error for each field that is not right. */
export function madeOf(
  spec: Form,
  values: Values,
  frame: Frame,
  place: FormPlace,
  today: number,
): FormResult {
  const errors: Record<string, string> = {};
  const { corrected } = frame;
  const payload: Values = corrected ? wholeOf(asNamedToday(corrected.entry)) : structuredClone(spec.fixed);
  for (const field of spec.fields) {
    const value = values[field.key];
    const applies = !field.when || field.when(values);
    if (corrected) {
      const applied = !field.when || field.when(corrected.values);
      if (applies === applied && untouched(field, value, corrected.values[field.key])) continue;
      dropPath(payload, field.key);
      if (field.key in spec.fixed) payload[field.key] = spec.fixed[field.key];
    }
    if (!applies) continue;
    const read = readField(field, value, { place, values });
    if ('error' in read) errors[field.key] = read.error;
    else if (field.type === 'leak' || field.type === 'newLeak')
      putLeak(payload, field.key, read.value as LeakDraft);
    else if (!isBlank(read.value)) putPath(payload, field.key, read.value);
    else if (field.chosen) errors[field.key] = 'Choose one.';
    else if (isNeeded(field, values)) errors[field.key] = lackWords(field);
    // What is fixed until the field is answered is no answer of its own.
    if (errors[field.key] !== undefined) dropPath(payload, field.key);
  }
  if (frame.by === null) errors['by'] = NO_WRITER;
  if (frame.on === '') errors['on'] = 'Give the day on which it was done.';
  else if (dayOf(frame.on) > today) errors['on'] = 'That day has not come yet.';
  if (corrected && frame.correctionReason.trim() === '')
    errors['correctionReason'] = 'Say why the entry is corrected.';
  const { id, kind, on, applianceId } = frame;
  const draft = {
    ...payload,
    id,
    kind,
    on,
    applianceId,
    by: frame.by ?? '',
    note: noteOf(frame),
    ...(corrected
      ? { supersedes: corrected.entry.id, correctionReason: frame.correctionReason.trim() || 'as if' }
      : {}),
  };
  const parsed = entrySchema.safeParse(draft, { reportInput: true });
  const problems = parsed.success
    ? [
        ...entryProblems(parsed.data, { appliance: () => true, entry: () => true }),
        ...noteProblems(parsed.data),
      ]
    : problemsOf(parsed.error);
  for (const problem of problems) {
    const at = problem.path.join('.');
    // `suctionLine` is not `suction`: a field owns its own path and what lies within it.
    const key =
      spec.fields.find((field) => at === field.key || at.startsWith(`${field.key}.`))?.key ??
      String(problem.path[0] ?? 'kind');
    errors[key] ??= `This ${problem.message}.`;
  }
  return { entry: parsed.success && Object.keys(errors).length === 0 ? parsed.data : null, errors };
}

/** What the form asks beside its fields. */
const BESIDE: Readonly<Record<string, string>> = {
  on: 'Day',
  by: 'Who is writing',
  correctionReason: 'Reason for the correction',
  why: 'Why it changes',
};

/** Labels of what is wrong, in the order of the form. */
export const faultyLabels = (
  { fields }: { fields: readonly { key: string; label: string }[] },
  errors: Readonly<Record<string, string>>,
): string[] => [
  ...fields.flatMap(({ key, label }) => (key in errors ? label : [])),
  ...Object.keys(errors)
    .filter((key) => !fields.some((field) => field.key === key))
    .map((key) => BESIDE[key] ?? errors[key] ?? key),
];

/** Blanks that nobody typed are no change. */
function noteOf({ note, corrected }: Frame): string | null | undefined {
  const before = corrected?.entry.note;
  return note.trim() === (before ?? '').trim() ? before : note.trim() || undefined;
}

/** The leak that is named, and what a new one is called. */
function putLeak(payload: Values, key: string, { id, fresh }: LeakDraft): void {
  putPath(payload, key, id);
  if (id === fresh.id) payload['label'] = fresh.label;
  else delete payload['label'];
}
