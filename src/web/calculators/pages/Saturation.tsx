/** Saturation both ways: the curve itself is the control, and a temperature or a gauge pressure can be typed. */
import { fromSi } from '../../../core/quantity/measure';
import {
  type SaturationTable,
  hasGlide,
  saturatedState,
  saturationTemperature,
} from '../../../core/refrigerant/saturation';
import { calculatorRefusalWords } from '../../../words/calculators';
import { readIn } from '../../../words/measures';
import { SaturationGrip } from '../charts/SaturationGrip';
import { type Moved } from '../charts/curveSides';
import { type BenchForm, choice, figure, only, useBenchForm } from '../form';
import { Refused, Wanted } from '../parts/Answer';
import { AnswerStrip } from '../parts/AnswerStrip';
import { BenchPage } from '../parts/BenchPage';
import { KeepThis } from '../parts/KeepThis';
import { Fields } from '../parts/Fields';
import { FlammableCaution, RefrigerantPick, WithTable } from '../parts/RefrigerantPick';
import { useBench } from '../setting';

const FIELDS = {
  known: choice('I know', {
    temperature: 'temperature',
    vapour: 'vapour pressure',
    liquid: 'liquid pressure',
  }),
  temperature: figure('Temperature', 'temperature', { start: 277.594444, example: 277.594444 }),
  pressure: figure('Gauge pressure', 'pressure', { example: 569_000 }),
};

/** Which field holds what is known. */
const typedOf = (known: GivenQuantity) => (known === 'temperature' ? 'temperature' : 'pressure');

type GivenQuantity = 'temperature' | 'liquid' | 'vapour';

export default function Saturation() {
  const form = useBenchForm('saturation', FIELDS);
  const known = form.choice.known as GivenQuantity;
  const typed = typedOf(known);
  return (
    <BenchPage
      name="saturation"
      form={form}
      inputs={
        <>
          <RefrigerantPick />
          <Fields form={form} only={['known', typed]} />
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
  form: BenchForm<typeof FIELDS>;
}) {
  const { show, system, atmosphere } = useBench();
  const given = form.si[typedOf(known)];
  if (given === null) return <Wanted wanted={[FIELDS[typedOf(known)].label]} />;
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
        temperature: { text: String(Number(degrees.toFixed(1))), unit },
        known: 'temperature',
      });
      return;
    }
    const unit = readIn('pressure', system);
    const gauge = fromSi('pressure', moved.pascal, unit, atmosphere);
    form.put({
      pressure: { text: String(Number(gauge.toFixed(system === 'us' ? 1 : 2))), unit },
      known: moved.side,
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
          inputs: only(form.inputs, ['known', typedOf(known)]),
          result: { temperature: temperature.value, bubblePressure, dewPressure },
        }}
      />
    </>
  );
}
