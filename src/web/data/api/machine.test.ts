/** A long record is read page by page and is whole in the end; what is written goes on with it, without being read anew. */
import { afterEach, describe, expect, test, vi } from 'vitest';
import type { Entry } from '../../../core/logbook/entry';
import { type MachineRecord, machineAfter, readMachine } from './machine';

const entry = (id: string, rest: object = {}): Entry =>
  ({ id, kind: 'readings', on: '2026-01-01', by: 'p', applianceId: 'a', ...rest }) as Entry;
const ids = (entries: readonly Entry[]) => entries.map((each) => each.id);

const machine = (entries: Entry[], before: number | null): MachineRecord => ({
  appliance: {
    id: 'a',
    siteId: 's',
    name: 'Rack A',
    kind: 'rack',
    category: 'commercialRefrigeration',
    refrigerant: 'R-448A',
  },
  site: { id: 's', name: 'Hall', timezone: 'UTC', packs: ['eu'] },
  spaces: [],
  entries,
  before,
  total: 5,
  summary: {} as MachineRecord['summary'],
  standing: {} as MachineRecord['standing'],
  packs: ['eu'],
});

afterEach(() => vi.unstubAllGlobals());

test('page by page to the whole record, oldest first, with what stands on two pages once', async () => {
  const rival = entry('rival', { applianceId: 'b', supersedes: 'e2', correctionReason: 'other machine' });
  const answers: Record<string, unknown> = {
    '/api/machines/a': machine([entry('e4'), entry('e5'), rival], 40),
    '/api/machines/a/entries?before=40': { entries: [entry('e2'), entry('e3'), rival], before: 20 },
    '/api/machines/a/entries?before=20': { entries: [entry('e1')], before: null },
  };
  vi.stubGlobal('fetch', (address: string) =>
    Promise.resolve(
      new Response(JSON.stringify(answers[address] ?? null), { status: address in answers ? 200 : 404 }),
    ),
  );
  const heads: number[] = [];
  const whole = await readMachine('a', new AbortController().signal, (head) => heads.push(head.read));
  expect(ids(whole.entries)).toEqual(['e1', 'e2', 'e3', 'e4', 'e5', 'rival']);
  expect(whole.before).toBeNull();
  expect(heads).toEqual([3, 5, 6]);
});

describe('after an entry is accepted', () => {
  const known = machine([entry('e1'), entry('e2', { supersedes: 'gone' })], null);
  test.each<[string, Entry, boolean]>([
    ['its own stands in it', entry('n'), true],
    ['one of another machine does not', entry('n', { applianceId: 'b' }), false],
    [
      'one that corrects it onto another machine does',
      entry('n', { applianceId: 'b', supersedes: 'e1' }),
      true,
    ],
    ['one that rivals its correction does', entry('n', { applianceId: 'b', supersedes: 'gone' }), true],
    ['one of a bottle does not', entry('n', { applianceId: null }), false],
  ])('%s', (_, accepted, stands) => {
    expect(ids(machineAfter(known, [accepted]).entries).includes('n')).toBe(stands);
  });
  test('sent twice it stands once', () => {
    const once = machineAfter(known, [entry('n')]);
    expect(ids(machineAfter(once, [entry('n')]).entries)).toEqual(['e1', 'e2', 'n']);
  });
});
