/** Which drawing a machine has, and what its parts are called: the one that somebody chose before the likely one. */
import { expect, test } from 'vitest';
import { note, sceneOf, standing } from '../core/testkit/facts';
import type { Space } from '../core/logbook/tables';
import { answersOf, drawingOf } from '../core/circuit/drawing';
import { drawingOfMachine, mapOfMachine, partNamesOf, usualDifference } from './circuitOf';

const spaces: Space[] = [
  { id: 'r1', siteId: 's', name: 'bulb room' },
  { id: 'r2', siteId: 's', name: 'orchid room' },
];
const drawn = (appliance: object, ...facts: ReturnType<typeof note>[]) => ({
  machine: { appliance: sceneOf({ appliance }).appliance, spaces },
  standing: standing(facts, '2026-11-23'),
});
const chosen = (layout: string, on = '2026-11-01') => note('search', on, { tool: 'map', layout });

const layoutOf = (view: ReturnType<typeof drawn>) => answersOf(drawingOfMachine(view))?.layout;

test.each<[string, object, string]>([
  ['a rack', { kind: 'rack' }, 'rack'],
  ['a cabinet', { kind: 'reachIn' }, 'capillary'],
  ['a sealed walk-in', { kind: 'walkIn', hermetic: true }, 'capillary'],
  ['a walk-in of two rooms', { kind: 'walkIn', serves: ['r1', 'r2'] }, 'twoRooms'],
  ['any other', { kind: 'walkIn' }, 'split'],
])('%s is drawn as likely', (_, appliance, layout) => {
  expect(layoutOf(drawn(appliance))).toBe(layout);
});

test('the last choice counts, and one that is no layout of ours is passed over', () => {
  const rack = { kind: 'rack' };
  expect(layoutOf(drawn(rack, chosen('split'), chosen('waterCooled', '2026-11-02')))).toBe('waterCooled');
  expect(layoutOf(drawn(rack, chosen('spiral')))).toBe('rack');
});

test('parts are told by the names on the doors', () => {
  const names = partNamesOf(drawn({ kind: 'walkIn', serves: ['r1', 'r2', 'gone'] }));
  const said = [...names.values()];
  expect(said.some((each) => each.endsWith(', bulb room'))).toBe(true);
  expect(said.some((each) => each.endsWith(', orchid room'))).toBe(true);
  expect(new Set(names.keys()).size).toBe(said.length);
});

test('a drawing of its own goes before the likely one, and a part that is gone keeps its name', () => {
  const drawing = {
    ...drawingOf({ layout: 'capillary', rooms: [] }),
    parts: drawingOf({ layout: 'capillary', rooms: [] }).parts.map((part) =>
      part.id === 'drier' ? { ...part, name: 'burn-out drier', until: '2026-11-20' } : part,
    ),
  };
  const view = drawn({ kind: 'rack', drawing });
  expect(layoutOf(view)).toBe('capillary');
  expect(mapOfMachine(view).parts.some(({ id }) => id === 'drier')).toBe(false);
  expect(partNamesOf(view).get('drier')).toBe('burn-out drier, cabinet');
});

test('a cabinet runs with a smaller difference to its coil than a room', () => {
  expect(usualDifference(drawn({ kind: 'reachIn' }))).not.toBe(usualDifference(drawn({ kind: 'walkIn' })));
});
