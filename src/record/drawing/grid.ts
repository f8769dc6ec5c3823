/** The grid of one section, in which parts find their cells: rows are put in where there is no room. */
import type { MapSection } from '../../core/circuit/map';
import type { PlaceName } from '../../core/visit/readings/places';
import { COLUMNS, SECTIONS, type Slot } from './layoutCells';

export type Cell = readonly [column: number, row: number];

/** Where a square way from one point to another turns: across first, but up before across to the right. */
export const cornerOf = ([x1, y1]: Cell, [x2, y2]: Cell): Cell => (y2 < y1 && x2 > x1 ? [x1, y2] : [x2, y1]);

export interface SectionCells {
  cells: ReadonlyMap<string, Cell>;
  rows: number;
  slots: ReadonlyMap<PlaceName | 'split', Slot>;
}

/** Parts of a section without a layout, so far apart. */
const FREE_STEP = 2;

export class Grid implements SectionCells {
  readonly cells = new Map<string, Cell>();
  slots: Map<PlaceName | 'split', Slot>;
  rows: number;

  constructor(
    { kind, prefix, parts }: MapSection,
    private readonly lines: readonly (readonly [string, string])[],
    /** to which side a line leaves the section; null: both of its ends stand in it */
    private readonly leaves: (one: string, other: string) => 'up' | 'down' | null,
  ) {
    const layout = SECTIONS[kind];
    this.rows = layout.rows;
    this.slots = new Map(Object.entries(layout.slots) as [PlaceName | 'split', Slot][]);
    const loose = kind === 'free' ? parts : [];
    for (const part of parts) {
      const cell = layout.cells[part.id.slice(prefix.length)];
      if (cell && !part.own) this.cells.set(part.id, cell);
      else if (!part.own) throw new Error(`No cell for ${part.id}: add it to the section ${kind}.`);
    }
    const across = COLUMNS / FREE_STEP;
    for (const [index, { id }] of loose.entries()) {
      const row = Math.floor(index / across);
      const along = (index % across) * FREE_STEP;
      // As one reads a field that is ploughed: back and forth, so that lines run on.
      this.put(id, [row % 2 === 0 ? COLUMNS - 1 - along : COLUMNS - 1 - (COLUMNS - FREE_STEP) + along, row]);
    }
  }

  private put(id: string, cell: Cell): void {
    this.cells.set(id, cell);
    this.rows = Math.max(this.rows, cell[1] + 1);
  }

  private isFree([column, row]: Cell): boolean {
    if (column < 0 || column >= COLUMNS || row < 0 || row >= this.rows) return false;
    for (const [c, r] of this.cells.values()) if (c === column && r === row) return false;
    for (const [from, at, width] of this.slots.values())
      if (at === row && column + 1 > from && column < from + width) return false;
    return true;
  }

  /** Everything from this row on moves down by one. */
  private insertRow(at: number): void {
    for (const [id, [column, row]] of this.cells) if (row >= at) this.cells.set(id, [column, row + 1]);
    for (const [place, [from, row, width]] of this.slots)
      if (row >= at) this.slots.set(place, [from, row + 1, width]);
    this.rows += 1;
  }

  place(id: string, neighbours: readonly Cell[]): void {
    const [one, other] = neighbours;
    if (one && other) this.put(id, this.between(one, other));
    else this.put(id, this.near(one ?? [COLUMNS - 1, this.rows - 1]));
  }

  private between([c1, r1]: Cell, [c2, r2]: Cell): Cell {
    const straight = this.straight([c1, r1], [c2, r2]);
    if (straight) return straight;
    if (c1 === c2) {
      this.insertRow(Math.max(r1, r2));
      return [c1, Math.max(r1, r2)];
    }
    if (r1 === r2) return this.sideways(Math.min(c1, c2), Math.max(c1, c2), r1);
    const corner = (
      [
        [c2, r1],
        [c1, r2],
      ] as const
    ).find((cell) => this.isFree(cell) && !this.isOnLine(cell));
    return corner ?? this.near([c2, r2]);
  }

  /** A free cell on the straight way between two, the nearest to its middle. */
  private straight([c1, r1]: Cell, [c2, r2]: Cell): Cell | null {
    if (c1 !== c2 && r1 !== r2) return null;
    const length = Math.abs(c2 - c1) + Math.abs(r2 - r1);
    const way = Array.from({ length: Math.max(0, length - 1) }, (_, i): Cell => [
      c1 + Math.sign(c2 - c1) * (i + 1),
      r1 + Math.sign(r2 - r1) * (i + 1),
    ]).filter((cell) => this.isFree(cell));
    const off = ([c, r]: Cell): number => Math.abs(c - (c1 + c2) / 2) + Math.abs(r - (r1 + r2) / 2);
    return way.sort((a, b) => off(a) - off(b))[0] ?? null;
  }

  /** Between two side by side: what stands to the left makes room; where it cannot, the line goes down and up again. */
  private sideways(left: number, right: number, row: number): Cell {
    const run = [...this.cells]
      .filter(([, [c, r]]) => r === row && c <= left)
      .sort(([, a], [, b]) => b[0] - a[0]);
    let end = left;
    const moved: string[] = [];
    for (const [id, [column]] of run) {
      if (column < end) break;
      moved.push(id);
      end -= 1;
    }
    // The outermost column belongs to the line that runs down there.
    if (end >= 1 && this.isFree([end, row])) {
      for (const id of moved) {
        const [column] = this.cells.get(id) ?? [0];
        this.cells.set(id, [column - 1, row]);
      }
      return [left, row];
    }
    this.insertRow(row + 1);
    return [right, row + 1];
  }

  /** The free cell nearest to another, on no line; in a row of its own below it where none is at hand. */
  private near([column, row]: Cell): Cell {
    const far = ([c, r]: Cell): number => Math.abs(c - column) + Math.abs(r - row);
    const nearest = (cells: readonly Cell[]): Cell | undefined =>
      cells.filter((cell) => this.isFree(cell) && !this.isOnLine(cell)).sort((a, b) => far(a) - far(b))[0];
    // To the right first; the outermost column on the left belongs to the line that comes back there.
    const around: Cell[] = [
      [column + 1, row],
      [column, row + 1],
      [column, row - 1],
      ...(column > 1 ? [[column - 1, row] as const] : []),
    ];
    const free = nearest(around);
    if (free) return free;
    this.insertRow(row + 1);
    const below = Array.from({ length: COLUMNS - 1 }, (_, c): Cell => [c + 1, row + 1]);
    return nearest(below) ?? [column, row + 1];
  }

  /** Whether a line between two parts in their places runs through a cell, within this section or out of it. */
  private isOnLine([column, row]: Cell): boolean {
    return this.lines.some(([one, other]) => {
      const a = this.cells.get(one);
      const b = this.cells.get(other);
      const [only] = [a, b].filter((cell) => cell !== undefined);
      if (!only) return false;
      // Straight up or down, to where its other end stands.
      if (!a || !b) {
        const way = this.leaves(one, other);
        return way !== null && column === only[0] && (way === 'up' ? row < only[1] : row > only[1]);
      }
      const [from, to] = [a, b];
      const corner = cornerOf(from, to);
      return [
        [from, corner],
        [corner, to],
      ].some(
        ([p, q]) =>
          p &&
          q &&
          column >= Math.min(p[0], q[0]) &&
          column <= Math.max(p[0], q[0]) &&
          row >= Math.min(p[1], q[1]) &&
          row <= Math.max(p[1], q[1]),
      );
    });
  }
}
