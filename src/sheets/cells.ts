/** A spreadsheet as it was read: cells with what they are, nothing understood yet. */

import { remembered } from './remembered';

export interface Cell {
  /** as it stands there; a number with a point, a date as YYYY-MM-DD */
  text: string;
  type: 'text' | 'number' | 'date';
  /** its value was computed from others: what it would be elsewhere nobody knows */
  formula?: true;
}

export interface WorksheetRow {
  /** as the spreadsheet counts it */
  number: number;
  cells: readonly Cell[];
}

export interface Worksheet {
  name: string;
  rows: readonly WorksheetRow[];
}

export const EMPTY_CELL: Cell = { text: '', type: 'text' };
export const textCell = (text: string): Cell => ({ text: text.trim(), type: 'text' });
export const isBlank = ({ text }: Cell): boolean => text.trim() === '';

/** What a list may mean by a name: case, accents, points and spaces aside. The logbook itself tells more names apart. */
export const looseKey = remembered((name: string): string =>
  name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim(),
);

/** All that stands in a row: two rows of the same text say the same. */
export const rowText = ({ cells }: WorksheetRow): string =>
  cells.map(({ text }) => text.trim()).join('\u0000');
