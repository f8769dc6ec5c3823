/** Superheat and subcooling from two gauges and two thermometers, what to do with the valve, and both states drawn. */
import type { SaturationTable } from '../../../core/refrigerant/saturation';
import {
  type Band,
  type LineState,
  SUBCOOLING,
  SUPERHEAT,
  subcooling,
  superheat,
} from '../../../core/calculators/superheat';
import { valveAdvice } from '../../../core/calculators/valveAdvice';
import { valveWords } from '../../../words/calculators';
import { SaturationCurve } from '../charts/SaturationCurve';
import { type BenchForm, figure, useBenchForm } from '../form';
import { Answer, Big, Verdict, Wanted } from '../parts/Answer';
import { AnswerStrip } from '../parts/AnswerStrip';
import { BenchPage } from '../parts/BenchPage';
import { KeepThis } from '../parts/KeepThis';
import { Fields } from '../parts/Fields';
import { RefrigerantPick, TableDoubt, WithTable, lineWords } from '../parts/RefrigerantPick';
import { useBench } from '../setting';

const FIELDS = {
  suction: figure('Suction pressure', 'pressure', { example: 398_000 }),
  suctionLine: figure('Suction line', 'temperature', {
    example: 276.5,
    hint: 'at the end of the evaporator',
  }),
  liquid: figure('Liquid pressure', 'pressure', { example: 1_780_000 }),
  liquidLine: figure('Liquid line', 'temperature', { example: 306 }),
};

const BAND_WORDS: Record<Band, string> = {
  below: 'below its range',
  within: 'in range',
  above: 'above its range',
};

export default function Superheat() {
  const form = useBenchForm('superheat', FIELDS);
  return (
    <BenchPage
      name="superheat"
      form={form}
      inputs={
        <>
          <RefrigerantPick />
          <Fields form={form} />
        </>
      }
    >
      <WithTable>{(table) => <Both table={table} form={form} />}</WithTable>
    </BenchPage>
  );
}

function Both({ table, form }: { table: SaturationTable; form: BenchForm<typeof FIELDS> }) {
  const { show } = useBench();
  const { suction, suctionLine, liquid, liquidLine } = form.si;
  const warm =
    suction !== null && suctionLine !== null
      ? superheat({ table, suction, lineTemperature: suctionLine })
      : null;
  const cold =
    liquid !== null && liquidLine !== null
      ? subcooling({ table, liquid, lineTemperature: liquidLine })
      : null;
  if (!warm && !cold)
    return <Wanted wanted={['Suction pressure', 'Suction line, or the two of the liquid']} />;
  const superheatK = warm?.ok ? warm.value.value.difference : null;
  const subcoolingK = cold?.ok ? cold.value.value.difference : null;
  const states = [
    ...(superheatK !== null && suction !== null && suctionLine !== null
      ? [{ name: 'suction', side: 'right' as const, temperature: suctionLine, pressure: suction }]
      : []),
    ...(subcoolingK !== null && liquid !== null && liquidLine !== null
      ? [{ name: 'liquid', side: 'left' as const, temperature: liquidLine, pressure: liquid }]
      : []),
  ];
  const said = [
    superheatK === null ? null : `superheat ${show('temperatureDifference', superheatK)}`,
    subcoolingK === null ? null : `subcooling ${show('temperatureDifference', subcoolingK)}`,
  ].filter((each) => each !== null);
  return (
    <>
      {said.length > 0 && <AnswerStrip words={`${table.name}: ${said.join(', ')}`} />}
      <div className="grid gap-x-8 sm:grid-cols-2">
        {warm && (
          <Answer outcome={warm}>
            {(state) => <Difference name="Superheat" state={state} table={table} range={SUPERHEAT} />}
          </Answer>
        )}
        {cold && (
          <Answer outcome={cold}>
            {(state) => <Difference name="Subcooling" state={state} table={table} range={SUBCOOLING} />}
          </Answer>
        )}
      </div>
      {superheatK !== null && superheatK > -0.5 && (
        <Answer outcome={valveAdvice(superheatK, subcoolingK)}>
          {(advice) => (
            <Verdict tone={advice.action === 'leave' ? 'good' : 'watch'} title={valveWords(advice)}>
              {advice.quarterTurns > 0 &&
                `That should bring the superheat to about ${show('temperatureDifference', advice.expected)}.`}
            </Verdict>
          )}
        </Answer>
      )}
      {states.length > 0 && <SaturationCurve table={table} states={states} />}
      {said.length > 0 && (
        <KeepThis
          keepable={{
            tool: 'superheat',
            kind: 'readings',
            summary: `${table.name}: ${said.join(', ')}`,
            inputs: form.inputs,
            result: { superheat: superheatK, subcooling: subcoolingK },
          }}
        />
      )}
    </>
  );
}

function Difference({
  name,
  state,
  table,
  range,
}: {
  name: string;
  state: LineState;
  table: SaturationTable;
  range: { low: number; high: number };
}) {
  const { show } = useBench();
  const between = `${show('temperatureDifference', range.low)} to ${show('temperatureDifference', range.high)}`;
  return (
    <>
      <Big label={name} note={`${BAND_WORDS[state.band]} (${between})`}>
        {show('temperatureDifference', state.difference)}
      </Big>
      <p className="text-soft">
        {show('temperature', state.saturation)} at that pressure: {lineWords(table, state.line)}.
      </p>
      <TableDoubt name={table.name} doubtful={state.doubtful} />
      {state.beyondSaturation && (
        <p className="mt-2 border-l-4 border-brick pl-3 font-semibold text-brick">
          {name === 'Superheat'
            ? 'Less than none: liquid comes back to the compressor, or a reading is wrong.'
            : 'Less than none: vapour in the liquid line, or a reading is wrong.'}
        </p>
      )}
    </>
  );
}
