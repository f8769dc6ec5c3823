/** When will they run short? Every machine's own additions, drawn many times in a worker. */
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { type Day, addDays } from '../../../core/quantity/day';
import type { DateRange, Forecast as Found } from '../../../core/diagnosis/forecast';
import type { LeakingMachine } from '../../../core/diagnosis/leaking';
import { useLeakingPages, useToday } from '../../data/api/queries';
import { Button } from '../../parts/Button';
import { Choices } from '../../parts/Choices';
import { Empty } from '../../parts/Page';
import { LoadedPages, rowsOf } from '../../parts/Pages';
import { dayWords } from '../../../words/dates';
import { durationWords, roughRateWords } from '../../../words/measures';
import { BenchPage } from '../parts/BenchPage';
import { WorkProgress } from '../parts/WorkProgress';
import { useBench } from '../setting';
import { useWork } from '../work/useWork';

const HORIZON_DAYS = 5 * 365;
const DRAWS = [2_000, 20_000, 200_000] as const;
const FIRST_SEED = 2026;
const SHOWN = 50;
const DAY_S = 86_400;

export default function Forecast() {
  const leaking = useLeakingPages();
  // A forecast is of all machines: the pages are read on by themselves.
  const { hasNextPage, isFetching, isError, fetchNextPage } = leaking;
  useEffect(() => {
    if (hasNextPage && !isFetching && !isError) void fetchNextPage();
  }, [hasNextPage, isFetching, isError, fetchNextPage]);
  const today = useToday('UTC');
  const { work, run, stop } = useWork('fleet');
  const [draws, setDraws] = useState(String(DRAWS[0]));
  const [seed, setSeed] = useState(FIRST_SEED);
  const known = rowsOf(leaking).flatMap(({ leaking: each, ...named }) =>
    each.ok ? [{ ...named, machine: each.machine }] : [],
  );
  const start = () =>
    run({
      machines: known.map((each) => each.machine),
      drawing: { draws: Number(draws), seed, horizonDays: HORIZON_DAYS },
    });
  return (
    <BenchPage
      name="forecast"
      inputs={
        <>
          <p className="mb-3 text-soft">
            Each machine leaks on as its last six fillings say, give or take how much they differ and what a
            top-off may have left missing. Eight in ten courses lie between the two ends. Short means below 80
            % of its full charge; over means that filling it up would exceed its limit.
          </p>
          <p className="mb-1 font-semibold">Runs for each machine</p>
          <Choices
            label="Runs for each machine"
            value={draws}
            onChange={setDraws}
            choices={DRAWS.map((each) => ({ value: String(each), words: each.toLocaleString('en-US') }))}
          />
          <p className="mb-3 text-soft">
            Run {String(seed - FIRST_SEED + 1)} of the same machines: chance falls out a little differently
            each time.{' '}
            <button
              type="button"
              className="min-h-11 cursor-pointer font-semibold text-green underline underline-offset-4"
              onClick={() => setSeed(seed + 1)}
            >
              Take another
            </button>
          </p>
          <Button
            weight="main"
            className="mb-4 w-full"
            onClick={start}
            disabled={known.length === 0 || hasNextPage}
          >
            {hasNextPage
              ? `Reading machines: ${String(rowsOf(leaking).length)} so far`
              : `Forecast ${String(known.length)} machines`}
          </Button>
        </>
      }
    >
      <LoadedPages pages={leaking} more="Read the next machines">
        {(rows) => (
          <>
            <p className="mb-2 text-soft">
              {String(known.length)} of {String(rows.length)} machines have a full charge and gas added on
              weighed days; the others give no forecast.
            </p>
            <WorkProgress work={work} words="Running" onStop={stop} onAgain={start} />
            {known.length === 0 && (
              <Empty title="No machine has a history to forecast from">
                Set its full charge and log gas by weight; two fillings are enough.
              </Empty>
            )}
            {work.state === 'idle' && known.length > 0 && (
              <p className="py-4 text-soft">Press Forecast. It runs beside the screen and can be stopped.</p>
            )}
            {work.state === 'done' && <Found forecasts={work.result} known={known} today={today} />}
          </>
        )}
      </LoadedPages>
    </BenchPage>
  );
}

function Found({
  forecasts,
  known,
  today,
}: {
  today: Day | null;
  forecasts: readonly Found[];
  known: readonly { applianceId: string; machineName: string; siteName: string; machine: LeakingMachine }[];
}) {
  const { system } = useBench();
  const rows = forecasts
    .flatMap((forecast, index) => {
      const of = known[index];
      return of ? [{ forecast, of }] : [];
    })
    .sort((a, b) => soonest(a.forecast) - soonest(b.forecast));
  return (
    <>
      <ul>
        {rows.slice(0, SHOWN).map(({ forecast, of: { applianceId: id, machineName, siteName } }) => (
          <li key={id} className="rule-b py-3">
            <Link
              to={`/machines/${encodeURIComponent(id)}`}
              className="inline-flex min-h-11 items-center font-semibold underline underline-offset-4"
            >
              {machineName}
            </Link>
            <span className="text-soft">
              {' '}
              · {siteName} · loses {roughRateWords(forecast.rate.low / DAY_S, system)} to{' '}
              {roughRateWords(forecast.rate.high / DAY_S, system)}
            </span>
            <p>
              <span className="font-semibold">Short: </span>
              {rangeWords(forecast.short, today)}
            </p>
            <p>
              <span className="font-semibold">Over: </span>
              {rangeWords(forecast.exceeds, today)}
            </p>
          </li>
        ))}
      </ul>
      {rows.length > SHOWN && (
        <p className="py-3 text-soft">
          The {String(SHOWN)} soonest are shown; the others come later than these.
        </p>
      )}
    </>
  );
}

const soonest = ({ short, exceeds }: Found): number =>
  Math.min(short.middle ?? Infinity, exceeds.middle ?? Infinity);
const days = (count: number): string => durationWords(count * DAY_S);

/** Eight in ten lie between early and late. */
function rangeWords({ early, middle, late }: DateRange, today: Day | null): string {
  if (middle === null)
    return early === null
      ? 'not within five years'
      : `not before ${days(early)}, likely not within five years`;
  if (middle < 1) return 'now';
  const until = late === null ? 'beyond five years' : days(late);
  const on = today === null ? '' : `, ${dayWords(addDays(today, Math.round(middle)))}`;
  return `in about ${days(middle)}${on} (${early === null || early < 1 ? 'now' : days(early)} to ${until})`;
}
