/** Spreadsheets as cells: CSV and XLSX, told apart by what they hold and not by their names. What may mean harm is refused. */
import Papa from 'papaparse';
import readExcelFile from 'read-excel-file/node';
import { type Cell, EMPTY_CELL, type Worksheet, textCell } from '../../sheets/cells';
import { FileRefused } from './refused';
import { unzipped } from './unzip';

const MEGABYTE = 1024 * 1024;
/** as much as the server takes at once */
export const MOST_FILE_BYTES = 25 * MEGABYTE;
const MOST_UNPACKED = 250 * MEGABYTE;
const MOST_PARTS = 2000;
const MOST_ROWS = 100_000;
const MOST_COLUMNS = 200;
const MOST_SHEETS = 50;

const starts = (bytes: Buffer, ...signature: number[]): boolean =>
  signature.every((byte, index) => bytes[index] === byte);

export const isZip = (bytes: Buffer): boolean =>
  starts(bytes, 0x50, 0x4b, 0x03, 0x04) || starts(bytes, 0x50, 0x4b, 0x05, 0x06);

const tooWide = (): FileRefused =>
  new FileRefused(
    `This list has more than ${String(MOST_COLUMNS)} columns.`,
    'Keep the columns that are wanted, and delete the rest.',
  );
const tooLong = (): FileRefused =>
  new FileRefused(
    `This list has more than ${String(MOST_ROWS)} rows.`,
    'Divide it, and bring the parts in one after the other.',
  );

export async function readWorksheets(bytes: Buffer): Promise<Worksheet[]> {
  if (bytes.length === 0) throw new FileRefused('This file is empty.', 'Choose another one.');
  if (bytes.length > MOST_FILE_BYTES)
    throw new FileRefused(`This file is larger than ${String(MOST_FILE_BYTES / MEGABYTE)} MB.`, 'Divide it.');
  if (isZip(bytes)) return readWorkbook(bytes);
  if (starts(bytes, 0xd0, 0xcf, 0x11, 0xe0))
    throw new FileRefused(
      'This is a workbook of the old kind, or one with a password.',
      'Save it as .xlsx without a password, or as CSV.',
    );
  if (starts(bytes, 0x25, 0x50, 0x44, 0x46))
    throw new FileRefused('This is a PDF.', 'Bring in the spreadsheet that it was made from.');
  return [readCsv(textOf(bytes))];
}

function textOf(bytes: Buffer): string {
  try {
    if (starts(bytes, 0xff, 0xfe)) return new TextDecoder('utf-16le', { fatal: true }).decode(bytes);
    if (starts(bytes, 0xfe, 0xff)) return new TextDecoder('utf-16be', { fatal: true }).decode(bytes);
    const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    if (!text.includes('\0')) return text;
  } catch {
    // said below
  }
  throw new FileRefused(
    'This is no text in UTF-8: its letters would come out wrong.',
    'Save it as “CSV UTF-8”, or as .xlsx.',
  );
}

const FORMULA = /^[=@]/;
/** The mark that our own lists set before what is no formula. */
const MARKED = /^'(?=[=@+-])/;

function readCsv(text: string): Worksheet {
  const rows: { number: number; cells: Cell[] }[] = [];
  let refusal: FileRefused | null = null;
  let number = 0;
  Papa.parse<string[]>(text, {
    delimitersToGuess: [',', ';', '\t', '|'],
    step: ({ data, errors }, parser) => {
      number += 1;
      const cut = errors.find(({ type }) => type === 'Quotes');
      if (cut)
        refusal = new FileRefused(
          `A quotation mark is opened in row ${String(number)} and never closed.`,
          'Close it, or save the list anew.',
        );
      else if (data.length > MOST_COLUMNS) refusal = tooWide();
      else if (number > MOST_ROWS) refusal = tooLong();
      if (refusal) {
        parser.abort();
        return;
      }
      rows.push({
        number,
        cells: data.map(csvCell),
      });
    },
  });
  if (refusal) throw refusal as FileRefused;
  return { name: 'list', rows };
}

function csvCell(text: string): Cell {
  const cell = textCell(text.replace(MARKED, ''));
  return FORMULA.test(text.trim()) ? { ...cell, formula: true } : cell;
}

async function readWorkbook(bytes: Buffer): Promise<Worksheet[]> {
  const parts = await unzipped(bytes, {
    total: MOST_UNPACKED,
    entries: MOST_PARTS,
    wants: (name) => /^xl\/(worksheets\/[^/]+\.xml|workbook\.xml|_rels\/workbook\.xml\.rels)$/.test(name),
  });
  if (!parts.has('xl/workbook.xml'))
    throw new FileRefused('This zip holds no workbook.', 'Choose the .xlsx or the CSV itself.');
  for (const [name, part] of parts)
    if (name.startsWith('xl/worksheets/')) checkExtent(part.toString('latin1'));
  const read = await readExcelFile(bytes).catch((): never => {
    throw new FileRefused('This workbook cannot be read.', 'Save it anew as .xlsx, or as CSV.');
  });
  if (read.length > MOST_SHEETS)
    throw new FileRefused(
      `This workbook has more than ${String(MOST_SHEETS)} sheets.`,
      'Keep those that are wanted.',
    );
  const files = sheetFiles(parts);
  return read.map(({ sheet, data }) => {
    if (data.length > MOST_ROWS) throw tooLong();
    const formulas = formulasOf(parts.get(files.get(sheet) ?? '')?.toString('utf8') ?? '');
    return {
      name: sheet,
      rows: data.map((row, index) => {
        if (row.length > MOST_COLUMNS) throw tooWide();
        return {
          number: index + 1,
          cells: row.map((value, column): Cell => {
            const cell = cellOf(value);
            return formulas.has(`${letters(column)}${String(index + 1)}`) ? { ...cell, formula: true } : cell;
          }),
        };
      }),
    };
  });
}

/** Far-off cells are refused before a reader makes room for all that lies between. */
function checkExtent(xml: string): void {
  for (const [, column = '', row = ''] of xml.matchAll(/<c\b[^>]*\br="([A-Z]{1,4})(\d+)"/g)) {
    if (columnNumber(column) > MOST_COLUMNS) throw tooWide();
    if (Number(row) > MOST_ROWS) throw tooLong();
  }
}

const columnNumber = (name: string): number =>
  [...name].reduce((sum, letter) => sum * 26 + letter.charCodeAt(0) - 64, 0);

function letters(column: number): string {
  let name = '';
  for (let rest = column + 1; rest > 0; rest = Math.floor((rest - 1) / 26))
    name = String.fromCharCode(65 + ((rest - 1) % 26)) + name;
  return name;
}

/** The part of each sheet by its name. */
function sheetFiles(parts: ReadonlyMap<string, Buffer>): Map<string, string> {
  const text = (name: string): string => parts.get(name)?.toString('utf8') ?? '';
  const targets = new Map<string, string>();
  for (const [tag] of text('xl/_rels/workbook.xml.rels').matchAll(/<Relationship\b[^>]*>/g)) {
    const [id, target] = [/\bId="([^"]*)"/.exec(tag)?.[1], /\bTarget="([^"]*)"/.exec(tag)?.[1]];
    if (id !== undefined && target !== undefined)
      targets.set(id, target.startsWith('/') ? target.slice(1) : `xl/${target}`);
  }
  const files = new Map<string, string>();
  for (const [tag] of text('xl/workbook.xml').matchAll(/<sheet\b[^>]*>/g)) {
    const [name, id] = [/\bname="([^"]*)"/.exec(tag)?.[1], /\br:id="([^"]*)"/.exec(tag)?.[1]];
    if (name !== undefined && id !== undefined) files.set(unescaped(name), targets.get(id) ?? '');
  }
  return files;
}

const unescaped = (text: string): string =>
  text
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&quot;/g, '"')
    .replace(/&apos;/g, "'")
    .replace(/&amp;/g, '&');

/** Cells whose value was computed from others, such as `C7`. */
function formulasOf(xml: string): ReadonlySet<string> {
  const found = new Set<string>();
  for (const [, reference = ''] of xml.matchAll(
    /<c\b[^>]*\br="([A-Z]+\d+)"[^>/]*>(?:(?!<\/c>)[\s\S])*?<f\b/g,
  ))
    found.add(reference);
  return found;
}

function cellOf(value: unknown): Cell {
  if (value === null || value === undefined) return EMPTY_CELL;
  if (value instanceof Date)
    return Number.isNaN(value.getTime())
      ? textCell('no date')
      : { text: value.toISOString().slice(0, 10), type: 'date' };
  if (typeof value === 'number') return { text: String(value), type: 'number' };
  if (typeof value === 'boolean') return textCell(value ? 'yes' : 'no');
  return textCell(String(value as string));
}
