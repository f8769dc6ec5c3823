/** What stays in my hoses, and what to weigh so that the right charge is inside. */
import { hoseContent, weighOut } from '../../../core/calculators/charge/hoses';
import { measureText, toSi } from '../../../core/quantity/measure';
import {
  type SaturationTable,
  saturatedState,
  saturationTemperature,
  vapourDensity,
} from '../../../core/refrigerant/saturation';
import { calculatorRefusalWords } from '../../../words/calculators';
import { type BenchForm, type FigureKey, choice, figure, useBenchForm } from '../form';
import { Answer, Big, Refused } from '../parts/Answer';
import { Caution } from '../../parts/Caution';
import { BenchPage } from '../parts/BenchPage';
import { Fields, Ready } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { FlammableCaution, RefrigerantPick, WithTable } from '../parts/RefrigerantPick';

const FIELDS = {
  charge: figure('Charge that must be inside', 'mass', { unit: { us: 'oz', metric: 'g' }, example: 0.07 }),
  bore: figure('Bore of the hose', 'length', {
    start: toSi('length', 0.19, 'in'),
    hint: 'a hose called 1/4 in has about 0.19 in',
  }),
  length: figure('Length of the hose', 'length', {
    unit: { us: 'ft', metric: 'm' },
    start: toSi('length', 5, 'ft'),
  }),
  count: figure('Hoses that are filled', 'number', { start: 1 }),
  liquid: figure('Temperature of the liquid in the hose', 'temperature', { start: 297.0389 }),
  suction: figure('Suction pressure when they are pulled empty', 'pressure', { start: 200_000 }),
  off: choice('The hoses come off', { empty: 'pulled empty into the low side', full: 'full of liquid' }),
};
type Si = Record<FigureKey<typeof FIELDS>, number>;

export default function Weigh() {
  const form = useBenchForm('weigh', FIELDS);
  return (
    <BenchPage
      name="weigh"
      form={form}
      inputs={
        <>
          <RefrigerantPick />
          <Fields form={form} only={['charge', 'bore', 'length', 'count', 'off', 'liquid', 'suction']} />
        </>
      }
    >
      <Ready form={form} keys={['charge', 'bore', 'length', 'count', 'liquid', 'suction']}>
        {(si) => <WithTable>{(table) => <Weighed table={table} si={si} form={form} />}</WithTable>}
      </Ready>
    </BenchPage>
  );
}

function Weighed({ table, si, form }: { table: SaturationTable; si: Si; form: BenchForm<typeof FIELDS> }) {
  const { show } = form;
  const liquid = saturatedState(table, si.liquid);
  if (!liquid.ok) return <Refused>{calculatorRefusalWords(liquid.refusal, show)}</Refused>;
  const boiling = saturationTemperature(table, 'dew', si.suction);
  if (!boiling.ok) return <Refused>{calculatorRefusalWords(boiling.refusal, show)}</Refused>;
  const vapour = vapourDensity(table, boiling.value);
  if (!vapour.ok) return <Refused>{calculatorRefusalWords(vapour.refusal, show)}</Refused>;
  const full = hoseContent({ ...si, density: liquid.value.liquidDensity });
  if (!full.ok) return <Answer outcome={full}>{() => null}</Answer>;
  const pulledEmpty = form.choice.off === 'empty';
  return (
    <KeptAnswer
      outcome={weighOut({
        charge: si.charge,
        hoseVolume: full.value.value.volume,
        liquid: liquid.value.liquidDensity,
        vapour: vapour.value,
        pulledEmpty,
      })}
      tool="weigh"
      kind="chargeRun"
      inputs={form.inputs}
      summary={({ weigh, kept }) =>
        `Weigh ${show('mass', weigh)} of ${table.name} so that ${show('mass', si.charge)} is inside; ${show('mass', kept)} stays in the hoses`
      }
      below={(value) => (
        <>
          {value.hoseHoldsMore && (
            <Caution>
              Your hose holds more than the machine. A slip of the valve is a wrong charge: take the shortest,
              finest hose or a charging adapter, and weigh before and after.
            </Caution>
          )}
          <Answer outcome={full}>
            {(content) => (
              <Big
                label="The hoses hold, full of liquid"
                note={`${show('volume', content.volume)} of volume`}
              >
                {show('mass', content.mass)}
              </Big>
            )}
          </Answer>
          <Caution>Liquid refrigerant freezes skin. Blends leave the bottle as liquid.</Caution>
          <FlammableCaution />
        </>
      )}
    >
      {(value) => (
        <div className="grid gap-x-8 sm:grid-cols-2">
          <Big label="Weigh out of the bottle" note={`= ${measureText('mass', value.weigh, 'g')}`}>
            {show('mass', value.weigh)}
          </Big>
          <Big label="Of it stays in the hoses" note={`= ${measureText('mass', value.kept, 'g')}`}>
            {show('mass', value.kept)}
          </Big>
        </div>
      )}
    </KeptAnswer>
  );
}
