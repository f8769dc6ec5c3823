/** Between a row and what its form holds: texts as people type them, and errors that say the remedy. */
import { METHODS } from '../../core/logbook/fields';
import type { Mass } from '../../core/quantity/mass';
import { parseDay } from '../../core/quantity/day';
import { parseMeasure } from '../../core/quantity/measure';
import { isTimezone } from '../../core/quantity/zone';
import type { Instrument } from '../../core/visit/instrument';
import { massOf } from '../gasDraft';
import { readPressure } from '../readField';
import { OFFSET_IN } from '../../words/codes';
import { measureRefusalWords } from '../../words/bench';
import { readIn, shownIn } from '../../words/measures';
import type { RowField, RowForm } from './rowField';

export type RowDraft = Record<string, unknown>;
type Row = Record<string, unknown>;
type Read = { value: unknown } | { error: string };

const text = (value: unknown): string => (value === null || value === undefined ? '' : String(value));
const lines = (value: string): string[] =>
  value
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);

const numberLine = (value: unknown): string =>
  typeof value === 'string'
    ? value
    : Object.values((value ?? {}) as Row)
        .map(text)
        .join(' ');

interface Certificate {
  scheme?: string | null;
  number?: string | null;
  expires?: string | null;
}

/** What the form of a row begins with. */
export function draftOfRow(form: RowForm, row: Row): RowDraft {
  return Object.fromEntries(form.fields.map((field) => [field.key, shown(field, row[field.key], row)]));
}

function shown(field: RowField, value: unknown, row: Row): unknown {
  switch (field.type) {
    case 'check':
      return value === true;
    case 'many':
    case 'serves':
    case 'owners':
      return value ?? [];
    case 'mass': {
      const mass = value as (Mass & { 'x-typed'?: string }) | null | undefined;
      return mass ? (mass['x-typed'] ?? `${String(mass.value)} ${mass.unit}`) : '';
    }
    case 'pressure': {
      const pressure = value as { value: number; unit: string } | null | undefined;
      return pressure ? `${String(pressure.value)} ${pressure.unit}` : '';
    }
    case 'numbers':
      return (Array.isArray(value) ? value : value === null || value === undefined ? [] : [value])
        .map(numberLine)
        .join('\n');
    case 'certificates':
      return ((value ?? []) as Certificate[])
        .map((each) =>
          [each.scheme, each.number, each.expires]
            .map(text)
            .join(', ')
            .replace(/(, )+$/, ''),
        )
        .join('\n');
    case 'methods':
      return ((value ?? []) as { from: string; method: string }[])
        .map((each) => `${each.from} ${each.method}`)
        .join('\n');
    case 'offset': {
      const offset = value as number | undefined;
      const dimension = row['dimension'] as Instrument['dimension'];
      return offset ? shownIn('us', 0)(OFFSET_IN[dimension], offset) : '';
    }
    default:
      return text(value ?? field.leftOut);
  }
}

/** The row that a form makes of the one that it began with, or an error for each field that is not right. */
export function rowOfDraft(
  form: RowForm,
  before: Row,
  draft: RowDraft,
): { row: Row; errors: Record<string, string> } {
  const errors: Record<string, string> = {};
  const row = { ...before };
  const began = draftOfRow(form, before);
  for (const field of form.fields) {
    const value = draft[field.key];
    // What nobody touched stays as it was written, to the letter; what was never ticked stays unsaid.
    const ticked = TICKED.includes(field.type);
    const mayLack = ticked || field.leftOut !== undefined;
    const untouched = JSON.stringify(value) === JSON.stringify(began[field.key]);
    if (untouched && (mayLack || field.key in before)) continue;
    const read = readField(field, value, draft);
    if ('error' in read) errors[field.key] = read.error;
    else if (read.value === null && !(field.key in before)) continue;
    else row[field.key] = read.value;
  }
  return { row, errors };
}

/** What is chosen and not typed: left alone it says nothing. */
const TICKED: readonly RowField['type'][] = ['check', 'many', 'serves', 'owners'];

/** One change of ownership as a form holds it: an owner that nobody recorded is an empty text. */
export interface OwnedSince {
  from: string;
  ownerId: string | null;
}

function readOwners(changes: readonly OwnedSince[]): Read {
  if (changes.some(({ from }) => parseDay(from) === null))
    return { error: 'Give the day from which the site was theirs.' };
  const days = changes.map(({ from }) => from);
  if (new Set(days).size < days.length) return { error: 'Two owners begin on one day. Keep one of them.' };
  return {
    value: changes
      .map(({ from, ownerId }) => ({ from, ownerId: ownerId || null }))
      .sort((a, b) => (a.from < b.from ? -1 : 1)),
  };
}

function readField(field: RowField, value: unknown, draft: RowDraft): Read {
  if (field.type === 'owners') return readOwners((value ?? []) as OwnedSince[]);
  if (TICKED.includes(field.type)) return { value };
  const typed = text(value).trim();
  if (typed === '') {
    if (field.type === 'offset') return { value: 0 };
    return field.optional ? { value: null } : { error: 'Say it here; it is needed.' };
  }
  switch (field.type) {
    case 'date':
      return parseDay(typed) === null ? { error: 'Give a day.' } : { value: typed };
    case 'mass': {
      const read = massOf(typed, 'kg');
      return 'error' in read ? read : { value: read.mass };
    }
    case 'pressure':
      return readPressure(typed);
    case 'metres':
    case 'litres':
    case 'months': {
      const number = Number(typed);
      const whole = field.type !== 'months' || (Number.isInteger(number) && number >= 1 && number <= 120);
      if (!Number.isFinite(number) || (field.type === 'litres' && number <= 0) || !whole)
        return {
          error:
            field.type === 'months'
              ? 'Give whole months from 1 to 120.'
              : 'Give a plain number, such as 26.2.',
        };
      return { value: number };
    }
    case 'offset': {
      const dimension = OFFSET_IN[draft['dimension'] as Instrument['dimension']];
      const below = /^[-−]/.test(typed);
      const read = parseMeasure(dimension, typed.replace(/^[-−]/, ''), readIn(dimension, 'us') as never);
      if (!read.ok) return { error: measureRefusalWords(read.refusal) };
      return { value: below ? -read.value.si : read.value.si };
    }
    case 'numbers':
      return { value: lines(text(value)) };
    case 'certificates':
      return readCertificates(lines(text(value)));
    case 'methods':
      return readMethods(lines(text(value)));
    default:
      if (field.key === 'timezone' && !isTimezone(typed))
        return { error: 'No such time zone. Write it like America/Chicago.' };
      return { value: typed };
  }
}

function readCertificates(given: readonly string[]): Read {
  const certificates: Certificate[] = [];
  for (const line of given) {
    const [scheme = '', number = '', expires = '', ...rest] = line.split(',').map((part) => part.trim());
    if (rest.length > 0 || (expires !== '' && parseDay(expires) === null))
      return { error: `Write “${line}” as scheme, number, day: 608 universal, BH-4, 2028-05-01.` };
    certificates.push({ scheme: scheme || null, number: number || null, expires: expires || null });
  }
  return { value: certificates };
}

function readMethods(given: readonly string[]): Read {
  const list: { from: string; method: string }[] = [];
  for (const line of given) {
    const [from = '', method = ''] = line.split(/\s+/);
    const known = METHODS.find((each) => each === method.toLowerCase());
    if (parseDay(from) === null || !known)
      return { error: `Write “${line}” as a day and a method: 2026-01-01 rolling.` };
    list.push({ from, method: known });
  }
  return { value: list.sort((a, b) => (a.from < b.from ? -1 : 1)) };
}
