/** Add more, or stop? By superheat and subcooling. */
import { type Effect, type Metering, trim } from '../../../core/calculators/charge/trim';
import { Choices } from '../../parts/Choices';
import { TRIM_WORDS } from '../../../words/calculators';
import { useBenchForm } from '../form';
import { Verdict } from '../parts/Answer';
import { Caution } from '../../parts/Caution';
import { BenchPage } from '../parts/BenchPage';
import { Fields, Ready } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { FlammableCaution, RefrigerantPick } from '../parts/RefrigerantPick';

const SPECS = {
  superheat: { label: 'Superheat', dimension: 'temperatureDifference', example: 12 },
  subcooling: { label: 'Subcooling', dimension: 'temperatureDifference', example: 1.5 },
  boxAbove: { label: 'Box above its goal by', dimension: 'temperatureDifference', start: 0 },
} as const;

const EFFECTS: Record<Effect, string> = { rises: 'rises', falls: 'falls', stays: 'stays about as it is' };
const TONES = {
  add: 'watch',
  addSlowly: 'watch',
  stop: 'good',
  tooMuch: 'bad',
  checkValve: 'watch',
  waitForBox: 'watch',
  flooding: 'bad',
  restriction: 'bad',
  plugged: 'bad',
} as const;

export default function Trim() {
  const form = useBenchForm('trim', SPECS, { metering: 'valve' });
  return (
    <BenchPage
      name="trim"
      form={form}
      inputs={
        <>
          <RefrigerantPick />
          <p className="mb-1 font-semibold">Metering</p>
          <Choices
            label="Metering"
            value={form.choice.metering}
            onChange={(value) => form.choose('metering', value)}
            choices={[
              { value: 'valve', words: 'expansion valve' },
              { value: 'fixed', words: 'capillary or fixed opening' },
            ]}
          />
          <Fields form={form} />
        </>
      }
    >
      <Ready form={form} keys={['superheat', 'subcooling', 'boxAbove']}>
        {(si) => (
          <KeptAnswer
            outcome={trim({ ...si, metering: form.choice.metering as Metering })}
            tool="trim"
            kind="chargeRun"
            fields={form.fields}
            choices={form.choice}
            summary={({ advice }) => `Charging: ${TRIM_WORDS[advice].title.toLowerCase()}`}
            below={() => (
              <>
                <Caution>
                  By weight first, where the full charge is known. A clear glass can be full or empty: line
                  temperatures decide. Liquid refrigerant freezes skin.
                </Caution>
                <FlammableCaution />
              </>
            )}
          >
            {(value) => (
              <>
                <Verdict tone={TONES[value.advice]} title={TRIM_WORDS[value.advice].title}>
                  {TRIM_WORDS[value.advice].about}
                </Verdict>
                <p>
                  With the next addition superheat {EFFECTS[value.superheat]}, subcooling{' '}
                  {EFFECTS[value.subcooling]}.
                </p>
              </>
            )}
          </KeptAnswer>
        )}
      </Ready>
    </BenchPage>
  );
}
