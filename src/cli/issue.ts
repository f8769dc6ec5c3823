/**
 * `npm run --silent issue -- LOGBOOK.json --document serviceRecord --visit ID --out FILE.pdf`: a document of a logbook file as
 * PDF. Exit 2 with a sentence where the logbook has not what it needs; nothing is written then.
 */
import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { parseArgs } from 'node:util';
import { DOCUMENTS, factsOfDocument, paperRequest } from '../contract/papers';
import { readLogbook } from '../core/logbook/logbook';
import { problemText, problemsOf } from '../core/logbook/problems';
import { makePapers } from '../papers/make';
import { fileRecords } from '../server/papers/fileRecords';
import { pdfOf } from '../server/papers/pdf';
import { stampOf } from '../server/papers/stamp';
import { PHOTO_NAME } from '../server/files/photos';
import { EXIT_BAD_INPUT, errorText, fail } from './exit';
import { writeWhole } from './writeWhole';

const HELP = `Makes a document of a logbook as PDF.

  npm run --silent issue -- LOGBOOK.json --document KIND ... --out FILE.pdf [--as-of YYYY-MM-DD]

Kinds, with what each is about:
${DOCUMENTS.map((kind) => `  ${kind.padEnd(16)}${[...factsOfDocument(kind).needs.map((key) => `--${key}`), ...(factsOfDocument(kind).may ?? []).map((key) => `[--${key}]`)].join(' ')}`).join('\n')}

Without --as-of the document tells of the last day that the logbook holds; a service record of the last day of its visit.
Photos are looked for in the folder "attachments" beside the logbook. Exit 0: written. Exit 2: nothing was written, and why.
`;

const FLAGS = [
  'document',
  'visit',
  'machine',
  'pack',
  'opened',
  'from',
  'entry',
  'year',
  'owner',
  'as-of',
  'out',
  'to',
] as const;

function argumentsOf(): { file: string; values: Partial<Record<(typeof FLAGS)[number], string>> } {
  try {
    const { values, positionals } = parseArgs({
      options: {
        ...Object.fromEntries(FLAGS.map((flag) => [flag, { type: 'string' as const }])),
        help: { type: 'boolean' as const },
      },
      allowPositionals: true,
    });
    if (values['help'] === true) {
      process.stdout.write(HELP);
      process.exit(0);
    }
    const [file, ...more] = positionals;
    if (file === undefined || more.length > 0) fail('Name one logbook file.', HELP);
    const { help: _, ...given } = values as Record<string, string> & { help?: boolean };
    return { file, values: given };
  } catch (error) {
    return fail(errorText(error), HELP);
  }
}

async function main(): Promise<void> {
  const { file, values } = argumentsOf();
  const { 'as-of': asOf, out, ...about } = values;
  if (out === undefined) fail('--out is missing; name the file to write.');
  const request = paperRequest.safeParse({ ...about, asOf }, { reportInput: true });
  if (!request.success)
    fail(
      problemsOf(request.error)
        .map(
          ({ path, message }) =>
            `--${String(path[0] === 'asOf' ? 'as-of' : (path[0] ?? 'document'))} ${message}`,
        )
        .join('\n'),
    );
  let json: unknown;
  try {
    json = JSON.parse(readFileSync(file, 'utf8'));
  } catch (error) {
    fail(`${file} cannot be read as JSON: ${errorText(error)}`);
  }
  const logbook = readLogbook(json);
  if (!logbook.ok) fail(logbook.refusal.map(problemText).join('\n'));
  const made = await makePapers(request.data, fileRecords(logbook.value));
  if (!made.ok) fail(made.refusal);
  const attachments = join(dirname(file), 'attachments');
  const bytes = await pdfOf({
    papers: made.value.papers,
    stamp: stampOf(request.data, made.value, null, false),
    photoPath: (name) => {
      const path = join(attachments, name);
      return PHOTO_NAME.test(name) && existsSync(path) ? path : null;
    },
  });
  try {
    writeWhole(out, bytes);
  } catch (error) {
    fail(`${out} cannot be written: ${errorText(error)}`);
  }
}

process.exitCode = 0;
await main().catch((error: unknown) => {
  process.stderr.write(`${errorText(error)}\n`);
  process.exitCode = EXIT_BAD_INPUT;
});
