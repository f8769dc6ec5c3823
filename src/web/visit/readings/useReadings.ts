/** The readings of this visit as a series, with what they amount to and what they were last time. */
import { useMemo } from 'react';
import type { Figures } from '../../../core/visit/readings/figures';
import { type ReadingTaken, readingSeries } from '../../../core/visit/readings/series';
import { recoveredShare } from '../../../core/visit/gasOfVisit';
import { type Quantity, valueOf } from '../../../core/visit/notes/stated';
import type { ReadingsSoFar } from '../../../core/visit/visitRecord';
import { quantityWords } from '../../../words/stated';
import { figuresFor } from '../../../record/readFigures';
import { useTable } from '../../data/api/useTable';
import { useVisit } from '../visitContext';

export interface Readings {
  series: readonly ReadingTaken[];
  /** the latest of each, however old */
  latest: ReadingsSoFar;
  /** what still speaks for the machine as it is */
  now: ReadingsSoFar;
  /** of readings, when the table of this refrigerant is there */
  figuresFor: (so: ReadingsSoFar) => Figures | null;
  /** what a place showed in the visit before, in words */
  lastTime: (name: string) => string | null;
}

export function useReadings(): Readings {
  const { readings, record, view, visitId } = useVisit();
  const table = useTable(view.standing.present.refrigerant?.name ?? null).data;
  return useMemo(() => {
    return {
      ...readings,
      figuresFor: figuresFor(
        view,
        table ?? null,
        recoveredShare(record.entries, view.standing.present.fullCharge),
      ),
      lastTime: (name) => {
        // Only asked when a keypad opens: the visit before, from the newest back.
        const before = view.standing.history.entries.filter(({ entry }) => entry.visitId !== visitId);
        const last = readingSeries(before).findLast((each) => each.name === name && each.part === null);
        const given = last && valueOf<Quantity | string>(last.given);
        return given ? (typeof given === 'string' ? given : quantityWords(given)) : null;
      },
    };
  }, [readings, record, view, visitId, table]);
}
