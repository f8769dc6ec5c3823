/**
 * `npm run --silent import -- FILE.csv|FILE.xlsx [--into DATA_FOLDER] [--logbook LOGBOOK.json] [--mapping MAP.json] [--dry-run]`:
 * what a spreadsheet says, and, where nothing is faulty, written into a data folder or a logbook file.
 */
import { existsSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { parseArgs } from 'node:util';
import { type Logbook, readLogbook } from '../core/logbook/logbook';
import { problemText, problemsOf } from '../core/logbook/problems';
import { SHIPPED_PACKS } from '../core/rules/packs/shipped';
import { type Clock, systemClock } from '../server/clock';
import { EMPTY_LOGBOOK, knownOfFile, logbookWith, presentOfFile } from '../server/imports/fileKnown';
import { chosenRows } from '../server/imports/chosenRows';
import { type PlannedFile, planFile } from '../server/imports/planFile';
import type { PlannedRow } from '../server/imports/plan';
import { FileRefused } from '../server/imports/refused';
import { leftOutWords } from '../sheets/leftOut';
import { type Mapping, mappingFrom, mappingSchema } from '../sheets/mapping';
import { DATABASE } from '../server/dataFolder';
import { EXIT_BAD_INPUT, errorText, fail } from './exit';
import type { Arguments, Target } from './importTarget';
import { writeWhole } from './writeWhole';

const HELP = `Reads a spreadsheet (CSV or XLSX) or another logbook, and says what it would bring in, as one JSON document.

  npm run --silent import -- FILE [--into DATA_FOLDER] [--logbook LOGBOOK.json] [--mapping MAP.json]
                             [--dry-run] [--leave-out-faulty]

  --into       writes into the database of this folder (green-abacus.db); made where there is none
  --logbook    what the rows are held against; without --into they are written into this file
               with --into, it is loaded first into a folder that is empty
  --mapping    {"Heading": "field", …}, or {"columns": {…}, "units": {"Heading": "lb"}, "dates": "dmy", "decimal": ",",
               "recordFrom": "2026-01-01", "newSites": {"timezone": "America/Chicago", "packs": ["us-hfc"]}}
  --dry-run    writes nothing
  --leave-out-faulty   writes the rows that are right, and leaves out the others

Exit 0: nothing is faulty. Exit 2: something is; nothing was written, unless faulty rows were to be left out.
`;

function argumentsOf(): Arguments {
  try {
    const { values, positionals } = parseArgs({
      options: {
        into: { type: 'string' },
        logbook: { type: 'string' },
        mapping: { type: 'string' },
        'dry-run': { type: 'boolean' },
        'leave-out-faulty': { type: 'boolean' },
        help: { type: 'boolean' },
      },
      allowPositionals: true,
    });
    if (values.help) {
      process.stdout.write(HELP);
      process.exit(0);
    }
    const [file, ...more] = positionals;
    if (file === undefined || more.length > 0) fail('Name one file.', HELP);
    return {
      file,
      into: values.into ?? null,
      logbook: values.logbook ?? null,
      mapping: mappingOf(values.mapping),
      dryRun: values['dry-run'] ?? false,
      leaveOutFaulty: values['leave-out-faulty'] ?? false,
    };
  } catch (error) {
    return fail(errorText(error), HELP);
  }
}

function mappingOf(path: string | undefined): Mapping {
  if (path === undefined) return {};
  const read = mappingSchema.safeParse(mappingFrom(jsonOf(path)), { reportInput: true });
  return read.success ? read.data : fail(problemsOf(read.error).map(problemText).join('\n'));
}

function jsonOf(path: string): unknown {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch (error) {
    return fail(`${path} cannot be read as JSON: ${errorText(error)}`);
  }
}

function logbookOf(path: string): Logbook {
  const read = readLogbook(jsonOf(path));
  return read.ok ? read.value : fail(read.refusal.map(problemText).join('\n'));
}

/** Of several sheets the headings of all; the field that a heading has somewhere stands. */
function columnsOf({ sheets }: PlannedFile['preview']): Record<string, string | null> {
  const columns: Record<string, string | null> = {};
  for (const { columns: own } of sheets)
    for (const { heading, field } of own) columns[heading] = columns[heading] ?? field;
  return columns;
}

const documentOf = ({ preview }: PlannedFile) => ({
  columns: columnsOf(preview),
  rows: preview.total,
  ready: preview.ready,
  known: preview.known,
  faulty: preview.faulty.map(({ asked: _asked, rows = 1, ...fault }) => ({
    ...fault,
    ...(rows > 1 ? { message: `${fault.message} (${String(rows)} rows)` } : {}),
  })),
  would: preview.would.map(({ bound, ...each }) => (bound === null ? each : { ...each, bound })),
});

const nothing = (): Promise<void> => Promise.resolve();

function fileTarget(path: string | null, clock: Clock): Target {
  const logbook = path === null ? EMPTY_LOGBOOK : logbookOf(path);
  return {
    plan: {
      packs: SHIPPED_PACKS,
      known: () => Promise.resolve(knownOfFile(logbook, clock)),
      knownMachines: () => Promise.resolve(knownOfFile(logbook, clock)),
      present: () => Promise.resolve(presentOfFile(logbook)),
      remembered: () => Promise.resolve(null),
    },
    write: (planned) => {
      if (path === null) return nothing();
      const rows = chosenRows(planned, new Set(), true);
      const empty = ({ rows: own, entries, figures = [], issued = [] }: PlannedRow): boolean =>
        own.length + entries.length + figures.length + issued.length === 0;
      if (rows.every(empty)) return nothing();
      writeLogbook(
        path,
        logbookWith(logbook, rows, planned.revisions, new Date(clock.nowMs()).toISOString()),
      );
      return nothing();
    },
    close: nothing,
  };
}

/** Written beside and renamed only when it reads back: the file that was there is never worse than before. */
function writeLogbook(path: string, logbook: Logbook): void {
  const text = `${JSON.stringify(logbook, null, 2)}\n`;
  const back = readLogbook(JSON.parse(text));
  if (!back.ok)
    throw new Error(
      `what would be written is no logbook that reads back: ${back.refusal.slice(0, 3).map(problemText).join('; ')}`,
    );
  writeWhole(path, text);
}

/** A trial run leaves no database where there was none. */
async function targetOf(given: Arguments, clock: Clock): Promise<Target> {
  const { into, logbook, dryRun } = given;
  if (into === null || (dryRun && !existsSync(join(into, DATABASE)))) return fileTarget(logbook, clock);
  const { folderTarget } = await import('./importIntoFolder');
  return folderTarget(given, logbook === null ? null : logbookOf(logbook), clock);
}

async function main(): Promise<void> {
  const given = argumentsOf();
  if (!existsSync(given.file)) fail(`There is no file ${given.file}.`);
  const clock = systemClock(process.env['ABACUS_TODAY']);
  const target = await targetOf(given, clock);
  try {
    const planned = await planFile(
      readFileSync(given.file),
      { name: basename(given.file), mapping: given.mapping, ...target.plan },
      () => undefined,
    );
    const faulty = planned.preview.faulty.length > 0;
    if (!given.dryRun && (!faulty || given.leaveOutFaulty)) await target.write(planned);
    for (const { sheet, leftOut } of planned.preview.sheets)
      if (leftOut.length > 0) process.stderr.write(`Left out of ${sheet}: ${leftOutWords(leftOut)}.\n`);
    process.stdout.write(`${JSON.stringify(documentOf(planned), null, 2)}\n`);
    if (faulty) process.exitCode = EXIT_BAD_INPUT;
  } finally {
    await target.close();
  }
}

await main().catch((error: unknown) => {
  const refusal = error instanceof FileRefused;
  process.stderr.write(`${refusal ? error.message : `Nothing was written: ${errorText(error)}`}\n`);
  process.exitCode = EXIT_BAD_INPUT;
});
