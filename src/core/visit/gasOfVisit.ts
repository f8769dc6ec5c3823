/** Gas of a visit for its paper: what was weighed, what was not and why, and what was let go by opening a part, in grams. */
import { z } from 'zod';
import { RECOVERED } from '../diagnosis/observe';
import type { DatedEntry } from '../logbook/order';
import { type ExactGrams, exactGrams } from '../quantity/mass';
import { toolOf } from './notes/notes';

export interface GasSum {
  weighed: ExactGrams;
  times: number;
  /** reasons why nobody weighed, one for each time */
  notWeighed: readonly string[];
}

export interface GasOfVisit {
  added: GasSum;
  recovered: GasSum;
  /** g, an estimate; null where nothing was recorded as let go */
  released: number | null;
}

const releaseResult = z.object({ result: z.object({ mass: z.number() }) });

/** `entries`: effective ones of the visit. A weight that nobody took is never a figure. */
export function gasOfVisit(entries: readonly DatedEntry[]): GasOfVisit {
  const sumOf = (kind: 'refrigerantAdded' | 'refrigerantRecovered'): GasSum => {
    let weighed = 0n;
    let times = 0;
    const notWeighed: string[] = [];
    for (const { entry } of entries) {
      if (entry.kind !== kind) continue;
      times += 1;
      if (entry.mass) weighed += exactGrams(entry.mass);
      else notWeighed.push(entry.massUnknown ?? '');
    }
    return { weighed: weighed as ExactGrams, times, notWeighed };
  };
  const releases = entries.flatMap(({ entry }) => {
    if (toolOf(entry) !== 'release') return [];
    const read = releaseResult.safeParse(entry);
    return read.success ? [read.data.result.mass * 1000] : [];
  });
  return {
    added: sumOf('refrigerantAdded'),
    recovered: sumOf('refrigerantRecovered'),
    released: releases.length === 0 ? null : releases.reduce((sum, each) => sum + each, 0),
  };
}

/**
 * Share of the full charge that was weighed out before anything went in; null where it is not known, or less than all of it:
 * who takes out a part has not shown how much there was.
 */
export function recoveredShare(entries: readonly DatedEntry[], fullCharge: ExactGrams | null): number | null {
  const { added, recovered } = gasOfVisit(entries);
  if (fullCharge === null || added.times > 0 || recovered.notWeighed.length > 0) return null;
  const share = Number(recovered.weighed) / Number(fullCharge);
  return share >= RECOVERED.all ? share : null;
}
