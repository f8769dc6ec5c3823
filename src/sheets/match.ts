/** Which row heads a sheet, what kind of list it is, and which column is which field: by headings first, then by what stands below. */
import { type Cell, EMPTY_CELL, type Worksheet, type WorksheetRow, isBlank } from './cells';
import { type Carried, columnContents } from './contents';
import { readDay } from './days';
import { SHEET_TABLES, type WorksheetTable, headingKey } from './fields';
import { type Fields, byHeadings, knownHeading, withContent } from './headings';
import { isHeadAgain, isTotal, isUnits, unitBelow, type RowLeftOut } from './leftOut';
import type { Lookups } from './lookups';
import type { Mapping } from './mapping';
import type { massUnitOf } from './numbers';
import { isWorkedOut } from './workedOut';
import { type Evidence, type Scored, decided, evidenceOf, scoreOf, tableOfFields } from './whichList';

export interface Column {
  heading: string;
  field: string | null;
  /** what a row of units says below the heading */
  unit?: ReturnType<typeof massUnitOf>;
  /** what stands in a column that no field was found for, where a rate hangs on it */
  carries?: Carried;
}

export interface Matched {
  sheet: Worksheet;
  table: WorksheetTable | null;
  /** it may be either of these, and nothing tells which */
  either?: readonly WorksheetTable[];
  columns: readonly Column[];
  /** below the heading, without rows in which nothing stands and those that are left out */
  rows: readonly WorksheetRow[];
  leftOut: readonly RowLeftOut[];
}

const keyOf = (heading: string): string => (isWorkedOut(heading) ? '' : headingKey(heading));

const HEADINGS_AMONG = 12;
const LOOKED_AT = 60;

interface Guess extends Scored {
  fields: Fields;
  carried: readonly (Carried | null)[];
  either: readonly WorksheetTable[];
}

function guess(
  headings: readonly string[],
  below: readonly WorksheetRow[],
  sheetName: string,
  lookups: Lookups,
  only: WorksheetTable | null,
): Guess {
  const keys = headings.map(keyOf);
  const cellsOf = (rows: readonly WorksheetRow[], column: number): Cell[] =>
    rows.map(({ cells }) => cells[column] ?? EMPTY_CELL);
  const sample = below.slice(0, LOOKED_AT);
  const contents = headings.map((heading, column) =>
    isWorkedOut(heading)
      ? { kinds: [], carried: null }
      : columnContents(cellsOf(sample, column), heading, lookups),
  );
  const candidates = (only === null ? SHEET_TABLES : [only]).map((table) => {
    const fields = withContent(table, byHeadings(table, keys, contents), keys, contents);
    const evidence: Evidence = evidenceOf(fields, below, keys, contents);
    return { table, fields, score: scoreOf(table, fields, sheetName, evidence) };
  });
  const { best, either } = decided(candidates, only);
  const fields = best?.fields ?? keys.map(() => null);
  return {
    table: either.length > 0 ? null : (best?.table ?? only),
    score: best?.score ?? 0,
    fields,
    either,
    carried: contents.map((kinds, column) => (fields[column] === null ? (kinds.carried ?? null) : null)),
  };
}

const tableSaid = ({ table }: Mapping, sheet: string): WorksheetTable | null =>
  typeof table === 'string' ? table : (table?.[sheet] ?? null);

/** Headings are words: at least two of them, none a number or a day. */
const looksLikeHead = ({ cells }: WorksheetRow): boolean =>
  cells.filter((cell) => !isBlank(cell)).length >= 2 &&
  cells.every((cell) => cell.type === 'text' && !/^[\d.,\s]*\d$/.test(cell.text) && !readDay(cell, 'mdy').ok);

const textsOf = ({ cells }: WorksheetRow): string[] => cells.map(({ text }) => text.trim());

/** Two rows of headings as one: the upper one spans the columns to its right until the next. */
function together(upper: WorksheetRow, lower: WorksheetRow): string[] {
  let spanning = '';
  const width = Math.max(upper.cells.length, lower.cells.length);
  return Array.from({ length: width }, (_, place) => {
    const over = upper.cells[place]?.text.trim() ?? '';
    if (over !== '') spanning = over;
    const under = lower.cells[place]?.text.trim() ?? '';
    if (under === '') return over;
    return knownHeading(under) || spanning === '' ? under : `${spanning} ${under}`;
  });
}

interface Head {
  headings: readonly string[];
  /** index of the first row below */
  from: number;
  units: WorksheetRow | null;
}

function headsOf(filled: readonly WorksheetRow[]): Head[] {
  const heads: Head[] = [];
  const add = (headings: readonly string[], from: number): void => {
    const next = filled[from];
    const units = next && isUnits(next) ? next : null;
    heads.push({ headings, from: units ? from + 1 : from, units });
  };
  for (let index = 0; index < Math.min(HEADINGS_AMONG, filled.length); index += 1) {
    const [row, next] = [filled[index], filled[index + 1]];
    if (!row || !looksLikeHead(row) || isUnits(row)) continue;
    add(textsOf(row), index + 1);
    if (next && looksLikeHead(next) && !isUnits(next)) add(together(row, next), index + 2);
  }
  return heads;
}

/** Reads a sheet as the kind of list that explains it best; what was said of its columns stands. */
export function matchWorksheet(sheet: Worksheet, lookups: Lookups, mapping: Mapping): Matched {
  const filled = sheet.rows.filter(({ cells }) => cells.some((cell) => !isBlank(cell)));
  const said = tableSaid(mapping, sheet.name);
  const columns = mapping.columns ?? {};
  let best: { head: Head; found: Guess; score: number } | null = null;
  for (const head of headsOf(filled)) {
    const below = filled.slice(head.from).filter((row) => !isTotal(row));
    const found = guess(head.headings, below, sheet.name, lookups, said);
    const keys = head.headings.map(keyOf);
    const named = Math.max(
      ...SHEET_TABLES.map((table) => byHeadings(table, keys).filter((field) => field !== null).length),
    );
    const mapped = head.headings.filter((heading) => heading in columns).length;
    // What stands in a row of data says nothing of ours; headings do.
    const score = found.score + 3 * named + 5 * mapped;
    if (!best || score > best.score) best = { head, found, score };
  }
  if (!best) return { sheet, table: said, columns: [], rows: [], leftOut: [] };
  const { head, found } = best;
  const matched = head.headings.map((text, column): Column => {
    const heading = text === '' ? `column ${String(column + 1)}` : text;
    const field = heading in columns ? (columns[heading] ?? null) : (found.fields[column] ?? null);
    const carries = found.carried[column] ?? null;
    return {
      heading,
      field,
      ...(head.units ? { unit: unitBelow(head.units, column) } : {}),
      // What somebody left out on purpose is asked about no more.
      ...(field === null && carries !== null && !(heading in columns) ? { carries } : {}),
    };
  });
  // What somebody said takes a field away from the column that was guessed.
  const saidFields = new Set(Object.values(columns).filter((field) => field !== null));
  const given = matched.map((each) =>
    each.field !== null && !(each.heading in columns) && saidFields.has(each.field)
      ? { ...each, field: null }
      : each,
  );
  const leftOut: RowLeftOut[] = head.units ? [{ row: head.units.number, why: 'units' }] : [];
  const rows: WorksheetRow[] = [];
  for (const row of filled.slice(head.from)) {
    if (isTotal(row)) leftOut.push({ row: row.number, why: 'total' });
    else if (isHeadAgain(row, head.headings)) leftOut.push({ row: row.number, why: 'headings' });
    else rows.push(row);
  }
  const table = found.table ?? (found.either.length > 0 ? null : tableOfFields(given));
  return {
    sheet,
    table,
    ...(found.either.length > 0 ? { either: found.either } : {}),
    columns: given,
    rows,
    leftOut,
  };
}
