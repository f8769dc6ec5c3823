/** The readings of this visit as a series, with what they amount to and what they were last time. */
import { useMemo } from 'react';
import { CONDENSER_SPLIT } from '../../../core/bench/targets';
import { type Figures, figuresOf } from '../../../core/visit/readings/figures';
import { type Taken, readingSeries } from '../../../core/visit/readings/series';
import { type Measured, valueOf } from '../../../core/visit/stated';
import type { ReadingsSoFar } from '../../../core/visit/visitRecord';
import { usualDifference } from '../../../record/circuitOf';
import { useTable } from '../../data/useTable';
import { useVisit } from '../visitContext';

export interface Readings {
  series: readonly Taken[];
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
  const { readings, view, visitId, atmosphere } = useVisit();
  const table = useTable(view.standing.present.refrigerant.name).data;
  const difference = usualDifference(view);
  const water = view.machine.appliance.kind === 'chiller';
  return useMemo(() => {
    return {
      ...readings,
      figuresFor: (so) =>
        table
          ? figuresOf(so, {
              table,
              atmosphere,
              difference,
              split: water ? CONDENSER_SPLIT.waterCooled : CONDENSER_SPLIT.standard,
            })
          : null,
      lastTime: (name) => {
        // Only asked when a keypad opens: the visit before, from the newest back.
        const before = view.standing.history.entries.filter(({ entry }) => entry.visitId !== visitId);
        const last = readingSeries(before).findLast((each) => each.name === name && each.part === null);
        const given = last && valueOf<Measured | string>(last.given);
        return given ? (typeof given === 'string' ? given : given.typed) : null;
      },
    };
  }, [readings, view, visitId, table, difference, water, atmosphere]);
}
