/** Labels on sheets, each in its cell, with its code drawn square by square. */
import QRCode from 'qrcode';
import PDFDocument from 'pdfkit';
import { LABEL_SHEETS, type LabelSheet } from '../../contract/labels';
import { registerFonts } from '../papers/fonts';
import { INK, type Pdf, type Struct, artifact, bytesOf, documentOf, styled } from '../papers/sheet';
import type { Label } from './labels';

const POINTS_OF_A_MM = 72 / 25.4;
const PAD_MM = 3;
/** a code smaller than this no phone reads at arm's length */
const CODE_MM = 25;
const QUIET_CELLS = 2;
/** sizes of the words, pt; the title is larger by a share */
const LARGEST = 9;
const SMALLEST = 4.5;
const TITLE_SHARE = 1.5;
const LINE_GAP = 1.5;
const MADE = new Date('2026-01-01T00:00:00Z');

const points = (mm: number): number => mm * POINTS_OF_A_MM;

export async function labelsPdf(labels: readonly Label[], sheet: LabelSheet, skip: number): Promise<Buffer> {
  const { page, columns, rows, first, step, label: size } = LABEL_SHEETS[sheet];
  const pdf = new PDFDocument({
    autoFirstPage: false,
    margin: 0,
    size: [points(page[0]), points(page[1])],
    ...documentOf('Labels', MADE),
  });
  registerFonts(pdf);
  const written = bytesOf(pdf);
  const root = pdf.struct('Document');
  pdf.addStructure(root);
  const perPage = columns * rows;
  labels.forEach((label, index) => {
    const place = (index + skip) % perPage;
    if (place === 0 || index === 0) pdf.addPage();
    const x = first[0] + (place % columns) * step[0];
    const y = first[1] + Math.floor(place / columns) * step[1];
    drawLabel(pdf, root, label, {
      x: points(x),
      y: points(y),
      width: points(size[0]),
      height: points(size[1]),
    });
  });
  root.end();
  pdf.end();
  return written;
}

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

function drawLabel(pdf: Pdf, root: Struct, label: Label, box: Box): void {
  const pad = points(PAD_MM);
  const code = label.code === null ? 0 : Math.min(points(CODE_MM), box.height - 2 * pad);
  const section = pdf.struct('Sect');
  root.add(section);
  if (label.warning)
    artifact(pdf, () => {
      pdf
        .rect(box.x + 3, box.y + 3, box.width - 6, box.height - 6)
        .lineWidth(2.5)
        .strokeColor(INK)
        .stroke();
    });
  const width = box.width - 2 * pad - (code > 0 ? code + pad : 0);
  const pieces = [
    { tag: 'H1', text: label.title, share: TITLE_SHARE, bold: true },
    ...label.lines.map((text) => ({ tag: 'P', text, share: 1, bold: false })),
  ];
  const heightAt = ({ text, share, bold }: (typeof pieces)[number], size: number): number =>
    pdf.heightOfString(styled(pdf, text, { size: size * share, bold }), { width }) + LINE_GAP;
  const whole = (size: number): number => pieces.reduce((sum, piece) => sum + heightAt(piece, size), 0);
  // Words shrink together before any leaves the label.
  let size = LARGEST;
  while (size > SMALLEST && whole(size) > box.height - 2 * pad) size -= 0.25;
  let y = box.y + pad;
  for (const piece of pieces) {
    const height = heightAt(piece, size);
    const shown = styled(pdf, piece.text, { size: size * piece.share, bold: piece.bold });
    section.add(
      pdf.struct(piece.tag, {}, () => {
        pdf.text(shown, box.x + pad, y, { width });
      }),
    );
    y += height;
  }
  if (label.code !== null)
    drawCode(pdf, section, label.code, {
      x: box.x + box.width - pad - code,
      y: box.y + pad,
      width: code,
      height: code,
    });
  section.end();
}

function drawCode(pdf: Pdf, section: Struct, address: string, { x, y, width }: Box): void {
  const { modules } = QRCode.create(address, { errorCorrectionLevel: 'M' });
  const cell = width / (modules.size + 2 * QUIET_CELLS);
  section.add(
    pdf.struct('Figure', { alt: `Code that opens ${address}` }, () => {
      for (let row = 0; row < modules.size; row += 1)
        for (let column = 0; column < modules.size; column += 1)
          if (modules.get(row, column))
            pdf.rect(x + (column + QUIET_CELLS) * cell, y + (row + QUIET_CELLS) * cell, cell, cell);
      pdf.fill('#000000');
    }),
  );
}
