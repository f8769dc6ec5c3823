/** What papers are put together from. */
import type { Block, Content, Line } from '../contract/paper';

export type { Block, Content, Fact, Line, Paper, Photo } from '../contract/paper';

/** the box in which a signature's path is drawn */
export const SIGNATURE_BOX = { width: 400, height: 120 } as const;

export const NOT_RECORDED = 'not recorded';
export const NOT_READ = 'not read';

export const linesOf = (lines: readonly Line[]): Content => ({ type: 'lines', lines });
export const words = (text: string): Content => linesOf([{ words: text }]);
export const absent = (text = NOT_RECORDED): Line => ({ words: text, weight: 'absent' });

/** A table, or the sentence that it would be empty. */
export const tableOr = (
  empty: string,
  caption: string,
  head: readonly string[],
  rows: readonly (readonly string[])[],
): Content => (rows.length === 0 ? linesOf([absent(empty)]) : { type: 'table', caption, head, rows });

/** A block over the whole width, of the contents that there are. */
export const wideBlock = (title: string, ...contents: readonly (Content | null)[]): Block => ({
  title,
  wide: true,
  contents: contents.filter((each) => each !== null),
});

/** Blocks that say something. */
export const present = (...blocks: readonly (Block | null)[]): Block[] =>
  blocks.filter((block): block is Block => block !== null && block.contents.length > 0);
