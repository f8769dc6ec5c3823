/** A change of a row, and the revision that seals it. */
import type { RowTable } from '../../contract/rows';
import type { Revision } from '../../core/logbook/tables';
import type { Clock } from '../clock';

/** Who changes rows, and why. */
export interface Changing {
  by: string | null;
  why: string | null;
}

export interface CheckedRow {
  table: RowTable;
  id: string;
  before: object | null;
  row: object;
}

export function revisionOf({ table, id, row }: CheckedRow, { by, why }: Changing, clock: Clock): Revision {
  return {
    table,
    id,
    row: row as Revision['row'],
    recordedAt: new Date(clock.nowMs()).toISOString(),
    by,
    why: why?.trim() || null,
  };
}
