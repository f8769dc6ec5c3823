/** The circuit maps, the order of a search, and when it counts as an inspection. */
import { describe, expect, test } from 'vitest';
import type { Appliance } from '../../logbook/tables';
import { type Fact, note, standing } from '../../testkit/facts';
import { LAYOUTS, circuitMap, likelyLayout } from '../../circuit/layouts';
import { PART_TYPES, typeSaid } from '../../circuit/parts';
import { nextLeaks, pastLeaks, searchOrder, searchState, signsOf, spotsOf } from './search';

const TODAY = '2026-11-23';
const entriesOf = (...facts: Fact[]) => standing(facts, TODAY).history.entries;
const spot = (part: string, mark: string, rest: object = {}) =>
  note('search', TODAY, { tool: 'spot', part, mark, ...rest });
const map = circuitMap('split', ['fish room']);

describe('maps', () => {
  test.each(LAYOUTS)('%s: parts are told apart, and pipes run between parts that exist', (layout) => {
    const { parts, lines, stubs, sections } = circuitMap(layout, ['one', 'two', 'three']);
    const ids = new Set(parts.map((part) => part.id));
    expect(ids.size).toBe(parts.length);
    expect(parts.length).toBeGreaterThanOrEqual(13);
    expect(sections.flatMap((each) => each.parts)).toEqual(parts);
    for (const part of parts) expect(Object.keys(PART_TYPES)).toContain(part.type);
    for (const { through } of lines) for (const id of through) expect(ids).toContain(id);
    // No line reaches a drain pan, and what hangs on another.
    const reached = new Set([...lines.flatMap(({ through }) => through), ...stubs.map(({ part }) => part)]);
    const loose = parts.filter((part) => !reached.has(part.id)).map((part) => part.type);
    for (const type of loose) expect(type).toBe('drainPan');
  });

  test('every branch is on it, by the names on the doors: a rack of 14 circuits, a split of two rooms', () => {
    const rooms = Array.from({ length: 14 }, (_, i) => `room ${String(i)}`);
    expect(circuitMap('rack', rooms).sections.map((each) => each.where)).toEqual(['machine room', ...rooms]);
    for (const layout of ['split', 'twoRooms', 'waterCooled'] as const) {
      const where = circuitMap(layout, ['bulbs', 'roses']).parts.map((part) => part.where);
      expect(where).toEqual(expect.arrayContaining(['bulbs', 'roses']));
    }
  });

  test('a search of six circuits of fourteen is no inspection', () => {
    const rack = circuitMap(
      'rack',
      Array.from({ length: 14 }, (_, i) => `room ${String(i)}`),
    );
    const looked = (parts: typeof rack.parts) =>
      searchState(rack, spotsOf(entriesOf(...parts.map((part) => spot(part.id, 'lookedAt')))));
    const six = rack.sections.slice(0, 7).flatMap((each) => each.parts);
    expect(looked(six)).toMatchObject({ countsAsInspection: false });
    expect(looked(six).notYet).toHaveLength(8 * 7);
    expect(looked(rack.parts).countsAsInspection).toBe(true);
  });

  test.each([
    ['walkIn', {}, 'split'],
    ['walkIn', { serves: ['a', 'b'] }, 'twoRooms'],
    ['walkIn', { hermetic: true }, 'capillary'],
    ['reachIn', {}, 'capillary'],
    ['rack', {}, 'rack'],
    ['chiller', {}, 'chiller'],
    ['milkTank', {}, 'milkTank'],
  ] as [Appliance['kind'], Partial<Appliance>, string][])('a %s is likely drawn as', (kind, rest, layout) => {
    expect(likelyLayout({ kind, ...rest })).toBe(layout);
  });

  test('a note of old says which type of part it means', () => {
    expect(typeSaid('suction service valve stem')).toBe('serviceValveSuction');
    expect(typeSaid('Flare nut at the TXV')).toBe('flareNut');
    expect(typeSaid('who knows')).toBeNull();
  });
});

describe('order', () => {
  const leak = (component: string, rest: object = {}) =>
    note('leakFound', '2026-01-01', { leakId: `k${component}`, component, ...rest });
  const first = (past: Fact[], spots: Fact[] = [], similar = {}) =>
    searchOrder(map, pastLeaks(entriesOf(...past)), similar, signsOf(spotsOf(entriesOf(...spots))))[0];

  test('where this machine leaked before comes first, by the map or by the words', () => {
    expect(first([leak('Receiver valve')])).toMatchObject({
      part: { id: 'receiverValve' },
      reasons: [{ code: 'leakedHere', times: 1 }],
    });
    expect(first([leak('something', { 'x-part': 'solenoid' })])?.part.id).toBe('solenoid');
  });

  test('then oil seen today, then the coil above a drain pan that gave a hit', () => {
    expect(first([], [spot('sightGlass', 'hit', { grade: 'oilOrFrost' })])?.part.id).toBe('sightGlass');
    const pan = first([], [spot('drainPan', 'hit', { grade: 'detectorHit' })]);
    expect(['evaporator', 'evaporatorBends']).toContain(pan?.part.id);
    expect(pan?.reasons.map((each) => each.code)).toContain('drainPanHit');
  });

  test('then what leaks on similar machines, and what leaks readily', () => {
    expect(first([], [], { condenser: 7, flareNut: 1 })).toMatchObject({ part: { type: 'condenser' } });
    expect(PART_TYPES[first([])?.part.type ?? 'drainPan'].readily).toBe(3);
  });

  test('a drain pan is no joint and is never proposed', () => {
    const all = searchOrder(map, [], {}, { oil: new Set(), drainPans: new Set() });
    expect(all).toHaveLength(map.parts.length - 1);
    expect(all.some((each) => each.part.type === 'drainPan')).toBe(false);
  });
});

describe('what was covered', () => {
  const stateOf = (...spots: Fact[]) => searchState(map, spotsOf(entriesOf(...spots)));
  const everything = map.parts.map((part) => spot(part.id, 'lookedAt', { method: 'electronic' }));

  test('all parts looked at counts as an inspection; one not yet does not', () => {
    expect(stateOf(...everything)).toMatchObject({
      countsAsInspection: true,
      methods: ['electronic'],
      notYet: [],
    });
    expect(stateOf(...everything.slice(1)).countsAsInspection).toBe(false);
    expect(stateOf().countsAsInspection).toBe(false);
  });

  test('left out: out of reach still counts, for want of time does not', () => {
    const rest = everything.slice(1);
    const [part] = map.parts;
    const left = (reachable: boolean) =>
      spot(part?.id ?? '', 'leftOut', { why: 'behind the wall', reachable });
    expect(stateOf(...rest, left(false))).toMatchObject({
      countsAsInspection: true,
      leftOut: [{ why: 'behind the wall', reachable: false }],
    });
    expect(stateOf(...rest, left(true)).countsAsInspection).toBe(false);
  });

  test('the last mark on a part counts; a hit stays open until it is confirmed or explained', () => {
    const hit = spot('drier', 'hit', { grade: 'detectorHit' });
    expect(stateOf(...everything, hit).open.map((part) => part.id)).toEqual(['drier']);
    expect(stateOf(...everything, hit, spot('drier', 'false', { cause: 'wind' })).open).toEqual([]);
    expect(stateOf(hit, spot('drier', 'confirmed', { leakId: 'k7' })).leakIds).toEqual(['k7']);
  });
});

describe('the next leak', () => {
  const rotten = spot('dischargeLine', 'nextLeak', {
    words: 'Discharge line, unit',
    why: 'rotten at the clamp',
  });
  const work = (part: string) =>
    note('partFitted', '2026-11-23', { tool: 'preventive', part, preventive: true });

  test('waits for work on it, and says why', () => {
    expect(nextLeaks(entriesOf(rotten))).toMatchObject([
      { part: 'dischargeLine', words: 'Discharge line, unit', why: 'rotten at the clamp' },
    ]);
    expect(searchState(map, spotsOf(entriesOf(rotten))).done.map((part) => part.id)).toEqual([
      'dischargeLine',
    ]);
  });
  test('is done with by preventive work at that place, by its name or its id; work elsewhere leaves it', () => {
    expect(nextLeaks(entriesOf(rotten, work('discharge line, unit')))).toEqual([]);
    expect(nextLeaks(entriesOf(rotten, work('dischargeLine')))).toEqual([]);
    expect(nextLeaks(entriesOf(rotten, work('Drier, unit')))).toHaveLength(1);
  });
});
