/**
 * Papers as PDF: marked with its structure (headings, tables with heads, words for pictures, language, title), from the same
 * blocks as the screen. The same papers and the same stamp give the same bytes: nothing here reads a clock.
 */
import type { Block, Content, Line, Paper } from '../../papers/paper';
import { dayText } from '../../core/quantity/day';
import { dayWords } from '../../words/dates';
import type { Stamp } from './stamp';
import { drawCircuit, drawPhotos, drawSignature, type ReadyPhoto, smallPhotos } from './pictures';
import {
  BRICK,
  INK,
  type Pdf,
  SOFT,
  type Struct,
  artifact,
  bytesOf,
  needs,
  newSheet,
  rule,
  styled,
  textAs,
  widthOf,
} from './sheet';
import { drawTable } from './tables';

const TITLE_SIZE = 17;
const HEAD_SIZE = 11.5;
const SMALL_SIZE = 8;
const FACT_WIDTH = 108;
const WIDE_TABLE = 9;

export interface Printed {
  papers: readonly Paper[];
  stamp: Stamp;
  /** where a photo stands, null where it is not at hand */
  photoPath: (file: string) => string | null;
}

export async function pdfOf({ papers, stamp, photoPath }: Printed): Promise<Buffer> {
  const [first] = papers;
  if (!first) throw new Error('A document has at least one paper: ask makePapers().');
  const contents = papers.flatMap(({ blocks }) => blocks.flatMap((block) => block.contents));
  const photos = await smallPhotos(
    contents.flatMap((each) => (each.type === 'photos' ? each.groups.flat().map(({ file }) => file) : [])),
    photoPath,
  );
  const pdf = newSheet({
    title: `${first.title}, ${first.subject}, ${stamp.number}`,
    made: new Date(`${dayText(first.asOf)}T00:00:00Z`),
    size: stamp.size,
    landscape: contents.some((each) => each.type === 'table' && each.head.length >= WIDE_TABLE),
  });
  const written = bytesOf(pdf);
  const root = pdf.struct('Document');
  pdf.addStructure(root);
  papers.forEach((paper, index) => {
    if (index > 0) pdf.addPage();
    drawPaper(pdf, root, paper, stamp, photos);
  });
  drawStamp(pdf, root, stamp);
  root.end();
  drawFeet(pdf, first.title, stamp);
  pdf.end();
  return written;
}

function drawPaper(
  pdf: Pdf,
  root: Struct,
  paper: Paper,
  stamp: Stamp,
  photos: ReadonlyMap<string, ReadyPhoto>,
): void {
  const part = pdf.struct('Part');
  root.add(part);
  const width = widthOf(pdf);
  textAs(pdf, part, 'H1', [[paper.title, { size: TITLE_SIZE, bold: true }]], { width });
  textAs(pdf, part, 'P', [[paper.subject, { size: 11, bold: true }]], { width });
  textAs(
    pdf,
    part,
    'P',
    [[`Document ${stamp.number} · as of ${dayWords(paper.asOf)}`, { size: SMALL_SIZE, color: SOFT }]],
    { width },
  );
  pdf.moveDown(0.5);
  rule(pdf, INK);
  pdf.moveDown(0.4);
  drawFacts(pdf, part, paper.facts);
  for (const block of paper.blocks) drawBlock(pdf, part, block, photos);
  part.end();
}

function drawFacts(pdf: Pdf, part: Struct, facts: Paper['facts']): void {
  const list = pdf.struct('L');
  part.add(list);
  for (const [label, words] of facts) {
    const { left } = pdf.page.margins;
    const width = widthOf(pdf) - FACT_WIDTH;
    const height = Math.max(
      pdf.heightOfString(styled(pdf, words, {}), { width }),
      pdf.heightOfString(styled(pdf, label, {}), { width: FACT_WIDTH - 8 }),
    );
    needs(pdf, height);
    const top = pdf.y;
    const item = pdf.struct('LI');
    list.add(item);
    pdf.x = left;
    textAs(pdf, item, 'Lbl', [[label, { color: SOFT }]], { width: FACT_WIDTH - 8 });
    pdf.x = left + FACT_WIDTH;
    pdf.y = top;
    textAs(pdf, item, 'LBody', [[words, {}]], { width });
    item.end();
    pdf.x = left;
    pdf.y = Math.max(pdf.y, top + height) + 1.5;
  }
  list.end();
  pdf.moveDown(0.5);
}

function drawBlock(pdf: Pdf, part: Struct, block: Block, photos: ReadonlyMap<string, ReadyPhoto>): void {
  const section = pdf.struct('Sect');
  part.add(section);
  needs(pdf, 3 * HEAD_SIZE + 14);
  textAs(pdf, section, 'H2', [[block.title, { size: HEAD_SIZE, bold: true }]], { width: widthOf(pdf) });
  rule(pdf);
  pdf.y += 3;
  for (const content of block.contents) drawContent(pdf, section, content, photos);
  section.end();
  pdf.y += 7;
}

function drawContent(
  pdf: Pdf,
  section: Struct,
  content: Content,
  photos: ReadonlyMap<string, ReadyPhoto>,
): void {
  switch (content.type) {
    case 'lines':
      for (const line of content.lines) drawLine(pdf, section, line);
      return;
    case 'table':
      drawTable(pdf, section, content);
      return;
    case 'photos':
      drawPhotos(pdf, section, content, photos);
      return;
    case 'drawing':
      drawCircuit(pdf, section, content);
      return;
    case 'signature':
      drawSignature(pdf, section, content);
  }
}

function drawLine(pdf: Pdf, section: Struct, { label, words, but, weight }: Line): void {
  const bold = weight === 'strong' || weight === 'warning';
  const color = weight === 'absent' ? SOFT : weight === 'warning' ? BRICK : INK;
  textAs(
    pdf,
    section,
    'P',
    [
      [label === undefined ? '' : `${label} `, { color: SOFT }],
      [words, { bold, color }],
      [but === undefined ? '' : ` ${but}`, { bold: true }],
    ],
    { width: widthOf(pdf) },
  );
  pdf.y += 1.5;
}

/** What the document is, what it was made from, and how it differs from the one before. */
function drawStamp(pdf: Pdf, root: Struct, stamp: Stamp): void {
  const section = pdf.struct('Sect');
  root.add(section);
  needs(pdf, 60);
  textAs(pdf, section, 'H2', [['This document', { size: HEAD_SIZE, bold: true }]], { width: widthOf(pdf) });
  rule(pdf);
  pdf.y += 3;
  for (const line of stamp.lines) drawLine(pdf, section, line);
  section.end();
}

function drawFeet(pdf: Pdf, title: string, { number }: Stamp): void {
  const { start, count } = pdf.bufferedPageRange();
  for (let page = start; page < start + count; page += 1) {
    pdf.switchToPage(page);
    const { left, bottom } = pdf.page.margins;
    // Below the margin nothing may ask for a new page.
    pdf.page.margins.bottom = 0;
    artifact(pdf, () => {
      const y = pdf.page.height - 38;
      const foot = styled(pdf, `${title} ${number}`, { size: SMALL_SIZE, color: SOFT });
      pdf.text(foot, left, y, { lineBreak: false });
      const of = styled(pdf, `page ${String(page - start + 1)} of ${String(count)}`, {
        size: SMALL_SIZE,
        color: SOFT,
      });
      pdf.text(of, left, y, { width: widthOf(pdf), align: 'right', lineBreak: false });
    });
    pdf.page.margins.bottom = bottom;
  }
}
