/** Between what a form holds and the entry that it makes. */
import { type Entry, entrySchema } from '../../core/logbook/entry';
import { entryProblems } from '../../core/logbook/logbook';
import { GAUGE_UNITS } from '../../core/quantity/units';
import { problemsOf } from '../../core/logbook/problems';
import { dayOf } from '../../core/quantity/day';
import type { Mass, MassUnit } from '../../core/quantity/mass';
import type { Standing } from '../../core/rules/standing';
import { massOf } from '../gas/gasDraft';
import type { FieldSpec, FormSpec } from './fieldSpec';

export type Values = Record<string, unknown>;

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
    spec.fields.map((field) => [field.key, initialValue(field, source[field.key], standing)]),
  );
}

function initialValue(field: FieldSpec, value: unknown, standing: Standing): unknown {
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
export function madeOf(spec: FormSpec, values: Values, frame: Frame, unit: MassUnit, today: number): Made {
  const errors: Record<string, string> = {};
  const payload: Values = {};
  for (const field of spec.fields) {
    if (field.when && !field.when(values)) continue;
    const read = readField(field, values[field.key], unit);
    if ('error' in read) errors[field.key] = read.error;
    else if (read.value !== undefined) payload[field.key] = read.value;
    else if (!field.optional && (field.type === 'long' || field.needed))
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
    ...payload,
    by: by ?? '',
    note: note.trim() || undefined,
    ...(supersedes === null ? {} : { supersedes, correctionReason: correctionReason.trim() || 'as if' }),
  };
  const parsed = entrySchema.safeParse(draft, { reportInput: true });
  const problems = parsed.success
    ? entryProblems(parsed.data, { appliance: () => true, entry: () => true })
    : problemsOf(parsed.error);
  for (const problem of problems) {
    const key = String(problem.path[0] ?? 'kind');
    errors[key] ??= `This ${problem.message}.`;
  }
  return { entry: parsed.success && Object.keys(errors).length === 0 ? parsed.data : null, errors };
}

function readField(field: FieldSpec, value: unknown, unit: MassUnit): { value: unknown } | { error: string } {
  const text = typeof value === 'string' ? value.trim() : '';
  switch (field.type) {
    case 'check':
      return { value };
    case 'many':
    case 'leaks':
      return { value: (value as string[]).length > 0 ? value : undefined };
    case 'mass': {
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

function readPressure(text: string): { value: unknown } | { error: string } {
  const match = /^(-?\d+(?:\.\d+)?)\s*([a-z]*)$/i.exec(text);
  const unit =
    GAUGE_UNITS.find((each) => each.toLowerCase() === (match?.[2] ?? '').toLowerCase()) ??
    (match?.[2] === '' ? 'psig' : undefined);
  if (!match || !unit) return { error: 'Type a pressure such as 150 psig, 10 bar or -12 inHg.' };
  return { value: { value: Number(match[1]), unit } };
}
