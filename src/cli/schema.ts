/** `npm run schema`: writes the JSON Schema of the open format, from the same Zod schemas that read it. */
import { writeFileSync } from 'node:fs';
import { formatSchema } from './formatSchema';

const SCHEMA_FILE = 'docs/format/green-abacus-logbook.schema.json';

writeFileSync(SCHEMA_FILE, `${JSON.stringify(formatSchema(), null, 2)}\n`);
