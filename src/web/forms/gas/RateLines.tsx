/** The rates of an addition by both methods with their workings, and what each rule says to them. */
import type { LeakLabels } from '../../../core/logbook/leakLabels';
import type { MassSystem } from '../../../core/quantity/mass';
import { judgedRate } from '../../../core/rules/judgedRate';
import { type AdditionRate, type GasLedger, PERCENT_SCALE } from '../../../core/rules/leakRate';
import { WorkingDisclosure } from '../../parts/Working';
import { METHOD_WORDS } from '../../../words/codes';
import { capped } from '../../../words/list';
import { knownRateFigure, percentText } from '../../../words/rod';
import { annualizingWorking, rollingWorking, verdicts } from '../../../words/working';

export function RateLines({
  rate,
  ledger,
  system,
  labels,
}: {
  rate: AdditionRate;
  ledger: GasLedger;
  system: MassSystem;
  labels: LeakLabels;
}) {
  const both = [
    { method: 'annualizing' as const, working: annualizingWorking(rate, ledger, system, labels) },
    { method: 'rolling' as const, working: rollingWorking(rate, ledger, system) },
  ];
  const judged = judgedRate(rate, ledger);
  return (
    <>
      {both.map(({ method, working }) => {
        const { millionths } = rate[method];
        const its = method === rate.method;
        const alone = millionths === null ? null : percentText(millionths / PERCENT_SCALE);
        const figure = its ? knownRateFigure(judged) : alone;
        const words = figure === null ? 'Cannot be judged' : `${capped(figure)} a year`;
        const own = its ? ' (the method of this site)' : '';
        return (
          <WorkingDisclosure
            key={method}
            label={`${words}, ${METHOD_WORDS[method]}${own}`}
            working={working}
          />
        );
      })}
      {verdicts(rate).map(({ pack, threshold, exceeds, source }) => (
        <p
          key={pack}
          className={`font-semibold ${exceeds === true ? 'text-brick' : exceeds === null ? 'text-ochre' : 'text-green'}`}
        >
          {verdictWords(pack, threshold, exceeds)}
          <span className="font-normal text-soft"> · {source}</span>
        </p>
      ))}
    </>
  );
}

function verdictWords(pack: string, threshold: number, exceeds: boolean | null): string {
  if (exceeds === null) return `? ${pack}: cannot be judged against ${String(threshold)} %`;
  return exceeds
    ? `◆ Exceeds ${String(threshold)} % (${pack})`
    : `○ Stays within ${String(threshold)} % (${pack})`;
}
