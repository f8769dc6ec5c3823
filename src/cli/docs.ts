/** `npm run docs`: what is written about the house by the house itself: JSON Schema, the tables of entries and parts, the drawing of rooms. */
import { readFileSync, writeFileSync } from 'node:fs';
import { format, resolveConfig } from 'prettier';
import { entriesTable } from './entriesTable';
import { formatSchema } from './formatSchema';
import { partsTable } from './partsTable';
import { withDrawing } from './roomsDrawing';

const settings = await resolveConfig('package.json');
const markdown = (text: string): Promise<string> => format(text, { ...settings, parser: 'markdown' });

writeFileSync('docs/format/green-abacus-logbook.schema.json', `${JSON.stringify(formatSchema(), null, 2)}\n`);
writeFileSync('docs/format/entries.md', await markdown(entriesTable()));
writeFileSync('docs/format/piping.md', await markdown(partsTable()));
writeFileSync('CONTRIBUTING.md', await markdown(withDrawing(readFileSync('CONTRIBUTING.md', 'utf8'))));
