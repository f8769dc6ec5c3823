/** Add more, or stop? By superheat and subcooling. */
import { type Effect, type Metering, trim } from '../../../core/calculators/charge/trim';
import { TRIM_WORDS } from '../../../words/calculators';
import { choice, figure, useBenchForm } from '../form';
import { Verdict } from '../parts/Answer';
import { Caution } from '../../parts/Caution';
import { BenchPage } from '../parts/BenchPage';
import { Fields, Ready } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { FlammableCaution, RefrigerantPick } from '../parts/RefrigerantPick';

const FIELDS = {
  metering: choice('Metering', { valve: 'expansion valve', fixed: 'capillary or fixed opening' }),
  superheat: figure('Superheat', 'temperatureDifference', { example: 12 }),
  subcooling: figure('Subcooling', 'temperatureDifference', { example: 1.5 }),
  boxAbove: figure('Box above its goal by', 'temperatureDifference', { start: 0 }),
};

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
  const form = useBenchForm('trim', FIELDS);
  return (
    <BenchPage
      name="trim"
      form={form}
      inputs={
        <>
          <RefrigerantPick />
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
            inputs={form.inputs}
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
