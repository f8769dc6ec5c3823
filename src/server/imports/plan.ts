/** What a file would do to the logbook, made where it holds nobody up: in a process of its own, or by the command line. */
import type { ImportPreview } from '../../contract/imports';
import type { IssuedRow } from '../../contract/papers';
import type { Entry } from '../../core/logbook/entry';
import { type Packs } from '../../core/rules/packs/shipped';
import { type Worksheet } from '../../sheets/cells';
import { type KnownRows, Lookups } from '../../sheets/lookups';
import { type Mapping, rowName } from '../../sheets/mapping';
import { type ImportPlan, type PlanProgress, planImport } from '../../sheets/plan';
import { wouldExceed } from '../../sheets/wouldExceed';
import { type Staging, isThereIn, needsOf } from '../../sheets/planned';
import type { Fault } from '../../sheets/fault';
import type { StagedRow, Understood } from '../../sheets/understood';
import type { OwnFigure } from '../exports/logbookRows';

export interface PlannedRow {
  key: string;
  faulty: boolean;
  rows: readonly StagedRow[];
  entries: readonly Entry[];
  /** of another logbook: figures of the company's own, and documents that were issued */
  figures?: readonly OwnFigure[];
  issued?: readonly IssuedRow[];
}

/** A plan as it leaves the process that made it. */
export interface Planned {
  preview: ImportPreview;
  planned: readonly PlannedRow[];
  /** rows that some of these need and that the logbook has, as `table id` */
  there: readonly string[];
}

export const SHOWN_ROWS = 200;
const SHOWN_FAULTS = 500;
const SHOWN_NAMES = 200;

const faultShown = ({ asked, ...fault }: Fault) => ({
  ...fault,
  ...(asked ? { asked: { ...asked, choices: [...asked.choices] } } : {}),
});

export const neededOf = (all: readonly Staging[]): string[] => [...new Set(all.flatMap(needsOf))];

export const rowKey = ({ sheet, row }: Pick<Understood, 'sheet' | 'row'>): string => rowName(sheet, row);

/** Machines that any cell of the sheets names: their entries are wanted to know what is there already. */
export function machinesNamed(
  sheets: readonly Worksheet[],
  known: Omit<KnownRows, 'entriesOf' | 'hasEntry' | 'isUndone'>,
): string[] {
  const lookups = new Lookups({
    ...known,
    entriesOf: () => [],
    hasEntry: () => false,
    isUndone: () => false,
  });
  const found = new Set<string>();
  const looked = new Set<string>();
  for (const { rows } of sheets)
    for (const { cells } of rows)
      for (const { text } of cells) {
        if (text === '' || looked.has(text)) continue;
        looked.add(text);
        for (const { id } of lookups.machines.get(text)) found.add(id);
      }
  return [...found];
}

export function plannedOf(
  sheets: readonly Worksheet[],
  known: KnownRows,
  mapping: Mapping,
  file: string,
  packs: Packs,
  progress?: PlanProgress,
): Planned & { plan: ImportPlan } {
  const plan = planImport(sheets, known, mapping, file, progress);
  const { touched, would } = wouldExceed(plan, known, packs);
  const faulty = plan.understood.filter(({ faults }) => faults.length > 0);
  const stateOf = (each: Understood) =>
    each.faults.length > 0 ? ('faulty' as const) : each.known ? ('known' as const) : ('ready' as const);
  const shown = [...faulty, ...plan.understood.filter(({ faults }) => faults.length === 0)].slice(
    0,
    SHOWN_ROWS,
  );
  return {
    plan,
    preview: {
      kind: 'spreadsheet',
      sheets: plan.sheets.map((each) => ({
        ...each,
        columns: each.columns.map(({ heading, field }) => ({ heading, field })),
        leftOut: [...each.leftOut],
      })),
      rows: shown.map((each) => ({
        row: each.row,
        sheet: each.sheet,
        words: each.words,
        state: stateOf(each),
        faults: each.faults.map(faultShown),
      })),
      total: plan.sheets.reduce((sum, { rows }) => sum + rows, 0),
      ready: plan.ready,
      known: plan.known,
      faulty: plan.faulty.slice(0, SHOWN_FAULTS).map(faultShown),
      faultyRows: faulty.length,
      touched,
      would,
      strangers: {
        people: plan.strangers.people.slice(0, SHOWN_NAMES),
        bottles: plan.strangers.bottles.slice(0, SHOWN_NAMES),
      },
      mapping,
      newMachines: plan.rows.filter(({ table }) => table === 'appliances').length,
    },
    there: neededOf(plan.understood).filter(isThereIn(known)),
    planned: plan.understood.map((each) => ({
      key: rowKey(each),
      faulty: each.faults.length > 0,
      rows: each.rows,
      entries: each.entries,
    })),
  };
}
