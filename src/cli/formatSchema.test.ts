import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { formatSchema } from './formatSchema';

it('the committed schema of the format is the one that the reader follows; if not, run npm run schema', () => {
  const committed: unknown = JSON.parse(readFileSync('docs/format/green-abacus-logbook.schema.json', 'utf8'));
  expect(committed).toEqual(JSON.parse(JSON.stringify(formatSchema())));
});
