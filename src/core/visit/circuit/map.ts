/** What a circuit map is: parts on a grid eight cells wide, pipes between them, and the places where a person stands. */
import type { PartTypeName, Side } from './parts';

export interface MapPart {
  id: string;
  type: PartTypeName;
  column: number;
  row: number;
  /** where a person stands to reach it */
  where: string;
}

export interface Pipe {
  side: Side;
  /** ids of parts, one after the other */
  through: readonly string[];
}

export interface CircuitMap {
  parts: readonly MapPart[];
  pipes: readonly Pipe[];
  rows: number;
  /** first row of each place, with its name */
  places: readonly { where: string; fromRow: number }[];
}

export type Placed = readonly [id: string, type: PartTypeName, column: number, row: number];

export const placed = (where: string, prefix: string, cells: readonly Placed[], fromRow = 0): MapPart[] =>
  cells.map(([id, type, column, row]) => ({ id: `${prefix}${id}`, type, column, row: row + fromRow, where }));

/** More branches than this are drawn as the first so many. */
export const MOST_BRANCHES = 6;
