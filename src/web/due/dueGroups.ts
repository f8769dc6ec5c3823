/** Sorts what is due into groups by the days that are left. */
import { DUE_GROUPS, type DueGroup, type DueRow, dueGroupOf } from '../../contract/api';
import { dayOf } from '../../core/quantity/day';

export const GROUP_WORDS: Record<DueGroup, string> = {
  overdue: 'Overdue',
  week: 'This week',
  month: 'This month',
  later: 'Later',
};

export const groupOf = (row: DueRow): DueGroup => dueGroupOf(dayOf(row.due), dayOf(row.today));

export function grouped(rows: readonly DueRow[]): Map<DueGroup, DueRow[]> {
  const groups = new Map<DueGroup, DueRow[]>(DUE_GROUPS.map((group) => [group, []]));
  for (const row of rows) groups.get(groupOf(row))?.push(row);
  return groups;
}
