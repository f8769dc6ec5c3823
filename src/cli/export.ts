/** `npm run --silent export -- --out FILE [--format json|zip|xlsx|csv] …`: the logbook of a data folder, or a part of it, as a file. */
import { createWriteStream, renameSync, rmSync } from 'node:fs';
import { extname, join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { parseArgs } from 'node:util';
import { OUT_TABLES, type ExportScope, type OutTable, exportQuery } from '../contract/exports';
import { problemsOf } from '../core/logbook/problems';
import { outWorksheets } from '../server/exports/tables';
import { csvOf, workbookOf, zipOf } from '../server/exports/write';
import { exportText } from '../server/exports/logbooks';
import type { Services } from '../server/services';
import { staysOutWords } from '../words/staysOut';
import { ATTACHMENTS } from '../server/dataFolder';
import { errorText, fail } from './exit';
import { openData } from './openData';

const FORMATS = ['json', 'zip', 'xlsx', 'csv'] as const;
type Format = (typeof FORMATS)[number];

const HELP = `Takes the logbook, or a part of it, out as a file.

  npm run --silent export -- --out FILE [--format ${FORMATS.join('|')}] [--table TABLE] [--data FOLDER]
                             [--site ID] [--owner ID] [--from YYYY-MM-DD] [--to YYYY-MM-DD]

Without --format the ending of FILE says it. Tables of a CSV: ${OUT_TABLES.join(', ')}.
Exit 0: written. Exit 2: nothing was written, and why.
`;

interface Arguments {
  out: string;
  format: Format;
  table: OutTable;
  data: string;
  scope: ExportScope;
}

function argumentsOf(): Arguments {
  try {
    const option = { type: 'string' as const };
    const { values } = parseArgs({
      options: {
        out: option,
        format: option,
        table: option,
        data: option,
        site: option,
        owner: option,
        from: option,
        to: option,
        help: { type: 'boolean' },
      },
    });
    if (values.help) {
      process.stdout.write(HELP);
      process.exit(0);
    }
    const { out, table = 'entries', data = 'data', site, owner, from, to } = values;
    if (out === undefined) fail('--out is missing; name the file to write.', HELP);
    const format = FORMATS.find((each) => each === (values.format ?? extname(out).slice(1)));
    if (!format) fail(`--format must be ${FORMATS.join(', ')}.`, HELP);
    const known = OUT_TABLES.find((each) => each === table);
    if (!known) fail(`--table must be ${OUT_TABLES.join(', ')}.`, HELP);
    const scope = exportQuery.safeParse({ site, owner, from, to }, { reportInput: true });
    if (!scope.success)
      fail(
        problemsOf(scope.error)
          .map(({ path, message }) => `--${path.join('.')} ${message}`)
          .join('\n'),
      );
    return { out, format, table: known, data, scope: scope.data };
  } catch (error) {
    return fail(errorText(error), HELP);
  }
}

function streamOf(
  { database, clock }: Services,
  { format, table, data, scope }: Arguments,
  write: (from: NodeJS.ReadableStream) => Promise<void>,
): Promise<void> {
  return database.snapshot(async (db) => {
    switch (format) {
      case 'json':
        return write(Readable.from(exportText(db, clock, scope)));
      case 'zip':
        return write(zipOf(db, clock, scope, join(data, ATTACHMENTS)));
      case 'xlsx':
        return write(Readable.from([await workbookOf(await outWorksheets(db, clock, scope, OUT_TABLES))]));
      case 'csv':
        return write(Readable.from((await outWorksheets(db, clock, scope, [table])).map(csvOf)));
    }
  });
}

async function main(): Promise<void> {
  const given = argumentsOf();
  const services = await openData(given.data);
  const aside = `${given.out}.part`;
  try {
    await streamOf(services, given, (from) => pipeline(from, createWriteStream(aside)));
    renameSync(aside, given.out);
    process.stderr.write(`What stays out: ${staysOutWords(given.scope).join('; ')}.\n`);
  } catch (error) {
    rmSync(aside, { force: true });
    fail(`${given.out} was not written: ${errorText(error)}`);
  } finally {
    await services.close();
  }
}

await main();
