/** A row as the app understands it: what it would write, in words, or why it cannot. */
import { v5 as uuidv5 } from 'uuid';
import type { RowTable } from '../contract/rows';
import type { Entry } from '../core/logbook/entry';
import type { Lookups } from './lookups';
import type { Mapping } from './mapping';
import type { Fault, RowReading } from './reading';

export interface StagedRow {
  table: RowTable;
  id: string;
  row: object;
}

export interface Understood {
  row: number;
  sheet: string;
  /** as it would stand in the logbook */
  words: string;
  /** there already: nothing to write */
  known: boolean;
  faults: readonly Fault[];
  rows: readonly StagedRow[];
  entries: readonly Entry[];
}

/** What all rows of an import share. */
export interface Intake {
  lookups: Lookups;
  mapping: Mapping;
  /** name of the file, said where an entry came from it */
  file: string;
  /** entries of the logbook that a row of this import was found to be already, by what they say */
  taken: Map<string, number>;
}

export type Read = (reading: RowReading, sheet: string, intake: Intake) => Understood;

const NAMESPACE = '9c0f4a52-7f6b-5d1e-9a3d-0f3f6c1b2a41';
/** The same words give the same id, so that what was brought in once is known. */
export const idFrom = (...parts: readonly string[]): string => uuidv5(parts.join('\u0000'), NAMESPACE);

/** The id of an entry of a list; another one where the first was taken back with its import. */
export function entryId({ lookups }: Pick<Intake, 'lookups'>, ...parts: readonly string[]): string {
  let id = idFrom('entry', ...parts);
  for (let again = 1; lookups.known.isUndone(id); again += 1)
    id = idFrom('entry', ...parts, `again ${String(again)}`);
  return id;
}

export const understood = (
  reading: RowReading,
  sheet: string,
  what: { words: string; known?: boolean; rows?: readonly StagedRow[]; entries?: readonly Entry[] },
): Understood => {
  const wrong = reading.faults.length > 0;
  return {
    row: reading.row.number,
    sheet,
    words: what.words,
    known: !wrong && (what.known ?? false),
    faults: reading.faults,
    rows: wrong || what.known ? [] : (what.rows ?? []),
    entries: wrong || what.known ? [] : (what.entries ?? []),
  };
};

/** A thing of the logbook by name; a fault with what may have been meant where there is none, or several. */
export function findOne<Thing extends { id: string }>(
  reading: RowReading,
  field: string,
  what: string,
  found: readonly Thing[],
  near: string | null,
  otherwise: string,
): Thing | null {
  const [only, ...more] = found;
  if (only && more.length === 0) return only;
  const text = reading.text(field);
  if (only)
    return reading.fault(
      field,
      `“${text}” is the name of several ${what}s`,
      'Add a column that tells them apart, such as the site.',
    );
  return reading.fault(
    field,
    text === '' ? 'is empty' : `“${text}” is no ${what} of this logbook`,
    near === null ? otherwise : `Did you mean “${near}”? ${otherwise}`,
  );
}
