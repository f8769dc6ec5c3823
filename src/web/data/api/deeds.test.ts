/** A lost answer and a second try never double anything; other content is another deed; drafts of older forms open; a full store is said. */
import { beforeEach, describe, expect, test, vi } from 'vitest';
import type { Entry } from '../../../core/logbook/entry';
import { ApiProblem } from './api';
import { begun, refuse, sending, settled, waitingDeeds } from './deeds';
import { fitting, readKept, whenFull, writeKept } from '../device/kept';
import { sendDeed } from './useWrite';

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
const gas = (id: string, on: string, pounds: number, rest: object = {}): Entry =>
  entry(id, { kind: 'refrigerantAdded', on, mass: { value: pounds, unit: 'lb' }, reason: 'topOff', ...rest });
const stamps = ({ entries }: { entries: readonly Entry[] }) => entries.map(({ id, at }) => [id, at]);
const at = (time: string) => ({ at: `2026-11-23T${time}:00.000Z` });

describe('a deed of several entries', () => {
  test('is sent with the same ids and instants until the logbook has it, also after a reload', () => {
    const first = begun('v a spot', [entry('e1', at('10:00')), entry('e2', at('10:00'))], 'Drier: hit.');
    // After a reload the form makes new ids and a later instant: those of the first try stay.
    const again = begun('v a spot', [entry('e8', at('10:05')), entry('e9', at('10:05'))], 'Drier: hit.');
    expect(stamps(again)).toEqual(stamps(first));
    settled(again.key);
    expect(stamps(begun('v a spot', [entry('e10')], 'x'))).toEqual([['e10', undefined]]);
  });

  test('whose entries name each other is the same deed after a reload', () => {
    const pair = (one: string, two: string) => [
      entry(one),
      entry(two, { supersedes: one, correctionReason: 'r' }),
    ];
    const first = begun('pair', pair('e1', 'e2'), 'Two.');
    expect(stamps(begun('pair', pair('e3', 'e4'), 'Two.'))).toEqual(stamps(first));
  });

  test('waits by its name, with what was said against it, until it is settled', () => {
    const added = begun('v1 a gas', [entry('e1')], 'Gas added.');
    const photo = begun('v1 a photo', [entry('e2')], 'Photo.');
    begun('v2 a gas', [entry('e3')], 'Other visit.');
    refuse(photo.key, 'too large');
    const said = (prefix: string) => waitingDeeds(prefix).map(({ words, refused }) => [words, refused]);
    expect(said('v1 ').sort()).toEqual([
      ['Gas added.', null],
      ['Photo.', 'too large'],
    ]);
    settled(added.key);
    expect(said('v1 ')).toEqual([['Photo.', 'too large']]);
    sending(photo.key, true);
    expect(said('v1 ')).toEqual([]);
  });
});

describe('another deed under the same name', () => {
  test('on Wednesday goes out with an id and an instant of its own, and that of Monday waits by its name', () => {
    const monday = begun('gas a', [gas('m', '2026-11-23', 2, at('09:00'))], 'Gas added.');
    const wednesday = begun(
      'gas a',
      [gas('m', '2026-11-25', 12, { reason: 'recharge', at: '2026-11-25T09:00:00.000Z' })],
      'Gas added.',
    );
    expect(wednesday.entries[0]?.id).not.toBe('m');
    expect(wednesday.entries[0]?.at).toBe('2026-11-25T09:00:00.000Z');
    expect(
      waitingDeeds('gas a')
        .map(({ entries }) => entries[0]?.on)
        .sort(),
    ).toEqual(['2026-11-23', '2026-11-25']);
    settled(wednesday.key);
    expect(waitingDeeds('gas a')).toEqual([monday]);
  });

  test('a reading of the evening is not sealed with the hour of the morning', () => {
    const reading = (id: string, time: string) =>
      entry(id, { kind: 'pressureHold', pressure: 150, ...at(time) });
    begun('hold', [reading('h1', '09:10')], 'Read.');
    expect(stamps(begun('hold', [reading('h2', '21:00')], 'Read.'))).toEqual([['h2', at('21:00').at]]);
    // A second try a few minutes later is the same reading.
    expect(stamps(begun('hold', [reading('h3', '09:20')], 'Read.'))).toEqual([['h1', at('09:10').at]]);
  });

  test('the same gas of the same day is never doubled, however late it is tried again', () => {
    begun('gas a', [gas('g1', '2026-11-23', 2, at('09:00'))], 'Gas added.');
    expect(stamps(begun('gas a', [gas('g2', '2026-11-23', 2, at('17:00'))], 'x'))).toEqual([
      ['g1', at('09:00').at],
    ]);
  });

  test('mended after it was refused, it takes the place of the first try, with its id', () => {
    const first = begun('gas a', [gas('g1', '2026-11-23', 200)], 'Gas added.');
    refuse(first.key, 'say why');
    begun('gas a', [gas('g1', '2026-11-23', 20)], 'Gas added.');
    expect(waitingDeeds('gas a').map(({ entries, refused }) => [entries[0]?.id, refused])).toEqual([
      ['g1', null],
    ]);
  });
});

describe('the answer to a deed', () => {
  const problem = (status: number) => new ApiProblem({ type: 'about:blank', title: 'No.', status });
  const send = async (status: number | null) => {
    const deed = begun('gas a', [gas('g1', '2026-11-23', 2)], 'Gas added.');
    return sendDeed(() => (status === null ? Promise.resolve() : Promise.reject(problem(status))), deed);
  };
  const state = () => waitingDeeds('gas a').map(({ refused }) => refused);

  test.each([
    ['taken', null, []],
    ['refused', 422, ['No.']],
    ['lost', 0, [null]],
    ['a mishap of the server, which may have written it', 500, [null]],
    ['held up', 503, [null]],
  ])('%s', async (_, status, waits) => {
    expect((await send(status)) === null).toBe(status === null);
    expect(state()).toEqual(waits);
  });

  test('that its id stands there with other content is said, and the next try is an entry of its own', async () => {
    const error = await send(409);
    expect(error?.message).toContain('An earlier try of this was saved');
    expect(begun('gas a', [gas('g1', '2026-11-23', 2)], 'x').entries[0]?.id).not.toBe('g1');
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
