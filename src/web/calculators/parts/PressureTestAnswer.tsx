/** The verdict on a hold: what fell, what temperature explains, and the chart of both. */
import { type PressureTestJudged } from '../../../core/calculators/pressureTest';
import { PRESSURE_TEST_SAID, LOSS_IN_DOUBT, WEAK_WORDS } from '../../../words/calculators';
import { bareFigure, readIn } from '../../../words/measures';
import { LazyCurves } from '../charts/LazyCurves';
import { Big, Verdict } from './Answer';
import { Caution } from '../../parts/Caution';
import { useBench } from '../setting';

export function PressureTestWords({ judged }: { judged: PressureTestJudged }) {
  const { show } = useBench();
  const { tail, word, firm, neededS } = judged;
  const { about } = PRESSURE_TEST_SAID[word];
  return (
    <>
      <Verdict tone={firm ? TONES[word] : 'watch'} title={verdictTitle(judged, show)}>
        {about}
      </Verdict>
      <p className="mb-3">{howSure(judged, show)}</p>
      <div className="grid gap-x-8 sm:grid-cols-2">
        <Big label="Expected at the end">{show('pressure', judged.expected)}</Big>
        <Big
          label="Measured against it"
          note={`gauge and temperature leave ${show('pressureDifference', 2 * tail.doubt)} of one reading open, either way`}
        >
          {show('pressureDifference', judged.residual)}
        </Big>
        {tail.fell && (
          <Big
            label="It fell at first by"
            note={`the tail that counts is ${show('duration', tail.span)} long`}
          >
            {show('pressureDifference', tail.fall)}
          </Big>
        )}
        {word !== 'losing' && word !== 'risen' && tail.settling !== 'still' && (
          <Big label="The largest loss that could still hide">
            {show('pressureRate', Math.max(0, tail.loss.high))}
          </Big>
        )}
      </div>
      {neededS === null && word !== 'losing' && (
        <p className="text-soft">
          How small a leak must not hide? Type volume, working pressure and that leak: without a size nothing
          is called holding.
        </p>
      )}
      {judged.weak.map((each) => (
        <Caution key={each}>{WEAK_WORDS[each]}</Caution>
      ))}
    </>
  );
}

function howSure(
  { word, firm, tail, neededS }: PressureTestJudged,
  show: ReturnType<typeof useBench>['show'],
): string {
  const why = `${String(tail.count)} readings over ${show('duration', tail.span)}`;
  if (word === 'losing' && !firm) return LOSS_IN_DOUBT;
  if (word === 'losing')
    return `Firm: between ${show('pressureRate', tail.loss.low)} and ${show('pressureRate', tail.loss.high)} in nine of ten, by ${why}.`;
  if (firm) return `Firm: by ${why}, a leak that matters would have shown in 95 of 100.`;
  return neededS === null
    ? `Not firm: nothing says how large a leak matters. By ${why}.`
    : `Not firm yet: let it stand ${show('duration', neededS)} more. Then a leak of the size that matters is found, or excluded, in 95 of 100.`;
}

const TONES = {
  holding: 'good',
  settled: 'good',
  losing: 'bad',
  cannotTell: 'watch',
  risen: 'watch',
} as const;

export const verdictTitle = (
  { word, tail }: PressureTestJudged,
  show: ReturnType<typeof useBench>['show'],
): string =>
  word === 'losing'
    ? `Losing ${show('pressureRate', (tail.loss.low + tail.loss.high) / 2)}`
    : PRESSURE_TEST_SAID[word].title;

export function PressureTestChart({
  judged,
  si,
  between,
}: {
  judged: PressureTestJudged;
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
    bareFigure('pressure', judged.expected + side * 2 * judged.tail.doubt, unit, atmosphere);
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
