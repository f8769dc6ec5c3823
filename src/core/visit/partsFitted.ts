/**
 * Parts by date: temporary ones that are still in the machine (clamp-on valve, burn-out drier, bypass, dye) with the day by
 * which they go, and parts replaced again within a year, which is a sign to look for the cause.
 */
import { z } from 'zod';
import { calendarDate, maybe } from '../logbook/fields';
import type { DatedEntry } from '../logbook/order';
import { type Day, dayOf } from '../quantity/day';

/** What the part form writes; entries of other tools may lack any of it. */
const partFields = z.object({
  part: maybe(z.string()),
  place: maybe(z.string()),
  temporary: maybe(z.boolean()),
  removeBy: maybe(calendarDate),
  /** id of the entry that fitted what now came out */
  removes: maybe(z.string()),
});

export interface FittedPart {
  entryId: string;
  part: string;
  place: string | null;
  fittedOn: Day;
  temporary: boolean;
  removeBy: Day | null;
  removes: string | null;
}

/** Every part that was noted, in the order of the logbook; one without a name is left out. */
export function fittedParts(entries: readonly DatedEntry[]): FittedPart[] {
  return entries.flatMap(({ day, entry }) => {
    if (entry.kind !== 'partFitted') return [];
    const read = partFields.safeParse(entry);
    const part = read.success ? read.data.part?.trim() : null;
    if (!read.success || !part) return [];
    return [
      {
        entryId: entry.id,
        part,
        place: read.data.place?.trim() || null,
        fittedOn: day,
        temporary: read.data.temporary ?? false,
        removeBy: read.data.removeBy == null ? null : dayOf(read.data.removeBy),
        removes: read.data.removes ?? null,
      },
    ];
  });
}

/** Temporary parts that nothing has taken out yet; those without a day by which they go come first, then by that day. */
export function temporaryParts(parts: readonly FittedPart[]): FittedPart[] {
  const removed = new Set(parts.map((each) => each.removes));
  return parts
    .filter((each) => each.temporary && !removed.has(each.entryId))
    .sort((a, b) => (a.removeBy ?? 0) - (b.removeBy ?? 0));
}

export interface ReplacedAgain {
  part: string;
  place: string | null;
  days: readonly Day[];
}

const AGAIN_DAYS = 365;

/** Same part at the same place fitted again within a year before `asOf`, the temporary ones aside. */
export function replacedAgain(parts: readonly FittedPart[], asOf: Day): ReplacedAgain[] {
  const groups = new Map<string, FittedPart[]>();
  for (const each of parts) {
    if (each.temporary || asOf - each.fittedOn > AGAIN_DAYS) continue;
    const key = `${each.part} | ${each.place ?? ''}`.toLowerCase();
    groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  return [...groups.values()].flatMap((group) => {
    const [first] = group;
    return first && group.length > 1
      ? [{ part: first.part, place: first.place, days: group.map((each) => each.fittedOn) }]
      : [];
  });
}
