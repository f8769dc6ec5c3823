/** A sheet of paper that is written on: text, tables and pictures, each marked with what it is for whoever cannot see it. */
import { type FontName, printable, registerFonts } from './fonts';
import PDFDocument from 'pdfkit';

export const INK = '#14251e';
export const SOFT = '#4a5a52';
export const LINE = '#b9c4bd';
export const BRICK = '#8f2d1f';

export type Struct = PDFKit.PDFStructureElement;
export type Pdf = PDFKit.PDFDocument;

export interface SheetAbout {
  title: string;
  /** fixes the bytes: the day of the paper, never the clock */
  made: Date;
  size: 'A4' | 'LETTER';
  landscape: boolean;
}

const MARGIN = 48;
/** room below for the line that says what paper this is */
const FOOT = 62;

export const TEXT_SIZE = 9.5;

/** What every file of ours says of itself, and that it is marked with its structure. `made` fixes the bytes: never the clock. */
export const documentOf = (title: string, made: Date): PDFKit.PDFDocumentOptions => ({
  pdfVersion: '1.7',
  tagged: true,
  lang: 'en',
  displayTitle: true,
  info: {
    Title: title,
    Creator: 'Green Abacus',
    Producer: 'Green Abacus',
    CreationDate: made,
    ModDate: made,
  },
});

export function newSheet({ title, made, size, landscape }: SheetAbout): Pdf {
  const pdf = new PDFDocument({
    size,
    layout: landscape ? 'landscape' : 'portrait',
    margins: { top: MARGIN, left: MARGIN, right: MARGIN, bottom: FOOT },
    bufferPages: true,
    ...documentOf(title, made),
  });
  registerFonts(pdf);
  return pdf;
}

export const widthOf = (pdf: Pdf): number => pdf.page.width - pdf.page.margins.left - pdf.page.margins.right;

export const bottomOf = (pdf: Pdf): number => pdf.page.height - pdf.page.margins.bottom;

export interface Style {
  size?: number;
  bold?: boolean;
  color?: string;
}

/** A word without a break is broken here: laying out one of thousands of letters would hold the process for seconds. */
const LONG_WORD = /\S{60}(?=\S)/g;

/** Sets the font that can print a text, and gives the text as it can be printed. */
export function styled(
  pdf: Pdf,
  text: string,
  { size = TEXT_SIZE, bold = false, color = INK }: Style,
): string {
  const print = printable(text, bold);
  pdf
    .font(print.font satisfies FontName)
    .fontSize(size)
    .fillColor(color);
  return print.text.replace(LONG_WORD, '$&\n');
}

/** A piece of text that flows on over pages, marked as what it is. */
export function textAs(
  pdf: Pdf,
  parent: Struct,
  tag: string,
  parts: readonly (readonly [text: string, style: Style])[],
  options: PDFKit.Mixins.TextOptions = {},
): void {
  const shown = parts.filter(([text]) => text !== '');
  if (shown.length === 0) return;
  parent.add(
    pdf.struct(tag, {}, () => {
      shown.forEach(([text, style], index) => {
        pdf.text(styled(pdf, text, style), { ...options, continued: index < shown.length - 1 });
      });
    }),
  );
}

/** What is only drawn, for the eye: rules and page feet. */
export function artifact(pdf: Pdf, draw: () => void): void {
  pdf.markContent('Artifact');
  draw();
  pdf.endMarkedContent();
}

/** Goes on to a new page where less than this stands free. */
export function needs(pdf: Pdf, height: number): void {
  if (pdf.y + height > bottomOf(pdf)) pdf.addPage();
}

export function rule(pdf: Pdf, color = LINE): void {
  artifact(pdf, () => {
    const { left } = pdf.page.margins;
    pdf
      .moveTo(left, pdf.y)
      .lineTo(left + widthOf(pdf), pdf.y)
      .lineWidth(0.6)
      .strokeColor(color)
      .stroke();
  });
}

/** The file, once it is ended. */
export function bytesOf(pdf: Pdf): Promise<Buffer> {
  const parts: Buffer[] = [];
  return new Promise((resolve, reject) => {
    pdf.on('data', (part: Buffer) => parts.push(part));
    pdf.on('end', () => resolve(Buffer.concat(parts)));
    pdf.on('error', reject);
  });
}
