/** Between what a form holds and the entry that it makes. */
import { type Entry, entrySchema } from '../../core/logbook/entry';
import { entryProblems } from '../../core/logbook/logbook';
import { GAUGE_UNITS } from '../../core/quantity/units';
import { problemsOf } from '../../core/logbook/problems';
import { dayOf } from '../../core/quantity/day';
import type { Mass, MassUnit } from '../../core/quantity/mass';
import type { Standing } from '../../core/rules/standing';
import { SEA_LEVEL_PA } from '../../core/quantity/atmosphere';
import type { Instrument } from '../../core/visit/instrument';
import { noteProblems } from '../../core/visit/notes';
import { massOf } from '../gas/gasDraft';
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
}

export const placeOf = (mass: MassUnit): FormPlace => ({
  mass,
  system: mass === 'kg' || mass === 'g' ? 'metric' : 'us',
  atmosphere: SEA_LEVEL_PA,
  instruments: [],
});

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
): Values {
  const source: Values = corrected ? (corrected as unknown as Values) : given;
  return Object.fromEntries(
    spec.fields.map((field) => [field.key, initialValue(field, atPath(source, field.key), standing)]),
  );
}

function initialValue(field: FieldSpec, value: unknown, standing: Standing): unknown {
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
      return value ?? nextLeakId(standing);
    case 'leak':
      return value ?? standing.leaks.open()[0]?.id ?? nextLeakId(standing);
    case 'choice':
      return value === undefined || value === null ? (field.choices[0]?.value ?? '') : String(value);
    default:
      return value === undefined || value === null ? '' : String(value);
  }
}

/** `k1`, `k2`, …: the first number that no leak of the machine has. */
export function nextLeakId(standing: Standing): string {
  let number = standing.leaks.byId.size + 1;
  while (standing.leaks.byId.has(`k${String(number)}`)) number += 1;
  return `k${String(number)}`;
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
  supersedes: string | null;
  correctionReason: string;
}

/** The entry of a form, or an error for each field that is not right. */
export function madeOf(spec: FormSpec, values: Values, frame: Frame, place: FormPlace, today: number): Made {
  const errors: Record<string, string> = {};
  const payload: Values = {};
  for (const field of spec.fields) {
    if (field.when && !field.when(values)) continue;
    const read = readField(field, values[field.key], place);
    if ('error' in read) errors[field.key] = read.error;
    else if (read.value !== undefined) putPath(payload, field.key, read.value);
    else if (!field.optional && ((field.type === 'long' && !field.stated) || field.needed))
      errors[field.key] = 'Say a few words here.';
  }
  if (frame.by === null) errors['by'] = 'Choose who is writing.';
  if (frame.on === '') errors['on'] = 'Give the day on which it was done.';
  else if (dayOf(frame.on) > today) errors['on'] = 'That day has not come yet.';
  if (frame.supersedes !== null && frame.correctionReason.trim() === '')
    errors['correctionReason'] = 'Say why the entry is corrected.';
  const { supersedes, correctionReason, note, by, ...rest } = frame;
  const draft = {
    ...rest,
    ...structuredClone(spec.fixed ?? {}),
    ...merged(spec.fixed ?? {}, payload),
    by: by ?? '',
    note: note.trim() || undefined,
    ...(supersedes === null ? {} : { supersedes, correctionReason: correctionReason.trim() || 'as if' }),
  };
  const parsed = entrySchema.safeParse(draft, { reportInput: true });
  const problems = parsed.success
    ? [
        ...entryProblems(parsed.data, { appliance: () => true, entry: () => true }),
        ...noteProblems(parsed.data),
      ]
    : problemsOf(parsed.error);
  for (const problem of problems) {
    const key =
      spec.fields.find((field) => problem.path.join('.').startsWith(field.key))?.key ??
      String(problem.path[0] ?? 'kind');
    errors[key] ??= `This ${problem.message}.`;
  }
  return { entry: parsed.success && Object.keys(errors).length === 0 ? parsed.data : null, errors };
}

/** Objects that a form always carries, with what was filled in put into them. */
const merged = (fixed: Values, payload: Values): Values =>
  Object.fromEntries(
    Object.entries(payload).map(([key, value]) => {
      const base = fixed[key];
      return [
        key,
        base !== null && typeof base === 'object' && value !== null && typeof value === 'object'
          ? { ...base, ...value }
          : value,
      ];
    }),
  );

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
      return { value: (value as string[]).length > 0 ? value : undefined };
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
    case 'choice':
      if (text === '') return { value: undefined };
      return { value: text === 'true' ? true : text === 'false' ? false : text };
    default:
      return { value: text === '' ? undefined : text };
  }
}

function splitPart(line: string): { part: string; reason: string } {
  const [part = '', ...reason] = line.split(':');
  return { part: part.trim(), reason: reason.join(':').trim() || 'no reason given' };
}

function readPressure(text: string): Read {
  const match = /^(-?\d+(?:\.\d+)?)\s*([a-z]*)$/i.exec(text);
  const unit =
    GAUGE_UNITS.find((each) => each.toLowerCase() === (match?.[2] ?? '').toLowerCase()) ??
    (match?.[2] === '' ? 'psig' : undefined);
  if (!match || !unit) return { error: 'Type a pressure such as 150 psig, 10 bar or -12 inHg.' };
  return { value: { value: Number(match[1]), unit } };
}
