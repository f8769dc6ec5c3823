/** Standing pressure test: did it hold, and how long must it stand to show a leak that matters? */
import { toSi } from '../../../core/quantity/measure';
import { fahrenheitDegrees } from '../../../core/calculators/calculated';
import { judgePressureTest } from '../../../core/calculators/pressureTest';
import { type HeldSection, standingTime } from '../../../core/calculators/pressureTestLoss';
import { gasesOf, yearlyOutcome } from '../../../core/calculators/lossAsGas';
import { YEAR_S } from '../../../core/quantity/units';
import { WEAK_WORDS } from '../../../words/calculators';
import { type BenchForm, type FigureKey, choice, figure, unitOf, useBenchForm } from '../form';
import { Big, Refused } from '../parts/Answer';
import { Caution } from '../../parts/Caution';
import { LossAsGas } from '../parts/LossAsGas';
import { BenchPage } from '../parts/BenchPage';
import { Fields, More, Ready } from '../parts/Fields';
import { PressureTestTimer } from '../parts/PressureTestTimer';
import { KeptAnswer } from '../parts/KeptAnswer';
import { RefrigerantPick, WithTable } from '../parts/RefrigerantPick';
import { holdLines } from '../readingLines';
import { useBench } from '../setting';
import { PressureTestWords, verdictTitle, PressureTestChart } from '../parts/PressureTestAnswer';

const FIELDS = {
  asks: choice('What you ask', { judge: 'Did it hold?', howLong: 'How long must it stand?' }),
  between: {
    type: 'long' as const,
    label: 'Readings in between',
    optional: true,
    hint: 'A line each: minutes, pressure, temperature, in the units of the fields above. They show whether the tail has settled.',
  },
  start: figure('Start pressure', 'pressure', { example: toSi('pressure', 150, 'psig') }),
  startTemperature: figure('Temperature of the gas at the start', 'temperature', { example: 297.0389 }),
  end: figure('End pressure', 'pressure', { example: toSi('pressure', 143, 'psig') }),
  endTemperature: figure('Temperature of the gas at the end', 'temperature', { example: 288.7056 }),
  stood: figure('Time stood', 'duration', { example: 7200 }),
  share: figure('Share of the volume that changed temperature', 'share', {
    start: 1,
    hint: '100 unless part of it stayed as it was',
  }),
  division: figure('Division of the gauge', 'pressureDifference', {
    start: toSi('pressureDifference', 1, 'psi'),
  }),
  doubt: figure('How far the temperatures may be off', 'temperatureDifference', {
    start: fahrenheitDegrees(2),
  }),
  design: figure('Least marked design pressure of the section', 'pressure', {
    optional: true,
    example: toSi('pressure', 250, 'psig'),
  }),
  working: figure('Pressure it runs at', 'pressure', {
    optional: true,
    example: toSi('pressure', 140, 'psig'),
  }),
  volume: figure('Volume of the section', 'volume', {
    unit: { us: 'L', metric: 'L' },
    optional: true,
    example: 0.02,
  }),
  matters: figure('Leak that must not hide, at work', 'massRate', {
    start: toSi('massRate', 8, 'oz/yr'),
    hint: 'needs volume and working pressure',
  }),
};
type Key = FigureKey<typeof FIELDS>;

const JUDGE: readonly Key[] = ['start', 'startTemperature', 'end', 'endTemperature', 'stood'];
const ABOUT: readonly Key[] = ['share', 'division', 'doubt', 'design', 'working', 'volume', 'matters'];
const JUDGE_ASKED: readonly (keyof typeof FIELDS)[] = [...JUDGE, 'between'];
const HOW_LONG: readonly Key[] = ['start', 'working', 'volume', 'matters', 'division', 'doubt', 'design'];

export default function Hold() {
  const form = useBenchForm('hold', FIELDS);
  const judging = form.choice.asks === 'judge';
  return (
    <BenchPage
      name="hold"
      form={form}
      inputs={
        <>
          <Fields form={form} only={['asks']} />
          <Caution>
            Nitrogen only through a regulator, never oxygen or compressed air; never above the least marked
            design pressure of the section. The maker&rsquo;s marking and local code decide.
          </Caution>
          {judging && (
            <PressureTestTimer onStood={(minutes) => form.put({ stood: { text: minutes, unit: 'min' } })} />
          )}
          <Fields form={form} only={judging ? JUDGE_ASKED : HOW_LONG} />
          {judging && (
            <More words="Gauge, limits, volume and the leak that matters">
              <Fields form={form} only={ABOUT} />
            </More>
          )}
          <RefrigerantPick label="Refrigerant at work" />
        </>
      }
    >
      {judging ? <Judged form={form} /> : <HowLong form={form} />}
    </BenchPage>
  );
}

type Form = BenchForm<typeof FIELDS>;

function Judged({ form }: { form: Form }) {
  const { atmosphere, show } = useBench();
  const { working, volume, matters, design } = form.si;
  const between = holdLines(form.choice.between, {
    pressureUnit: unitOf(form.inputs.start),
    temperatureUnit: unitOf(form.inputs.startTemperature),
    atmosphere,
  });
  return (
    <Ready form={form} keys={[...JUDGE, 'share', 'division', 'doubt']}>
      {(si) => (
        <WithTable>
          {(table) => {
            const section =
              volume !== null && working !== null && si.start > atmosphere && working > atmosphere
                ? { table, volume, test: si.start, working, atmosphere }
                : null;
            if (!between.ok) return <Refused>{between.refusal}</Refused>;
            const readings = [
              { at: 0, pressure: si.start, temperature: si.startTemperature },
              ...between.value,
              { at: si.stood, pressure: si.end, temperature: si.endTemperature },
            ].sort((a, b) => a.at - b.at);
            const outcome = judgePressureTest({
              readings,
              changedShare: si.share,
              gauge: { resolution: si.division, temperatureDoubt: si.doubt },
              limits: { design, working },
              matters: section && matters !== null ? gasesInTest(section).fallOf(matters * YEAR_S) : null,
            });
            return (
              <KeptAnswer
                outcome={outcome}
                tool="hold"
                kind="pressureHold"
                inputs={form.inputs}
                summary={(judged) =>
                  `${verdictTitle(judged, show)}: ${show('pressure', si.start)} to ${show('pressure', si.end)} in ${show('duration', si.stood)}, ${show('temperature', si.startTemperature)} to ${show('temperature', si.endTemperature)}`
                }
                below={(judged) => (
                  <>
                    <PressureTestChart judged={judged} si={si} between={between.value} />
                    {section ? (
                      <LossAsGas
                        table={table}
                        outcome={lossOf(section, Math.max(0, judged.tail.loss.high))}
                        label={judged.word === 'losing' ? 'at the most' : 'what could still hide'}
                      />
                    ) : (
                      <p className="text-soft">Type volume and working pressure to see it as gas a year.</p>
                    )}
                  </>
                )}
              >
                {(judged) => <PressureTestWords judged={judged} />}
              </KeptAnswer>
            );
          }}
        </WithTable>
      )}
    </Ready>
  );
}

const gasesInTest = (section: HeldSection) => gasesOf({ ...section, testGas: 'nitrogen' });

const lossOf = (section: HeldSection, fall: number) =>
  yearlyOutcome(gasesInTest(section).yearlyOf(fall), section.volume, fall);

function HowLong({ form }: { form: Form }) {
  const { atmosphere, show } = useBench();
  const { design } = form.si;
  return (
    <Ready form={form} keys={['start', 'working', 'volume', 'matters', 'division', 'doubt']}>
      {(si) => {
        if (design !== null && si.start > design)
          return (
            <Refused>
              Do not test at {show('pressure', si.start)}: the least marked design pressure of the section is{' '}
              {show('pressure', design)}.
            </Refused>
          );
        return (
          <WithTable>
            {(table) => (
              <KeptAnswer
                outcome={standingTime(
                  { table, volume: si.volume, test: si.start, working: si.working, atmosphere },
                  si.matters,
                  { resolution: si.division, temperatureDoubt: si.doubt },
                )}
                tool="hold"
                kind="pressureHold"
                inputs={form.inputs}
                summary={({ seconds }) =>
                  `To show ${show('massRate', si.matters)} it must stand ${show('duration', seconds)} at ${show('pressure', si.start)}`
                }
                below={() =>
                  si.start < si.working ? <Caution>{WEAK_WORDS.belowWorkingPressure}</Caution> : null
                }
              >
                {(value) => (
                  <Big
                    label={`To show a leak of ${show('massRate', si.matters)} it must stand`}
                    note={`then such a leak is found, and a tight section cleared, in 95 of 100; it falls ${show('pressureRate', value.fall)}, and one reading is sure to ${show('pressureDifference', 2 * value.doubt)}`}
                  >
                    {show('duration', value.seconds)}
                  </Big>
                )}
              </KeptAnswer>
            )}
          </WithTable>
        );
      }}
    </Ready>
  );
}
