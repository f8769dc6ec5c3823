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
import { Choices } from '../../parts/Choices';
import { CONTROL_WARNING_WORDS } from '../../../words/calculators';
import { useBenchForm } from '../form';
import { Big } from '../parts/Answer';
import { Caution } from '../../parts/Caution';
import { BenchPage } from '../parts/BenchPage';
import { Fields, Ready } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { RefrigerantPick, WithTable } from '../parts/RefrigerantPick';
import { useBench } from '../setting';

const SPECS = {
  boxLow: { label: 'Coldest the box may get', dimension: 'temperature', example: 274.8167 },
  boxHigh: { label: 'Warmest the box may get', dimension: 'temperature', example: 277.594444 },
  difference: {
    label: 'Box to coil while it runs',
    dimension: 'temperatureDifference',
    start: EVAPORATOR_TD.walkIn,
  },
  cutIn: { label: 'Cut-in', dimension: 'pressure', example: toSi('pressure', 31, 'psig') },
  differential: {
    label: 'Differential',
    dimension: 'pressureDifference',
    example: toSi('pressureDifference', 14, 'psi'),
  },
  cutOut: { label: 'Cut-out', dimension: 'pressure', example: toSi('pressure', 17, 'psig') },
} as const;

const KEYS = {
  box: ['boxLow', 'boxHigh', 'difference'],
  differential: ['cutIn', 'differential'],
  cutOut: ['cutIn', 'cutOut'],
} as const;
type From = keyof typeof KEYS;

export default function Control() {
  const form = useBenchForm('control', SPECS, { from: 'box' });
  const from = form.choice.from as From;
  const { show, atmosphere } = useBench();
  return (
    <BenchPage
      name="control"
      form={form}
      inputs={
        <>
          <p className="mb-1 font-semibold">I start from</p>
          <Choices
            label="I start from"
            value={from}
            onChange={(value) => form.choose('from', value)}
            choices={[
              { value: 'box', words: 'the box' },
              { value: 'differential', words: 'cut-in and differential' },
              { value: 'cutOut', words: 'cut-in and cut-out' },
            ]}
          />
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
                fields={Object.fromEntries(KEYS[from].map((key) => [key, form.fields[key]]))}
                choices={form.choice}
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
  si: Partial<Record<keyof typeof SPECS, number>>,
  table: SaturationTable,
  atmosphere: number,
): Outcome<ControlSetting> {
  const { cutIn = 0, cutOut = 0, differential = 0, boxLow = 0, boxHigh = 0, difference = 0 } = si;
  if (from === 'differential') return fromDifferential({ cutIn, differential, atmosphere });
  if (from === 'cutOut') return fromCutOut({ cutIn, cutOut, atmosphere });
  return controlForBox({ table, boxLow, boxHigh, difference, atmosphere });
}
