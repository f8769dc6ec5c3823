/** The open format as JSON Schema: rows take the fields they know, and `x-…` fields. */
import { z } from 'zod';
import { logbookSchema } from '../core/logbook/logbook';

type Node = Record<string, unknown>;

/** Kinds that keep whatever their tool gives. */
const LOOSE = [
  'detectionAlarm',
  'readings',
  'pressureHold',
  'evacuation',
  'chargeRun',
  'partFitted',
  'search',
  'photo',
  'handover',
];

/** Rows are loose to Zod and check their own keys; in the schema that is a pattern. */
function closeRows(node: unknown): void {
  if (Array.isArray(node)) node.forEach(closeRows);
  else if (node !== null && typeof node === 'object') {
    const row = node as Node;
    if (row['type'] === 'object' && row['properties'] !== undefined) {
      const kind = ((row['properties'] as Node)['kind'] as Node | undefined)?.['const'];
      if (!LOOSE.includes(String(kind))) {
        row['patternProperties'] = { '^x-': {} };
        row['additionalProperties'] = false;
      }
    }
    Object.values(row).forEach(closeRows);
  }
}

export function formatSchema(): Node {
  const schema = z.toJSONSchema(logbookSchema, { io: 'input' }) as Node;
  closeRows(schema);
  return { title: 'green-abacus-logbook, version 1', ...schema };
}
