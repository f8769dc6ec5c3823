/** Tables as CSV and as a workbook; the logbook with its pictures as a zip. */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import Papa from 'papaparse';
import writeExcelFile from 'write-excel-file/node';
import yazl from 'yazl';
import type { ExportScope } from '../../contract/exports';
import type { Clock } from '../clock';
import { exportText } from './logbooks';
import { LOGBOOK_NAME } from '../imports/planFile';
import type { Tables } from '../store/database';
import type { OutCell, OutWorksheet } from './tables';

/** What a spreadsheet would take for a formula gets a mark before it; numbers below zero are none. */
const FORMULAE = /^[=@\t\r]|^[+-](?![\d.,\s]*$)/;

const plain = (cell: OutCell): string | number =>
  cell === null ? '' : typeof cell === 'object' ? cell.day : cell;

/** With the mark that tells every program that it is UTF-8. */
export const csvOf = ({ head, rows }: OutWorksheet): string =>
  `\uFEFF${Papa.unparse({ fields: [...head], data: rows.map((row) => row.map(plain)) }, { escapeFormulae: FORMULAE, newline: '\r\n' })}\r\n`;

const WIDTH = 18;
const midnightOf = (day: string): Date => new Date(`${day}T00:00:00Z`);

/** A filter over the heading of each sheet; the package has none of its own. */
const withFilter = (sheet: string, { head, rows }: OutWorksheet): string =>
  sheet.replace(
    '</sheetData>',
    `</sheetData><autoFilter ref="A1:${columnName(head.length)}${String(rows.length + 1)}"/>`,
  );

/** `columnName(28)` // => 'AB' */
function columnName(column: number): string {
  const [before, letter] = [Math.floor((column - 1) / LETTERS), (column - 1) % LETTERS];
  return `${before > 0 ? columnName(before) : ''}${String.fromCharCode('A'.charCodeAt(0) + letter)}`;
}
const LETTERS = 26;

export async function workbookOf(sheets: readonly OutWorksheet[]): Promise<Buffer> {
  const written = writeExcelFile(
    sheets.map(({ name, head, rows }) => ({
      sheet: name,
      stickyRowsCount: 1,
      columns: head.map(() => ({ width: WIDTH })),
      data: [
        head.map((value) => ({ value, type: String, fontWeight: 'bold' as const })),
        ...rows.map((row) =>
          row.map((cell) => {
            if (cell === null || cell === '') return null;
            if (typeof cell === 'number') return { value: cell, type: Number };
            return typeof cell === 'object'
              ? { value: midnightOf(cell.day), type: Date, format: 'yyyy-mm-dd' }
              : { value: cell, type: String };
          }),
        ),
      ],
    })),
    {
      features: [
        {
          files: {
            transform: {
              'xl/worksheets/sheet{id}.xml': {
                transform: (text, _options, { sheetIndex }) => {
                  const sheet = sheets[sheetIndex];
                  return sheet ? withFilter(text, sheet) : text;
                },
              },
            },
          },
        },
      ],
    },
  );
  return written.toBuffer();
}

/** `folder`: where attachments stand. Those that the logbook names and that are there lie beside it. */
export function zipOf(db: Tables, clock: Clock, asked: ExportScope, folder: string): NodeJS.ReadableStream {
  const zip = new yazl.ZipFile();
  const named = new Set<string>();
  async function* text(): AsyncGenerator<string> {
    for await (const piece of exportText(db, clock, asked)) {
      for (const [file] of piece.matchAll(/[0-9a-f]{64}\.(?:jpg|pdf)/g)) named.add(file);
      yield piece;
    }
    for (const file of named) {
      const path = join(folder, file);
      if (existsSync(path)) zip.addFile(path, `attachments/${file}`, { compress: false });
    }
    zip.end();
  }
  const reading = Readable.from(text());
  const output = zip.outputStream as Readable;
  // Whoever leaves in the middle ends the reading; its last question then fails, and that must end this file alone.
  const end = (problem: Error) => output.destroy(problem);
  reading.on('error', end);
  zip.on('error', end);
  output.on('close', () => reading.destroy());
  zip.addReadStream(reading, LOGBOOK_NAME);
  return output;
}
