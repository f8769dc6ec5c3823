/** A drawing of its own, and what shut valves part it into. */
import { describe, expect, test } from 'vitest';
import { circuitMap } from './layouts';
import { ownMap } from './ownMap';
import { placesIn, sectionOf, sectionsOf, stillFed } from './sections';

const split = circuitMap('split', ['fish room']);
const idsOf = (parts: readonly { id: string }[] | null) => parts?.map((part) => part.id) ?? null;

describe('parts of its own', () => {
  const own = ownMap(split, {
    added: [
      { id: 'own1', type: 'compressor', name: 'Compressor 2', beside: 'compressor' },
      { id: 'own2', type: 'accumulator', beside: 'suctionLine' },
      { id: 'own3', type: 'flux capacitor', beside: 'drier' },
      { id: 'own4', type: 'drier', beside: 'nowhere' },
    ],
    leftOut: ['headControl'],
    names: { drier: 'Drier behind the door' },
  });
  test('stand beside their neighbour, in its place; an unknown type or neighbour is passed over', () => {
    const at = own.parts.findIndex((part) => part.id === 'own1');
    expect(own.parts[at - 1]?.id).toBe('compressor');
    expect(own.parts[at]).toMatchObject({ name: 'Compressor 2', where: 'unit' });
    expect(own.parts.find((part) => part.id === 'own2')?.where).toBe('lines');
    expect(own.parts.some((part) => ['own3', 'own4'].includes(part.id))).toBe(false);
  });
  test('a part that is not there is on no pipe, and the pipe runs on', () => {
    expect(own.parts.some((part) => part.id === 'headControl')).toBe(false);
    const high = own.pipes[0]?.through ?? [];
    expect(high[high.indexOf('condenserBends') + 1]).toBe('receiver');
  });
  test('a name of its own', () => {
    expect(own.parts.find((part) => part.id === 'drier')?.name).toBe('Drier behind the door');
  });
  test('nothing changed is the layout', () => {
    expect(ownMap(split, {})).toEqual(split);
  });
});

describe('sections', () => {
  test('nothing shut: one section, with all that hangs on it', () => {
    const [all, ...more] = sectionsOf(split, new Set());
    expect(more).toEqual([]);
    expect(all).toHaveLength(split.parts.length);
  });
  test('receiver valve and suction valve shut: the low side with its lines, and the unit', () => {
    const shut = new Set(['receiverValve', 'suctionValve']);
    const low = idsOf(sectionOf(split, shut, 'evaporator'));
    expect(low).toContain('drier');
    expect(low).toContain('accessPort');
    expect(low).not.toContain('compressor');
    expect(sectionOf(split, shut, 'receiverValve')).toBeNull();
    expect(placesIn(sectionOf(split, shut, 'evaporator') ?? [])).toEqual(['unit', 'lines', 'fish room']);
  });
  test('one circuit of a rack behind its two ball valves', () => {
    const rack = circuitMap('rack', ['meat', 'dairy']);
    const shut = new Set(['circuit1.liquidBallValve', 'circuit1.suctionBallValve']);
    expect(idsOf(sectionOf(rack, shut, 'circuit1.evaporator'))).toEqual([
      'circuit1.solenoid',
      'circuit1.flareNut',
      'circuit1.expansionValve',
      'circuit1.evaporator',
      'circuit1.evaporatorBends',
    ]);
    expect(idsOf(sectionOf(rack, shut, 'circuit2.evaporator'))).toContain('compressor');
  });
});

describe('the solenoid of one box cannot pump down two', () => {
  const two = circuitMap('twoRooms', ['tulips', 'roses']);
  test.each([
    [['room1.solenoid'], ['roses']],
    [['room1.solenoid', 'room2.solenoid'], []],
    [['receiverValve'], []],
    [[], []],
    [['suctionValve'], []],
  ])('%j shut: still fed %j', (shut, fed) => {
    expect(stillFed(two, new Set(shut))).toEqual(fed);
  });
  test('a single box is not warned of', () => {
    expect(stillFed(split, new Set(['solenoid']))).toEqual([]);
  });
});
