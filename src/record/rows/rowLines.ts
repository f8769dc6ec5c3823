/** What stands in rows as a line each: numbers, certificates, methods, changes of owner. */
import { METHODS } from '../../core/logbook/fields';
import type { Certificate } from '../../core/logbook/tables';
import { parseDay } from '../../core/quantity/day';
import type { FieldRead } from '../statedDraft';

export const asText = (value: unknown): string =>
  value === null || value === undefined ? '' : String(value);
const lines = (value: unknown): string[] =>
  asText(value)
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);

export function numbersText(value: unknown): string {
  const line = (each: unknown): string =>
    typeof each === 'string'
      ? each
      : Object.values((each ?? {}) as Record<string, unknown>)
          .map(asText)
          .join(' ');
  return (Array.isArray(value) ? value : value === null || value === undefined ? [] : [value])
    .map(line)
    .join('\n');
}

export const readNumbers = (typed: string): FieldRead => ({ value: lines(typed) });

/** A certificate of which nothing was said is none; a picture alone does not say which one it is. */
export function readCertificates(given: readonly Certificate[]): FieldRead {
  const certificates = given
    .map((each): Certificate => {
      const parts = Object.entries(each).map(([key, part]) => [key, part?.trim() || null]);
      return Object.fromEntries(parts) as Certificate;
    })
    .filter((each) => Object.values(each).some((part) => part != null));
  if (certificates.some(({ scheme, number }) => scheme == null && number == null))
    return { error: 'Say the kind or the number of each certificate.' };
  if (certificates.some(({ expires }) => expires != null && parseDay(expires) === null))
    return { error: 'Give the day on which it ends as a date that exists.' };
  return { value: certificates };
}

/** Before anything that a logbook here may answer for: a method that holds from the beginning. */
export const FROM_THE_BEGINNING = '1990-01-01';

/** Which method holds from which day on, as a form holds it. */
export interface MethodSince {
  from: string;
  method: string;
}

export function readMethods(given: readonly MethodSince[]): FieldRead {
  if (given.some(({ from }) => parseDay(from) === null))
    return { error: 'Give the day from which the method holds.' };
  const days = given.map(({ from }) => from);
  if (new Set(days).size < days.length) return { error: 'Two methods begin on one day. Keep one of them.' };
  if (given.some(({ method }) => !METHODS.some((each) => each === method)))
    return { error: 'Choose the method.' };
  return { value: given.toSorted((a, b) => (a.from < b.from ? -1 : 1)) };
}

/** One change of ownership as a form holds it: an owner that nobody recorded is an empty text. */
export interface OwnedSince {
  from: string;
  ownerId: string | null;
}

export function readOwners(changes: readonly OwnedSince[]): FieldRead {
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
