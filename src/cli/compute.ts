/**
 * `npm run --silent compute -- logbook.json --as-of 2026-11-23`: the standing of every machine of a logbook.
 * One file: one JSON document. Several files, or `@list.txt` with one path a line: one document a line, each
 * with its file. A bad file has no document; its errors go to standard error and the exit code is 2.
 */
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { readLogbook } from '../core/logbook/logbook';
import { problemText } from '../core/logbook/problems';
import { type Day, parseDay } from '../core/quantity/day';
import { logbookStandings } from '../core/rules/standingDocument';
import { SHIPPED_PACKS } from '../core/rules/packs/shipped';

const EXIT_BAD_INPUT = 2;
const USAGE = 'usage: compute -- FILE … | @LIST --as-of YYYY-MM-DD';
const HELP = `The standing of every machine of a logbook on a day: rates, cases, duties, room.

  npm run --silent compute -- FILE … | @LIST --as-of YYYY-MM-DD

One file: one JSON document. Several, or @LIST with one path a line: one document a line, each with its file.
Exit 0: all were computed. Exit 2: a file is bad; its errors stand on standard error with their paths.
`;

function documentOf(
  path: string,
  asOf: Day,
): { document: ReturnType<typeof logbookStandings> } | { errors: string[] } {
  let json: unknown;
  try {
    json = JSON.parse(readFileSync(path, 'utf8'));
  } catch (error) {
    return {
      errors: [`$: cannot be read as JSON: ${error instanceof Error ? error.message : String(error)}`],
    };
  }
  const read = readLogbook(json);
  return read.ok
    ? { document: logbookStandings(read.value, asOf, SHIPPED_PACKS) }
    : { errors: read.refusal.map(problemText) };
}

function pathsOf(names: readonly string[]): string[] {
  return names.flatMap((name) =>
    name.startsWith('@')
      ? readFileSync(name.slice(1), 'utf8')
          .split(/\r?\n/)
          .filter((line) => line.trim() !== '')
      : [name],
  );
}

function usageError(message: string): never {
  process.stderr.write(`${message}\n${USAGE}\n`);
  process.exit(EXIT_BAD_INPUT);
}

function argumentsOf(): { names: string[]; asOf: Day } {
  try {
    const { values, positionals } = parseArgs({
      options: { 'as-of': { type: 'string' }, help: { type: 'boolean' } },
      allowPositionals: true,
    });
    if (values.help) {
      process.stdout.write(HELP);
      process.exit(0);
    }
    const asOf = parseDay(values['as-of'] ?? '');
    if (asOf === null) usageError('--as-of needs a date that exists, written YYYY-MM-DD.');
    if (positionals.length === 0) usageError('Name a logbook file.');
    return { names: positionals, asOf };
  } catch (error) {
    return usageError(error instanceof Error ? error.message : String(error));
  }
}

function main(): void {
  const { names, asOf } = argumentsOf();
  const single = names.length === 1 && !names[0]?.startsWith('@');
  let paths: string[];
  try {
    paths = pathsOf(names);
  } catch (error) {
    usageError(`The list cannot be read: ${error instanceof Error ? error.message : String(error)}`);
  }
  for (const path of paths) {
    const outcome = documentOf(path, asOf);
    if ('errors' in outcome) {
      process.exitCode = EXIT_BAD_INPUT;
      process.stderr.write(
        outcome.errors.map((error) => (single ? `${error}\n` : `${path}: ${error}\n`)).join(''),
      );
    } else if (single) process.stdout.write(`${JSON.stringify(outcome.document, null, 2)}\n`);
    else process.stdout.write(`${JSON.stringify({ file: path, ...outcome.document })}\n`);
  }
}

main();
