/** A machine's whole record, read page by page where it is long, and going on with what is written. */
import type { AnswerOf } from '../../../contract/endpoints';
import type { Entry } from '../../../core/logbook/entry';
import { ask } from './api';

export type MachineRecord = AnswerOf<'machine'>;

/** Each entry once: one that reaches over from another machine may stand on two pages. */
function joined(older: readonly Entry[], newer: readonly Entry[]): Entry[] {
  const known = new Set(newer.map((entry) => entry.id));
  return [...older.filter((entry) => !known.has(entry.id)), ...newer];
}

/** `tell` hears what is there after each page, with how many entries are read. */
export async function readMachine(
  id: string,
  signal: AbortSignal,
  tell: (head: MachineRecord & { read: number }) => void,
): Promise<MachineRecord> {
  let machine = await ask('machine', { parts: { id } }, signal);
  tell({ ...machine, read: machine.entries.length });
  while (machine.before !== null) {
    const older = await ask('machineEntries', { parts: { id }, query: { before: machine.before } }, signal);
    machine = { ...machine, entries: joined(older.entries, machine.entries), before: older.before };
    tell({ ...machine, read: machine.entries.length });
  }
  return machine;
}

/** The record with entries that were just accepted, as far as they are its own or bear on what it holds. */
export function machineAfter(machine: MachineRecord, accepted: readonly Entry[]): MachineRecord {
  const ids = new Set(
    machine.entries.flatMap(({ id, supersedes }) => [id, ...(supersedes == null ? [] : [supersedes])]),
  );
  const bearing = accepted.filter(
    (entry) =>
      entry.applianceId === machine.appliance.id || (entry.supersedes != null && ids.has(entry.supersedes)),
  );
  return { ...machine, entries: joined(machine.entries, bearing) };
}
