/** What an import would do: every row understood, in the order in which one needs the other. */
import type { Entry } from '../core/logbook/entry';
import type { Worksheet } from './cells';
import type { Carried } from './contents';
import { type Fault, gathered } from './fault';
import { FIELDS, SHEET_TABLES, type WorksheetTable } from './fields';
import { readGas } from './gasLog';
import { readInspection } from './inspectionLog';
import type { RowLeftOut } from './leftOut';
import { type KnownRows, Lookups } from './lookups';
import type { Mapping } from './mapping';
import { type Column, type Matched, matchWorksheet } from './match';
import { hanging, isThereIn } from './planned';
import { Columns, RowReading } from './reading';
import { readAppliance } from './machineList';
import { readCylinder, readPerson, readSite } from './rowLists';
import type { Intake, StagedRow, Understood } from './understood';

export interface WorksheetPlan {
  sheet: string;
  table: WorksheetTable | null;
  columns: readonly Column[];
  rows: number;
  /** totals, headings that stand again, rows of units */
  leftOut: readonly RowLeftOut[];
}

export interface ImportPlan {
  sheets: readonly WorksheetPlan[];
  understood: readonly Understood[];
  faulty: readonly Fault[];
  /** rows that say something new, and those that are there already */
  ready: number;
  known: number;
  rows: readonly StagedRow[];
  entries: readonly Entry[];
  /** technicians and bottles that are no people or bottles of the logbook */
  strangers: { people: readonly string[]; bottles: readonly string[] };
}

const READ = {
  sites: readSite,
  people: readPerson,
  appliances: readAppliance,
  cylinders: readCylinder,
  gas: readGas,
  inspections: readInspection,
} as const satisfies Record<WorksheetTable, unknown>;

const LIST_WORDS: Readonly<Record<WorksheetTable, string>> = {
  sites: 'a list of sites',
  people: 'a list of people',
  appliances: 'a list of machines',
  cylinders: 'a list of bottles',
  gas: 'a gas log',
  inspections: 'a log of leak inspections',
};

const CARRIED_WORDS: Readonly<Record<Carried, string>> = {
  on: 'days',
  applianceId: 'machines',
  direction: 'which way gas went',
  mass: 'weights',
  cylinderId: 'bottles',
};

const orderOf = ({ table }: Matched): number =>
  table === null ? SHEET_TABLES.length : SHEET_TABLES.indexOf(table);

/** Why no row of a sheet can be read, if none can. */
function sheetFaults({ table, either, columns, rows, sheet }: Matched): Fault[] {
  if (columns.length === 0 || rows.length === 0) return [];
  const head = (rows[0]?.number ?? 2) - 1;
  const at = { row: head, column: columns.map(({ heading }) => heading).join(', ') };
  if (either)
    return [
      {
        ...at,
        message: `“${sheet.name}” may be ${either.map((each) => LIST_WORDS[each]).join(' or ')}`,
        remedy: 'Say which list it is.',
      },
    ];
  if (table === null)
    return [
      {
        ...at,
        message: `“${sheet.name}” is no list that is known here: its columns say too little`,
        remedy:
          'Say what each column is: a gas log needs a day, a machine and an amount; a list of machines a name and a refrigerant.',
      },
    ];
  const lacking = FIELDS[table].filter(
    ({ needed, field }) => needed && !columns.some((column) => column.field === field),
  );
  if (lacking.length > 0)
    return [
      {
        ...at,
        message: `no column is ${lacking.map(({ words }) => words.toLowerCase()).join(', ')}`,
        remedy: 'Say which column it is.',
      },
    ];
  return columns.flatMap(({ heading, carries }) =>
    carries === undefined
      ? []
      : [
          {
            row: head,
            column: heading,
            message: `holds ${CARRIED_WORDS[carries]}, and nothing says what it is`,
            remedy: 'Say which field it is, or that it is left out.',
          },
        ],
  );
}

export type PlanProgress = (done: number, of: number) => void;

/** Sheets in which anything stands, each with what kind of list it is and what its columns are. */
export const matchedWorksheets = (
  sheets: readonly Worksheet[],
  lookups: Lookups,
  mapping: Mapping,
): Matched[] =>
  sheets.map((sheet) => matchWorksheet(sheet, lookups, mapping)).filter(({ rows }) => rows.length > 0);

/** Rows whose machine or site stands in a row that is faulty cannot be written without it. */
function markHanging(understood: readonly Understood[], known: KnownRows): void {
  const fine = understood.filter(({ faults }) => faults.length === 0);
  for (const each of hanging(fine, isThereIn(known)))
    each.faults.push({
      row: each.row,
      column: 'Machine',
      message: 'hangs on a machine or site whose own row is faulty',
      remedy: 'Put that row right; this one follows.',
    });
}

/** `file`: its name, said where an entry came from it. */
export function planImport(
  sheets: readonly Worksheet[],
  known: KnownRows,
  mapping: Mapping,
  file: string,
  progress: PlanProgress = () => undefined,
): ImportPlan {
  const lookups = new Lookups(known);
  const intake: Intake = {
    lookups,
    mapping,
    file,
    taken: new Map(),
    repeated: new Set(),
    knownFacts: new Map(),
    rowsSeen: new Map(),
    listed: new Map(),
    strangers: { people: new Set(), bottles: new Set() },
  };
  const matched = matchedWorksheets(sheets, lookups, mapping);
  const several = matched.length > 1;
  const understood: Understood[] = [];
  const faulty: Fault[] = [];
  const total = matched.reduce((sum, { rows }) => sum + rows.length, 0);
  for (const each of matched.toSorted((a, b) => orderOf(a) - orderOf(b))) {
    const { table, sheet } = each;
    const wrong = sheetFaults(each);
    faulty.push(...wrong.map((fault) => ({ ...(several ? { sheet: sheet.name } : {}), ...fault })));
    if (wrong.length > 0 || table === null) continue;
    const columns = new Columns(each, mapping);
    for (const row of each.rows) {
      understood.push(READ[table](new RowReading(row, columns), sheet.name, intake));
      progress(understood.length, total);
    }
  }
  markHanging(understood, known);
  faulty.push(
    ...understood.flatMap(({ sheet, faults }) =>
      faults.map((fault) => ({ ...(several ? { sheet } : {}), ...fault })),
    ),
  );
  const ready = understood.filter((each) => !each.known && each.faults.length === 0);
  return {
    sheets: matched.map(({ sheet, table, columns, rows, leftOut }) => ({
      sheet: sheet.name,
      table,
      columns,
      rows: rows.length,
      leftOut,
    })),
    understood,
    faulty: gathered(faulty),
    ready: ready.length,
    known: understood.filter((each) => each.known).length,
    rows: [
      ...new Map(ready.flatMap(({ rows }) => rows).map((row) => [`${row.table} ${row.id}`, row])).values(),
    ],
    entries: ready.flatMap(({ entries }) => entries),
    strangers: { people: [...intake.strangers.people], bottles: [...intake.strangers.bottles] },
  };
}
