/** The verdict on a rise: its words, its chart with the fitted curves, and where water would boil. */
import { type RiseJudged } from '../../../core/bench/evacuation/judgeRise';
import { type Rise, riseAt } from '../../../core/bench/evacuation/rise';
import { VACUUM_GOALS, type VacuumGoalName, evacuationVerdict } from '../../../core/bench/evacuation/verdict';
import type { UnitOf } from '../../../core/quantity/units';
import { EVACUATION_REASON_WORDS, RISE_SHORT, RISE_WORDS } from '../../../words/bench';
import { bareFigure } from '../../../words/measures';
import { LazyCurves } from '../charts/LazyCurves';
import { Big, Caution, Verdict } from './Answer';
import { useBench } from '../setting';

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

export const OUTCOMES = { pass: 'Pass', fail: 'Fail', watchOn: 'Watch on' } as const;

const TONES = { pass: 'good', fail: 'bad', watchOn: 'watch' } as const;

export function RiseWords({ judged, school }: { judged: RiseJudged; school: VacuumGoalName }) {
  const { show } = useBench();
  const verdict = evacuationVerdict(judged, VACUUM_GOALS[school]);
  const { title, about } = RISE_WORDS[judged.rise];
  const fit = judged.fits[judged.rise];
  return (
    <>
      <Verdict
        tone={TONES[verdict.outcome]}
        title={`${OUTCOMES[verdict.outcome]}: ${judged.sure ? '' : 'looks like '}${title.toLowerCase()}`}
      >
        {verdict.reasons.length > 0 &&
          `${verdict.outcome === 'fail' ? 'Because' : 'Still'} ${verdict.reasons.map((each) => EVACUATION_REASON_WORDS[each]).join(' and ')}. `}
        {about}
      </Verdict>
      <p>
        {judged.sure
          ? 'The readings are enough for a firm word.'
          : judged.neededS === null
            ? 'Not firm yet, and two hours of this would not make it so: look for a better gauge or a steadier temperature.'
            : `Not firm yet: watch ${show('duration', judged.neededS)} in all.`}
        {!judged.sure &&
          ` Evidence so far that a leak is part of it: ${percent(judged.leak)}; that moisture is: ${percent(judged.moisture)}.`}
      </p>
      <div className="mt-3 grid gap-x-8 sm:grid-cols-2">
        {fit.slope > 0 && <Big label="It climbs">{show('vacuumRate', fit.slope)}</Big>}
        {fit.step > 0 && (
          <Big label="Moisture adds in the end" note={`with a time of ${show('duration', fit.time)}`}>
            {show('vacuum', fit.step)}
          </Big>
        )}
        {fit.slope === 0 && (
          <Big label="The largest leak that could still hide">{show('vacuumRate', judged.bounds.slope)}</Big>
        )}
      </div>
      {judged.jumps.length > 0 && (
        <p>
          {String(judged.jumps.length)} {judged.jumps.length === 1 ? 'reading jumped' : 'readings jumped'} and
          came back: marked, not fitted.
        </p>
      )}
    </>
  );
}

const percent = (share: number): string =>
  share > 0.99 ? 'over 99 %' : share < 0.01 ? 'under 1 %' : `${String(Math.round(share * 100))} %`;

const LOOKS = { flat: 'third', climbing: 'second', levelling: 'main', both: 'main' } as const;

const CURVE_POINTS = 60;

export function RiseChart({ judged, unit }: { judged: RiseJudged; unit: UnitOf<'vacuum'> }) {
  const from = judged.kept[0]?.at ?? 0;
  const to = judged.kept.at(-1)?.at ?? 0;
  const place = (at: number, pressure: number) => ({ x: at / 60, y: bareFigure('vacuum', pressure, unit) });
  const drawn: Rise[] =
    judged.rise === 'both' ? ['both', 'climbing', 'flat'] : ['levelling', 'climbing', 'flat'];
  return (
    <LazyCurves
      label="The rise and its explanations"
      x={{ name: 'Time since the pump was shut off', unit: 'min' }}
      y={{ name: 'Vacuum', unit: unit === 'micron' ? 'microns' : unit }}
      curves={[
        ...drawn.map((rise) => ({
          name: `${RISE_SHORT[rise]}${rise === judged.rise ? ', fits best' : ''}`,
          look: LOOKS[rise],
          points: Array.from({ length: CURVE_POINTS + 1 }, (_, i) => {
            const at = from + ((to - from) * i) / CURVE_POINTS;
            return place(at, riseAt(judged.fits[rise], at));
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
