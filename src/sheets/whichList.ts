/** What kind of list a sheet is: by the fields of its columns and by what stands in them; where two explain it alike, nobody guesses. */
import type { WorksheetRow } from './cells';
import { looseKey } from './cells';
import type { Contents } from './contents';
import { FIELDS, SHEET_TABLES, type WorksheetTable } from './fields';
import type { Fields } from './headings';

export interface Scored {
  table: WorksheetTable | null;
  score: number;
}

/** What stands in a sheet that tells a log from a list of things. */
export interface Evidence {
  /** share of the rows whose machine, at its site, stands in no other row; null: no machine is named, or in one row only */
  once: number | null;
  rows: number;
  /** a column of days that no field of this list takes */
  otherDays: boolean;
}

/** As many rows tell whether machines stand once or again and again. */
const LOOKED_AT = 1000;

export function evidenceOf(
  fields: Fields,
  rows: readonly WorksheetRow[],
  keys: readonly string[],
  contents: readonly Contents[],
): Evidence {
  const place = (...names: string[]): number => fields.findIndex((field) => names.includes(field ?? ''));
  const [machine, site, tag] = [
    place('applianceId', 'name'),
    place('siteId'),
    place('machineTag', 'tag', 'serialNumber'),
  ];
  const named = rows.slice(0, LOOKED_AT).flatMap(({ cells }) => {
    const text = (at: number): string => (at < 0 ? '' : looseKey(cells[at]?.text ?? ''));
    return text(machine) === '' ? [] : [[text(site), text(machine), text(tag)].join('\u0000')];
  });
  const times = new Map<string, number>();
  for (const name of named) times.set(name, (times.get(name) ?? 0) + 1);
  return {
    once: named.length < 2 ? null : [...times.values()].filter((count) => count === 1).length / named.length,
    rows: named.length,
    otherDays: keys.some((_, column) => fields[column] === null && contents[column]?.carried === 'on'),
  };
}

const has = (fields: Fields, ...names: string[]): boolean => names.some((name) => fields.includes(name));

const MANY_ROWS = 6;
/** A log names the same machine again and again. */
const logScore = ({ once, rows }: Evidence): number =>
  once === null ? 0 : once < 0.9 ? 3 : rows >= MANY_ROWS ? -2 : 0;
/** A list of machines names each once. */
const listScore = ({ once, otherDays }: Evidence): number =>
  (once === null ? 0 : once < 0.7 ? -5 : 1) - (otherDays ? 1.5 : 0);

/** How well a table explains the columns; 0: it cannot be this one. */
export function scoreOf(
  table: WorksheetTable,
  fields: Fields,
  sheetName: string,
  evidence: Evidence,
): number {
  const needed = FIELDS[table].filter((each) => each.needed).every(({ field }) => fields.includes(field));
  if (!needed) return 0;
  const matched = fields.filter((field) => field !== null).length;
  const least = 0.1;
  switch (table) {
    case 'gas':
      return has(fields, 'mass', 'added', 'recovered')
        ? Math.max(least, matched + 2 + logScore(evidence))
        : 0;
    case 'inspections':
      return has(fields, 'methods', 'allAccessibleInspected', 'leaksFound') || /inspect|prüf/i.test(sheetName)
        ? Math.max(least, matched + 1 + logScore(evidence) / 2)
        : 0;
    case 'appliances':
      return Math.max(
        least,
        matched + (has(fields, 'kind', 'fullCharge', 'installedOn') ? 1.5 : 0) + listScore(evidence),
      );
    case 'cylinders':
      return Math.max(least, matched + (has(fields, 'tare', 'waterCapacityL') ? 1.5 : -1));
    case 'sites':
      return has(fields, 'timezone', 'packs', 'address', 'country') ? matched : 0;
    case 'people':
      return has(fields, 'role', 'certificates.scheme', 'certificates.number') ? matched : 0;
  }
}

/** Closer than this two kinds of lists explain a sheet alike. */
const ALIKE = 1;
/** A list of one of these read as the other writes what never was. */
const CONFUSED: readonly WorksheetTable[] = ['gas', 'appliances', 'inspections'];

export function decided<Candidate extends Scored>(
  candidates: readonly Candidate[],
  only: WorksheetTable | null,
): { best: Candidate | null; either: WorksheetTable[] } {
  const ranked = [...candidates].sort((a, b) => b.score - a.score);
  const [best, second] = ranked;
  if (only !== null) return { best: best ?? null, either: [] };
  if (!best || best.score === 0) return { best: null, either: [] };
  const alike =
    second &&
    second.score > 0 &&
    best.score - second.score < ALIKE &&
    [best, second].every(({ table }) => table !== null && CONFUSED.includes(table));
  return { best, either: alike ? [best, second].flatMap(({ table }) => table ?? []) : [] };
}

/** The table that has all the fields that were said. */
export function tableOfFields(columns: readonly { field: string | null }[]): WorksheetTable | null {
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
