/** What will this leak cost? Twelve months of top-offs against a repair. */
import { leakMoney } from '../../../core/calculators/money';
import { figureText, toSi } from '../../../core/quantity/measure';
import { LazyCurves } from '../charts/LazyCurves';
import { figure, useBenchForm } from '../form';
import { Big, Verdict } from '../parts/Answer';
import { BenchPage } from '../parts/BenchPage';
import { Fields, Ready } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { ChooseFirst, RefrigerantPick } from '../parts/RefrigerantPick';
import { useBench } from '../setting';
import { countWords } from '../../../words/counts';

const DAY_S = 86_400;
const FIELDS = {
  fullCharge: figure('Full charge', 'mass', { example: toSi('mass', 40, 'lb') }),
  rate: figure('It leaks', 'massRate', {
    unit: { us: 'lb/yr', metric: 'kg/yr' },
    example: toSi('massRate', 14, 'lb/yr'),
  }),
  workingMinimum: figure('It still works down to', 'share', { start: 0.8, hint: 'of the full charge' }),
  gas: figure('Price of gas', 'gasPrice', { example: toSi('gasPrice', 38, 'a lb') }),
  visit: figure('Cost of a visit', 'number', { example: 320 }),
  perMonth: figure('Energy and product at risk, a month', 'number', { start: 0 }),
  repair: figure('Cost of the repair', 'number', { example: 900 }),
};

const money = (value: number): string => figureText(value, 0);

export default function Cost() {
  const form = useBenchForm('cost', FIELDS);
  const { show } = form;
  const { refrigerant } = useBench();
  return (
    <BenchPage
      name="cost"
      form={form}
      inputs={
        <>
          <RefrigerantPick />
          <Fields form={form} />
          <p className="mb-4 text-soft">Money in your own currency.</p>
        </>
      }
    >
      <Ready
        form={form}
        keys={['fullCharge', 'rate', 'workingMinimum', 'gas', 'visit', 'perMonth', 'repair']}
      >
        {(si) =>
          refrigerant === null ? (
            <ChooseFirst />
          ) : (
            <KeptAnswer
              outcome={leakMoney({
                ...si,
                refrigerant,
                rate: si.rate * DAY_S,
                gasPerKg: si.gas,
              })}
              tool="cost"
              kind="readings"
              inputs={form.inputs}
              summary={({ months, gas }) =>
                `Twelve months of top-offs: ${money(months[12]?.topOffs ?? 0)}, ${show('mass', gas)} of ${refrigerant}; with the repair: ${money(months[12]?.repair ?? 0)}`
              }
              below={({ months }) => (
                <LazyCurves
                  label="Money over twelve months"
                  x={{ name: 'Month', unit: 'from today', decimals: 0 }}
                  y={{ name: 'Money', unit: 'your currency', decimals: 0 }}
                  curves={[
                    {
                      name: 'topping off',
                      look: 'second',
                      points: months.map((each) => ({ x: each.month, y: each.topOffs })),
                    },
                    {
                      name: 'repair',
                      look: 'main',
                      points: months.map((each) => ({ x: each.month, y: each.repair })),
                    },
                  ]}
                />
              )}
            >
              {(value) => (
                <>
                  <Verdict
                    tone={value.repairPaysIn === null ? 'plain' : 'good'}
                    title={
                      value.repairPaysIn === null
                        ? 'Within twelve months the repair does not pay in money alone'
                        : `The repair pays by month ${String(value.repairPaysIn)}`
                    }
                  >
                    What the law asks is another matter: see the machine&rsquo;s page before you top off
                    again.
                  </Verdict>
                  <div className="grid gap-x-8 sm:grid-cols-2">
                    <Big
                      label="Topping off for twelve months"
                      note={`${countWords(value.topOffCount, 'visit')}, one every ${show('duration', value.every * DAY_S)}`}
                    >
                      {money(value.months[12]?.topOffs ?? 0)}
                    </Big>
                    <Big label="Repairing now" note="with one filling of gas">
                      {money(value.months[12]?.repair ?? 0)}
                    </Big>
                    <Big label="Gas lost in a year">{show('mass', value.gas)}</Big>
                    <Big label="As CO2, in a year" note="GWP over 100 years, fourth report">
                      {figureText(value.co2e, 2)} t CO2e
                    </Big>
                  </div>
                </>
              )}
            </KeptAnswer>
          )
        }
      </Ready>
    </BenchPage>
  );
}
