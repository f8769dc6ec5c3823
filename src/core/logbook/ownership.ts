/** Whose a site was on a day: ownership is dated, so that a sale rewrites nothing of the past. */
import { type Day, dayOf } from '../quantity/day';
import type { Site } from './tables';

/**
 * Id of the owner on a day: the one with the latest `from` on or before it, whatever the order of the list; before the
 * first, and without a list, `ownerId`. Null where nobody recorded it.
 */
export function ownerOn(site: Pick<Site, 'ownerId' | 'owners'>, day: Day): string | null {
  let latest: { from: Day; ownerId: string | null } | null = null;
  for (const each of site.owners ?? []) {
    const from = dayOf(each.from);
    if (from <= day && (latest === null || from >= latest.from)) latest = { from, ownerId: each.ownerId };
  }
  return latest === null ? (site.ownerId ?? null) : latest.ownerId;
}

/** Whether somebody owned a site on any day from `from` to `to`, both included. */
export const ownedIn = (
  site: Pick<Site, 'ownerId' | 'owners'>,
  ownerId: string,
  from: Day,
  to: Day,
): boolean =>
  [
    from,
    ...(site.owners ?? []).map((each) => dayOf(each.from)).filter((day) => day > from && day <= to),
  ].some((day) => ownerOn(site, day) === ownerId);
