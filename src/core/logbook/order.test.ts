/** Which entries count: corrections and voids, also from another machine or none, and rivals for one target. */
import { describe, expect, test } from 'vitest';
import { dayOf } from '../quantity/day';
import type { Entry } from './entry';
import { bearingByMachine, supersededIds, inOrder, effectiveOf } from './order';

const entry = (id: string, applianceId: string | null, rest: object = {}): Entry =>
  ({ id, kind: 'leakFound', on: '2026-05-01', by: 'p', applianceId, leakId: 'k1', ...rest }) as Entry;
const voidOf = (id: string, supersedes: string, applianceId: string | null = null): Entry =>
  ({ id, kind: 'void', on: '2026-05-02', by: 'p', applianceId, supersedes, correctionReason: 'no' }) as Entry;
const ids = (entries: readonly Entry[] | undefined) => (entries ?? []).map(({ id }) => id);

describe('what is superseded', () => {
  test('a target is superseded whatever became of its correction, and of rivals the greatest id lives', () => {
    const entries = [
      entry('a', 'm'),
      entry('b', 'm', { supersedes: 'a' }),
      entry('c', 'm', { supersedes: 'a' }),
      voidOf('d', 'c', 'm'),
    ];
    // b lost against c, c was voided, and a stays superseded: nothing is left.
    expect([...supersededIds(entries)].sort()).toEqual(['a', 'b', 'c']);
    expect(inOrder(entries, dayOf('2026-12-31'))).toEqual([]);
  });

  test('a rival loses whichever came first', () => {
    const [b, c] = [entry('b', 'm', { supersedes: 'a' }), entry('c', 'm', { supersedes: 'a' })];
    for (const entries of [
      [entry('a', 'm'), b, c],
      [entry('a', 'm'), c, b],
    ])
      expect(ids(effectiveOf(entries, 'm'))).toEqual(['c']);
  });
});

describe('order', () => {
  test('by day, then instant with none first, then id; a microsecond counts, and so does the zone', () => {
    const at = (id: string, instant: string | null, on = '2026-05-01') => entry(id, 'm', { at: instant, on });
    const entries = [
      at('z', '2026-05-01T10:00:00.000002Z'),
      at('y', '2026-05-01T10:00:00.000001Z'),
      at('x', '2026-05-01T11:30:00+02:00'),
      at('w', null),
      at('v', null),
      at('u', '2026-04-30T23:00:00Z', '2026-04-30'),
      at('later', null, '2026-06-01'),
    ];
    expect(inOrder(entries, dayOf('2026-05-31')).map((each) => each.entry.id)).toEqual([
      'u',
      'v',
      'w',
      'x',
      'y',
      'z',
    ]);
  });
});

describe('what bears on a machine', () => {
  const entries = [
    entry('a', 'm'),
    entry('b', 'm'),
    voidOf('v', 'a'),
    entry('moved', 'n', { supersedes: 'b' }),
    entry('rival', 'm', { supersedes: 'b' }),
    entry('other', 'n'),
  ];

  test('its own, voids of no machine, and corrections that moved an entry to another machine', () => {
    const bearing = bearingByMachine(entries);
    expect(ids(bearing.get('m'))).toEqual(['a', 'b', 'rival', 'v', 'moved']);
    // n bears its own, and the rival of its correction.
    expect(ids(bearing.get('n'))).toEqual(['moved', 'other', 'rival']);
  });

  test('effective are its own that nobody corrected, wherever the correction stands', () => {
    const bearing = bearingByMachine(entries);
    expect(ids(effectiveOf(bearing.get('m') ?? [], 'm'))).toEqual(['rival']);
    expect(ids(effectiveOf(bearing.get('n') ?? [], 'n'))).toEqual(['other']);
  });
});
