/** The file itself, read by another reader than what wrote it: its structure, its words, its bytes. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readLogbook, type Logbook } from '../../core/logbook/logbook';
import { dayOf } from '../../core/quantity/day';
import { makePapers } from '../../papers/make';
import type { PaperRequest } from '../../contract/papers';
import { demoStory } from '../../demo/story';
import { printable } from './fonts';
import { fileRecords } from './fileRecords';
import { pdfOf } from './pdf';
import { bytesOf, newSheet, styled, textAs, widthOf } from './sheet';
import { stampOf } from './stamp';

interface Node {
  role?: string;
  alt?: string;
  children?: Node[];
  type?: string;
  id?: string;
}

interface ReadPdf {
  /** words with the way of roles that leads to them; null: decoration */
  pieces: { text: string; roles: string[] | null }[];
  roles: Map<string, number>;
  figures: (string | undefined)[];
  /** roles below each table row */
  rows: string[][];
  language: string;
  title: string;
  pages: number;
}

async function readPdf(bytes: Buffer): Promise<ReadPdf> {
  const pdf = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
  const found: ReadPdf = {
    pieces: [],
    roles: new Map(),
    figures: [],
    rows: [],
    language: '',
    title: '',
    pages: pdf.numPages,
  };
  const { info } = (await pdf.getMetadata()) as { info: { Title?: string; Language?: string } };
  found.title = info.Title ?? '';
  found.language = info.Language ?? '';
  for (let number = 1; number <= pdf.numPages; number += 1) {
    const page = await pdf.getPage(number);
    const ways = new Map<string, string[]>();
    const walk = (node: Node, way: string[]): void => {
      if (node.type === 'content') {
        ways.set(node.id ?? '', way);
        return;
      }
      const role = node.role ?? '';
      found.roles.set(role, (found.roles.get(role) ?? 0) + 1);
      if (role === 'Figure') found.figures.push(node.alt);
      if (role === 'TR') found.rows.push((node.children ?? []).map((child) => child.role ?? ''));
      for (const child of node.children ?? []) walk(child, [...way, role]);
    };
    const tree = (await page.getStructTree()) as Node | null;
    if (tree) walk(tree, []);
    const { items } = await page.getTextContent({ includeMarkedContent: true });
    const open: (string | null)[] = [];
    for (const item of items as { type?: string; id?: string; tag?: string; str?: string }[]) {
      if (item.type === 'beginMarkedContentProps') open.push(item.id ?? null);
      else if (item.type === 'beginMarkedContent') open.push(null);
      else if (item.type === 'endMarkedContent') open.pop();
      else if (item.str?.trim()) {
        const id = open.findLast((each) => each !== null);
        found.pieces.push({
          text: item.str,
          roles: id === undefined || id === null ? null : (ways.get(id) ?? []),
        });
      }
    }
  }
  return found;
}

let logbook: Logbook;
let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'pdf-'));
  const read = readLogbook(JSON.parse(JSON.stringify(demoStory(dayOf('2026-11-23')))));
  if (!read.ok) throw new Error('the story is no logbook');
  logbook = read.value;
});
afterAll(() => rmSync(folder, { recursive: true }));

async function issued(
  request: PaperRequest,
  photoPath: (file: string) => string | null = () => null,
): Promise<Buffer> {
  const made = await makePapers(request, fileRecords(logbook));
  if (!made.ok) throw new Error(made.refusal);
  return pdfOf({ papers: made.value.papers, stamp: stampOf(request, made.value, null), photoPath });
}

const RECORD: PaperRequest = { document: 'serviceRecord', visit: 'visit-kiosk' };

describe('a service record as PDF', () => {
  it('has every word in its structure, under headings, in lists and tables with heads', async () => {
    const pdf = await readPdf(await issued(RECORD));
    const loose = pdf.pieces.filter(({ roles }) => roles !== null && roles.length === 0);
    expect(loose).toEqual([]);
    // Decoration is only the foot of each page.
    expect(
      pdf.pieces
        .filter(({ roles }) => roles === null)
        .every(({ text }) => /^(?:Service record SR-|page \d)/.test(text)),
    ).toBe(true);
    expect(pdf.roles.get('H1')).toBe(1);
    expect(pdf.roles.get('H2')).toBeGreaterThan(8);
    expect(pdf.rows[0]?.every((role) => role === 'TH')).toBe(true);
    expect(
      pdf.rows.slice(1).every((row) => row.length > 0 && row.every((role) => role === 'TD' || role === 'TH')),
    ).toBe(true);
    expect(pdf.figures.every((alt) => (alt ?? '').length > 5)).toBe(true);
    expect(pdf.figures).toContain('Signature of Runa Holt');
    expect([pdf.language, pdf.title.startsWith('Service record, Kaldvik Ferry Terminal')]).toEqual([
      'en',
      true,
    ]);
  });

  it('says what the logbook says, and neither an id nor the name of a file', async () => {
    const path = join(folder, 'record.pdf');
    writeFileSync(path, await issued(RECORD));
    const text = execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' });
    expect(text).toMatch(/Recovered: 21 g/);
    expect(text).toMatch(/slip of the pen: the scale shows 70 g/);
    expect(text).toMatch(/608 universal BH-9/);
    expect(text).not.toMatch(/\b[0-9a-f]{8}-[0-9a-f]{4}-/);
    expect(text).not.toMatch(/[0-9a-f]{64}\.jpg/);
    expect(text).not.toMatch(/\d\.\d{6}/);
  });

  it('is the same to the byte when it is made again', async () => {
    expect((await issued(RECORD)).equals(await issued(RECORD))).toBe(true);
  });

  it('holds photos small, with words, and says where one is not at hand', async () => {
    const photo = join(folder, 'photo.jpg');
    const noise = Buffer.from(
      Array.from({ length: 1600 * 1200 * 3 }, (_, index) => (index * 2654435761) % 251),
    );
    await sharp(noise, { raw: { width: 1600, height: 1200, channels: 3 } })
      .jpeg({ quality: 90 })
      .toFile(photo);
    const file = `${'a'.repeat(64)}.jpg`;
    logbook = {
      ...logbook,
      entries: [
        ...logbook.entries,
        {
          id: 'photo-1',
          kind: 'photo',
          applianceId: 'kiosk-cooler',
          on: '2026-11-14',
          by: 'ike',
          visitId: 'visit-kiosk',
          tool: 'picture',
          file,
          caption: 'joint before',
          marks: [{ shape: 'arrow', from: [0.1, 0.1], to: [0.5, 0.5] }],
        } as never,
      ],
    };
    const without = await issued(RECORD);
    expect((await readPdf(without)).pieces.some(({ text }) => text.includes('not at hand'))).toBe(true);
    const bytes = await issued(RECORD, (name) => (name === file ? photo : null));
    expect((await readPdf(bytes)).figures).toContain('Photo: joint before');
    expect(bytes.length - without.length).toBeLessThan(400_000);
  });
});

describe('long papers', () => {
  it('repeat the heads of their tables on every page, and lose no row', async () => {
    const pdf = await readPdf(await issued({ document: 'yearly', pack: 'us-hfc', year: 2026 }));
    expect(pdf.pages).toBeGreaterThan(1);
    const [head] = pdf.rows;
    expect(head).toEqual(Array.from({ length: 11 }, () => 'TH'));
    // This reader tells the whole tree with each page.
    const rows = pdf.rows.filter((row) => row[0] === 'TD').length / pdf.pages;
    const text = pdf.pieces.map((piece) => piece.text).join(' ');
    expect(rows).toBe(Number(/Machines that it covered:\s+(\d+)/.exec(text)?.[1]));
    expect(rows).toBeGreaterThan(50);
    // Once in the structure, and for the eye at the top of each further page.
    const heads = pdf.pieces.filter(({ text }) => text.trim() === 'Refrigerant');
    expect(heads.filter(({ roles }) => roles === null).length).toBe(pdf.pages - 1);
  });

  it('keep a note that is longer than a page', async () => {
    const long = Array.from({ length: 1500 }, (_, index) => `word${String(index)}`).join(' ');
    logbook = {
      ...logbook,
      entries: [
        ...logbook.entries,
        {
          id: 'long-1',
          kind: 'leakInspection',
          applianceId: 'kiosk-cooler',
          on: '2026-11-10',
          by: 'ike',
          note: long,
        } as never,
      ],
    };
    const pdf = await readPdf(await issued({ document: 'machineRecord', machine: 'kiosk-cooler' }));
    const text = pdf.pieces.map((piece) => piece.text).join(' ');
    for (const word of ['word0', 'word700', 'word1499']) expect(text).toContain(word);
  });
});

describe('a word of ten thousand letters', () => {
  it('is broken before it is laid out, and printed whole', async () => {
    const pdf = newSheet({ title: 'long', made: new Date(0), size: 'A4', landscape: false });
    const laid = styled(pdf, 'x'.repeat(10_000), {});
    expect(Math.max(...laid.split(/\s/).map((part) => part.length))).toBeLessThanOrEqual(60);
    const root = pdf.struct('Document');
    pdf.addStructure(root);
    textAs(pdf, root, 'P', [['x'.repeat(10_000), {}]], { width: widthOf(pdf) });
    root.end();
    const written = bytesOf(pdf);
    pdf.end();
    const { pieces } = await readPdf(await written);
    expect(pieces.map(({ text }) => text).join('')).toHaveLength(10_000);
  });
});

describe('letters', () => {
  it.each([
    ['Łódź, ångström', 'regular', 'Łódź, ångström'],
    ['12 µm², CO₂', 'otherRegular', '12 µm², CO₂'],
    ['Ж', 'otherRegular', 'Ж'],
    ['a 日 b', 'otherRegular', 'a (U+65E5) b'],
    ['bell\u0007', 'regular', 'bell '],
  ])('%s is printed, or said by its number', (given, font, text) => {
    expect(printable(given)).toEqual({ font, text });
  });
});
