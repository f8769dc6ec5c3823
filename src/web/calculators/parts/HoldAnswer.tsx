/** The verdict on a hold: what fell, what temperature explains, and the chart of both. */
import { type HoldJudged } from '../../../core/bench/hold';
import { WEAK_WORDS } from '../../../words/bench';
import { bareFigure, readIn } from '../../../words/measures';
import { LazyCurves } from '../charts/LazyCurves';
import { Big, Caution, Verdict } from './Answer';
import { useBench } from '../setting';

export function HoldWords({ judged }: { judged: HoldJudged }) {
  const { show } = useBench();
  const { verdict } = judged;
  return (
    <>
      <Verdict tone={TONES[verdict.kind]} title={verdictTitle(judged, show)}>
        {verdict.kind === 'holding' &&
          `No loss larger than ${show('pressureRate', verdict.lossAtMost)} could hide in this.`}
        {verdict.kind === 'losing' &&
          `Give or take ${show('pressureRate', verdict.rateDoubt)}. Soap every joint that was touched.`}
        {verdict.kind === 'cannotTell' &&
          `A leak that matters could still hide. Let it stand ${show('duration', verdict.untilS)} in all, counted from the start.`}
        {verdict.kind === 'risen' &&
          'More than temperature explains: the gas was warmer than said, or a valve lets by from a higher side.'}
      </Verdict>
      <div className="grid gap-x-8 sm:grid-cols-2">
        <Big label="Expected at the end">{show('pressure', judged.expected)}</Big>
        <Big
          label="Measured against it"
          note={`gauge and temperatures leave ${show('pressureDifference', judged.doubt)} open, either way`}
        >
          {show('pressureDifference', judged.residual)}
        </Big>
      </div>
      {judged.weak.map((each) => (
        <Caution key={each}>{WEAK_WORDS[each]}</Caution>
      ))}
    </>
  );
}

const TONES = { holding: 'good', losing: 'bad', cannotTell: 'watch', risen: 'watch' } as const;

export function verdictTitle({ verdict }: HoldJudged, show: ReturnType<typeof useBench>['show']): string {
  switch (verdict.kind) {
    case 'holding':
      return 'Holding';
    case 'losing':
      return `Losing ${show('pressureRate', verdict.rate)}`;
    case 'cannotTell':
      return 'Cannot tell yet';
    case 'risen':
      return 'The pressure rose';
  }
}

export function HoldChart({
  judged,
  si,
  between,
}: {
  judged: HoldJudged;
  si: { start: number; end: number; stood: number };
  between: readonly { at: number; pressure: number }[];
}) {
  const { system, atmosphere } = useBench();
  const unit = readIn('pressure', system);
  const place = (at: number, pressure: number) => ({
    x: at / 60,
    y: bareFigure('pressure', pressure, unit, atmosphere),
  });
  const edge = (side: 1 | -1) =>
    bareFigure('pressure', judged.expected + side * judged.doubt, unit, atmosphere);
  return (
    <LazyCurves
      label="Pressure while it stood"
      x={{ name: 'Time', unit: 'min' }}
      y={{ name: 'Pressure', unit }}
      curves={[
        {
          name: 'expected from temperature alone',
          look: 'main',
          points: [place(0, si.start), place(si.stood, judged.expected)],
        },
        {
          name: 'measured',
          look: 'readings',
          points: [
            place(0, si.start),
            ...between.map((each) => place(each.at, each.pressure)),
            place(si.stood, si.end),
          ],
        },
      ]}
      band={{
        from: edge(-1),
        to: edge(1),
        since: (si.stood / 60) * 0.9,
        name: 'expected at the end, with the doubt of gauge and temperature',
      }}
    />
  );
}
