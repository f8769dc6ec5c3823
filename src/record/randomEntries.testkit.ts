/** Random entries of every kind and note that has a form, as any writer may have written them. */
import fc from 'fast-check';
import type { Entry, EntryKind } from '../core/logbook/entry';
import type { AskedField } from './field';
import { FORM_KINDS, type Form, GAS_KINDS, kindForm, noteForm } from './forms';
import { NOTE_RECORDS } from './records';

export const text = fc.stringMatching(/^[a-z]{1,8}( [a-z]{1,8}){0,2}$/);
export const maybe = <Value>(value: fc.Arbitrary<Value>) =>
  fc.oneof(value, fc.constant(null), fc.constant(undefined));
export const mass = fc
  .record({ value: fc.integer({ min: 1, max: 9000 }), unit: fc.constantFrom('lb', 'oz', 'kg', 'g') })
  .chain((each) => maybe(text).map((typed) => (typed ? { ...each, 'x-typed': typed } : each)));
const measured = fc.record({
  typed: text,
  si: fc.double({ noNaN: true, noDefaultInfinity: true }),
  unit: text,
  instrument: fc.constant({ id: 'i', name: 'gauge 2', offset: 3, checkedOn: null }),
});
export const date = fc
  .integer({ min: 0, max: 300 })
  .map((days) => `2026-0${String(1 + (days % 9))}-1${String(days % 10)}`);

/** What an entry of this field may hold, as any writer may have written it. */
function held(field: AskedField): fc.Arbitrary<unknown> {
  const stated = (value: fc.Arbitrary<unknown>) =>
    field.stated
      ? fc.oneof(
          value,
          fc.constant({ unknown: true }),
          text.map((why) => ({ notDone: why })),
          fc.constant(undefined),
        )
      : value;
  switch (field.type) {
    case 'measure':
      return stated(measured);
    case 'mass':
      return stated(mass);
    case 'date':
      return maybe(date);
    case 'choice':
      return stated(
        fc
          .constantFrom(...field.choices.filter((each) => each.value !== ''))
          .map(({ value }) => (value === 'true' ? true : value === 'false' ? false : value)),
      );
    case 'check':
      return maybe(fc.boolean());
    case 'many':
    case 'leaks':
      return maybe(fc.array(text, { maxLength: 2 }));
    case 'partsLeftOut':
      return maybe(fc.array(fc.record({ part: text, reason: text }), { maxLength: 2 }));
    case 'pressure':
      return maybe(
        fc.record({ value: fc.integer({ min: 1, max: 300 }), unit: fc.constantFrom('psig', 'bar') }),
      );
    case 'year':
      return fc.integer({ min: 2020, max: 2026 });
    case 'leak':
    case 'newLeak':
      return fc.constantFrom('k1', '0193aaaa-0000-7000-8000-000000000001');
    default:
      return field.needed || !field.optional ? stated(text) : maybe(text);
  }
}

function put(target: Record<string, unknown>, key: string, value: unknown): void {
  const parts = key.split('.');
  const last = parts.pop() ?? key;
  const inner = parts.reduce<Record<string, unknown>>(
    (object, part) => (object[part] ??= {}) as Record<string, unknown>,
    target,
  );
  if (value !== undefined) inner[last] = value;
}

export const written = (kind: EntryKind, spec: Form): fc.Arbitrary<Entry> =>
  fc
    .record({
      fields: fc.tuple(...spec.fields.map(held)),
      note: maybe(text),
      visitId: maybe(text),
      at: maybe(fc.constant('2026-06-01T09:40:00-04:00')),
      caseNote: maybe(text),
      attachments: maybe(fc.array(text, { maxLength: 2 })),
      label: maybe(fc.constant('k7')),
      foreign: fc.boolean(),
      on: date,
    })
    .map(({ fields, foreign, label, ...common }) => {
      const entry: Record<string, unknown> = {
        id: 'first',
        kind,
        by: 'ike',
        applianceId: 'a',
        ...structuredClone(spec.fixed),
        ...common,
        seal: { hash: 'h', previous: 'p' },
        recordedAt: '2026-06-02T00:00:00Z',
        ...(GAS_KINDS.some((each) => each === kind)
          ? { 'x-accepted': { moreThanFullCharge: 'receiver added' } }
          : {}),
        ...(foreign ? { 'x-meter': true, 'x-scale': { from: 3 } } : {}),
        ...(label && spec.fields.some((field) => field.key === 'leakId') ? { label } : {}),
      };
      spec.fields.forEach((field, index) => put(entry, field.key, fields[index]));
      return entry as unknown as Entry;
    });

/** Name, kind and form of each. */
export const WITH_FORM: [string, EntryKind, Form][] = [
  ...[...FORM_KINDS, ...GAS_KINDS].map((kind): [string, EntryKind, Form] => [kind, kind, kindForm(kind)]),
  ...Object.values(NOTE_RECORDS).flatMap(({ note, kind, correction }): [string, EntryKind, Form][] =>
    note !== null && correction === 'form' ? [[note, kind, noteForm(note)]] : [],
  ),
];
