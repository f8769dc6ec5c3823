/** The engine against the naive reading, on thousands of random logbooks; and what must hold of every logbook. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayOf, dayText, addDays } from '../quantity/day';
import type { Row } from '../testkit/naive';
import { naiveDocument } from '../testkit/naiveCases';
import { event, logbookOf, readableOf, scene } from '../testkit/randomLogbooks';
import { logbookStandings } from './standingDocument';
import { SHIPPED_PACKS } from './packs/shipped';

const T = '2027-03-15';
const engine = (logbook: ReturnType<typeof logbookOf>, asOf: string) =>
  logbookStandings(readableOf(logbook), dayOf(asOf), SHIPPED_PACKS).appliances[0];

const SEED = Number(process.env['ABACUS_SEED'] ?? 20261123);
const RUNS = Number(process.env['ABACUS_RUNS'] ?? 1500);

describe('the engine', () => {
  it(
    `agrees with the naive reading on ${String(RUNS)} random logbooks (seed ${String(SEED)})`,
    { timeout: 400_000 },
    () => {
      fc.assert(
        fc.property(scene, fc.constantFrom(T, '2026-08-01', '2026-11-23', '2028-05-01'), (s, asOf) => {
          const logbook = logbookOf(s);
          expect(engine(logbook, asOf)).toEqual(
            naiveDocument(logbook.site, logbook.appliance, logbook.entries, asOf),
          );
        }),
        { numRuns: RUNS, seed: SEED },
      );
    },
  );

  it('does not care in which order entries arrive', () => {
    fc.assert(
      fc.property(scene, fc.infiniteStream(fc.nat()), (s, keys) => {
        const logbook = logbookOf(s);
        const shuffled = logbook.entries
          .map((entry) => ({ entry, key: keys.next().value ?? 0 }))
          .sort((a, b) => a.key - b.key);
        expect(engine({ ...logbook, entries: shuffled.map(({ entry }) => entry) }, T)).toEqual(
          engine(logbook, T),
        );
      }),
      { numRuns: 200, seed: SEED },
    );
  });

  it('takes a voided entry as never written', () => {
    fc.assert(
      fc.property(scene, fc.nat(44), (s, at) => {
        const logbook = logbookOf({ ...s, corrections: [] });
        const target = logbook.entries[at % logbook.entries.length];
        if (!target) return;
        const voided: Row = {
          id: 'zz',
          kind: 'void',
          on: '2027-01-01',
          by: 'p',
          supersedes: target.id,
          correctionReason: 'test',
        };
        const without = logbook.entries.filter((entry) => entry !== target);
        expect(engine({ ...logbook, entries: [...logbook.entries, voided] }, T)).toEqual(
          engine({ ...logbook, entries: without }, T),
        );
      }),
      { numRuns: 200, seed: SEED },
    );
  });

  it('never changes an earlier rate by a later addition, test or note', () => {
    fc.assert(
      fc.property(scene, event, (s, [kind]) => {
        const logbook = logbookOf({ ...s, corrections: [] });
        const last =
          logbook.entries
            .map((entry) => entry.on)
            .sort()
            .at(-1) ?? T;
        const next = dayText(addDays(dayOf(last), 1));
        const more: Row = { ...kind, id: 'zz', on: next, by: 'p', applianceId: 'a' };
        const before = engine(logbook, last)?.additions;
        const after = engine({ ...logbook, entries: [...logbook.entries, more] }, next)?.additions.filter(
          (each) => each.on <= last,
        );
        expect(after).toEqual(before);
      }),
      { numRuns: 300, seed: SEED },
    );
  });

  it('moves no due day by the mere passing of time, save a lasting pause, and ends a duty once', () => {
    const due = (document: ReturnType<typeof engine>) =>
      (document?.obligations ?? [])
        .filter((each) => each.caseOpenedOn !== null && ['repair', 'initialTest'].includes(each.kind))
        .map((each) => [each.pack, each.kind, each.caseOpenedOn, each.due].join(' '));
    fc.assert(
      fc.property(scene, (s) => {
        const logbook = logbookOf({
          ...s,
          events: s.events.filter(([kind]) => kind.kind !== 'mothballed'),
          corrections: [],
        });
        const last =
          logbook.entries
            .map((entry) => entry.on)
            .sort()
            .at(-1) ?? T;
        const soon = engine(logbook, last);
        const muchLater = engine(logbook, dayText(addDays(dayOf(last), 500)));
        expect(due(muchLater)).toEqual(due(soon));
        for (const each of muchLater?.obligations ?? []) {
          expect(each.state === 'done').toBe(each.doneOn !== null);
        }
      }),
      { numRuns: 300, seed: SEED },
    );
  });
});

it('the random logbooks are worth reading: cases of every end appear among them', () => {
  const ends = new Set<string>();
  for (const s of fc.sample(scene, { numRuns: 1500, seed: SEED })) {
    for (const each of engine(logbookOf(s), T)?.cases ?? []) ends.add(each.closedBecause ?? each.state);
  }
  expect([...ends].sort()).toEqual(
    expect.arrayContaining([
      'confirmed',
      'exceeded',
      'open',
      'plan',
      'planCompleted',
      'presumed',
      'retrofitted',
      'tested',
      'unrelated',
      'verified',
    ]),
  );
});
