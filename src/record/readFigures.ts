/** What the readings of a visit amount to on this machine, and at what its two sides run. */
import { CONDENSER_SPLIT } from '../core/calculators/targets';
import { type SaturationTable, saturationPressure } from '../core/refrigerant/saturation';
import { unitSystemOf } from '../core/rules/massSystem';
import type { Running } from '../core/visit/leaks/evidence';
import { type Figures, figuresOf } from '../core/visit/readings/figures';
import { type ReadingsSoFar, readNumber } from '../core/visit/visitRecord';
import type { UnitSystem } from '../words/measures';
import { usualDifference } from './circuitOf';
import type { FoldedMachine } from './foldedMachine';
import { atmosphereOf } from './place';

/** A warm day, K: what the high side must stand. */
const WARMEST_K = 308.15;

type Of = Pick<FoldedMachine, 'machine' | 'standing'>;

export const unitsOf = (view: Of): UnitSystem => unitSystemOf(view.machine.site);

/** Figures of readings; `recovered`: share of the charge weighed out. Null while the table of this refrigerant is not there. */
export const figuresFor =
  (view: Of, table: SaturationTable | null, recovered: number | null = null) =>
  (so: ReadingsSoFar): Figures | null =>
    table === null
      ? null
      : figuresOf(so, {
          table,
          atmosphere: atmosphereOf(view.machine.site),
          difference: usualDifference(view),
          split:
            view.machine.appliance.kind === 'chiller'
              ? CONDENSER_SPLIT.waterCooled
              : CONDENSER_SPLIT.standard,
          recovered,
        });

/** What box and air ask of the low side, a warm day of the high side; never what an empty machine reads. */
export function runningOf(view: Of, latest: ReadingsSoFar, table: SaturationTable | null): Running {
  const high = readNumber(latest, 'head');
  const warm = table && saturationPressure(table, 'bubble', WARMEST_K + CONDENSER_SPLIT.standard);
  return {
    low: figuresFor(view, table)(latest)?.aim?.suction ?? readNumber(latest, 'suction'),
    high: warm?.ok ? Math.max(warm.value, high ?? 0) : high,
    atmosphere: atmosphereOf(view.machine.site),
  };
}
