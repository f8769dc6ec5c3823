/** The fonts of a PDF: the app's own family, another for letters it lacks, and a word for what neither has, so that nothing vanishes. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import * as fontkit from 'fontkit';

const require = createRequire(import.meta.url);
const fileOf = (path: string): string => require.resolve(`@expo-google-fonts/${path}`);

const FILES = {
  regular: fileOf('atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf'),
  bold: fileOf('atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf'),
  otherRegular: fileOf('noto-sans/400Regular/NotoSans_400Regular.ttf'),
  otherBold: fileOf('noto-sans/700Bold/NotoSans_700Bold.ttf'),
} as const;
export type FontName = keyof typeof FILES;

const opened = new Map<FontName, { bytes: Buffer; has: (codePoint: number) => boolean }>();

function fontOf(name: FontName) {
  let font = opened.get(name);
  if (!font) {
    const bytes = readFileSync(FILES[name]);
    const read = fontkit.create(bytes) as fontkit.Font;
    font = { bytes, has: (codePoint) => read.hasGlyphForCodePoint(codePoint) };
    opened.set(name, font);
  }
  return font;
}

export const registerFonts = (document: PDFKit.PDFDocument): void => {
  for (const name of Object.keys(FILES) as FontName[]) document.registerFont(name, fontOf(name).bytes);
};

/** Signs of our own words that no font of paper has, by what they say. */
const SAID: Readonly<Record<string, string>> = {
  '→': 'to',
  '▲': 'high',
  '▼': 'low',
  '●': '·',
  '◐': '',
  '◆': '',
  '○': '',
};

const isPrinted = (codePoint: number): boolean => codePoint >= 0x20;

/** The font that can print a text, and the text as it can be printed: what no font has stands there by its number. */
export function printable(text: string, bold = false): { font: FontName; text: string } {
  const own: FontName = bold ? 'bold' : 'regular';
  const other: FontName = bold ? 'otherBold' : 'otherRegular';
  const said = [...text.normalize('NFC')]
    .map((letter) => (letter in SAID && !fontOf(own).has(letter.codePointAt(0) ?? 0) ? SAID[letter] : letter))
    .join('');
  const points = [...said].map((letter) => letter.codePointAt(0) ?? 0).filter(isPrinted);
  const font = points.every((point) => fontOf(own).has(point)) ? own : other;
  return {
    font,
    text: [...said]
      .map((letter) => {
        const point = letter.codePointAt(0) ?? 0;
        if (letter === '\n') return letter;
        if (!isPrinted(point)) return ' ';
        return fontOf(font).has(point) ? letter : `(U+${point.toString(16).toUpperCase().padStart(4, '0')})`;
      })
      .join(''),
  };
}
