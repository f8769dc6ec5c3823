/** Where a circuit stands on the drawing: everything is somewhere, nothing on top of another, whatever page is shown. */
import { describe, expect, test } from 'vitest';
import { LAYOUTS, circuitMap } from '../../core/visit/circuit/layouts';
import { COLUMNS, drawn, pageOfPart, pagesOf } from './placing';

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
