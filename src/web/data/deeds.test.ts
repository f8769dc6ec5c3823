/** A lost answer and a second try never double anything; drafts of older forms open; a full store is said. */
import { beforeEach, describe, expect, test, vi } from 'vitest';
import type { Entry } from '../../core/logbook/entry';
import { refuse, settled, stamped, waitingDeeds } from './deeds';
import { fitting, readKept, whenFull, writeKept } from './kept';

class FakeStore {
  [key: string]: unknown;
  static limit = Infinity;
  getItem(key: string): string | null {
    return (this[key] as string | undefined) ?? null;
  }
  setItem(key: string, value: string): void {
    if (value.length > FakeStore.limit) throw new Error('QuotaExceededError');
    this[key] = value;
  }
  removeItem(key: string): void {
    Reflect.deleteProperty(this, key);
  }
}

beforeEach(() => {
  FakeStore.limit = Infinity;
  vi.stubGlobal('localStorage', new FakeStore());
});

const entry = (id: string, rest: object = {}): Entry =>
  ({ id, kind: 'search', on: '2026-11-23', by: 'p', applianceId: 'a', ...rest }) as Entry;
const stamps = (entries: readonly Entry[]) => entries.map(({ id, at }) => [id, at]);

describe('a deed of several entries', () => {
  test('is sent with the same ids and instants until the logbook has it, also after a reload', () => {
    const first = stamped('v a spot', [entry('1', { at: 'ten' }), entry('2', { at: 'ten' })], 'Drier: hit.');
    // After a reload the form makes new ids and a later instant: those of the first try stay.
    const again = stamped(
      'v a spot',
      [entry('8', { at: 'eleven' }), entry('9', { at: 'eleven' })],
      'Drier: hit.',
    );
    expect(stamps(again)).toEqual(stamps(first));
    settled('v a spot');
    expect(stamps(stamped('v a spot', [entry('10')], 'x'))).toEqual([['10', undefined]]);
  });

  test('waits by its name, with what was said against it, until it is settled', () => {
    stamped('v1 a gas', [entry('1')], 'Gas added.');
    stamped('v1 a photo', [entry('2')], 'Photo.');
    stamped('v2 a gas', [entry('3')], 'Other visit.');
    refuse('v1 a photo', 'too large');
    expect(waitingDeeds('v1 ').sort((a, b) => a.words.localeCompare(b.words))).toEqual([
      { words: 'Gas added.', refused: null },
      { words: 'Photo.', refused: 'too large' },
    ]);
    settled('v1 a gas');
    expect(waitingDeeds('v1 ').map((each) => each.words)).toEqual(['Photo.']);
  });
});

describe('drafts', () => {
  test('of an older version of a form keep what still fits and begin the rest anew', () => {
    const fresh = { name: '', marks: [] as string[], leak: { id: 'new' }, count: 1, why: null };
    expect(fitting(fresh, { name: 'nut', marks: 'k1', leak: 'k1', gone: true, why: 'ice' })).toEqual({
      ...fresh,
      name: 'nut',
      why: 'ice',
    });
    expect(fitting(fresh, 'nonsense')).toEqual(fresh);
    expect(fitting(fresh, null)).toEqual(fresh);
  });

  test('that no longer fit in are said, and what was kept before stays', () => {
    const told = vi.fn();
    whenFull(told);
    expect(writeKept('draft', { text: 'short' })).toBe(true);
    FakeStore.limit = 20;
    expect(writeKept('draft', { text: 'far too long for this device' })).toBe(false);
    expect(told).toHaveBeenCalledTimes(1);
    expect(readKept('draft')).toEqual({ text: 'short' });
  });
});
