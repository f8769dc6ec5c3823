/** Every part of every circuit has a place of its own on some page, and its pipes are drawn with it. */
import { describe, expect, test } from 'vitest';
import { LAYOUTS, circuitMap } from '../../../core/visit/circuit/layouts';
import { BRANCHES_OF_A_PAGE, COLUMNS, drawn, pageOfPart, pagesOf } from './placing';

const rooms = Array.from({ length: 14 }, (_, index) => `room ${String(index + 1)}`);

describe.each(LAYOUTS)('%s', (layout) => {
  test.each([1, 2, 14])('serving %d', (count) => {
    const map = circuitMap(layout, rooms.slice(0, count));
    const pages = Array.from({ length: pagesOf(map) }, (_, page) => drawn(map, page));
    const seen = new Set(pages.flatMap((page) => page.parts.map((part) => part.id)));
    expect(seen).toEqual(new Set(map.parts.map((part) => part.id)));
    const pipes = new Set(pages.flatMap((page) => page.pipes));
    expect(pipes).toEqual(new Set(map.pipes));
    for (const page of pages) {
      const cells = page.parts.map((part) => `${String(part.column)} ${String(part.row)}`);
      expect(new Set(cells).size).toBe(cells.length);
      for (const part of page.parts) {
        expect(part.column).toBeLessThan(COLUMNS);
        expect(part.row).toBeLessThan(page.rows);
      }
    }
  });
});

test('fourteen circuits of a rack are three pages, and a part knows its page', () => {
  const map = circuitMap('rack', rooms);
  expect(pagesOf(map)).toBe(3);
  expect(drawn(map, 0).places).toHaveLength(1 + BRANCHES_OF_A_PAGE);
  expect(drawn(map, 2).places.map((place) => place.where)).toEqual(['machine room', 'room 13', 'room 14']);
  expect([pageOfPart(map, 'compressor'), pageOfPart(map, 'circuit14.solenoid')]).toEqual([0, 2]);
});
