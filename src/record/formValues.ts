/** Between what a form holds and the entry that it makes. */
import { v7 as uuidv7 } from 'uuid';
import { type Entry, entrySchema } from '../core/logbook/entry';
import { type LeakLabels, nextLeakLabel } from '../core/logbook/leakLabels';
import { entryProblems } from '../core/logbook/logbook';
import { GAUGE_UNITS } from '../core/quantity/units';
import { problemsOf } from '../core/logbook/problems';
import type { Site } from '../core/logbook/tables';
import { unitSystemOf } from '../core/rules/massSystem';
import { dayOf } from '../core/quantity/day';
import type { Mass, MassUnit } from '../core/quantity/mass';
import type { Standing } from '../core/rules/standing';
import { SEA_LEVEL_PA, atmosphereAt } from '../core/quantity/atmosphere';
import type { Instrument } from '../core/visit/instrument';
import { noteProblems } from '../core/visit/notes';
import { massOf } from './gasDraft';
import { type UnitSystem, readIn } from '../words/measures';
import type { FieldSpec, FormSpec } from './fieldSpec';
import { type Read, draftFrom, draftOf, readMeasured, readStated } from './statedDraft';

export type Values = Record<string, unknown>;

/** What reading a form needs to know of the place: units, air, and instruments. */
export interface FormPlace {
  mass: MassUnit;
  system: UnitSystem;
  /** Pa absolute at the site */
  atmosphere: number;
  instruments: readonly Instrument[];
  /** what the leaks of the machine are called, and so what the next one is */
  labels: LeakLabels;
}

/** What a form holds of a leak: which one, and the new one that it would be, made once with the draft. */
export interface LeakDraft {
  id: string;
  fresh: { id: string; label: string };
}

/** Drafts of older forms held the label alone. */
export const leakDraftOf = (value: unknown, labels: LeakLabels): LeakDraft => {
  const kept = value as Partial<LeakDraft> | string | null | undefined;
  const fresh = (typeof kept === 'object' ? kept?.fresh : undefined) ?? {
    id: uuidv7(),
    label: nextLeakLabel(labels),
  };
  const id = typeof kept === 'string' ? kept : (kept?.id ?? '');
  return { id: id === '' ? fresh.id : id, fresh };
};

export function placeOf(
  mass: MassUnit,
  site: Pick<Site, 'packs' | 'altitudeM'>,
  labels: LeakLabels = new Map(),
): FormPlace {
  const air = atmosphereAt(site.altitudeM ?? 0);
  return {
    mass,
    system: unitSystemOf(site),
    atmosphere: air.ok ? air.value : SEA_LEVEL_PA,
    instruments: [],
    labels,
  };
}

/** `numbers.suction` stands within `numbers`. */
const atPath = (source: Values, key: string): unknown =>
  key.split('.').reduce<unknown>((value, part) => (value as Values | null | undefined)?.[part], source);

function putPath(target: Values, key: string, value: unknown): void {
  const parts = key.split('.');
  const last = parts.pop() ?? key;
  let inner = target;
  for (const part of parts) inner = (inner[part] ??= {}) as Values;
  inner[last] = value;
}

const typedMass = (mass: Mass): string =>
  (mass as Mass & { 'x-typed'?: string })['x-typed'] ?? `${String(mass.value)} ${mass.unit}`;

/** Values to begin with: those of the entry that is corrected, what is known, else the field's own. */
export function initialValues(
  spec: FormSpec,
  given: Values,
  corrected: Entry | null,
  standing: Standing,
  labels: LeakLabels = new Map(),
): Values {
  const source: Values = corrected ? (corrected as unknown as Values) : given;
  return Object.fromEntries(
    spec.fields.map((field) => [field.key, initialValue(field, atPath(source, field.key), standing, labels)]),
  );
}

function initialValue(field: FieldSpec, value: unknown, standing: Standing, labels: LeakLabels): unknown {
  if (field.stated || field.type === 'measure') return draftFrom(value);
  switch (field.type) {
    case 'check':
      return value ?? field.initial;
    case 'many':
    case 'leaks':
      return value ?? [];
    case 'mass':
      return value ? typedMass(value as Mass) : '';
    case 'pressure': {
      const pressure = value as { value: number; unit: string } | undefined | null;
      return pressure ? `${String(pressure.value)} ${pressure.unit}` : '';
    }
    case 'partsLeftOut':
      return ((value as { part: string; reason: string }[] | null | undefined) ?? [])
        .map((each) => `${each.part}: ${each.reason}`)
        .join('\n');
    case 'newLeak':
      return leakDraftOf(value, labels);
    case 'leak':
      return leakDraftOf(value ?? standing.leaks.open()[0]?.id, labels);
    case 'choice':
      if (value !== undefined && value !== null) return String(value);
      return field.chosen ? '' : (field.choices[0]?.value ?? '');
    default:
      return value === undefined || value === null ? '' : String(value);
  }
}

export interface Made {
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
const untouched = (field: FieldSpec, now: unknown, before: unknown): boolean =>
  field.type === 'leak' || field.type === 'newLeak'
    ? (now as LeakDraft).id === (before as LeakDraft).id
    : JSON.stringify(now) === JSON.stringify(before);

/** The entry of a form, or an error for each field that is not right. */
export function madeOf(spec: FormSpec, values: Values, frame: Frame, place: FormPlace, today: number): Made {
  const errors: Record<string, string> = {};
  const { corrected } = frame;
  const payload: Values = corrected ? wholeOf(corrected.entry) : structuredClone(spec.fixed ?? {});
  for (const field of spec.fields) {
    const value = values[field.key];
    const applies = !field.when || field.when(values);
    if (corrected) {
      const applied = !field.when || field.when(corrected.values);
      if (applies === applied && untouched(field, value, corrected.values[field.key])) continue;
      dropPath(payload, field.key);
    }
    if (!applies) continue;
    const read = readField(field, value, place);
    if ('error' in read) errors[field.key] = read.error;
    else if (field.type === 'leak' || field.type === 'newLeak')
      putLeak(payload, field.key, read.value as LeakDraft);
    else if (read.value !== undefined) putPath(payload, field.key, read.value);
    else if (field.chosen) errors[field.key] = 'Choose one.';
    else if (!field.optional && ((field.type === 'long' && !field.stated) || field.needed))
      errors[field.key] = 'Say a few words here.';
  }
  if (frame.by === null) errors['by'] = 'Choose who is writing.';
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

function readField(field: FieldSpec, value: unknown, place: FormPlace): Read {
  if (field.type === 'measure') {
    const usual = field.unit?.[place.system] ?? readIn(field.dimension, place.system);
    return readStated(draftOf(value), (draft) =>
      readMeasured(field.dimension, draft, usual, place.atmosphere, place.instruments),
    );
  }
  if (field.stated) return readStated(draftOf(value), ({ text }) => readPlain(field, text, place.mass));
  return readPlain(field, value, place.mass);
}

function readPlain(field: FieldSpec, value: unknown, unit: MassUnit): Read {
  const text = typeof value === 'string' ? value.trim() : '';
  switch (field.type) {
    case 'check':
      return { value };
    case 'many':
    case 'leaks':
      return { value: Array.isArray(value) && value.length > 0 ? value : undefined };
    case 'mass': {
      if (text === '' && field.optional) return { value: undefined };
      const read = massOf(text, unit);
      return 'error' in read ? read : { value: read.mass };
    }
    case 'pressure':
      return text === '' ? { value: undefined } : readPressure(text);
    case 'partsLeftOut':
      return { value: text === '' ? undefined : text.split('\n').map(splitPart) };
    case 'year':
      return { value: text === '' ? undefined : Number(text) };
    case 'leak':
    case 'newLeak':
      return { value: leakDraftOf(value, new Map()) };
    case 'choice':
      if (text === '') return { value: undefined };
      return { value: text === 'true' ? true : text === 'false' ? false : text };
    default:
      return { value: text === '' ? undefined : text };
  }
}

function splitPart(line: string): { part: string; reason: string } {
  const [part = '', ...reason] = line.split(':');
  return { part: part.trim(), reason: reason.join(':').trim() };
}

/** `150 psig`; a bare number is in psig. */
export function readPressure(text: string): Read {
  const match = /^(-?\d+(?:\.\d+)?)\s*([a-z]*)$/i.exec(text);
  const unit =
    GAUGE_UNITS.find((each) => each.toLowerCase() === (match?.[2] ?? '').toLowerCase()) ??
    (match?.[2] === '' ? 'psig' : undefined);
  if (!match || !unit) return { error: 'Type a pressure such as 150 psig, 10 bar or -12 inHg.' };
  return { value: { value: Number(match[1]), unit } };
}
