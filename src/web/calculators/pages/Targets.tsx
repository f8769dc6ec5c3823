/** What the gauges should read on this box in this weather, beside what they do read. */
import {
  CONDENSER_SPLIT,
  EVAPORATOR_TD,
  type Targets as TargetPressures,
  targets,
} from '../../../core/calculators/targets';
import { choice, figure, useBenchForm } from '../form';
import { Big } from '../parts/Answer';
import { BenchPage } from '../parts/BenchPage';
import { Fields, Ready } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { RefrigerantPick, WithTable } from '../parts/RefrigerantPick';
import { useBench } from '../setting';

const FIELDS = {
  boxKind: choice('Box', { walkIn: 'walk-in', reachIn: 'reach-in' }),
  box: figure('Box temperature', 'temperature', { example: 275.372 }),
  difference: figure('Box to coil', 'temperatureDifference', {
    start: ({ boxKind }) => EVAPORATOR_TD[boxKind as keyof typeof EVAPORATOR_TD],
  }),
  air: choice('What was measured in the box', { pipe: 'the pipe', air: 'the air: the coil is 2 °F colder' }),
  condenser: choice('Condenser', {
    standard: 'air-cooled',
    highEfficiency: 'high-efficiency',
    waterCooled: 'water-cooled',
  }),
  ambient: figure('Air into the condenser, or leaving water', 'temperature', { example: 305.372 }),
  split: figure('Split of the condenser', 'temperatureDifference', {
    start: ({ condenser }) => CONDENSER_SPLIT[condenser as keyof typeof CONDENSER_SPLIT],
  }),
  suction: figure('Suction reads', 'pressure', { optional: true, example: 480_000 }),
  head: figure('Head reads', 'pressure', { optional: true, example: 2_300_000 }),
};

export default function Targets() {
  const form = useBenchForm('targets', FIELDS);
  const { show } = useBench();
  return (
    <BenchPage
      name="targets"
      form={form}
      inputs={
        <>
          <RefrigerantPick />
          <Fields form={form} />
        </>
      }
    >
      <Ready form={form} keys={['box', 'difference', 'ambient', 'split']}>
        {(si) => (
          <WithTable>
            {(table) => (
              <KeptAnswer
                outcome={targets({ ...si, table, airMeasured: form.choice.air === 'air' })}
                tool="targets"
                kind="readings"
                inputs={form.inputs}
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
