/** The logbook of a store, or a part of it, taken out and read again. */
import { type Logbook, readLogbook } from '../core/logbook/logbook';
import { exportText } from './logbooks';
import type { Tables } from './store/database';

export async function exported(db: Tables, scope: object): Promise<Logbook> {
  let text = '';
  for await (const piece of exportText(db, scope)) text += piece;
  const read = readLogbook(JSON.parse(text));
  if (!read.ok) throw new Error(JSON.stringify(read.refusal.slice(0, 3)));
  return read.value;
}
