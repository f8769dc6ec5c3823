/** A loss as gas a year at work: a range, since nobody knows whether a leak is molecular or laminar. */
import type { Outcome } from '../../../core/calculators/calculated';
import type { Range } from '../../../core/calculators/series/explanation';
import { YEAR_S } from '../../../core/quantity/units';
import type { SaturationTable } from '../../../core/refrigerant/saturation';
import { Answer, Big } from './Answer';
import { roughRateWords } from '../../../words/measures';
import { useBench } from '../setting';

export function LossAsGas({
  table,
  outcome,
  label,
  more = '',
}: {
  table: SaturationTable;
  /** kg a year */
  outcome: Outcome<Range>;
  label: string;
  more?: string;
}) {
  const { system } = useBench();
  const rate = (kilograms: number): string => roughRateWords(kilograms / YEAR_S, system);
  return (
    <Answer outcome={outcome}>
      {({ low, high }) => (
        <Big
          label={`As ${table.name} at work, ${label}`}
          note={`an estimate: from a molecular leak, which grows as the pressure, to a laminar one, which grows as its square${more}`}
        >
          {rate(low)} to {rate(high)}
        </Big>
      )}
    </Answer>
  );
}
