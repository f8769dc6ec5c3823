/** Tables on a sheet: head repeated on every page, columns as wide as what stands in them, rows that never lose a word. */
import {
  INK,
  LINE,
  SOFT,
  type Pdf,
  type Struct,
  type Style,
  artifact,
  bottomOf,
  rule,
  styled,
  textAs,
  widthOf,
} from './sheet';

interface Table {
  caption: string;
  head: readonly string[];
  rows: readonly (readonly string[])[];
  compares?: true;
}

const PAD = 3;
const SMALL = 8;
const SMALLEST = 7;
const MANY_COLUMNS = 8;
/** a column takes part in the sharing of the width with at most so much of its longest cell, pt */
const MOST_WISHED = 190;

const sizeOf = (table: Table): number => (table.head.length >= MANY_COLUMNS ? SMALLEST : SMALL);

const longestWord = (text: string): string =>
  text.split(/\s+/).reduce((longest, word) => (word.length > longest.length ? word : longest), '');

/** Widths by what stands in the columns: never narrower than a word of the head, the rest by their longest cells. */
function columnsOf(pdf: Pdf, table: Table): number[] {
  const size = sizeOf(table);
  const room = widthOf(pdf) - 2 * PAD * table.head.length;
  const measured = (text: string, style: Style): number => {
    const print = styled(pdf, text, { ...style, size });
    return pdf.widthOfString(print) + 1;
  };
  const least = table.head.map((head, column) =>
    Math.max(
      measured(longestWord(head), { bold: true }),
      ...table.rows.map((row) => Math.min(80, measured(longestWord(row[column] ?? ''), {}))),
    ),
  );
  const wished = table.head.map((head, column) =>
    Math.min(
      MOST_WISHED,
      Math.max(measured(head, { bold: true }), ...table.rows.map((row) => measured(row[column] ?? '', {}))),
    ),
  );
  const sum = (of: readonly number[]): number => of.reduce((a, b) => a + b, 0);
  const spare = room - sum(least);
  if (spare <= 0) return least.map((each) => (each / sum(least)) * room);
  const more = wished.map((each, column) => Math.max(0, each - (least[column] ?? 0)));
  const wants = sum(more);
  return least.map((each, column) =>
    wants === 0 ? each + spare / least.length : each + ((more[column] ?? 0) / wants) * spare,
  );
}

export function drawTable(pdf: Pdf, parent: Struct, table: Table): void {
  const size = sizeOf(table);
  const columns = columnsOf(pdf, table);
  const { left } = pdf.page.margins;
  const heightOf = (cells: readonly string[], style: Style): number =>
    Math.max(
      ...cells.map((cell, column) => {
        const print = styled(pdf, cell || ' ', { ...style, size });
        return pdf.heightOfString(print, { width: columns[column] ?? 0 });
      }),
    ) +
    2 * PAD;
  const headHeight = heightOf(table.head, { bold: true });
  const cellsAt = (
    cells: readonly string[],
    y: number,
    style: Style,
    each: (column: number, draw: () => void) => void,
  ): void => {
    let x = left;
    cells.forEach((cell, column) => {
      const at = x + PAD;
      each(column, () => {
        pdf.text(styled(pdf, cell || ' ', { ...style, size }), at, y + PAD, { width: columns[column] ?? 0 });
      });
      x += (columns[column] ?? 0) + 2 * PAD;
    });
  };
  const HEAD: Style = { bold: true, color: SOFT };
  const struct = pdf.struct('Table', { title: table.caption });
  parent.add(struct);
  if (pdf.y + headHeight * 2 > bottomOf(pdf)) pdf.addPage();
  let y = pdf.y;
  const headRow = pdf.struct('TR');
  struct.add(headRow);
  cellsAt(table.head, y, HEAD, (_, draw) => {
    addHead(pdf, headRow, 'Column', draw);
  });
  headRow.end();
  pdf.x = left;
  pdf.y = y = y + headHeight;
  rule(pdf, INK);
  for (const row of table.rows) {
    const height = heightOf(row, {});
    if (y + height > bottomOf(pdf)) {
      pdf.addPage();
      y = pdf.y;
      if (headHeight + height <= bottomOf(pdf) - y) {
        artifact(pdf, () => cellsAt(table.head, y, HEAD, (_, draw) => draw()));
        pdf.x = left;
        pdf.y = y = y + headHeight;
        rule(pdf, INK);
      }
    }
    const rowStruct = pdf.struct('TR');
    struct.add(rowStruct);
    if (y + height > bottomOf(pdf)) y = asLines(pdf, rowStruct, table.head, row, size);
    else {
      cellsAt(row, y, {}, (column, draw) => {
        if (table.compares && column === 0) addHead(pdf, rowStruct, 'Row', draw);
        else rowStruct.add(pdf.struct('TD', {}, draw));
      });
      y += height;
    }
    rowStruct.end();
    pdf.x = left;
    pdf.y = y;
    rule(pdf, LINE);
  }
  struct.end();
  pdf.x = left;
  pdf.y = y + 2 * PAD;
}

/** A cell that names what stands below it, or beside it. */
function addHead(pdf: Pdf, row: Struct, scope: 'Column' | 'Row', draw: () => void): void {
  const cell = pdf.struct('TH', {}, draw);
  const attributes = pdf.ref({ O: 'Table', Scope: scope });
  (cell as Struct & { dictionary: { data: Record<string, unknown> } }).dictionary.data['A'] = attributes;
  (attributes as unknown as { end: () => void }).end();
  row.add(cell);
}

/** A row that no page holds: its cells one below the other, each with its heading, flowing on. */
function asLines(
  pdf: Pdf,
  row: Struct,
  head: readonly string[],
  cells: readonly string[],
  size: number,
): number {
  cells.forEach((cell, column) => {
    pdf.x = pdf.page.margins.left;
    textAs(
      pdf,
      row,
      'TD',
      [
        [`${head[column] ?? ''}: `, { size, color: SOFT }],
        [cell, { size }],
      ],
      { width: widthOf(pdf) },
    );
  });
  return pdf.y + PAD;
}
