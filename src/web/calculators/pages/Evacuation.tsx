/** Is it tight and dry? The rise after the pump is shut off, fitted in a worker, with the three explanations drawn. */
import { useEffect, useMemo } from 'react';
import { type RiseJudged } from '../../../core/bench/evacuation/judgeRise';
import { VACUUM_GOALS, type VacuumGoalName, evacuationVerdict } from '../../../core/bench/evacuation/verdict';
import { waterBoils } from '../../../core/bench/evacuation/water';
import { leakSize } from '../../../core/bench/leakSize';
import { measureText } from '../../../core/quantity/measure';
import type { UnitOf } from '../../../core/quantity/units';
import { Choices } from '../../parts/Choices';
import { TextArea } from '../../parts/Field';
import { RISE_SHORT } from '../../../words/bench';
import { durationWords } from '../../../words/measures';
import { type BenchForm, useBenchForm } from '../form';
import { Answer, Big, Caution, Refused } from '../parts/Answer';
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

const MICRON = 0.1333223684;
const SPECS = {
  resolution: { label: 'Last digit of the gauge', dimension: 'vacuum', start: MICRON },
  coldest: {
    label: 'Coldest part of the system',
    dimension: 'temperature',
    optional: true,
    hint: 'ice or water there stays while it is colder than the boiling point',
  },
  volume: {
    label: 'Volume of the system',
    dimension: 'volume',
    unit: { us: 'L', metric: 'L' },
    optional: true,
  },
  working: { label: 'Pressure it runs at', dimension: 'pressure', optional: true },
} as const;
const CHOICES = { readings: '', time: 'min', unit: 'micron', school: 'fiveHundred' };
type Form = BenchForm<keyof typeof SPECS, keyof typeof CHOICES>;

/** A worker for every key would be one too many. */
const TYPING_PAUSE_MS = 250;

/** A moist system, minute by minute: 320 microns that level off near 760. */
const EXAMPLE = Array.from(
  { length: 31 },
  (_, i) => `${String(i / 2)} ${String(Math.round(320 + 440 * (1 - Math.exp(-i / 7)) + ((i * 7) % 5) - 2))}`,
).join('\n');

export default function Evacuation() {
  const form = useBenchForm('evacuation', SPECS, CHOICES);
  const unit = form.choice.unit as UnitOf<'vacuum'>;
  return (
    <BenchPage
      name="evacuation"
      form={{
        ...form,
        fillExample: () => form.put({ choices: { readings: EXAMPLE, time: 'min', unit: 'micron' } }),
      }}
      inputs={
        <>
          <VacuumTimer
            unit={unit}
            onReading={(line) =>
              form.choose('readings', [form.choice.readings.trimEnd(), line].filter(Boolean).join('\n'))
            }
          />
          <TextArea
            label="Readings after the pump was shut off"
            rows={8}
            value={form.choice.readings}
            onChange={(event) => form.choose('readings', event.target.value)}
            hint="A line each: time and reading, such as 1:30 450. Paste them from a gauge, or add them as they come."
          />
          <div className="grid gap-x-6 sm:grid-cols-2">
            <Choices
              label="A bare time is in"
              value={form.choice.time}
              onChange={(value) => form.choose('time', value)}
              choices={[
                { value: 'min', words: 'minutes' },
                { value: 's', words: 'seconds' },
              ]}
            />
            <Choices
              label="A bare reading is in"
              value={unit}
              onChange={(value) => form.choose('unit', value)}
              choices={[
                { value: 'micron', words: 'microns' },
                { value: 'mbar', words: 'mbar' },
                { value: 'Pa', words: 'Pa' },
              ]}
            />
          </div>
          <p className="mb-1 font-semibold">Way of working</p>
          <Choices
            label="Way of working"
            value={form.choice.school}
            onChange={(value) => form.choose('school', value)}
            choices={[
              { value: 'fiveHundred', words: '500 microns, ten minutes, at most 1,000' },
              { value: 'shape', words: 'the shape decides, up to 1,500' },
            ]}
          />
          <Fields form={form} only={['resolution', 'coldest']} />
          <More words="Volume and refrigerant, to see a leak as gas a year">
            <RefrigerantPick />
            <Fields form={form} only={['volume', 'working']} />
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
  const { readings, time, unit, school } = form.choice;
  const { resolution, coldest } = form.si;
  const { work, run, stop, clear } = useWork('rise');
  const lines = useMemo(
    () => vacuumLines(readings, { timeUnit: time as 's' | 'min', vacuumUnit: unit as UnitOf<'vacuum'> }),
    [readings, time, unit],
  );
  useEffect(() => {
    if (!lines.ok || lines.value.length === 0 || resolution === null) return clear();
    const pause = setTimeout(() => run({ readings: lines.value, resolution }), TYPING_PAUSE_MS);
    return () => clearTimeout(pause);
  }, [lines, resolution, run, clear]);
  if (!lines.ok) return <Refused>{lines.refusal}</Refused>;
  if (lines.value.length === 0)
    return (
      <p className="py-4 text-soft">
        Shut the pump off, start the clock, and add readings as they come. The verdict stands here from the
        eighth on.
      </p>
    );
  if (resolution === null) return null;
  const last = lines.value.at(-1);
  return (
    <>
      <WorkProgress
        work={work}
        words="Fitting the curve"
        onStop={stop}
        onAgain={() => run({ readings: lines.value, resolution })}
      />
      {work.state === 'done' && (
        <KeptAnswer
          outcome={work.result}
          tool="evacuation"
          kind="evacuation"
          fields={form.fields}
          choices={form.choice}
          summary={(judged) => summaryOf(judged, school as VacuumGoalName)}
          result={({ rise, sure, leak, moisture, neededS, fits }) => ({
            rise,
            sure,
            leak,
            moisture,
            neededS,
            start: fits[rise].start,
            slope: fits[rise].slope,
            step: fits[rise].step,
            time: fits[rise].time,
            readings: lines.value,
          })}
          below={(judged) => (
            <>
              <RiseChart judged={judged} unit={unit as UnitOf<'vacuum'>} />
              <AsLeak slope={judged.fits[judged.rise].slope} form={form} />
            </>
          )}
        >
          {(judged) => <RiseWords judged={judged} school={school as VacuumGoalName} />}
        </KeptAnswer>
      )}
      {last && (
        <Answer outcome={waterBoils(last.pressure, coldest)}>{(water) => <Water water={water} />}</Answer>
      )}
    </>
  );
}

/** The climb as a leak at work: only with a volume and a working pressure, and an estimate at that. */
function AsLeak({ slope, form }: { slope: number; form: Form }) {
  const { atmosphere, show } = useBench();
  const { volume, working } = form.si;
  if (slope <= 0 || volume === null || working === null) return null;
  return (
    <WithTable>
      {(table) => (
        <Answer
          outcome={leakSize(
            { table, volume, working, atmosphere, test: working, fullCharge: 1, bubble: 0.002 },
            'vacuum',
            slope,
          )}
        >
          {({ mass, throughput }) => (
            <Big
              label={`As ${table.name} at work, about`}
              note={`${show('throughput', throughput)} at work, ${show('throughput', slope * volume)} of air under vacuum; an estimate: laminar flow of one fine leak`}
            >
              {measureText('massRate', mass, 'oz/yr')}, {measureText('massRate', mass, 'g/yr')}
            </Big>
          )}
        </Answer>
      )}
    </WithTable>
  );
}

function summaryOf(judged: RiseJudged, school: VacuumGoalName): string {
  const verdict = evacuationVerdict(judged, VACUUM_GOALS[school]);
  const first = judged.kept[0]?.pressure ?? 0;
  const last = judged.kept.at(-1);
  const microns = (pascal: number) => `${String(Math.round(pascal / MICRON))} microns`;
  return `Evacuation: ${OUTCOMES[verdict.outcome].toLowerCase()}, ${judged.sure ? '' : 'likely '}${RISE_SHORT[judged.rise]}, ${microns(first)} to ${microns(last?.pressure ?? 0)} in ${durationWords(last?.at ?? 0)}`;
}
