/** Which row heads a sheet, what kind of list it is, and which column is which field: by headings first, then by what stands below. */
import { type Cell, EMPTY_CELL, type Sheet, type SheetRow, isBlank } from './cells';
import { readDay } from './days';
import { FIELDS, SHEET_TABLES, type SheetTable, headingKey } from './fields';
import type { Lookups } from './lookups';
import type { Mapping } from './mapping';
import { refrigerantNamed } from './namesRead';
import { massUnitOf } from './numbers';

export interface Column {
  heading: string;
  field: string | null;
}

export interface Matched {
  sheet: Sheet;
  table: SheetTable | null;
  columns: readonly Column[];
  /** below the heading, without rows in which nothing stands */
  rows: readonly SheetRow[];
}

const HEADINGS_AMONG = 12;
const LOOKED_AT = 60;
const MOSTLY = 0.7;

type Fields = (string | null)[];

/** Words that tell a field in a heading of several, where no heading is known as a whole. */
const LOOSELY: Readonly<Record<string, RegExp>> = {
  on: /\bdate\b/,
  applianceId: /\b(?:machine|appliance|equipment|system)\b(?!.*\b(?:type|kind|charge|size)\b)/,
  siteId: /\b(?:site|store|facility)\b/,
  added: /\badd(?:ed|ition)\b(?!.*\b(?:date|reason)\b)/,
  recovered: /\b(?:recovered|removed)\b(?!.*\b(?:date|reason)\b)/,
  reason: /\breason\b/,
  by: /\b(?:tech|technician|engineer|mechanic)\b(?!.*\b(?:no|number|cert|certificate|certification)\b)/,
  cylinderId: /\b(?:cylinder|bottle)\b(?!.*\b(?:size|weight)\b)/,
  refrigerant: /\brefrigerant\b(?!.*\b(?:added|recovered|removed|charge|amount|quantity|weight)\b)/,
  fullCharge: /\bcharge\b(?!.*\b(?:method|unit|date)\b)/,
  installedOn: /\b(?:installed|installation|install|commissioned)\b/,
  methods: /\bmethods?\b/,
};
const LOOSE_RANK = 100;

/** Each field goes to the column whose heading is its likeliest. */
function byHeadings(table: SheetTable, keys: readonly string[], contents: readonly string[][] = []): Fields {
  const fields: Fields = keys.map(() => null);
  const wanted = FIELDS[table].flatMap(({ field, headings }) => {
    const known = [...headings, headingKey(field)].map(joined);
    return keys.flatMap((key, column) => {
      const rank = known.indexOf(joined(key));
      // “Unit” heads machines in one list and units of measure in another, “Type” what was done or which gas: what stands
      // below tells.
      const below = contents[column];
      const otherUnit = below !== undefined && below.includes('unit') !== (field === 'unit');
      const otherKind = field === 'kind' && below?.includes('refrigerant');
      if ((otherUnit && joined(key).startsWith('unit')) || otherKind) return [];
      if (rank >= 0) return [{ field, column, rank }];
      return LOOSELY[field]?.test(key) ? [{ field, column, rank: LOOSE_RANK }] : [];
    });
  });
  for (const { field, column } of wanted.sort((a, b) => a.rank - b.rank))
    if (fields[column] === null && !fields.includes(field)) fields[column] = field;
  return fields;
}

const joined = (key: string): string => key.replace(/ /g, '');

const has = (fields: Fields, ...names: string[]): boolean => names.some((name) => fields.includes(name));

/** How well a table explains the headings; 0: it cannot be this one. */
function scoreOf(table: SheetTable, fields: Fields, sheetName: string): number {
  const needed = FIELDS[table].filter((each) => each.needed).every(({ field }) => fields.includes(field));
  if (!needed) return 0;
  const matched = fields.filter((field) => field !== null).length;
  switch (table) {
    case 'gas':
      return has(fields, 'mass', 'added', 'recovered') ? matched + 2 : 0;
    case 'inspections':
      return has(fields, 'methods', 'allAccessibleInspected', 'leaksFound') || /inspect/i.test(sheetName)
        ? matched + 1
        : 0;
    case 'appliances':
      return matched + (has(fields, 'kind', 'fullCharge', 'installedOn') ? 1.5 : 0);
    case 'cylinders':
      return matched + (has(fields, 'tare', 'waterCapacityL') ? 1.5 : -1);
    case 'sites':
      return has(fields, 'timezone', 'packs', 'address', 'country') ? matched : 0;
    case 'people':
      return has(fields, 'role', 'certificates.scheme', 'certificates.number') ? matched : 0;
  }
}

const mostly = (cells: readonly Cell[], is: (cell: Cell) => boolean): boolean => {
  const filled = cells.filter((cell) => !isBlank(cell));
  return filled.length > 0 && filled.filter(is).length >= MOSTLY * filled.length;
};

const WEIGHT = /^\s*\d[\d.,\s]*\s*(?:lbs?|pounds?|kgs?|kilo\w*|oz|ounces?|g|grams?)\b/i;

/** What stands below a heading that says nothing of ours. */
function byContent(cells: readonly Cell[], lookups: Lookups): string[] {
  const kinds: [string, (cell: Cell) => boolean][] = [
    ['on', (cell) => cell.type === 'date' || (cell.type === 'text' && readDay(cell, 'mdy').ok)],
    ['refrigerant', ({ text }) => refrigerantNamed(text) !== null && !/^\d+$/.test(text.trim())],
    ['unit', ({ text }) => massUnitOf(text) !== null],
    ['mass', ({ text, type }) => type === 'text' && WEIGHT.test(text)],
    ['applianceId', ({ text }) => lookups.machines.get(text).length > 0],
    ['siteId', ({ text }) => lookups.sites.get(text).length > 0],
    ['by', ({ text }) => lookups.people.get(text).length > 0],
    ['cylinderId', ({ text }) => lookups.cylinders.get(text).length > 0],
  ];
  return kinds.filter(([, is]) => mostly(cells, is)).map(([field]) => field);
}

function withContent(table: SheetTable, fields: Fields, contents: readonly string[][]): Fields {
  const own = new Set(FIELDS[table].map(({ field }) => field));
  const filled = [...fields];
  contents.forEach((kinds, column) => {
    if (filled[column] !== null) return;
    const free = kinds.find((kind) => own.has(kind) && !filled.includes(kind));
    if (free !== undefined) filled[column] = free;
  });
  return filled;
}

const cellsOf = (rows: readonly SheetRow[], column: number): Cell[] =>
  rows.map(({ cells }) => cells[column] ?? EMPTY_CELL);

interface Guess {
  table: SheetTable | null;
  fields: Fields;
  score: number;
}

function guess(
  head: SheetRow,
  below: readonly SheetRow[],
  sheetName: string,
  lookups: Lookups,
  only: SheetTable | null,
): Guess {
  const keys = head.cells.map(({ text }) => headingKey(text));
  const sample = below.slice(0, LOOKED_AT);
  const contents = keys.map((_, column) => byContent(cellsOf(sample, column), lookups));
  let best: Guess = { table: only, fields: keys.map(() => null), score: 0 };
  for (const table of only === null ? SHEET_TABLES : [only]) {
    const fields = withContent(table, byHeadings(table, keys, contents), contents);
    const score = scoreOf(table, fields, sheetName);
    if (score > best.score || (only !== null && score >= best.score)) best = { table, fields, score };
  }
  return best;
}

const tableSaid = ({ table }: Mapping, sheet: string): SheetTable | null =>
  typeof table === 'string' ? table : (table?.[sheet] ?? null);

/** Headings are words: at least two of them, none a number or a day. */
const looksLikeHead = ({ cells }: SheetRow): boolean =>
  cells.filter((cell) => !isBlank(cell)).length >= 2 &&
  cells.every((cell) => cell.type === 'text' && !/^[\d.,\s]*\d$/.test(cell.text) && !readDay(cell, 'mdy').ok);

/** Reads a sheet as the kind of list that explains it best; what was said of its columns stands. */
export function matchSheet(sheet: Sheet, lookups: Lookups, mapping: Mapping): Matched {
  const filled = sheet.rows.filter(({ cells }) => cells.some((cell) => !isBlank(cell)));
  const said = tableSaid(mapping, sheet.name);
  const columns = mapping.columns ?? {};
  let best: { head: number; found: Guess } | null = null;
  for (let head = 0; head < Math.min(HEADINGS_AMONG, filled.length); head += 1) {
    const row = filled[head];
    if (!row || !looksLikeHead(row)) continue;
    const below = filled.slice(head + 1);
    const found = guess(row, below, sheet.name, lookups, said);
    const keys = row.cells.map(({ text }) => headingKey(text));
    const named = Math.max(
      ...SHEET_TABLES.map((table) => byHeadings(table, keys).filter((field) => field !== null).length),
    );
    const mapped = row.cells.filter(({ text }) => text.trim() in columns).length;
    // What stands in a row of data says nothing of ours; headings do.
    const score = found.score + 3 * named + 5 * mapped;
    if (!best || score > best.found.score) best = { head, found: { ...found, score } };
  }
  const row = best && filled[best.head];
  if (!best || !row) return { sheet, table: said, columns: [], rows: [] };
  const { fields } = best.found;
  const found = row.cells.map(({ text }, column): Column => {
    const heading = text.trim() === '' ? `column ${String(column + 1)}` : text.trim();
    return { heading, field: heading in columns ? (columns[heading] ?? null) : (fields[column] ?? null) };
  });
  // What somebody said takes a field away from the column that was guessed.
  const saidFields = new Set(Object.values(columns).filter((field) => field !== null));
  const table = best.found.table ?? tableOfFields(found);
  return {
    sheet,
    table,
    columns: found.map((each) =>
      each.field !== null && !(each.heading in columns) && saidFields.has(each.field)
        ? { ...each, field: null }
        : each,
    ),
    rows: filled.slice(best.head + 1),
  };
}

/** The table that has all the fields that were said. */
function tableOfFields(columns: readonly Column[]): SheetTable | null {
  const fields = columns.flatMap(({ field }) => field ?? []);
  if (fields.length === 0) return null;
  return (
    SHEET_TABLES.find((table) => {
      const own = FIELDS[table].map(({ field }) => field);
      return (
        fields.every((field) => own.includes(field)) &&
        FIELDS[table].filter((each) => each.needed).every(({ field }) => fields.includes(field))
      );
    }) ?? null
  );
}
