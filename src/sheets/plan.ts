/** What an import would do: every row understood, in the order in which one needs the other, and what would follow. */
import type { Entry } from '../core/logbook/entry';
import type { Appliance } from '../core/logbook/tables';
import { dayText } from '../core/quantity/day';
import type { Packs } from '../core/rules/packs/shipped';
import { type JudgedRate, judgedRate } from '../core/rules/judgedRate';
import { entriesByMachine, livingOf } from '../core/logbook/order';
import { standingFromEntries } from '../core/rules/standing';
import type { Sheet } from './cells';
import { FIELDS, SHEET_TABLES, type SheetTable } from './fields';
import { readGas } from './gasLog';
import { readInspection } from './inspectionLog';
import { type KnownRows, Lookups } from './lookups';
import type { Mapping } from './mapping';
import { type Column, type Matched, matchSheet } from './match';
import { Columns, type Fault, RowReading } from './reading';
import { readAppliance } from './machineList';
import { readCylinder, readPerson, readSite } from './rowLists';
import type { Intake, StagedRow, Understood } from './understood';

export interface SheetPlan {
  sheet: string;
  table: SheetTable | null;
  columns: readonly Column[];
  rows: number;
}

export interface ImportPlan {
  sheets: readonly SheetPlan[];
  understood: readonly Understood[];
  faulty: readonly Fault[];
  /** rows that say something new, and those that are there already */
  ready: number;
  known: number;
  rows: readonly StagedRow[];
  entries: readonly Entry[];
}

const READ = {
  sites: readSite,
  people: readPerson,
  appliances: readAppliance,
  cylinders: readCylinder,
  gas: readGas,
  inspections: readInspection,
} as const satisfies Record<SheetTable, unknown>;

const orderOf = ({ table }: Matched): number =>
  table === null ? SHEET_TABLES.length : SHEET_TABLES.indexOf(table);

/** Why no row of a sheet can be read, if none can. */
function sheetFault({ table, columns, rows, sheet }: Matched): Fault | null {
  if (columns.length === 0 || rows.length === 0) return null;
  const at = { row: (rows[0]?.number ?? 2) - 1, column: columns.map(({ heading }) => heading).join(', ') };
  if (table === null)
    return {
      ...at,
      message: `“${sheet.name}” is no list that is known here: its columns say too little`,
      remedy:
        'Say what each column is: a gas log needs a day, a machine and an amount; a list of machines a name and a refrigerant.',
    };
  const lacking = FIELDS[table].filter(
    ({ needed, field }) => needed && !columns.some((column) => column.field === field),
  );
  return lacking.length === 0
    ? null
    : {
        ...at,
        message: `no column is ${lacking.map(({ words }) => words.toLowerCase()).join(', ')}`,
        remedy: 'Say which column it is.',
      };
}

export type PlanProgress = (done: number, of: number) => void;

/** Sheets in which anything stands, each with what kind of list it is and what its columns are. */
export const matchedSheets = (sheets: readonly Sheet[], lookups: Lookups, mapping: Mapping): Matched[] =>
  sheets.map((sheet) => matchSheet(sheet, lookups, mapping)).filter(({ rows }) => rows.length > 0);

/** `file`: its name, said where an entry came from it. */
export function planImport(
  sheets: readonly Sheet[],
  known: KnownRows,
  mapping: Mapping,
  file: string,
  progress: PlanProgress = () => undefined,
): ImportPlan {
  const lookups = new Lookups(known);
  const intake: Intake = { lookups, mapping, file, taken: new Map() };
  const matched = matchedSheets(sheets, lookups, mapping);
  const several = matched.length > 1;
  const understood: Understood[] = [];
  const faulty: Fault[] = [];
  const total = matched.reduce((sum, { rows }) => sum + rows.length, 0);
  for (const each of matched.toSorted((a, b) => orderOf(a) - orderOf(b))) {
    const { table, sheet } = each;
    const where = several ? { sheet: sheet.name } : {};
    const wrong = sheetFault(each);
    if (wrong) faulty.push({ ...where, ...wrong });
    if (wrong || table === null) continue;
    const columns = new Columns(each, mapping);
    for (const row of each.rows) {
      const read = READ[table](new RowReading(row, columns), sheet.name, intake);
      understood.push(read);
      faulty.push(...read.faults.map((fault) => ({ ...where, ...fault })));
      progress(understood.length, total);
    }
  }
  const ready = understood.filter((each) => !each.known && each.faults.length === 0);
  return {
    sheets: matched.map(({ sheet, table, columns, rows }) => ({
      sheet: sheet.name,
      table,
      columns,
      rows: rows.length,
    })),
    understood,
    faulty,
    ready: ready.length,
    known: understood.filter((each) => each.known).length,
    rows: [
      ...new Map(ready.flatMap(({ rows }) => rows).map((row) => [`${row.table} ${row.id}`, row])).values(),
    ],
    entries: ready.flatMap(({ entries }) => entries),
  };
}

export interface WouldExceed {
  machine: string;
  site: string;
  on: string;
  percent: number;
  limit: number;
}

/** Machines that this brings above a limit, each with its latest addition that does; and how many it touches. */
export function wouldExceed(
  plan: Pick<ImportPlan, 'rows' | 'entries'>,
  known: KnownRows,
  packs: Packs,
): { touched: number; would: WouldExceed[] } {
  const fresh = entriesByMachine(plan.entries);
  const rowOf = <Row extends { id: string }>(table: string, rows: readonly Row[]): Map<string, Row> =>
    new Map([
      ...rows.map((row) => [row.id, row] as const),
      ...plan.rows.filter((each) => each.table === table).map(({ id, row }) => [id, row as Row] as const),
    ]);
  const sites = rowOf('sites', known.sites);
  const machines = rowOf<Appliance>('appliances', known.appliances);
  const would: WouldExceed[] = [];
  for (const [id, entries] of fresh) {
    const machine = machines.get(id);
    const site = machine && sites.get(machine.siteId);
    if (!machine || !site) continue;
    const exceedingOf = (bearing: readonly Entry[]): JudgedRate[] => {
      const living = livingOf(bearing, id);
      const standing = standingFromEntries(machine, site, living, known.todayAt(site.timezone), packs);
      return standing.additions
        .map((rate) => judgedRate(rate, standing.ledger))
        .filter(({ exceeds, limit }) => exceeds === true && limit !== null);
    };
    const before = known.entriesOf(id);
    const already = new Set(exceedingOf(before).map(({ on }) => on));
    const exceeding = exceedingOf([...before, ...entries])
      .filter(({ on }) => !already.has(on))
      .at(-1);
    if (exceeding?.percent != null && exceeding.limit)
      would.push({
        machine: machine.name,
        site: site.name,
        on: dayText(exceeding.on),
        percent: exceeding.percent,
        limit: exceeding.limit.percent,
      });
  }
  return { touched: fresh.size, would };
}
