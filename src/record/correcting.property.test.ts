/** A correction starts from the whole entry: correcting only the note changes only the note, over all kinds and notes. */
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Entry } from '../core/logbook/entry';
import { dayOf } from '../core/quantity/day';
import { standing } from '../core/testkit/facts';
import { correctionDraft, entryOf } from './gasDraft';
import { initialValues, madeOf } from './formValues';
import { placeOf } from './place';
import { WITH_FORM, date, mass, maybe, text, written } from './randomEntries.testkit';

const TODAY = '2026-11-23';
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
describe.each(WITH_FORM)('%s', (_name, kind, spec) => {
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
