/**
 * Before driving: what the history of a machine says to the person who goes there, and what to pack. All of it is read
 * from entries; what nobody wrote is said to be unknown, never guessed. kg, days.
 */
import { z } from 'zod';
import { rateOf } from '../diagnosis/leaking';
import { leakingMachine } from '../diagnosis/leakingMachine';
import { maybe } from '../logbook/fields';
import type { DatedEntry } from '../logbook/order';
import type { Day } from '../quantity/day';
import type { Standing } from '../rules/standing';
import { type GasSum, gasOfVisit } from './gasOfVisit';
import {
  type FittedPart,
  type ReplacedAgain,
  fittedParts,
  replacedAgain,
  temporaryParts,
} from './partsFitted';

export interface LeakPlace {
  place: string;
  times: number;
  lastOn: Day;
}

export interface Handover {
  on: Day;
  by: string;
  /** notes to the next person, odd settings with their reason, parts and things to bring */
  notes: string | null;
  oddSettings: string | null;
  bring: string | null;
}

export interface BeforeDriving {
  /** where it leaked before, the most frequent first */
  leakPlaces: readonly LeakPlace[];
  /** all gas of the last day on which any moved */
  lastGas: { on: Day; added: GasSum; recovered: GasSum } | null;
  /** kg likely missing by now from its present rate; null where the additions do not say */
  missing: number | null;
  handover: Handover | null;
  /** the last settings of the low-pressure control that were kept, in words */
  control: { on: Day; words: string } | null;
  temporary: readonly FittedPart[];
  again: readonly ReplacedAgain[];
  /** a leak was found up there before */
  roof: boolean;
}

const handoverFields = z.object({
  nextPerson: maybe(z.string()),
  oddSettings: maybe(z.string()),
  bring: maybe(z.string()),
});
const controlFields = z.object({ tool: z.literal('control'), summary: z.string() });

export function beforeDriving(standing: Standing): BeforeDriving {
  const { entries, asOf } = standing.history;
  const parts = fittedParts(entries);
  const leakPlaces = leakPlacesOf(entries);
  const leaking = leakingMachine(standing);
  return {
    leakPlaces,
    lastGas: lastGasOf(standing),
    missing: leaking.ok
      ? Math.min(leaking.machine.fullCharge, rateOf(leaking.machine) * leaking.machine.daysSinceGas)
      : null,
    handover: lastHandover(entries),
    control: lastControl(entries),
    temporary: temporaryParts(parts),
    again: replacedAgain(parts, asOf),
    roof: leakPlaces.some((each) => /\broof\b/i.test(each.place)),
  };
}

function leakPlacesOf(entries: readonly DatedEntry[]): LeakPlace[] {
  const places = new Map<string, LeakPlace>();
  for (const { day, entry } of entries) {
    if (entry.kind !== 'leakFound') continue;
    const place = [entry.component, entry.location].filter(Boolean).join(', ');
    if (place === '') continue;
    const known = places.get(place.toLowerCase());
    places.set(place.toLowerCase(), { place, times: (known?.times ?? 0) + 1, lastOn: day });
  }
  return [...places.values()].sort((a, b) => b.times - a.times || b.lastOn - a.lastOn);
}

function lastGasOf({ history }: Standing): BeforeDriving['lastGas'] {
  const on = history.gas.findLast(({ entry }) => entry.kind !== 'retrofitted')?.day;
  if (on === undefined) return null;
  const { added, recovered } = gasOfVisit(history.entries.filter(({ day }) => day === on));
  return { on, added, recovered };
}

const filled = (text: string | null | undefined): string | null => text?.trim() || null;

function lastHandover(entries: readonly DatedEntry[]): Handover | null {
  for (const { day, entry } of entries.toReversed()) {
    if (entry.kind !== 'handover') continue;
    const read = handoverFields.safeParse(entry);
    if (!read.success) continue;
    const { nextPerson, oddSettings, bring } = read.data;
    const handover = {
      on: day,
      by: entry.by,
      notes: filled(nextPerson) ?? filled(entry.note),
      oddSettings: filled(oddSettings),
      bring: filled(bring),
    };
    if (handover.notes ?? handover.oddSettings ?? handover.bring) return handover;
  }
  return null;
}

function lastControl(entries: readonly DatedEntry[]): BeforeDriving['control'] {
  for (const { day, entry } of entries.toReversed()) {
    const read = entry.kind === 'readings' ? controlFields.safeParse(entry) : null;
    if (read?.success) return { on: day, words: read.data.summary };
  }
  return null;
}
