/** A paper before it is drawn: what it says, block by block. The screen and the PDF both draw from this. */
import type { Day } from '../core/quantity/day';
import type { CircuitMap } from '../core/circuit/map';
import type { Note } from '../core/visit/notes/notes';

type Marks = NonNullable<Note<'picture'>['marks']>;

export interface Line {
  label?: string;
  words: string;
  /** what weakens it, said aloud */
  but?: string;
  /** `absent`: nothing was written */
  weight?: 'strong' | 'warning' | 'absent';
}

export interface Photo {
  file: string;
  marks: Marks;
  words: string;
}

export type Content =
  | { type: 'lines'; lines: readonly Line[]; label?: string }
  /** `compares`: its first column names what the others show side by side */
  | {
      type: 'table';
      caption: string;
      head: readonly string[];
      rows: readonly (readonly string[])[];
      compares?: true;
    }
  | { type: 'photos'; groups: readonly (readonly Photo[])[] }
  /** `leaks`: how often each part leaked, by its id; `said`: the same in words */
  | { type: 'drawing'; map: CircuitMap; leaks: Readonly<Record<string, number>>; said: string }
  | { type: 'signature'; path: string; name: string };

export interface Block {
  title: string;
  /** takes the whole width of the page */
  wide?: boolean;
  contents: readonly Content[];
}

export type Fact = readonly [label: string, words: string];

export interface Paper {
  title: string;
  /** site and machine, or whom it covers */
  subject: string;
  /** the day as of which it tells */
  asOf: Day;
  facts: readonly Fact[];
  blocks: readonly Block[];
  /** how often what it tells was corrected after somebody may have had it */
  corrections: number;
}
