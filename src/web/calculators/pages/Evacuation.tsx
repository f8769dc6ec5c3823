/** Is it tight and dry? The rise after the pump is shut off, fitted in a worker, with the three explanations drawn. */
import { useEffect, useMemo } from 'react';
import { type RiseJudged } from '../../../core/calculators/evacuation/judgeRise';
import {
  VACUUM_GOALS,
  type VacuumGoalName,
  evacuationVerdict,
} from '../../../core/calculators/evacuation/verdict';
import { waterBoils } from '../../../core/calculators/evacuation/water';
import { COMMON_GAUGE, readTo } from '../../../core/calculators/evacuation/gauge';
import { SHARE_THAT_MATTERS } from '../../../core/calculators/atWork';
import { volumesInside } from '../../../core/calculators/release';
import { slopeOf, widest } from '../../../core/calculators/evacuation/vacuumLeak';
import { MICRON, type UnitOf } from '../../../core/quantity/units';
import type { SaturationTable } from '../../../core/refrigerant/saturation';
import { RISE_SAID } from '../../../words/calculators';
import { durationWords } from '../../../words/measures';
import { type BenchForm, choice, figure, useBenchForm } from '../form';
import { Answer, Refused } from '../parts/Answer';
import { Caution } from '../../parts/Caution';
import { BenchPage } from '../parts/BenchPage';
import { Fields, More } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { RefrigerantPick, WithTable } from '../parts/RefrigerantPick';
import { VacuumTimer } from '../parts/VacuumTimer';
import { WorkProgress } from '../parts/WorkProgress';
import { vacuumLines } from '../readingLines';
import { useBench } from '../setting';
import { useWork } from '../work/useWork';
import { Water, OUTCOMES, RiseWords, RiseChart } from '../parts/RiseAnswer';
import { RiseAsGas } from '../parts/RiseAsGas';

const FIELDS = {
  readings: {
    type: 'long' as const,
    label: 'Readings after the pump was shut off',
    hint: 'A line each: time and reading, such as 1:30 450. Paste them from a gauge, or add them as they come.',
  },
  time: choice('A bare time is in', { min: 'minutes', s: 'seconds' }),
  unit: choice('A bare reading is in', { micron: 'microns', mbar: 'mbar', Pa: 'Pa' }),
  goal: choice('Way of working', {
    fiveHundred: '500 microns, ten minutes, at most 1,000',
    shape: 'the shape decides, up to 1,500',
  }),
  resolution: figure('Read no finer than', 'vacuum', {
    start: MICRON,
    hint: 'the last digit by range is that of a common gauge: 1 micron below 500, then 5, 10 and 50',
  }),
  coldest: figure('Coldest part of the system', 'temperature', {
    optional: true,
    hint: 'ice or water there stays while it is colder than the boiling point',
  }),
  volume: figure('Volume of the system', 'volume', {
    unit: { us: 'L', metric: 'L' },
    optional: true,
    hint: 'empty: from the least to the most that the full charge stands in',
  }),
  working: figure('Pressure it runs at', 'pressure', {
    optional: true,
    hint: 'empty: what it stands at, at rest at 20 °C',
  }),
  fullCharge: figure('Full charge', 'mass', { optional: true }),
};
type Form = BenchForm<typeof FIELDS>;

/** A worker for every key would be one too many. */
const TYPING_PAUSE_MS = 250;

/** A moist system, minute by minute: 320 microns that level off near 760. */
const EXAMPLE = Array.from(
  { length: 31 },
  (_, i) => `${String(i / 2)} ${String(Math.round(320 + 440 * (1 - Math.exp(-i / 7)) + ((i * 7) % 5) - 2))}`,
).join('\n');

export default function Evacuation() {
  const form = useBenchForm('evacuation', FIELDS);
  const unit = form.choice.unit as UnitOf<'vacuum'>;
  return (
    <BenchPage
      name="evacuation"
      form={{
        ...form,
        fillExample: () => form.put({ readings: EXAMPLE, time: 'min', unit: 'micron' }),
      }}
      inputs={
        <>
          <VacuumTimer
            unit={unit}
            onReading={(line) =>
              form.put({
                readings: [form.choice.readings.trimEnd(), line].filter(Boolean).join('\n'),
              })
            }
          />
          <Fields form={form} only={['readings', 'time', 'unit', 'goal']} />
          <Fields form={form} only={['resolution', 'coldest']} />
          <More words="Volume, charge and refrigerant, to see what could hide as gas a year">
            <RefrigerantPick />
            <Fields form={form} only={['volume', 'fullCharge', 'working']} />
          </More>
        </>
      }
    >
      <Judged form={form} />
      <Caution>
        Closing a valve lets trapped air out: a jump that comes back is no leak. Take the vacuum gauge off
        only after the system is above atmosphere.
      </Caution>
    </BenchPage>
  );
}

function Judged({ form }: { form: Form }) {
  return <WithTable>{(table) => <JudgedIn form={form} table={table} />}</WithTable>;
}

function JudgedIn({ form, table }: { form: Form; table: SaturationTable }) {
  const { atmosphere } = useBench();
  const { readings, time, unit, goal } = form.choice;
  const { resolution, coldest, volume, working, fullCharge } = form.si;
  const { work, run, stop, clear } = useWork('rise');
  const circuits = useMemo(
    () => volumesInside(volume, fullCharge).map((each) => ({ table, volume: each, working, atmosphere })),
    [table, volume, fullCharge, working, atmosphere],
  );
  const matters = useMemo(
    () =>
      circuits.length > 0 && fullCharge !== null
        ? widest(circuits.map((each) => slopeOf(each, SHARE_THAT_MATTERS * fullCharge)))
        : null,
    [circuits, fullCharge],
  );
  const lines = useMemo(
    () => vacuumLines(readings, { timeUnit: time as 's' | 'min', vacuumUnit: unit as UnitOf<'vacuum'> }),
    [readings, time, unit],
  );
  const input = useMemo(
    () =>
      lines.ok && lines.value.length > 0 && resolution !== null
        ? { readings: lines.value, gauge: readTo(resolution, COMMON_GAUGE), matters: matters?.low ?? null }
        : null,
    [lines, resolution, matters],
  );
  useEffect(() => {
    if (!input) return clear();
    const pause = setTimeout(() => run(input), TYPING_PAUSE_MS);
    return () => clearTimeout(pause);
  }, [input, run, clear]);
  if (!lines.ok) return <Refused>{lines.refusal}</Refused>;
  if (lines.value.length === 0)
    return (
      <p className="py-4 text-soft">
        Shut the pump off, start the clock, and add readings as they come. The verdict stands here from the
        second on; from the eighth on it can be firm.
      </p>
    );
  if (!input) return null;
  const last = lines.value.at(-1);
  return (
    <>
      <WorkProgress work={work} words="Fitting the curve" onStop={stop} onAgain={() => run(input)} />
      {work.state === 'done' && (
        <KeptAnswer
          outcome={work.result}
          tool="evacuation"
          kind="evacuation"
          inputs={form.inputs}
          summary={(judged) => summaryOf(judged, goal as VacuumGoalName, matters?.high ?? null)}
          result={({ word, firm, leak, moisture, neededS, leakRate, floor, jumps }) => ({
            word,
            firm,
            leak,
            moisture,
            neededS,
            leakRate,
            floor,
            jumps: jumps.map(({ at }) => at),
            readings: lines.value,
          })}
          below={(judged) => (
            <>
              <RiseChart judged={judged} unit={unit as UnitOf<'vacuum'>} />
              <RiseAsGas judged={judged} circuits={circuits} fullCharge={fullCharge} />
            </>
          )}
        >
          {(judged) => (
            <RiseWords judged={judged} goal={goal as VacuumGoalName} matters={matters?.high ?? null} />
          )}
        </KeptAnswer>
      )}
      {last && (
        <Answer outcome={waterBoils(last.pressure, coldest)}>{(water) => <Water water={water} />}</Answer>
      )}
    </>
  );
}

function summaryOf(judged: RiseJudged, goal: VacuumGoalName, matters: number | null): string {
  const verdict = evacuationVerdict(judged, VACUUM_GOALS[goal], matters);
  const first = judged.kept[0]?.pressure ?? 0;
  const last = judged.kept.at(-1);
  const microns = (pascal: number) => `${String(Math.round(pascal / MICRON))} microns`;
  return `Evacuation: ${OUTCOMES[verdict.outcome].toLowerCase()}, ${judged.firm ? '' : 'likely '}${RISE_SAID[judged.word].short}, ${microns(first)} to ${microns(last?.pressure ?? 0)} in ${durationWords(last?.at ?? 0)}`;
}
