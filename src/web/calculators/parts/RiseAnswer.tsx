/** The verdict on a rise: its words, how sure and why, its chart with the fitted curves, and where water would boil. */
import { CAUSES_OF_RISE, type CauseOfRise } from '../../../core/calculators/evacuation/explanations';
import type { RiseJudged } from '../../../core/calculators/evacuation/judgeRise';
import type { RiseWord } from '../../../core/calculators/evacuation/lookAt';
import {
  VACUUM_GOALS,
  type VacuumGoalName,
  evacuationVerdict,
} from '../../../core/calculators/evacuation/verdict';
import { curveAt } from '../../../core/calculators/series/explanation';
import type { UnitOf } from '../../../core/quantity/units';
import { CAUSE_OF_RISE_WORDS, EVACUATION_REASON_WORDS, RISE_SAID } from '../../../words/calculators';
import { bareFigure } from '../../../words/measures';
import { LazyCurves } from '../charts/LazyCurves';
import { Big, Verdict } from './Answer';
import { Caution } from '../../parts/Caution';
import { useBench } from '../setting';
import { countWords } from '../../../words/counts';

export function Water({
  water,
}: {
  water: { temperature: number; overIce: boolean; cannotDry: boolean | null };
}) {
  const { show } = useBench();
  return (
    <>
      <Big label={`At the last reading water boils off ${water.overIce ? '(from ice) ' : ''}at`}>
        {show('temperature', water.temperature)}
      </Big>
      {water.cannotDry === true && (
        <Caution>
          The coldest part of this system is below the boiling point: it cannot dry. Warm it, or pull deeper.
        </Caution>
      )}
    </>
  );
}

export const OUTCOMES = { pass: 'Pass', fail: 'Fail', watchOn: 'Watch on', noTest: 'No test' } as const;

const TONES = { pass: 'good', fail: 'bad', watchOn: 'watch', noTest: 'watch' } as const;

/** What needs no climb beside it: nothing was tested, or there is none. */
const WITHOUT_CLIMB: readonly RiseWord[] = ['gauge', 'notIsolated'];

export function RiseWords({
  judged,
  goal,
  matters,
}: {
  judged: RiseJudged;
  goal: VacuumGoalName;
  matters: number | null;
}) {
  const { show } = useBench();
  const verdict = evacuationVerdict(judged, VACUUM_GOALS[goal], matters);
  const { title, about } = RISE_SAID[judged.word];
  const { leakRate } = judged;
  const climbs = judged.leak >= 0.5;
  return (
    <>
      <Verdict
        tone={TONES[verdict.outcome]}
        title={`${OUTCOMES[verdict.outcome]}: ${judged.firm ? '' : 'looks like '}${title.charAt(0).toLowerCase()}${title.slice(1)}`}
      >
        {verdict.reasons.length > 0 &&
          `${verdict.outcome === 'watchOn' ? 'Still' : 'Because'} ${verdict.reasons.map((each) => EVACUATION_REASON_WORDS[each]).join(' and ')}. `}
        {about}
      </Verdict>
      <p>{howSure(judged, show)}</p>
      {!WITHOUT_CLIMB.includes(judged.word) && (
        <div className="mt-3 grid gap-x-8 sm:grid-cols-2">
          {climbs && (
            <Big label="It climbs">
              {show('vacuumRate', leakRate.low)} to {show('vacuumRate', leakRate.high)}
            </Big>
          )}
          {!climbs && (
            <Big
              label="The largest leak that could still hide"
              note={`over this time the gauge can tell ${show('vacuum', judged.floor)}`}
            >
              {show('vacuumRate', leakRate.high)}
            </Big>
          )}
        </div>
      )}
      {judged.jumps.length > 0 && (
        <p>
          {countWords(judged.jumps.length, 'reading jumped', 'readings jumped')} and came back, as when a
          valve is moved: marked, not fitted.
        </p>
      )}
    </>
  );
}

/** How sure, and why, in one line. */
function howSure(judged: RiseJudged, show: ReturnType<typeof useBench>['show']): string {
  const [most, next] = [...CAUSES_OF_RISE].sort((a, b) => judged.shares[b] - judged.shares[a]);
  const evidence = [most, next]
    .flatMap((cause) =>
      cause && judged.shares[cause] >= 0.005
        ? [`${CAUSE_OF_RISE_WORDS[cause]} ${percent(judged.shares[cause])}`]
        : [],
    )
    .join(', ');
  if (judged.fault === 'outOfRange') return 'Most readings lie beyond what such a gauge can show.';
  if (judged.fault === 'stuck') return 'A gauge that works shows its own unrest; this one shows none.';
  if (judged.firm) return `Firm. Of the evidence: ${evidence}.`;
  return judged.neededS === null
    ? `Not firm. Of the evidence: ${evidence}. Two hours in all would not part them: a better gauge, a steadier temperature, or a pressure test would.`
    : `Not firm yet. Of the evidence: ${evidence}. Watch ${show('duration', judged.neededS)} more.`;
}

const percent = (share: number): string =>
  share > 0.99 ? 'over 99 %' : share < 0.01 ? 'under 1 %' : `${String(Math.round(share * 100))} %`;

const DRAWN = 3;
const LOOKS = ['main', 'second', 'third'] as const;
const CURVE_POINTS = 60;

export function RiseChart({ judged, unit }: { judged: RiseJudged; unit: UnitOf<'vacuum'> }) {
  const from = judged.kept[0]?.at ?? 0;
  const to = judged.kept.at(-1)?.at ?? 0;
  const place = (at: number, pressure: number) => ({ x: at / 60, y: bareFigure('vacuum', pressure, unit) });
  const drawn: CauseOfRise[] = [...CAUSES_OF_RISE]
    .filter((cause) => judged.curves[cause] !== null)
    .sort((a, b) => judged.shares[b] - judged.shares[a])
    .slice(0, DRAWN);
  return (
    <LazyCurves
      label="The rise and its explanations"
      x={{ name: 'Time since the pump was shut off', unit: 'min' }}
      y={{ name: 'Vacuum', unit: unit === 'micron' ? 'microns' : unit }}
      curves={[
        ...drawn.map((cause, index) => ({
          name: `${CAUSE_OF_RISE_WORDS[cause]}, ${percent(judged.shares[cause])}`,
          look: LOOKS[index] ?? 'third',
          points: Array.from({ length: CURVE_POINTS + 1 }, (_, i) => {
            const since = ((to - from) * i) / CURVE_POINTS;
            const curve = judged.curves[cause];
            return place(from + since, curve ? curveAt(curve, since) : 0);
          }),
        })),
        {
          name: 'readings',
          look: 'readings' as const,
          points: judged.kept.map((each) => place(each.at, each.pressure)),
        },
        ...(judged.jumps.length > 0
          ? [
              {
                name: 'jumps, not fitted',
                look: 'aside' as const,
                points: judged.jumps.map((each) => place(each.at, each.pressure)),
              },
            ]
          : []),
      ]}
    />
  );
}
