/** What a gas form begins with in a visit: as the last portion, and as what goes back where gas was taken out. */
import { describe, expect, it } from 'vitest';
import type { Entry } from '../core/logbook/entry';
import { draftAfter, entryOf, freshDraft, nextPortion } from './gasDraft';
import { KINDS } from './records';

const gas = (id: string, kind: string, rest: object): Entry =>
  ({
    id,
    kind,
    on: '2026-06-01',
    by: 'p',
    applianceId: 'm',
    mass: { value: 4, unit: 'lb' },
    ...rest,
  }) as Entry;
const out = (reason: string): Entry => gas('out', 'refrigerantRecovered', { reason });

describe('the first portion of a visit', () => {
  it.each([
    ['repair', 'recharge'],
    ['seasonal', 'seasonal'],
    ['retrofit', 'retrofit'],
    ['retire', 'topOff'],
  ])('after gas was taken out for %s', (reason, expected) => {
    expect(draftAfter('2026-06-02', 'refrigerantAdded', [out(reason)])).toMatchObject({
      addedReason: expected,
      amount: '',
      on: '2026-06-02',
    });
  });

  it('where nothing was taken out hides no loss', () => {
    expect(draftAfter('2026-06-02', 'refrigerantAdded', []).addedReason).toBe('topOff');
  });
});

describe('the next portion', () => {
  const first = gas('in', 'refrigerantAdded', { reason: 'recharge', cylinderId: 'B-26', leakId: 'k1' });

  it('keeps reason, bottle and leak, and never the figure', () => {
    const next = draftAfter('2026-06-02', 'refrigerantAdded', [out('repair'), first]);
    expect(next).toMatchObject({ addedReason: 'recharge', cylinderId: 'B-26', leakId: 'k1', amount: '' });
    expect(next.supersedes).toBeNull();
    expect(entryOf(next, 'm', 'p', 'lb').entry).toBeNull();
  });

  it('is another entry than the one before, and is weighed until somebody says otherwise', () => {
    const draft = { ...freshDraft('2026-06-01'), notWeighed: true, whyNotWeighed: 'scale flat' };
    const next = nextPortion(draft);
    expect(next.id).not.toBe(draft.id);
    expect([next.notWeighed, next.whyNotWeighed, next.accepted]).toEqual([false, 'scale flat', {}]);
  });

  it('of gas taken out is not told by gas that went in', () => {
    expect(draftAfter('2026-06-02', 'refrigerantRecovered', [first])).toMatchObject({
      recoveredReason: 'repair',
      cylinderId: '',
    });
  });
});

describe('the form of gas', () => {
  // Both ends of a move carry it, which the screens of bottles will write.
  const FOR_PROGRAMS = ['moveId'];
  it.each(['refrigerantAdded', 'refrigerantRecovered'] as const)(
    'gives every field that the record of %s names',
    (direction) => {
      const draft = {
        ...freshDraft('2026-11-23', direction),
        amount: '2 lb',
        leakId: 'k1',
        cylinderId: 'b1',
        whyNotWeighed: 'no scale',
        outdoors: true,
      };
      const given = [false, true].flatMap((notWeighed) => {
        const { entry } = entryOf({ ...draft, notWeighed }, 'm1', 'marit', 'lb');
        return Object.entries(entry ?? {}).flatMap(([key, value]) => (value == null ? [] : key));
      });
      const named = Object.keys(KINDS[direction].fields).filter((key) => !FOR_PROGRAMS.includes(key));
      expect(named.length).toBeGreaterThan(3);
      expect(given).toEqual(expect.arrayContaining(named));
    },
  );
});
