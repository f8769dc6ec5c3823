/** What the gas that is typed would mean, folded only when something is typed that bears on it. */
import { useMemo } from 'react';
import type { Entry } from '../../../core/logbook/entry';
import { ACCEPTED } from '../../../core/logbook/sense';
import type { Cylinder } from '../../../core/logbook/tables';
import { type Day, dayText } from '../../../core/quantity/day';
import { placedInDay } from '../../../record/placeInDay';
import { type Beforehand, type GasPreview, beforehand, previewOf } from '../../data/api/gasPreview';
import { type Machine, usePacks } from '../../data/api/standing';

/** What bears on the standing: a note or a reason that is typed folds nothing anew. */
const bearing = (entry: Entry): string =>
  JSON.stringify({
    ...entry,
    note: null,
    by: 'whoever',
    correctionReason: entry.supersedes && 'as if',
    [ACCEPTED]: null,
  });

interface Place {
  machine: Machine;
  today: Day;
  visitId: string | null;
  /** the day that is typed */
  on: string;
  supersedes: string | null;
  cylinders: readonly Cylinder[];
}

export function useGasPreview(
  entry: Entry | null,
  { machine, today, visitId, on, supersedes, cylinders }: Place,
): GasPreview | null {
  const packs = usePacks();
  const without = useMemo(
    () => beforehand(machine, packs, today, on, supersedes),
    [machine, packs, today, on, supersedes],
  );
  return usePreviewOf(entry === null ? null : bearing(entry), without, cylinders, visitId);
}

function usePreviewOf(
  typed: string | null,
  without: Beforehand,
  cylinders: readonly Cylinder[],
  visitId: string | null,
): GasPreview | null {
  return useMemo(() => {
    if (typed === null) return null;
    const entry = JSON.parse(typed) as Entry;
    // Behind all that was written before, as it will be when it is saved.
    const at = new Date().toISOString();
    return previewOf(placedInDay(entry, { visitId, today: dayText(without.today), at }), without, cylinders);
  }, [typed, without, cylinders, visitId]);
}
