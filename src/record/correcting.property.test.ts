/** A correction starts from the whole entry: correcting only the note changes only the note, over all kinds and notes. */
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Entry } from '../core/logbook/entry';
import { dayOf } from '../core/quantity/day';
import { standing } from '../core/testkit/facts';
import { initialValues, madeOf } from './formValues';
import { placeOf } from './place';
import { WITH_FORM, written } from './randomEntries.testkit';

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
