/** The logbook of a store, or a part of it, taken out and read again. */
import { type Logbook, readLogbook } from '../core/logbook/logbook';
import { exportText } from './exports/logbooks';
import type { Services } from './services';

export async function exported(
  { database, clock }: Pick<Services, 'database' | 'clock'>,
  scope: object = {},
): Promise<Logbook> {
  let text = '';
  for await (const piece of exportText(database.db, clock, scope)) text += piece;
  const read = readLogbook(JSON.parse(text));
  if (!read.ok) throw new Error(JSON.stringify(read.refusal.slice(0, 3)));
  return read.value;
}
