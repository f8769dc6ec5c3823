/** What the house writes about itself is current; if not, run npm run docs. */
import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { entriesTable } from './entriesTable';
import { formatSchema } from './formatSchema';
import { partsTable } from './partsTable';
import { BEGIN, END, roomsDrawing } from './roomsDrawing';

const page = (path: string): string => readFileSync(path, 'utf8');
/** Tables are padded by the formatter. */
const bare = (text: string): string => text.replace(/-+/g, '-').replace(/\s+/g, ' ').trim();

it('the schema of the format is the one that the reader follows', () => {
  const committed: unknown = JSON.parse(page('docs/format/green-abacus-logbook.schema.json'));
  expect(committed).toEqual(JSON.parse(JSON.stringify(formatSchema())));
});

it('the table of entries tells the records', () => {
  const table = bare(entriesTable());
  expect(bare(page('docs/format/entries.md'))).toBe(table);
  expect(table).toContain('| `refrigerantAdded` | Gas added | Charge | yes |');
});

it('the table of parts tells their types', () => {
  const table = bare(partsTable());
  expect(bare(page('docs/format/piping.md'))).toBe(table);
  expect(table).toContain('| `ballValve` | Ball valve | high | in flow, can be shut |');
});

it('the drawing of the rooms is that of the dependency check', () => {
  const [, drawn = ''] = page('CONTRIBUTING.md').split(BEGIN);
  expect(drawn.split(END)[0]).toContain(roomsDrawing());
  expect(roomsDrawing().indexOf('visit')).toBeLessThan(roomsDrawing().indexOf('quantity'));
});
