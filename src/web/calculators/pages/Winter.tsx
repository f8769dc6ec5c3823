/** How much more for winter? The charge that floods the condenser. */
import { winterCharge } from '../../../core/calculators/charge/winter';
import { figure, useBenchForm } from '../form';
import { Big } from '../parts/Answer';
import { BenchPage } from '../parts/BenchPage';
import { Fields, Ready } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { RefrigerantPick, WithTable } from '../parts/RefrigerantPick';

const FIELDS = {
  condenserVolume: figure('Internal volume of the condenser', 'volume', {
    unit: { us: 'L', metric: 'L' },
    example: 0.005,
  }),
  ambient: figure('Lowest ambient', 'temperature', { example: 255.372222 }),
  evaporating: figure('Evaporating temperature', 'temperature', { example: 244.261111 }),
};

export default function Winter() {
  const form = useBenchForm('winter', FIELDS);
  const { show } = form;
  return (
    <BenchPage
      name="winter"
      form={form}
      inputs={
        <>
          <RefrigerantPick />
          <Fields form={form} />
        </>
      }
    >
      <Ready form={form} keys={['condenserVolume', 'ambient', 'evaporating']}>
        {(si) => (
          <WithTable>
            {(table) => (
              <KeptAnswer
                outcome={winterCharge({ table, ...si })}
                tool="winter"
                kind="chargeRun"
                inputs={form.inputs}
                summary={({ extra }) =>
                  `Winter charge of ${table.name}: ${show('mass', extra)} more for ${show('temperature', si.ambient)}`
                }
                below={() => (
                  <p className="text-soft">
                    The receiver must hold this again in summer, below 80 % of its volume. Write it on the
                    machine beside the summer charge.
                  </p>
                )}
              >
                {({ extra, share }) => (
                  <div className="grid gap-x-8 sm:grid-cols-2">
                    <Big label="More than the summer charge">{show('mass', extra)}</Big>
                    <Big label="Of the condenser is flooded">{show('share', share)}</Big>
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
