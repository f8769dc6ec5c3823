/** Saturation both ways: the curve itself is the control, and a temperature or a gauge pressure can be typed. */
import { fromSi } from '../../../core/quantity/measure';
import {
  type SaturationTable,
  hasGlide,
  saturatedState,
  saturationTemperature,
} from '../../../core/refrigerant/saturation';
import { Choices } from '../../parts/Choices';
import { calculatorRefusalWords } from '../../../words/calculators';
import { readIn } from '../../../words/measures';
import { SaturationGrip } from '../charts/SaturationGrip';
import { type Moved } from '../charts/curveSides';
import { useBenchForm } from '../form';
import { Refused, Wanted } from '../parts/Answer';
import { AnswerStrip } from '../parts/AnswerStrip';
import { BenchPage } from '../parts/BenchPage';
import { KeepThis } from '../parts/KeepThis';
import { MeasureInput } from '../parts/MeasureInput';
import { FlammableCaution, RefrigerantPick, WithTable } from '../parts/RefrigerantPick';
import { useBench } from '../setting';

const SPECS = {
  temperature: { label: 'Temperature', dimension: 'temperature', start: 277.594444, example: 277.594444 },
  pressure: { label: 'Gauge pressure', dimension: 'pressure', example: 569_000 },
} as const;

type GivenQuantity = 'temperature' | 'liquid' | 'vapour';

export default function Saturation() {
  const form = useBenchForm('saturation', SPECS, { known: 'temperature' as string });
  const known = form.choice.known as GivenQuantity;
  return (
    <BenchPage
      name="saturation"
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
              { value: 'vapour', words: 'vapour pressure' },
              { value: 'liquid', words: 'liquid pressure' },
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
  known: GivenQuantity;
  form: ReturnType<typeof useBenchForm<keyof typeof SPECS, 'known'>>;
}) {
  const { show, system, atmosphere } = useBench();
  const given = known === 'temperature' ? form.si.temperature : form.si.pressure;
  if (given === null) return <Wanted wanted={[known === 'temperature' ? 'Temperature' : 'Gauge pressure']} />;
  const line = known === 'liquid' ? 'bubble' : 'dew';
  const temperature =
    known === 'temperature' ? { ok: true as const, value: given } : saturationTemperature(table, line, given);
  if (!temperature.ok) return <Refused>{calculatorRefusalWords(temperature.refusal, show)}</Refused>;
  const state = saturatedState(table, temperature.value);
  const move = (moved: Moved) => {
    if (moved.axis === 'temperature') {
      const unit = readIn('temperature', system);
      const degrees = fromSi('temperature', moved.kelvin, unit);
      form.put({
        measures: { temperature: { text: String(Number(degrees.toFixed(1))), unit } },
        choices: { known: 'temperature' },
      });
      return;
    }
    const unit = readIn('pressure', system);
    const gauge = fromSi('pressure', moved.pascal, unit, atmosphere);
    form.put({
      measures: {
        pressure: { text: String(Number(gauge.toFixed(system === 'us' ? 1 : 2))), unit },
      },
      choices: { known: moved.side },
    });
  };
  if (!state.ok) return <Refused>{calculatorRefusalWords(state.refusal, show)}</Refused>;
  const { bubblePressure, dewPressure, liquidDensity, vapourDensity } = state.value;
  const glide = hasGlide(table);
  const summary = `${table.name} at ${show('temperature', temperature.value)}: ${glide ? `${show('pressure', bubblePressure)} bubble, ${show('pressure', dewPressure)} dew` : show('pressure', bubblePressure)}`;
  return (
    <>
      <AnswerStrip words={summary} />
      <SaturationGrip table={table} temperature={temperature.value} onMove={move} />
      <p aria-live="polite">
        <span className="text-soft">{`${show('temperature', temperature.value)}: `}</span>
        {glide
          ? `${show('pressure', bubblePressure)} liquid (bubble), ${show('pressure', dewPressure)} vapour (dew)`
          : show('pressure', bubblePressure)}
        <span className="text-soft">
          {' '}
          · liquid weighs {show('density', liquidDensity)}, vapour {show('density', vapourDensity)}
        </span>
      </p>
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
