/** Saturation both ways: a temperature by thumb or typed, or a gauge pressure, and the curve with the state on it. */
import { fromSi } from '../../../core/quantity/measure';
import {
  type SaturationTable,
  hasGlide,
  saturatedState,
  saturationTemperature,
  temperatureRange,
} from '../../../core/refrigerant/saturation';
import { Choices } from '../../parts/Choices';
import { benchRefusalWords } from '../../words/bench';
import { readIn } from '../../words/measures';
import { SaturationCurve } from '../charts/SaturationCurve';
import { useBenchForm } from '../form';
import { Big, Refused, Wanted } from '../parts/Answer';
import { AnswerStrip } from '../parts/AnswerStrip';
import { BenchPage } from '../parts/BenchPage';
import { KeepThis } from '../parts/KeepThis';
import { MeasureInput } from '../parts/MeasureInput';
import { FlammableCaution, RefrigerantPick, WithTable } from '../parts/RefrigerantPick';
import { TemperatureSlider } from '../parts/TemperatureSlider';
import { useBench } from '../setting';

const SPECS = {
  temperature: { label: 'Temperature', dimension: 'temperature', start: 277.594444, example: 277.594444 },
  pressure: { label: 'Gauge pressure', dimension: 'pressure', example: 569_000 },
} as const;

type Known = 'temperature' | 'liquid' | 'vapour';

export default function Saturation() {
  const form = useBenchForm('saturation', SPECS, { known: 'temperature' as string });
  const known = form.choice.known as Known;
  return (
    <BenchPage
      slug="saturation"
      form={form}
      inputs={
        <>
          <RefrigerantPick />
          <p className="mb-1 font-semibold">I know</p>
          <Choices
            label="I know"
            value={known}
            onChange={(value) => form.choose('known', value)}
            choices={[
              { value: 'temperature', words: 'temperature' },
              { value: 'vapour', words: 'suction' },
              { value: 'liquid', words: 'liquid' },
            ]}
          />
          <MeasureInput field={known === 'temperature' ? form.fields.temperature : form.fields.pressure} />
        </>
      }
    >
      <WithTable>{(table) => <State table={table} known={known} form={form} />}</WithTable>
    </BenchPage>
  );
}

function State({
  table,
  known,
  form,
}: {
  table: SaturationTable;
  known: Known;
  form: ReturnType<typeof useBenchForm<keyof typeof SPECS, 'known'>>;
}) {
  const { show, system } = useBench();
  const given = known === 'temperature' ? form.si.temperature : form.si.pressure;
  if (given === null) return <Wanted wanted={[known === 'temperature' ? 'Temperature' : 'Gauge pressure']} />;
  const line = known === 'liquid' ? 'bubble' : 'dew';
  const temperature =
    known === 'temperature' ? { ok: true as const, value: given } : saturationTemperature(table, line, given);
  if (!temperature.ok) return <Refused>{benchRefusalWords(temperature.refusal, show)}</Refused>;
  const state = saturatedState(table, temperature.value);
  const unit = readIn('temperature', system);
  const range = temperatureRange(table);
  const degrees = (kelvin: number): number => fromSi('temperature', kelvin, unit);
  const slide = (next: number) => {
    form.put({
      measures: { temperature: { text: String(Number(next.toFixed(1))), unit } },
      choices: { known: 'temperature' },
    });
  };
  if (!state.ok) return <Refused>{benchRefusalWords(state.refusal, show)}</Refused>;
  const { bubblePressure, dewPressure, liquidDensity, vapourDensity } = state.value;
  const glide = hasGlide(table);
  const summary = `${table.name} at ${show('temperature', temperature.value)}: ${glide ? `${show('pressure', bubblePressure)} bubble, ${show('pressure', dewPressure)} dew` : show('pressure', bubblePressure)}`;
  return (
    <>
      <AnswerStrip words={summary} />
      <TemperatureSlider
        label="Temperature"
        value={degrees(temperature.value)}
        from={Math.ceil(degrees(range.from))}
        to={Math.floor(degrees(range.to))}
        words={show('temperature', temperature.value)}
        onChange={slide}
      />
      <div className="grid gap-x-8 sm:grid-cols-2" aria-live="polite">
        <Big label="At">{show('temperature', temperature.value)}</Big>
        {glide ? (
          <>
            <Big label="Liquid (bubble), for subcooling">{show('pressure', bubblePressure)}</Big>
            <Big label="Vapour (dew), for superheat">{show('pressure', dewPressure)}</Big>
          </>
        ) : (
          <Big label="The gauge reads">{show('pressure', bubblePressure)}</Big>
        )}
        <Big label="Liquid, and vapour, weigh">
          <span className="text-xl">
            {show('density', liquidDensity)}, {show('density', vapourDensity)}
          </span>
        </Big>
      </div>
      <SaturationCurve
        table={table}
        states={
          glide
            ? [
                { name: 'bubble', side: 'left', temperature: temperature.value, pressure: bubblePressure },
                { name: 'dew', side: 'right', temperature: temperature.value, pressure: dewPressure },
              ]
            : [{ name: 'here', side: 'left', temperature: temperature.value, pressure: bubblePressure }]
        }
      />
      <p className="text-soft">Source: {table.source}.</p>
      <FlammableCaution />
      <KeepThis
        keepable={{
          tool: 'saturation',
          kind: 'readings',
          summary,
          fields:
            known === 'temperature'
              ? { temperature: form.fields.temperature }
              : { pressure: form.fields.pressure },
          choices: { known },
          result: { temperature: temperature.value, bubblePressure, dewPressure },
        }}
      />
    </>
  );
}
