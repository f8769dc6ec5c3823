/** A drawing from answers to map, what older visits wrote of it, and what shut valves part it into. */
import { describe, expect, test } from 'vitest';
import { pipingRow } from '../logbook/piping';
import { dayOf } from '../quantity/day';
import { seeded } from '../testkit/seeded';
import { put } from './changes';
import { takeOut } from './takingOut';
import { type Answers, answersOf, drawingOf, mapOfDrawing } from './drawing';
import { cutsOffCompressor, stillFed } from './flow';
import { LAYOUTS, circuitMap } from './layouts';
import type { CircuitMap } from './map';
import { withOlderParts } from './olderDrawing';
import { PART_TYPES } from './parts';
import { isWhole, passing, placesIn, sectionOf, sectionsOf } from './sections';

const DAY = dayOf('2026-11-23');
const mapFrom = (answers: Answers, own: Parameters<typeof withOlderParts>[1] = {}): CircuitMap =>
  mapOfDrawing(withOlderParts(drawingOf(answers), own), DAY);
const splitAnswers: Answers = { layout: 'split', rooms: ['fish room'] };
const split = mapFrom(splitAnswers);
const idsOf = (parts: readonly { id: string }[] | null) => parts?.map((part) => part.id) ?? null;
const shut = (...ids: string[]) => new Set(ids);

describe.each(LAYOUTS)('answers of %s', (layout) => {
  test('give the map of its layout, as a drawing that is right', () => {
    const answers = { layout, rooms: ['one', 'two'] };
    const drawing = drawingOf(answers);
    expect(pipingRow.safeParse(drawing).error?.issues ?? []).toEqual([]);
    expect(answersOf(drawing)).toEqual(answers);
    expect(mapOfDrawing(drawing, DAY)).toEqual(circuitMap(layout, answers.rooms));
  });
  test('nothing shut: one section of all that refrigerant stands in', () => {
    const map = circuitMap(layout, ['one', 'two']);
    const [all, ...more] = sectionsOf(map, shut());
    expect(more).toEqual([]);
    expect(isWhole(map, all ?? [])).toBe(true);
    expect(idsOf(all ?? [])?.some((id) => id.endsWith('drainPan'))).toBe(false);
  });
  test('compressor, condenser and coil stand in one round', () => {
    const map = circuitMap(layout, ['one', 'two']);
    expect(cutsOffCompressor(map, shut())).toEqual(shut());
    const valves = map.parts.filter(({ type }) => type.startsWith('serviceValve'));
    for (const { id } of valves) expect([...cutsOffCompressor(map, shut(id))]).toEqual([id]);
  });
});

test('four compressors and two coils in each room stand side by side, each parted by its own valves', () => {
  const map = mapFrom({ layout: 'twoRooms', rooms: ['one', 'two'], compressors: 4, coils: 2 });
  const of = (type: string) => map.parts.filter((part) => part.type === type);
  expect(of('compressor')).toHaveLength(4);
  expect(
    of('evaporator')
      .map(({ where }) => where)
      .sort(),
  ).toEqual(['one', 'one', 'two', 'two']);
  expect(of('expansionValve')).toHaveLength(4);
  const valves = [...of('serviceValveSuction'), ...of('serviceValveDischarge')].map(({ id }) => id);
  expect(valves).toHaveLength(8);
  // The first one's two valves shut: it alone is cut off, and the others run on.
  const first = shut('suctionValve', 'dischargeValve');
  expect(idsOf(sectionOf(map, first, 'compressor'))).toEqual(['compressor']);
  expect([...cutsOffCompressor(map, first)].sort()).toEqual([...first].sort());
  expect(
    sectionsOf(map, new Set(valves)).filter((section) => section[0]?.type === 'compressor'),
  ).toHaveLength(4);
});

describe('what older visits wrote', () => {
  const own = mapFrom(splitAnswers, {
    added: [
      { id: 'own1', type: 'compressor', name: 'Compressor 2', beside: 'compressor' },
      { id: 'own2', type: 'accumulator', beside: 'suctionValve' },
      { id: 'own3', type: 'flux capacitor', beside: 'drier' },
      { id: 'own4', type: 'drier', beside: 'nowhere' },
      { id: 'own5', type: 'evaporator', beside: 'evaporator' },
      { id: 'own6', type: 'ballValve', beside: 'liquidLine' },
      { id: 'own7', type: 'ballValve', beside: 'suctionLine' },
      { id: 'own8', type: 'hotGasValve', beside: 'evaporator' },
      { id: 'own9', type: 'accessPort', beside: 'drier' },
    ],
    leftOut: ['headControl'],
    names: { drier: 'Drier behind the door' },
  });
  const lineOf = (id: string) => own.lines.filter(({ through }) => through.includes(id));
  test('an unknown type or neighbour is passed over; names and gaps are kept', () => {
    expect(own.parts.some((part) => ['own3', 'own4'].includes(part.id))).toBe(false);
    expect(own.parts.find((part) => part.id === 'drier')?.name).toBe('Drier behind the door');
    expect(own.parts.some((part) => part.id === 'headControl')).toBe(false);
    const liquid = lineOf('receiver')[0]?.through ?? [];
    expect(liquid[liquid.indexOf('condenserBends') + 1]).toBe('receiver');
  });
  test('a second compressor runs beside the first, with the valves of the first parting it alone', () => {
    const low = sectionOf(own, shut('suctionValve', 'dischargeValve'), 'own1');
    expect(idsOf(low)).toContain('condenser');
    expect(idsOf(low)).toContain('evaporator');
    expect(idsOf(low)).not.toContain('compressor');
  });
  test('an accumulator asked for at the suction valve stands in the suction line', () => {
    expect(lineOf('own2').map(({ carries }) => carries)).toEqual(['suction']);
  });
  test('a second coil is fed beside the first, and takes a leak of its own into the section', () => {
    expect(idsOf(sectionOf(own, shut('solenoid', 'suctionValve'), 'own5'))).toContain('evaporator');
    for (const { through } of lineOf('own5')) expect(through).not.toContain('evaporator');
  });
  test('valves put on both lines part the circuit', () => {
    const both = sectionOf(own, shut('own6', 'own7'), 'evaporator');
    expect(idsOf(both)).not.toContain('compressor');
    expect(idsOf(both)).not.toContain('receiver');
    expect(idsOf(both)).toContain('own8');
    expect(placesIn(both ?? [])).not.toContain('unit');
  });
  test('whatever was added, nothing is parted while all is open, and every one is drawn once', () => {
    const types = Object.keys(PART_TYPES);
    for (let seed = 1; seed <= 300; seed += 1) {
      const chance = seeded(seed);
      const one = <Item>(items: readonly Item[]): Item => items[Math.floor(chance() * items.length)] as Item;
      const answers: Answers = { layout: one(LAYOUTS), rooms: ['one', 'two'].slice(0, 1 + (seed % 2)) };
      const base = circuitMap(answers.layout, answers.rooms);
      const added = Array.from({ length: 1 + Math.floor(chance() * 6) }, (_, index) => ({
        id: `own${String(index)}`,
        type: one(types.filter((type) => type !== 'other')),
        beside: one(base.parts.filter(({ type }) => type !== 'drainPan')).id,
      }));
      const map = mapFrom(answers, { added });
      expect(sectionsOf(map, shut()), `seed ${String(seed)}`).toHaveLength(1);
      for (const { id } of added) expect(map.parts.filter((part) => part.id === id)).toHaveLength(1);
      expect(new Set(idsOf(map.parts)).size).toBe(map.parts.length);
    }
  });
});

describe('sections', () => {
  test('receiver valve and suction valve shut: the low side with its lines, and the unit', () => {
    const low = idsOf(sectionOf(split, shut('receiverValve', 'suctionValve'), 'evaporator'));
    expect(low).toContain('drier');
    expect(low).toContain('accessPort');
    expect(low).not.toContain('compressor');
    expect(sectionOf(split, shut('receiverValve'), 'receiverValve')).toBeNull();
  });
  const rack = circuitMap('rack', ['meat', 'dairy']);
  const circuit = ['solenoid', 'flareNut', 'expansionValve', 'evaporator', 'evaporatorBends'];
  test('one circuit of a rack behind its two ball valves', () => {
    const both = shut('circuit1.liquidBallValve', 'circuit1.suctionBallValve');
    expect(idsOf(sectionOf(rack, both, 'circuit1.evaporator'))).toEqual(
      circuit.map((id) => `circuit1.${id}`),
    );
    expect(idsOf(sectionOf(rack, both, 'circuit2.evaporator'))).toContain('compressor');
    // The rack runs on with its other circuit.
    expect([...cutsOffCompressor(rack, both)]).toEqual([]);
    const all = shut('circuit1.suctionBallValve', 'circuit2.suctionBallValve');
    expect([...cutsOffCompressor(rack, all)].sort()).toEqual([...all]);
  });
  test('a valve that does not hold opens its section to the other side, also behind a second one', () => {
    const both = shut('circuit1.liquidBallValve', 'circuit1.suctionBallValve');
    const open = (...doesNotHold: string[]) =>
      passing(rack, { shut: both, doesNotHold: shut(...doesNotHold) }, 'circuit1.evaporator');
    expect(open()).toBeNull();
    const found = open('circuit1.suctionBallValve');
    expect(idsOf(found?.valves ?? [])).toEqual(['circuit1.suctionBallValve']);
    expect(idsOf(found?.beyond ?? [])).toContain('compressor');
    expect(idsOf(found?.beyond ?? [])).not.toContain('circuit1.solenoid');
    const two = put(
      drawingOf({ layout: 'rack', rooms: ['meat', 'dairy'] }),
      [{ id: 'b', type: 'ballValve' }],
      {
        how: 'inLine',
        between: ['circuit1.suctionBallValve', 'suctionHeader'],
      },
    );
    if (!two.ok) throw new Error(two.refusal.code);
    const map = mapOfDrawing(two.value, DAY);
    const three = new Set([...both, 'b']);
    const first = { shut: three, doesNotHold: shut('circuit1.suctionBallValve') };
    expect(passing(map, first, 'circuit1.evaporator')).toBeNull();
    const chained = { shut: three, doesNotHold: shut('circuit1.suctionBallValve', 'b') };
    expect(idsOf(passing(map, chained, 'circuit1.evaporator')?.valves ?? [])).toEqual([
      'circuit1.suctionBallValve',
    ]);
  });
});

test('a part taken out is on the map until the day before, in its place in the line', () => {
  const put1 = put(drawingOf(splitAnswers), [{ id: 'b', type: 'drier', name: 'burn-out drier' }], {
    how: 'inLine',
    between: ['suctionLine', 'accessPort'],
  });
  const out = put1.ok ? takeOut(put1.value, 'b', '2026-11-23') : put1;
  if (!out.ok) throw new Error(out.refusal.code);
  expect(mapOfDrawing(out.value, dayOf('2026-11-22')).parts.find(({ id }) => id === 'b')).toMatchObject({
    own: true,
    where: 'lines',
  });
  expect(mapOfDrawing(out.value, DAY)).toEqual(split);
});

test('a drawing of another program: its places are bands, its words are kept', () => {
  const map = mapOfDrawing(
    {
      parts: [
        { id: 'c', type: 'compressor', where: 'roof' },
        { id: 'x', type: 'ejector', where: 'roof' },
        { id: 'e', type: 'evaporator', where: 'aisle 9' },
      ],
      lines: [{ id: 'l', carries: 'suction', through: ['e', 'x', 'c'] }],
    },
    DAY,
  );
  expect(map.sections.map(({ kind, where }) => [kind, where])).toEqual([
    ['free', 'roof'],
    ['free', 'aisle 9'],
  ]);
  expect(map.parts.find(({ id }) => id === 'x')).toMatchObject({ type: 'other', name: 'ejector' });
});

describe('the solenoid of one box cannot pump down two', () => {
  const two = circuitMap('twoRooms', ['tulips', 'roses']);
  test.each([
    [['room1.solenoid'], ['roses']],
    [['room1.solenoid', 'room2.solenoid'], []],
    [['receiverValve'], []],
    [[], []],
    [['suctionValve'], []],
  ])('%j shut: still fed %j', (ids, fed) => {
    expect(stillFed(two, shut(...ids))).toEqual(fed);
  });
  test('hot gas that could come round through the compressor feeds no liquid', () => {
    const hot = put(
      drawingOf({ layout: 'twoRooms', rooms: ['tulips', 'roses'] }),
      [{ id: 'hot', type: 'hotGasValve' }],
      {
        how: 'across',
        from: 'dischargeLine',
        to: ['room1.expansionValve', 'room1.evaporator'],
        carries: 'hotGas',
      },
    );
    if (!hot.ok) throw new Error(hot.refusal.code);
    expect(stillFed(mapOfDrawing(hot.value, DAY), shut('room1.solenoid'))).toEqual(['roses']);
  });
  test('a single box is not warned of', () => {
    expect(stillFed(split, shut('solenoid'))).toEqual([]);
  });
});
