/** A correction starts from the whole entry: correcting only the note changes only the note, over all kinds and notes. */
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Entry, EntryKind } from '../core/logbook/entry';
import { dayOf } from '../core/quantity/day';
import { standing } from '../core/testkit/facts';
import { correctionDraft, entryOf } from './gasDraft';
import type { AskedField } from './field';
import { initialValues, madeOf } from './formValues';
import { FORM_KINDS, type Form, kindForm, noteForm } from './forms';
import { placeOf } from './place';
import { NOTE_RECORDS } from './records';

const TODAY = '2026-11-23';
const text = fc.stringMatching(/^[a-z]{1,8}( [a-z]{1,8}){0,2}$/);
const maybe = <Value>(value: fc.Arbitrary<Value>) =>
  fc.oneof(value, fc.constant(null), fc.constant(undefined));
const mass = fc
  .record({ value: fc.integer({ min: 1, max: 9000 }), unit: fc.constantFrom('lb', 'oz', 'kg', 'g') })
  .chain((each) => maybe(text).map((typed) => (typed ? { ...each, 'x-typed': typed } : each)));
const measured = fc.record({
  typed: text,
  si: fc.double({ noNaN: true, noDefaultInfinity: true }),
  unit: text,
  instrument: fc.constant({ id: 'i', name: 'gauge 2', offset: 3, checkedOn: null }),
});
const date = fc
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

const written = (kind: EntryKind, spec: Form): fc.Arbitrary<Entry> =>
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
        ...(foreign ? { 'x-meter': true, 'x-scale': { from: 3 } } : {}),
        ...(label && spec.fields.some((field) => field.key === 'leakId') ? { label } : {}),
      };
      spec.fields.forEach((field, index) => put(entry, field.key, fields[index]));
      return entry as unknown as Entry;
    });

/** All that a correction of nothing but the note leaves as it was. */
function bare(entry: Entry): unknown {
  const {
    id: _id,
    note: _n,
    seal: _s,
    recordedAt: _r,
    supersedes: _o,
    correctionReason: _c,
    by: _by,
    ...rest
  } = entry as Entry & Record<string, unknown>;
  return JSON.parse(JSON.stringify(rest));
}

const FRAME = { id: 'second', by: 'odalys', applianceId: 'a', correctionReason: 'a slip' };
const ALL: [string, EntryKind, Form][] = [
  ...FORM_KINDS.map((kind): [string, EntryKind, Form] => [kind, kind, kindForm(kind)]),
  ...Object.values(NOTE_RECORDS).flatMap(({ note, kind, correction }): [string, EntryKind, Form][] =>
    note !== null && correction === 'form' ? [[note, kind, noteForm(note)]] : [],
  ),
];

describe.each(ALL)('%s', (_name, kind, spec) => {
  test('correcting only the note changes only the note', () => {
    let corrected = 0;
    fc.assert(
      fc.property(written(kind, spec), (entry) => {
        const first = initialValues(spec, {}, entry, standing([], TODAY));
        // The form is opened a second time, as after a reload, and nothing but the note is typed.
        const again = initialValues(spec, {}, entry, standing([], TODAY));
        const { entry: made, errors } = madeOf(
          spec,
          again,
          { ...FRAME, kind, on: entry.on, note: 'looked again', corrected: { entry, values: first } },
          placeOf('lb', { packs: ['us-hfc'], altitudeM: null }),
          dayOf(TODAY),
        );
        // What was never right (a date beyond its form, a reason that is missing) may still be refused.
        if (made === null) {
          expect(Object.keys(errors).length).toBeGreaterThan(0);
          return;
        }
        corrected += 1;
        expect(made.note).toBe('looked again');
        expect(made.supersedes).toBe('first');
        expect(bare(made)).toEqual(bare(entry));
      }),
      { numRuns: 60 },
    );
    // Most are right as they were written, so that the property is put to the test.
    expect(corrected).toBeGreaterThan(8);
  });
});

test.each(['refrigerantAdded', 'refrigerantRecovered'] as const)(
  '%s: correcting only the note changes only the note',
  (kind) => {
    const model: Record<string, fc.Arbitrary<unknown>> = {
      mass: fc.option(mass),
      note: maybe(text),
      cylinderId: maybe(text),
      visitId: maybe(text),
      at: maybe(fc.constant('2026-06-01T09:40:00Z')),
      caseNote: maybe(text),
      attachments: maybe(fc.array(text, { maxLength: 2 })),
      'x-scale': maybe(text),
      'x-accepted': maybe(fc.constant({ moreThanFullCharge: 'receiver added' })),
      ...(kind === 'refrigerantAdded'
        ? { reason: fc.constantFrom('topOff', 'recharge'), leakId: maybe(text) }
        : {
            reason: fc.constantFrom('repair', 'retire'),
            into: maybe(fc.constantFrom('cylinder', 'outdoors')),
          }),
    };
    const gas = fc.record(model);
    let corrected = 0;
    fc.assert(
      fc.property(gas, date, (fields, on) => {
        const entry = {
          id: 'first',
          kind,
          by: 'ike',
          applianceId: 'a',
          on,
          ...fields,
          massUnknown: fields['mass'] === null ? 'no scale' : undefined,
        } as unknown as Extract<Entry, { kind: typeof kind }>;
        const draft = { ...correctionDraft(entry), note: 'looked again', correctionReason: 'a slip' };
        const { entry: made } = entryOf(draft, 'a', 'odalys', 'lb', entry);
        if (made === null) return;
        corrected += 1;
        expect(made.note).toBe('looked again');
        expect(bare(made)).toEqual(bare(entry));
      }),
      { numRuns: 300 },
    );
    expect(corrected).toBeGreaterThan(100);
  },
);
