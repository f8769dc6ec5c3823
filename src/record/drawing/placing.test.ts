/** Where a circuit stands on the drawing: everything is somewhere, nothing on top of another, whatever page is shown. */
import { describe, expect, test } from 'vitest';
import { LAYOUTS, circuitMap } from '../../core/circuit/layouts';
import { drawingOf, mapOfDrawing } from '../../core/circuit/drawing';
import { withOlderParts } from '../../core/circuit/olderDrawing';
import { put } from '../../core/circuit/changes';
import { secondBeside } from '../../core/circuit/sideBySide';
import { takeOut } from '../../core/circuit/takingOut';
import { seeded } from '../../core/testkit/seeded';
import { dayOf } from '../../core/quantity/day';
import { ROUND, partOfPlace } from '../../core/visit/readings/places';
import { COLUMNS, SECTIONS } from './layoutCells';
import { middleOf, pathOf } from './pipes';
import { drawn, pageOfPart, pagesOf } from './placing';

const rooms = (count: number) => Array.from({ length: count }, (_, index) => `room ${String(index + 1)}`);

describe.each(LAYOUTS)('the drawing of %s', (layout) => {
  test.each([0, 1, 2, 6, 7, 14])('serving %i rooms', (count) => {
    const map = circuitMap(layout, rooms(count));
    const seen = new Set<string>();
    for (let page = 0; page < pagesOf(map); page += 1) {
      const shown = drawn(map, page);
      const cells = new Set<string>();
      for (const part of shown.parts) {
        seen.add(part.id);
        const cell = `${String(part.column)} ${String(part.row)}`;
        expect(cells, `${part.id} stands on another part`).not.toContain(cell);
        cells.add(cell);
        expect(part.column).toBeGreaterThanOrEqual(0);
        expect(part.column).toBeLessThan(COLUMNS);
        expect(part.row).toBeLessThan(shown.rows);
      }
      // A pipe runs only between parts that are drawn.
      const ids = new Set(shown.parts.map((part) => part.id));
      for (const pipe of shown.pipes) for (const id of pipe.through) expect(ids).toContain(id);
    }
    // Every part of the circuit stands on one of the pages.
    expect([...seen].sort()).toEqual(map.parts.map((part) => part.id).sort());
    for (const part of map.parts)
      expect(drawn(map, pageOfPart(map, part.id)).parts.map((each) => each.id)).toContain(part.id);
  });
});

describe.each(LAYOUTS)('values on the drawing of %s', (layout) => {
  const map = circuitMap(layout, rooms(2));
  const shown = drawn(map);
  test('each place of the round has its box, within the drawing and on no part of its rows', () => {
    for (const place of ROUND) {
      const part = partOfPlace(map, place);
      const slot = part && shown.slotOf(place, part.id);
      // The box of a rack's circuit is told below the drawing: its row is as high as its parts.
      if (!slot) expect(part?.id).toMatch(/^circuit/);
      if (!slot) continue;
      const [column, row, width] = slot;
      expect(column).toBeGreaterThanOrEqual(0);
      expect(column + width).toBeLessThanOrEqual(COLUMNS);
      for (const each of shown.parts.filter((other) => other.row === row)) {
        // The middle half of a cell is its glyph.
        const apart = each.column + 0.75 <= column || each.column + 0.25 >= column + width;
        expect(apart, `${place} lies on ${each.id}`).toBe(true);
      }
    }
  });
});

test.each(Object.entries(SECTIONS))('no two values of %s lie on each other', (_, { slots, rows }) => {
  const all = Object.entries(slots);
  for (const [name, [column, row, width]] of all) {
    expect(row, name).toBeLessThan(rows);
    for (const [other, [from, at, wide]] of all)
      if (other !== name && at === row)
        expect(column + width <= from || from + wide <= column, `${name} lies on ${other}`).toBe(true);
  }
});

test('a part of its own stands in a free cell near its neighbour', () => {
  const added = Array.from({ length: 6 }, (_, index) => ({
    id: `own${String(index)}`,
    type: 'accumulator',
    beside: 'suctionLine',
  }));
  const { parts, pipes, rows } = drawn(
    mapOfDrawing(
      withOlderParts(drawingOf({ layout: 'split', rooms: ['box'] }), { added }),
      dayOf('2026-11-23'),
    ),
  );
  const cells = parts.map((part) => `${String(part.column)} ${String(part.row)}`);
  expect(new Set(cells).size).toBe(cells.length);
  for (const part of parts) expect(part.row).toBeLessThan(rows);
  // In flow, one after the other, behind the line that they were put beside.
  const line = pipes.find(({ through }) => through[0] === 'suctionLine')?.through ?? [];
  expect(line.slice(1, 7).every((id) => id.startsWith('own'))).toBe(true);
});

/** A machine of a layout, with up to six changes by chance. */
function changedMap(seed: number, layout: (typeof LAYOUTS)[number]) {
  const chance = seeded(seed);
  const one = <Item>(items: readonly Item[]): Item => items[Math.floor(chance() * items.length)] as Item;
  let drawing = drawingOf({ layout, rooms: rooms(1 + (seed % 2)) });
  for (let step = 0; step < 6; step += 1) {
    const id = `own${String(step)}`;
    const part = one(drawing.parts.filter(({ type }) => type !== 'drainPan'));
    const [line, other] = [one(drawing.lines), one(drawing.lines)];
    const at = Math.floor(chance() * (line.through.length - 1));
    const changed = one([
      () =>
        put(drawing, [{ id, type: 'ballValve' }], {
          how: 'inLine',
          between: [line.through[at] ?? '', line.through[at + 1] ?? ''],
        }),
      () => put(drawing, [{ id, type: 'accessPort' }], { how: 'stub', on: part.id }),
      () => secondBeside(drawing, part.id, () => `${id}-${String((count += 1))}`),
      () =>
        put(drawing, [{ id, type: 'hotGasValve' }], {
          how: 'across',
          from: [line.through[0] ?? '', line.through[1] ?? ''],
          to: [other.through[0] ?? '', other.through[1] ?? ''],
          carries: 'hotGas',
        }),
      () => takeOut(drawing, part.id, '2026-01-01'),
    ])();
    if (changed.ok) drawing = changed.value;
  }
  return mapOfDrawing(drawing, dayOf('2026-11-23'));
}
let count = 0;

test('two hundred machines with changes by chance: each part in a cell of its own, within the width', () => {
  let own = 0;
  for (let seed = 1; seed <= 200; seed += 1) {
    const map = changedMap(seed, LAYOUTS[seed % LAYOUTS.length] ?? 'split');
    for (let page = 0; page < pagesOf(map); page += 1) {
      const { parts, rows, slotOf } = drawn(map, page);
      const cells = parts.map((part) => `${String(part.column)} ${String(part.row)}`);
      expect(new Set(cells).size, `seed ${String(seed)}`).toBe(cells.length);
      for (const part of parts) {
        expect(part.column >= 0 && part.column < COLUMNS && part.row < rows, `seed ${String(seed)}`).toBe(
          true,
        );
        own += Number(part.own === true);
      }
      for (const place of ROUND) {
        const [column, row, width] = slotOf(place, partOfPlace(map, place)?.id ?? '') ?? [0, -1, 0];
        for (const each of parts.filter((part) => part.own && part.row === row))
          expect(
            each.column + 0.75 <= column || each.column + 0.25 >= column + width,
            `seed ${String(seed)}: ${place}`,
          ).toBe(true);
      }
    }
  }
  expect(own).toBeGreaterThan(400);
});

test('the liquid line to a second room passes outside of the first room’s solenoid', () => {
  const { parts, pipes } = drawn(circuitMap('twoRooms', ['one', 'two']));
  const byId = new Map(parts.map((part) => [part.id, part]));
  const line = pipes.find(({ through }) => through[1] === 'room2.solenoid');
  const path = pathOf({ through: line?.through.slice(0, 2) ?? [] }, byId);
  // Right of every part, then down, then in.
  const rightmost = Math.max(...parts.map((part) => middleOf(part).x));
  expect(Number(/L(\d+)/.exec(path)?.[1])).toBeGreaterThan(rightmost);
});
