/**
 * Which entries count, and in which order. An entry that another names in `supersedes` is superseded, whatever
 * became of the other; where several name the same one, the greatest id lives. What counts is ordered by day
 * at the site, then instant (entries without one first), then id by code unit.
 */
import { type Day, dayOf } from '../quantity/day';
import type { Entry } from './entry';
import { asNamedToday } from './olderNames';

/** An entry with its day as a number. */
export interface DatedEntry {
  day: Day;
  entry: Entry;
}

/** The ids of all superseded entries among these. */
export function supersededIds(entries: readonly Pick<Entry, 'id' | 'supersedes'>[]): Set<string> {
  const superseded = new Set<string>();
  const heir = new Map<string, string>();
  for (const entry of entries) {
    const target = entry.supersedes;
    if (target == null) continue;
    superseded.add(target);
    const rival = heir.get(target);
    if (rival === undefined) heir.set(target, entry.id);
    else {
      superseded.add(rival < entry.id ? rival : entry.id);
      if (rival < entry.id) heir.set(target, entry.id);
    }
  }
  return superseded;
}

/** Entries by the id of their machine; those of no machine are left out. */
export function entriesByMachine(entries: readonly Entry[]): Map<string, Entry[]> {
  const byMachine = new Map<string, Entry[]>();
  for (const entry of entries) {
    if (entry.applianceId == null) continue;
    const own = byMachine.get(entry.applianceId);
    if (own) own.push(entry);
    else byMachine.set(entry.applianceId, [entry]);
  }
  return byMachine;
}

/** The same, each with entries of another machine or of none that correct one of its own, or rival its own corrections. */
export function bearingByMachine(entries: readonly Entry[]): Map<string, Entry[]> {
  const correcting = new Map<string, Entry[]>();
  for (const entry of entries)
    if (entry.supersedes != null)
      correcting.set(entry.supersedes, [...(correcting.get(entry.supersedes) ?? []), entry]);
  const byMachine = entriesByMachine(entries);
  for (const [machine, own] of byMachine) {
    const reaching = own
      .flatMap(({ id, supersedes }) => [
        ...(correcting.get(id) ?? []),
        ...(supersedes == null ? [] : (correcting.get(supersedes) ?? [])),
      ])
      .filter(({ applianceId }) => applianceId !== machine);
    own.push(...new Set(reaching));
  }
  return byMachine;
}

/** What stands of one machine among the entries that bear on it. */
export function effectiveOf(bearing: readonly Entry[], applianceId: string): Entry[] {
  const superseded = supersededIds(bearing);
  return bearing.filter(
    (entry) => entry.applianceId === applianceId && entry.kind !== 'void' && !superseded.has(entry.id),
  );
}

/** Effective entries of day `asOf` or before, in order. Corrections may cross machines, so give all entries. */
export function inOrder(
  entries: readonly Entry[],
  asOf: Day,
  superseded: ReadonlySet<string> = supersededIds(entries),
): DatedEntry[] {
  const dated: DatedEntry[] = [];
  for (const entry of entries) {
    if (entry.kind === 'void' || (superseded.size > 0 && superseded.has(entry.id))) continue;
    const day = dayOf(entry.on);
    if (day <= asOf) dated.push({ day, entry: asNamedToday(entry) });
  }
  return dated.sort(byOrder);
}

export function byOrder(a: DatedEntry, b: DatedEntry): number {
  if (a.day !== b.day) return a.day - b.day;
  return compareInstants(a.entry.at ?? null, b.entry.at ?? null) || (a.entry.id < b.entry.id ? -1 : 1);
}

function compareInstants(a: string | null, b: string | null): number {
  if (a === b) return 0;
  if (a === null) return -1;
  if (b === null) return 1;
  // Written alike in universal time, instants order as texts do.
  if (a.length === b.length && a.endsWith('Z') && b.endsWith('Z')) return compareText(a, b);
  return Date.parse(a) - Date.parse(b) || compareText(beyondMilliseconds(a), beyondMilliseconds(b));
}

/** Digits that Date.parse drops: instants a microsecond apart are still in order. */
const beyondMilliseconds = (at: string): string => (/\.\d{3}(\d+)/.exec(at)?.[1] ?? '').replace(/0+$/, '');

const compareText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);
