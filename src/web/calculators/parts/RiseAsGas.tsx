/** What a climb under vacuum is as gas a year at work: a range, since nobody knows the kind of the leak. */
import type { RiseJudged } from '../../../core/bench/evacuation/judgeRise';
import { yearlyOutcome } from '../../../core/bench/lossAsGas';
import { type LeakingCircuit, yearlyLoss } from '../../../core/bench/evacuation/vacuumLeak';
import { LossAsGas } from './LossAsGas';

export function RiseAsGas({
  judged,
  circuit,
  fullCharge,
}: {
  judged: RiseJudged;
  circuit: LeakingCircuit | null;
  fullCharge: number | null;
}) {
  if (judged.word === 'gauge' || judged.word === 'notIsolated') return null;
  if (circuit === null)
    return <p className="text-soft">Type the volume of the system to see what could hide as gas a year.</p>;
  const yearly = yearlyLoss(circuit, judged.leakRate.high);
  const share = fullCharge === null ? null : Math.round((100 * yearly.high) / fullCharge);
  return (
    <LossAsGas
      table={circuit.table}
      outcome={yearlyOutcome(yearly, circuit.volume, judged.leakRate.high)}
      label={judged.leak >= 0.5 ? 'at the most' : 'what could still hide'}
      more={`${share === null ? '' : `; at most ${share.toLocaleString('en')} % of the full charge a year`}. A vacuum is a weak test for leaks: a pressure test shows smaller ones`}
    />
  );
}
