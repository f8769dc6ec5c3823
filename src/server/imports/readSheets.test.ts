/** Files as they come: right ones are read, and those that mean harm or are something else are refused with a clear word. */
import { describe, expect, it } from 'vitest';
import writeExcelFile from 'write-excel-file/node';
import yazl from 'yazl';
import { FileRefused } from './refused';
import { readWorksheets } from './readWorksheets';
import { unzipped } from './unzip';

const csv = async (text: string): Promise<string[][]> => {
  const [sheet] = await readWorksheets(Buffer.from(text));
  return (sheet?.rows ?? []).map(({ cells }) => cells.map((cell) => cell.text));
};

async function refusalOf(bytes: Buffer): Promise<string> {
  try {
    await readWorksheets(bytes);
  } catch (error) {
    if (error instanceof FileRefused) return error.message;
    throw error;
  }
  return 'taken';
}

async function zipOf(files: Record<string, string | Buffer>): Promise<Buffer> {
  const zip = new yazl.ZipFile();
  for (const [name, content] of Object.entries(files)) zip.addBuffer(Buffer.from(content), name);
  zip.end();
  const parts: Buffer[] = [];
  for await (const part of zip.outputStream) parts.push(part as Buffer);
  return Buffer.concat(parts);
}

const workbook = (sheet: string, more: Record<string, string | Buffer> = {}): Promise<Buffer> =>
  zipOf({
    '[Content_Types].xml':
      '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="xml" ContentType="application/xml"/><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/></Types>',
    '_rels/.rels':
      '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="xl/workbook.xml"/></Relationships>',
    'xl/workbook.xml':
      '<workbook xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets><sheet name="gas" sheetId="1" r:id="rId1"/></sheets></workbook>',
    'xl/_rels/workbook.xml.rels':
      '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" Target="worksheets/sheet1.xml"/></Relationships>',
    'xl/worksheets/sheet1.xml': `<worksheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><sheetData>${sheet}</sheetData></worksheet>`,
    ...more,
  });

describe('CSV', () => {
  it.each([
    [
      'commas',
      'a,b\n1,"2,5"',
      [
        ['a', 'b'],
        ['1', '2,5'],
      ],
    ],
    [
      'semicolons and a mark',
      '\uFEFFa;b\n1;2,5',
      [
        ['a', 'b'],
        ['1', '2,5'],
      ],
    ],
    [
      'tabs',
      'a\tb\n1\t2',
      [
        ['a', 'b'],
        ['1', '2'],
      ],
    ],
    [
      'quotation marks and lines in a cell',
      'a,b\n"x ""y""\nz",2',
      [
        ['a', 'b'],
        ['x "y"\nz', '2'],
      ],
    ],
  ])('with %s', async (_, text, rows) => expect(await csv(text)).toEqual(rows));

  it('in UTF-16 with its mark', async () => {
    const bytes = Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from('a,b\n1,ł', 'utf16le')]);
    const [sheet] = await readWorksheets(bytes);
    expect(sheet?.rows[1]?.cells[1]?.text).toBe('ł');
  });

  it('keeps formulas as such, and reads what our own lists mark as none', async () => {
    const [sheet] = await readWorksheets(Buffer.from("a,b,c\n=1+1,'=text,-3"));
    expect(sheet?.rows[1]?.cells).toEqual([
      { text: '=1+1', type: 'text', formula: true },
      { text: '=text', type: 'text' },
      { text: '-3', type: 'text' },
    ]);
  });
});

describe('workbooks', () => {
  it('numbers, days, words and the rows they stand in', async () => {
    const bytes = await writeExcelFile([
      [
        { value: 'Date', type: String },
        { value: 'Added', type: String },
      ],
      [
        { value: new Date('2026-03-14T00:00:00Z'), type: Date, format: 'yyyy-mm-dd' },
        { value: 12.5, type: Number },
      ],
    ]).toBuffer();
    const [sheet] = await readWorksheets(bytes);
    expect(sheet?.rows[1]).toEqual({
      number: 2,
      cells: [
        { text: '2026-03-14', type: 'date' },
        { text: '12.5', type: 'number' },
      ],
    });
  });

  it('marks cells that were computed from others', async () => {
    const bytes = await workbook('<row r="1"><c r="A1"><v>4</v></c><c r="B1"><f>A1*2</f><v>8</v></c></row>');
    const [sheet] = await readWorksheets(bytes);
    expect(sheet?.rows[0]?.cells.map((cell) => cell.formula ?? false)).toEqual([false, true]);
  });
});

describe('refused', () => {
  const RELS = 'xl/_rels/workbook.xml.rels';
  it.each<[string, () => Promise<Buffer> | Buffer, RegExp]>([
    ['nothing', () => Buffer.alloc(0), /empty/],
    [
      'a letter of another alphabet than it says',
      () => Buffer.from([0x61, 0x2c, 0xe9, 0x0a]),
      /UTF-8.*CSV UTF-8/,
    ],
    ['a PDF', () => Buffer.from('%PDF-1.7 x'), /PDF/],
    ['a workbook of the old kind', () => Buffer.from([0xd0, 0xcf, 0x11, 0xe0, 0xa1]), /old kind/],
    ['a zip of something else', () => zipOf({ 'x.txt': 'x' }), /holds no workbook/],
    [
      'a zip cut off',
      async () => (await zipOf({ 'x.txt': 'x'.repeat(2000) })).subarray(0, 60),
      /no whole zip/,
    ],
    ['a million columns', () => Buffer.from(`${'a,'.repeat(1_000_000)}a\n`), /more than 200 columns/],
    ['a cell far off', () => workbook('<row r="1"><c r="XFD1"><v>1</v></c></row>'), /more than 200 columns/],
    [
      'a row far off',
      () => workbook('<row r="1048576"><c r="A1048576"><v>1</v></c></row>'),
      /more than 100000 rows/,
    ],
    ['a quotation mark that is never closed', () => Buffer.from('a,b\n"x,1\ny,2\n'), /quotation mark/],
    [
      'a workbook whose parts lead nowhere',
      () => workbook('', { [RELS]: '<Relationships/>' }),
      /cannot be read/,
    ],
  ])('%s', async (_, bytes, words) => expect(await refusalOf(await bytes())).toMatch(words));

  it('a bomb: its sizes are summed before anything is unpacked', async () => {
    const bomb = await zipOf({
      'xl/workbook.xml': 'x',
      'xl/worksheets/sheet1.xml': Buffer.alloc(300 * 1024 * 1024),
    });
    expect(bomb.length).toBeLessThan(1_000_000);
    expect(await refusalOf(bomb)).toMatch(/Unpacked, this file would be more than 250 MB/);
  });

  it('a part that is larger than its header says', async () => {
    const zip = await zipOf({ 'xl/workbook.xml': 'x'.repeat(5000) });
    // The size in the central directory is made smaller.
    const at = zip.lastIndexOf(Buffer.from([0x50, 0x4b, 0x01, 0x02]));
    zip.writeUInt32LE(10, at + 24);
    await expect(unzipped(zip, { total: 1e6, entries: 10, wants: () => true })).rejects.toThrow(
      /not what it says/,
    );
  });

  it('names that climb out of their folder', async () => {
    const zip = await zipOf({ 'aa/evil.txt': 'x' });
    const named = Buffer.from(zip.toString('latin1').replaceAll('aa/evil.txt', '../evil.txt'), 'latin1');
    await expect(unzipped(named, { total: 1e6, entries: 10, wants: () => true })).rejects.toBeInstanceOf(
      FileRefused,
    );
  });
});
