/** Sorts what is due into days and sites, folding the same duty of several packs into one row. */
import type { DueRow } from '../../contract/api';
import type { PackId } from '../../core/logbook/fields';
import { dayOf } from '../../core/quantity/day';

export const GROUPS = ['overdue', 'week', 'month', 'later'] as const;
export type Group = (typeof GROUPS)[number];

export const GROUP_WORDS: Record<Group, string> = {
  overdue: 'Overdue',
  week: 'This week',
  month: 'This month',
  later: 'Later',
};

export interface FoldedDuty extends DueRow {
  packs: PackId[];
}

const WEEK_DAYS = 7;
const MONTH_DAYS = 31;

/** By days left: late; within a week; within a month; later. */
export function groupOf(row: DueRow): Group {
  const left = dayOf(row.due) - dayOf(row.today);
  if (left < 0) return 'overdue';
  if (left <= WEEK_DAYS) return 'week';
  return left <= MONTH_DAYS ? 'month' : 'later';
}

/** One row for each machine, duty and day, naming all packs that ask for it. */
export function folded(rows: readonly DueRow[]): FoldedDuty[] {
  const byKey = new Map<string, FoldedDuty>();
  for (const row of rows) {
    const key = [row.machineId, row.kind, row.due].join(' ');
    const known = byKey.get(key);
    if (!known) byKey.set(key, { ...row, packs: [row.pack] });
    else if (!known.packs.includes(row.pack)) known.packs.push(row.pack);
  }
  return [...byKey.values()];
}

export function grouped(rows: readonly FoldedDuty[]): Map<Group, FoldedDuty[]> {
  const groups = new Map<Group, FoldedDuty[]>(GROUPS.map((group) => [group, []]));
  for (const row of rows) groups.get(groupOf(row))?.push(row);
  return groups;
}

export interface Trip {
  siteId: string;
  siteName: string;
  due: number;
  late: number;
}

/** Sites with something due within a month, the latest first: where to drive. */
export function trips(rows: readonly FoldedDuty[]): Trip[] {
  const bySite = new Map<string, Trip>();
  for (const row of rows) {
    const group = groupOf(row);
    if (group === 'later') continue;
    const trip = bySite.get(row.siteId) ?? { siteId: row.siteId, siteName: row.siteName, due: 0, late: 0 };
    trip.due += 1;
    if (group === 'overdue') trip.late += 1;
    bySite.set(row.siteId, trip);
  }
  return [...bySite.values()].sort((a, b) => b.late - a.late || b.due - a.due);
}
