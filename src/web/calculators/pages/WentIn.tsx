/** How much went in: bottles before and after, up to three. */
import { toSi } from '../../../core/quantity/measure';
import { type Weighing, weighedIn } from '../../../core/calculators/charge/weighed';
import { figure, useBenchForm } from '../form';
import { Big } from '../parts/Answer';
import { BenchPage } from '../parts/BenchPage';
import { Fields, Ready } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { RefrigerantPick } from '../parts/RefrigerantPick';
import { useBench } from '../setting';
import { gasNameOf } from '../../../words/gas';

const FIELDS = {
  before1: figure('First bottle before', 'mass', { example: toSi('mass', 24, 'lb') }),
  after1: figure('First bottle after', 'mass', { example: toSi('mass', 18.5, 'lb') }),
  before2: figure('Second bottle before', 'mass', { optional: true }),
  after2: figure('Second bottle after', 'mass', { optional: true }),
  before3: figure('Third bottle before', 'mass', { optional: true }),
  after3: figure('Third bottle after', 'mass', { optional: true }),
};

export default function WentIn() {
  const form = useBenchForm('went-in', FIELDS);
  const { show } = form;
  const { refrigerant } = useBench();
  const { si } = form;
  const rows: [string, number | null, number | null][] = [
    ['the first bottle', si.before1, si.after1],
    ['the second bottle', si.before2, si.after2],
    ['the third bottle', si.before3, si.after3],
  ];
  const weighings = rows.flatMap(([cylinder, one, two]): Weighing[] =>
    one !== null && two !== null ? [{ bottle: cylinder, before: one, after: two }] : [],
  );
  const half = rows.filter(([, one, two]) => (one === null) !== (two === null)).map(([cylinder]) => cylinder);
  return (
    <BenchPage
      name="went-in"
      form={form}
      inputs={
        <>
          <RefrigerantPick />
          <Fields form={form} />
        </>
      }
    >
      <Ready form={form} keys={['before1', 'after1']}>
        {() => (
          <KeptAnswer
            outcome={weighedIn(weighings)}
            tool="went-in"
            kind="chargeRun"
            inputs={form.inputs}
            summary={(mass) => `${show('mass', mass)} of ${gasNameOf(refrigerant)} went in, by weight`}
            below={() => (
              <>
                {half.length > 0 && (
                  <p className="font-semibold text-ochre">
                    Of {half.join(' and ')} only one weight is there, so it does not count.
                  </p>
                )}
                <p className="text-soft">
                  This is a note. To count it for the leak rate, log the gas itself: Due, Log gas.
                </p>
              </>
            )}
          >
            {(mass) => <Big label="Went in">{show('mass', mass)}</Big>}
          </KeptAnswer>
        )}
      </Ready>
    </BenchPage>
  );
}
