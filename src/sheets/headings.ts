/** Which field a heading names: as a whole by the words that lists use, or by one word of it that tells. */
import type { Contents } from './contents';
import { massUnitOf } from './numbers';
import { FIELDS, SHEET_TABLES, type WorksheetTable, headingKey } from './fields';

export type Fields = (string | null)[];

const NO_DAY_OF_WORK =
  /\b(?:install|installed|installation|commission|commissioned|purchase|purchased|built|warranty|next|due|expires|expiry|inbetriebnahme|retest)\b/;

/** Words that tell a field in a heading of several, where no heading is known as a whole. */
const LOOSELY: Readonly<Record<string, RegExp>> = {
  on: /\b(?:date|datum)\b/,
  applianceId:
    /\b(?:machine|appliance|equipment|system|anlage)\b(?!.*\b(?:type|kind|charge|size|id|number|no)\b)/,
  machineTag: /\b(?:machine|equipment|asset|system)\b.*\b(?:id|number|no|tag)\b/,
  siteId: /\b(?:site|store|facility)\b/,
  added: /\badd(?:ed|ition)\b(?!.*\b(?:date|reason|or)\b)/,
  recovered: /\b(?:recovered|removed)\b(?!.*\b(?:date|reason)\b)/,
  reason: /\breason\b/,
  by: /\b(?:tech|technician|engineer|mechanic)\b(?!.*\b(?:no|number|cert|certificate|certification)\b)/,
  cylinderId: /\b(?:cylinder|bottle)\b(?!.*\b(?:size|weight)\b)/,
  refrigerant: /\brefrigerant\b(?!.*\b(?:added|recovered|removed|charge|amount|quantity|weight)\b)/,
  fullCharge: /\b(?:charge|fullmenge)\b(?!.*\b(?:method|unit|date)\b)/,
  installedOn: /\b(?:installed|installation|install|commissioned|inbetriebnahme)\b/,
  methods: /\bmethods?\b/,
};
const LOOSE_RANK = 100;
/** Of these a heading may name the unit alone: “Pounds”. */
const WEIGHS: readonly string[] = ['mass', 'fullCharge'];

const joined = (key: string): string => key.replace(/ /g, '');

const headingsOf = (field: string, headings: readonly string[]): string[] =>
  [...headings, headingKey(field)].map(joined);

const KNOWN = new Set(
  SHEET_TABLES.flatMap((table) =>
    FIELDS[table].flatMap(({ field, headings }) => headingsOf(field, headings)),
  ),
);
export const knownHeading = (text: string): boolean => KNOWN.has(joined(headingKey(text)));

/** The field that a column says, in a list that has no better one for it: a tag names the machine where no name does. */
const INSTEAD: readonly (readonly [needed: string, instead: string])[] = [
  ['applianceId', 'machineTag'],
  ['name', 'tag'],
];

/** Each field goes to the column whose heading is its likeliest. */
export function byHeadings(
  table: WorksheetTable,
  keys: readonly string[],
  contents: readonly Contents[] = [],
): Fields {
  const fields: Fields = keys.map(() => null);
  const wanted = FIELDS[table].flatMap(({ field, headings }) => {
    const known = headingsOf(field, headings);
    return keys.flatMap((key, column) => {
      const rank = known.indexOf(joined(key));
      // “Unit” heads machines in one list and units of measure in another, “Type” what was done or which gas: what stands
      // below tells.
      const below = contents[column]?.kinds;
      const otherUnit = below !== undefined && below.includes('unit') !== (field === 'unit');
      const otherKind = field === 'kind' && below?.includes('refrigerant');
      if ((otherUnit && joined(key).startsWith('unit')) || otherKind) return [];
      if (rank >= 0) return [{ field, column, rank }];
      if (field === 'on' && NO_DAY_OF_WORK.test(key)) return [];
      if (WEIGHS.includes(field) && massUnitOf(key) !== null)
        return [{ field, column, rank: LOOSE_RANK + 1 }];
      return LOOSELY[field]?.test(key) ? [{ field, column, rank: LOOSE_RANK }] : [];
    });
  });
  for (const { field, column } of wanted.sort((a, b) => a.rank - b.rank)) {
    const saidOtherwise = field === 'mass' && (fields.includes('added') || fields.includes('recovered'));
    if (fields[column] === null && !fields.includes(field) && !saidOtherwise) fields[column] = field;
  }
  const own = new Set(FIELDS[table].map(({ field }) => field));
  for (const [needed, instead] of INSTEAD)
    if (own.has(needed) && !fields.includes(needed)) {
      const column = fields.indexOf(instead);
      if (column >= 0) fields[column] = needed;
    }
  return fields;
}

/** Columns whose headings say nothing of ours, by what stands below. */
export function withContent(
  table: WorksheetTable,
  fields: Fields,
  keys: readonly string[],
  contents: readonly Contents[],
): Fields {
  const own = new Set(FIELDS[table].map(({ field }) => field));
  const filled = [...fields];
  contents.forEach(({ kinds }, column) => {
    if (filled[column] !== null) return;
    const free = kinds.find(
      (kind) =>
        own.has(kind) &&
        !filled.includes(kind) &&
        !(kind === 'on' && NO_DAY_OF_WORK.test(keys[column] ?? '')) &&
        // Words of a direction are no kind of machine.
        !(kind === 'kind' && table !== 'gas'),
    );
    if (free !== undefined) filled[column] = free;
  });
  return filled;
}
