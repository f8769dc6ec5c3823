/** What a climb under vacuum is as gas a year at work: a range, since nobody knows the kind of the leak. */
import type { RiseJudged } from '../../../core/calculators/evacuation/judgeRise';
import { yearlyOutcome } from '../../../core/calculators/lossAsGas';
import { type LeakingCircuit, widest, yearlyLoss } from '../../../core/calculators/evacuation/vacuumLeak';
import { useBench } from '../setting';
import { LossAsGas } from './LossAsGas';

/** `circuits`: of one volume, or of the least and the most where it is known by its charge alone. */
export function RiseAsGas({
  judged,
  circuits,
  fullCharge,
}: {
  judged: RiseJudged;
  circuits: readonly LeakingCircuit[];
  fullCharge: number | null;
}) {
  const { show } = useBench();
  if (judged.word === 'gauge' || judged.word === 'notIsolated') return null;
  const [least] = circuits;
  const most = circuits.at(-1);
  if (!least || !most)
    return (
      <p className="text-soft">
        Type the volume of the system, or its full charge, to see what could hide as gas a year.
      </p>
    );
  const slope = judged.leakRate.high;
  const yearly = widest(circuits.map((each) => yearlyLoss(each, slope)));
  const share =
    fullCharge === null
      ? ''
      : `; at most ${Math.round((100 * yearly.high) / fullCharge).toLocaleString('en')} % of the full charge a year`;
  const byCharge =
    least === most
      ? ''
      : `; the volume by its charge, ${show('volume', least.volume)} to ${show('volume', most.volume)}`;
  return (
    <LossAsGas
      table={most.table}
      outcome={yearlyOutcome(yearly, most.volume, slope)}
      label={judged.leak >= 0.5 ? 'at the most' : 'what could still hide'}
      more={`${byCharge}${share}. A vacuum is a weak test for leaks: a pressure test shows smaller ones`}
    />
  );
}
