/** What the gauges should read on this box in this weather, beside what they do read. */
import { fahrenheitDegrees } from '../../../core/calculators/calculated';
import {
  CONDENSER_SPLIT,
  EVAPORATOR_TD,
  type Targets as TargetPressures,
  targets,
} from '../../../core/calculators/targets';
import { fromSi } from '../../../core/quantity/measure';
import { Choices } from '../../parts/Choices';
import { CheckField } from '../../parts/Field';
import { useBenchForm } from '../form';
import { Big } from '../parts/Answer';
import { BenchPage } from '../parts/BenchPage';
import { Ready } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { MeasureInput } from '../parts/MeasureInput';
import { RefrigerantPick, WithTable } from '../parts/RefrigerantPick';
import { useBench } from '../setting';

const SPECS = {
  box: { label: 'Box temperature', dimension: 'temperature', example: 275.372 },
  difference: { label: 'Box to coil', dimension: 'temperatureDifference', start: EVAPORATOR_TD.walkIn },
  ambient: { label: 'Air into the condenser, or leaving water', dimension: 'temperature', example: 305.372 },
  split: {
    label: 'Split of the condenser',
    dimension: 'temperatureDifference',
    start: CONDENSER_SPLIT.standard,
  },
  suction: { label: 'Suction reads', dimension: 'pressure', optional: true, example: 480_000 },
  head: { label: 'Head reads', dimension: 'pressure', optional: true, example: 2_300_000 },
} as const;

const CONDENSERS = {
  standard: 'air-cooled',
  highEfficiency: 'high-efficiency',
  waterCooled: 'water-cooled',
} as const;

const UNIT = { us: '°F', metric: 'K' } as const;

export default function Targets() {
  const form = useBenchForm('targets', SPECS, { box: 'walkIn', condenser: 'standard', air: 'no' });
  const { show, system } = useBench();
  const typed = (kelvin: number) => ({
    text: String(Number(fromSi('temperatureDifference', kelvin, UNIT[system]).toFixed(1))),
    unit: UNIT[system],
  });
  return (
    <BenchPage
      name="targets"
      form={form}
      inputs={
        <>
          <RefrigerantPick />
          <Choices
            label="Box"
            value={form.choice.box}
            onChange={(box) =>
              form.put({
                choices: { box },
                measures: { difference: typed(EVAPORATOR_TD[box as keyof typeof EVAPORATOR_TD]) },
              })
            }
            choices={[
              { value: 'walkIn', words: 'walk-in' },
              { value: 'reachIn', words: 'reach-in' },
            ]}
          />
          <MeasureInput field={form.fields.box} />
          <MeasureInput field={form.fields.difference} />
          <CheckField
            label="The air was measured, not the pipe"
            checked={form.choice.air === 'yes'}
            onChange={(event) => form.choose('air', event.target.checked ? 'yes' : 'no')}
            hint={`The coil is then ${show('temperatureDifference', fahrenheitDegrees(2))} colder.`}
          />
          <Choices
            label="Condenser"
            value={form.choice.condenser}
            onChange={(condenser) =>
              form.put({
                choices: { condenser },
                measures: { split: typed(CONDENSER_SPLIT[condenser as keyof typeof CONDENSERS]) },
              })
            }
            choices={Object.entries(CONDENSERS).map(([value, words]) => ({ value, words }))}
          />
          <MeasureInput field={form.fields.ambient} />
          <MeasureInput field={form.fields.split} />
          <MeasureInput field={form.fields.suction} />
          <MeasureInput field={form.fields.head} />
        </>
      }
    >
      <Ready form={form} keys={['box', 'difference', 'ambient', 'split']}>
        {(si) => (
          <WithTable>
            {(table) => (
              <KeptAnswer
                outcome={targets({ ...si, table, airMeasured: form.choice.air === 'yes' })}
                tool="targets"
                kind="readings"
                fields={form.fields}
                choices={form.choice}
                summary={({ suction, head }) =>
                  `${table.name}: suction should read ${show('pressure', suction)}, head ${show('pressure', head)}`
                }
              >
                {(value) => (
                  <div className="grid gap-x-8 sm:grid-cols-2">
                    <Big
                      label="Suction should read"
                      note={`${show('temperature', value.evaporating)} evaporating (dew)${beside(form.si.suction, value.suction, show)}`}
                    >
                      {show('pressure', value.suction)}
                    </Big>
                    <Big
                      label="Head should read"
                      note={`${show('temperature', value.condensing)} condensing${glide(value, show)}${beside(form.si.head, value.head, show)}`}
                    >
                      {show('pressure', value.head)}
                    </Big>
                  </div>
                )}
              </KeptAnswer>
            )}
          </WithTable>
        )}
      </Ready>
    </BenchPage>
  );
}

/** Of a blend: the middle of its glide, and both ends. */
const glide = (
  { headEnds: { dew, bubble } }: TargetPressures,
  show: (dimension: 'pressure', si: number) => string,
): string =>
  show('pressure', dew) === show('pressure', bubble)
    ? ''
    : ` in the middle of the glide; ${show('pressure', dew)} by its dew point, ${show('pressure', bubble)} by its bubble point`;

function beside(
  reads: number | null,
  should: number,
  show: (dimension: 'pressure' | 'pressureDifference', si: number) => string,
): string {
  if (reads === null) return '';
  const difference = show('pressureDifference', Math.abs(reads - should));
  const side = reads > should ? 'higher' : 'lower';
  return `. It reads ${show('pressure', reads)}: ${difference} ${side}.`;
}
