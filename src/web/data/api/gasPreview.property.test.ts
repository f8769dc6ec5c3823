/** What saving gives is what the preview said: over random days of several entries, inside a visit and outside of one. */
import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { Machine } from './standing';
import type { Entry } from '../../../core/logbook/entry';
import { dayOf } from '../../../core/quantity/day';
import { standingDocument } from '../../../core/rules/standingDocument';
import { SHIPPED_PACKS } from '../../../core/rules/packs/shipped';
import { gas, recovered, sceneOf, storyOf, topOff } from '../../../core/testkit/facts';
import { standingWith } from '../../../record/foldedMachine';
import { beforehand, previewOf } from './gasPreview';
import { placedInDay } from '../../../record/placeInDay';

const TODAY = '2026-11-23';
const YESTERDAY = '2026-11-22';
const hour = (number: number) => `${TODAY}T${String(number).padStart(2, '0')}:00:00.000Z`;

const gasEntry = fc.record({
  added: fc.boolean(),
  pounds: fc.constantFrom(1, 3, 16, 40),
  on: fc.constantFrom(YESTERDAY, TODAY, TODAY),
  /** hour of writing; none for paper */
  at: fc.option(fc.integer({ min: 6, max: 14 }).map(hour)),
});

const entryOf = (
  { added, pounds, on, at }: typeof gasEntry extends fc.Arbitrary<infer Value> ? Value : never,
  id: string,
): Entry =>
  ({
    id,
    kind: added ? 'refrigerantAdded' : 'refrigerantRecovered',
    on,
    at,
    by: 'p',
    applianceId: 'a',
    mass: { value: pounds, unit: 'lb' },
    reason: added ? 'recharge' : 'repair',
  }) as Entry;

function machineWith(entries: readonly Entry[]): Machine {
  const { site, appliance } = sceneOf({});
  return { site, appliance, spaces: [], packs: site.packs, entries: [...entries] } as unknown as Machine;
}

const today = dayOf(TODAY);

test('over random days of several entries', () => {
  fc.assert(
    fc.property(fc.array(gasEntry, { maxLength: 5 }), gasEntry, fc.boolean(), (before, draft, inVisit) => {
      const machine = machineWith([
        ...storyOf([gas('2026-01-01'), topOff('2026-06-01', 3)]),
        ...before.map((each, index) => entryOf(each, `m${String(index)}`)),
      ]);
      const typed = { ...entryOf(draft, 'z-new'), at: null };
      const place = { visitId: inVisit ? 'v' : null, today: TODAY };
      // Previewed while it is typed, saved an hour later: both stand behind all that was written before.
      const preview = previewOf(
        placedInDay(typed, { ...place, at: hour(15) }),
        beforehand(machine, SHIPPED_PACKS, today, typed.on, null),
        [],
      );
      const saved = machineWith([...machine.entries, placedInDay(typed, { ...place, at: hour(16) })]);
      expect(standingDocument(preview.today)).toEqual(
        standingDocument(standingWith(saved, SHIPPED_PACKS, today)),
      );
    }),
    { numRuns: 400 },
  );
});

test('gas recovered and put back on one day counts nothing, before and after saving', () => {
  const out = {
    ...(recovered(TODAY, 'repair', 1) as object),
    id: 'out',
    by: 'p',
    applianceId: 'a',
    at: hour(10),
  };
  const machine = machineWith([...storyOf([gas('2026-01-01')]), out as unknown as Entry]);
  const back = entryOf({ added: true, pounds: 1, on: TODAY, at: null }, 'back');
  const placed = placedInDay(back, { visitId: null, today: TODAY, at: hour(11) });
  const without = beforehand(machine, SHIPPED_PACKS, today, TODAY, null);
  const { rate, today: after } = previewOf(placed, without, []);
  expect(rate).toBeNull();
  expect(after.cases).toEqual([]);
});
