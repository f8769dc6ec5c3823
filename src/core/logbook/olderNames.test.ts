/** What older files of ours called by another name is read by today's, and nothing that was written is changed. */
import { expect, test } from 'vitest';
import { dayOf } from '../quantity/day';
import type { Entry } from './entry';
import { asNamedToday, machineAsNamedToday } from './olderNames';
import { inOrder } from './order';
import type { Appliance } from './tables';

const repaired = {
  id: 'e',
  kind: 'leakRepaired',
  applianceId: 'a',
  on: '2024-05-02',
  by: 'p',
  leakId: 'k1',
  'x-part': 'drier',
  'x-joint': { one: 'copper', other: 'brass' },
  'x-renewed': 'gasket',
  'x-suspected': true,
  'x-scale': 7,
} as unknown as Entry;

test('a repair is read by the names that the format has, and keeps what is not ours', () => {
  const written = structuredClone(repaired);
  expect(asNamedToday(repaired)).toEqual({
    id: 'e',
    kind: 'leakRepaired',
    applianceId: 'a',
    on: '2024-05-02',
    by: 'p',
    leakId: 'k1',
    part: 'drier',
    joint: { one: 'copper', other: 'brass' },
    renewed: 'gasket',
    onSuspicion: true,
    'x-scale': 7,
  });
  expect(repaired).toEqual(written);
});

test('what says it by both names means the present one', () => {
  const both = { ...repaired, part: 'sightGlass' } as Entry;
  expect(asNamedToday(both)).toMatchObject({ part: 'sightGlass' });
});

test('an entry of today is the very same one', () => {
  const found = { ...repaired, kind: 'normalOperation' } as Entry;
  expect(asNamedToday(found)).toBe(found);
});

test('whoever reads a history reads it so', () => {
  const [first] = inOrder([repaired], dayOf('2026-01-01'));
  expect(first?.entry).toMatchObject({ part: 'drier', onSuspicion: true });
});

test('the tag of a machine', () => {
  const older = { id: 'a', name: 'cooler', 'x-tag': 'CU-3' } as unknown as Appliance;
  expect(machineAsNamedToday(older)).toEqual({ id: 'a', name: 'cooler', tag: 'CU-3' });
});
