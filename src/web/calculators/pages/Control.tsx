/** Low-pressure control: from the box, or from one dial to the other. */
import { toSi } from '../../../core/quantity/measure';
import {
  type ControlSetting,
  controlForBox,
  fromCutOut,
  fromDifferential,
} from '../../../core/calculators/pressureControl';
import { EVAPORATOR_TD } from '../../../core/calculators/targets';
import type { Outcome } from '../../../core/calculators/calculated';
import type { SaturationTable } from '../../../core/refrigerant/saturation';
import { CONTROL_WARNING_WORDS } from '../../../words/calculators';
import { type FigureKey, choice, figure, only, useBenchForm } from '../form';
import { Big } from '../parts/Answer';
import { Caution } from '../../parts/Caution';
import { BenchPage } from '../parts/BenchPage';
import { Fields, Ready } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { RefrigerantPick, WithTable } from '../parts/RefrigerantPick';
import { useBench } from '../setting';

const FIELDS = {
  from: choice('I start from', {
    box: 'the box',
    differential: 'cut-in and differential',
    cutOut: 'cut-in and cut-out',
  }),
  boxLow: figure('Coldest the box may get', 'temperature', { example: 274.8167 }),
  boxHigh: figure('Warmest the box may get', 'temperature', { example: 277.594444 }),
  difference: figure('Box to coil while it runs', 'temperatureDifference', { start: EVAPORATOR_TD.walkIn }),
  cutIn: figure('Cut-in', 'pressure', { example: toSi('pressure', 31, 'psig') }),
  differential: figure('Differential', 'pressureDifference', {
    example: toSi('pressureDifference', 14, 'psi'),
  }),
  cutOut: figure('Cut-out', 'pressure', { example: toSi('pressure', 17, 'psig') }),
};

const KEYS = {
  box: ['boxLow', 'boxHigh', 'difference'],
  differential: ['cutIn', 'differential'],
  cutOut: ['cutIn', 'cutOut'],
} as const;
type From = keyof typeof KEYS;

export default function Control() {
  const form = useBenchForm('control', FIELDS);
  const from = form.choice.from as From;
  const { show, atmosphere } = useBench();
  return (
    <BenchPage
      name="control"
      form={form}
      inputs={
        <>
          <Fields form={form} only={['from']} />
          {from === 'box' && <RefrigerantPick />}
          <Fields form={form} only={KEYS[from]} />
        </>
      }
    >
      <Ready form={form} keys={KEYS[from]}>
        {(si) => (
          <WithTable>
            {(table) => (
              <KeptAnswer
                outcome={settingOf(from, si, table, atmosphere)}
                tool="control"
                kind="readings"
                inputs={only(form.inputs, ['from', ...KEYS[from]])}
                summary={({ cutIn, cutOut }) =>
                  `Low-pressure control: cut-in ${show('pressure', cutIn)}, cut-out ${show('pressure', cutOut)}`
                }
                below={() => (
                  <p className="text-soft">Note the old settings and their reason before you turn a dial.</p>
                )}
              >
                {(value) => (
                  <>
                    <div className="grid gap-x-8 sm:grid-cols-3">
                      <Big label="Cut-in">{show('pressure', value.cutIn)}</Big>
                      <Big label="Cut-out">{show('pressure', value.cutOut)}</Big>
                      <Big label="Differential">{show('pressureDifference', value.differential)}</Big>
                    </div>
                    {value.warnings.map((warning) => (
                      <Caution key={warning}>{CONTROL_WARNING_WORDS[warning]}</Caution>
                    ))}
                  </>
                )}
              </KeptAnswer>
            )}
          </WithTable>
        )}
      </Ready>
    </BenchPage>
  );
}

function settingOf(
  from: From,
  si: Partial<Record<FigureKey<typeof FIELDS>, number>>,
  table: SaturationTable,
  atmosphere: number,
): Outcome<ControlSetting> {
  const { cutIn = 0, cutOut = 0, differential = 0, boxLow = 0, boxHigh = 0, difference = 0 } = si;
  if (from === 'differential') return fromDifferential({ cutIn, differential, atmosphere });
  if (from === 'cutOut') return fromCutOut({ cutIn, cutOut, atmosphere });
  return controlForBox({ table, boxLow, boxHigh, difference, atmosphere });
}
