/** A row as the app understands it: what it would write, in words, or why it cannot. */
import { parse, v5 as uuidv5 } from 'uuid';
import type { RowTable } from '../contract/rows';
import type { Entry } from '../core/logbook/entry';
import type { Fault } from './fault';
import type { Lookups } from './lookups';
import type { Mapping } from './mapping';
import type { RowReading } from './reading';

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
  faults: Fault[];
  rows: readonly StagedRow[];
  entries: readonly Entry[];
}

/** What all rows of an import share. */
export interface Intake {
  lookups: Lookups;
  mapping: Mapping;
  /** name of the file, said where an entry came from it */
  file: string;
  /** how often this import has said a fact so far */
  taken: Map<string, number>;
  /** ids of entries that say what the logbook says already */
  repeated: Set<string>;
  /** how often the logbook says each fact of a machine */
  knownFacts: Map<string, ReadonlyMap<string, number>>;
  /** rows of logs by all that stands in them, with the number of the first */
  rowsSeen: Map<string, number>;
  /** machines that this import lists, with the reading of their row */
  listed: Map<string, RowReading>;
  /** names that are no people or bottles of the logbook */
  strangers: { people: Set<string>; bottles: Set<string> };
}

export type RowReader = (reading: RowReading, sheet: string, intake: Intake) => Understood;

const NAMESPACE = parse('9c0f4a52-7f6b-5d1e-9a3d-0f3f6c1b2a41');
const bytes = new TextEncoder();
/** The same words give the same id, so that what was brought in once is known. */
export const idFrom = (...parts: readonly string[]): string =>
  uuidv5(bytes.encode(parts.join('\u0000')), NAMESPACE);

/** The id of what comes in once more after its import was taken back; the same where it was not. */
export function idAgain(id: string, isUndone: (id: string) => boolean): string {
  let free = id;
  while (isUndone(free)) free = idFrom('again', free);
  return free;
}

/** The id of an entry of a list. */
export const entryId = ({ lookups }: Pick<Intake, 'lookups'>, ...parts: readonly string[]): string =>
  idAgain(idFrom('entry', ...parts), (id) => lookups.known.isUndone(id));

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

/** A thing of the logbook by name. Where there is none, or several, it is asked once what the name means. */
export function findOne<Thing extends { id: string }>(
  reading: RowReading,
  field: string,
  what: string,
  found: readonly Thing[],
  near: () => string | null,
  otherwise: string,
): Thing | null {
  const [only, ...more] = found;
  if (only && more.length === 0) return only;
  const text = reading.text(field);
  if (only)
    return reading.fault(
      field,
      `“${text}” is the name of several ${what}s`,
      'Add a column that tells them apart, such as the site, a tag or a serial number.',
    );
  if (text === '') return reading.fault(field, 'is empty', otherwise);
  const meant = near();
  return reading.ask(
    field,
    `“${text}” is no ${what} of this logbook`,
    meant === null ? otherwise : `Did you mean “${meant}”? ${otherwise}`,
    meant === null ? [] : [{ value: meant, words: meant }],
  );
}
