/** How long must the pump run? By volume, pump and hoses, with the usual sets beside it. */
import { toSi } from '../../../core/quantity/measure';
import { MICRON } from '../../../core/quantity/units';
import { pumpCheck } from '../../../core/calculators/evacuation/pumpCheck';
import { type HoseSet, type PumpDown as Down, pumpDown } from '../../../core/calculators/evacuation/pumpDown';
import { bareFigure, readIn } from '../../../words/measures';
import { LazyCurves } from '../charts/LazyCurves';
import { choice, figure, useBenchForm } from '../form';
import { Answer, Big } from '../parts/Answer';
import { BenchPage } from '../parts/BenchPage';
import { Fields, Ready } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { useBench } from '../setting';

const FIELDS = {
  volume: figure('Volume of the system', 'volume', { unit: { us: 'L', metric: 'L' }, example: 0.03 }),
  speed: figure('Pump speed', 'flow', { start: (6 * 0.028316846592) / 60 }),
  ultimate: figure('What the pump reaches alone', 'vacuum', {
    start: 30 * MICRON,
    hint: 'on its present oil',
  }),
  oilHours: figure('Hours on its oil', 'number', { start: 0 }),
  goal: figure('Goal', 'vacuum', { start: 500 * MICRON }),
  bore: figure('Bore of a hose', 'length', {
    start: toSi('length', 0.19, 'in'),
    hint: 'a hose called 1/4 in has about 0.19 in',
  }),
  length: figure('Length of a hose', 'length', {
    unit: { us: 'ft', metric: 'm' },
    start: toSi('length', 5, 'ft'),
  }),
  count: figure('Hoses side by side', 'number', { start: 2 }),
  cores: choice('Valve cores left in', { yes: 'yes', no: 'no' }),
};

const PUMP_WORDS = {
  strong: 'The pump is fit for this goal.',
  weak: 'The pump has little speed left at this goal.',
  cannot: 'The pump does not reach this goal alone.',
} as const;

/** Two others to compare with. */
const WIDE: HoseSet = {
  bore: toSi('length', 0.37, 'in'),
  length: toSi('length', 3, 'ft'),
  count: 1,
  coresIn: false,
};
const NARROW: HoseSet = {
  bore: toSi('length', 0.19, 'in'),
  length: toSi('length', 5, 'ft'),
  count: 2,
  coresIn: true,
};

export default function PumpDown() {
  const form = useBenchForm('pump-down', FIELDS);
  const { show, atmosphere } = useBench();
  const coresIn = form.choice.cores === 'yes';
  return (
    <BenchPage
      name="pump-down"
      form={form}
      inputs={
        <>
          <Fields form={form} />
        </>
      }
    >
      <Ready
        form={form}
        keys={['volume', 'speed', 'ultimate', 'oilHours', 'goal', 'bore', 'length', 'count']}
      >
        {(si) => {
          const common = {
            volume: si.volume,
            from: atmosphere,
            to: si.goal,
            pump: { speed: si.speed, ultimate: si.ultimate },
          };
          const outcome = pumpDown({
            ...common,
            hoses: { bore: si.bore, length: si.length, count: si.count, coresIn },
          });
          return (
            <KeptAnswer
              outcome={outcome}
              tool="pump-down"
              kind="readings"
              inputs={form.inputs}
              summary={({ seconds }) =>
                `Pull-down of ${show('volume', si.volume)} to ${show('vacuum', si.goal)}: about ${show('duration', seconds)}`
              }
              result={({ seconds, arriving }) => ({ seconds, arriving })}
              below={(value) => (
                <>
                  <Answer outcome={pumpCheck(si)}>
                    {(check) => (
                      <p
                        className={check.pump === 'strong' && !check.oilDue ? '' : 'font-semibold text-ochre'}
                      >
                        {PUMP_WORDS[check.pump]} {check.oilDue && 'Its oil is due: change it first.'}
                      </p>
                    )}
                  </Answer>
                  <Sets
                    own={value}
                    others={[
                      {
                        name: 'two 1/4 in hoses of 5 ft, cores in',
                        outcome: pumpDown({ ...common, hoses: NARROW }),
                      },
                      {
                        name: 'one 3/8 in hose of 3 ft, cores out',
                        outcome: pumpDown({ ...common, hoses: WIDE }),
                      },
                    ]}
                  />
                </>
              )}
            >
              {(value) => (
                <div className="grid gap-x-8 sm:grid-cols-2">
                  <Big label="At the least" note="dry, tight and warm; moisture and oil come on top">
                    {show('duration', value.seconds)}
                  </Big>
                  <Big label="Of the pump’s speed arrives at the end">
                    {value.arriving < 0.001 ? 'under 0.1 %' : show('share', value.arriving)}
                  </Big>
                </div>
              )}
            </KeptAnswer>
          );
        }}
      </Ready>
    </BenchPage>
  );
}

function Sets({
  own,
  others,
}: {
  own: Down;
  others: readonly { name: string; outcome: ReturnType<typeof pumpDown> }[];
}) {
  const { system, show } = useBench();
  const unit = readIn('vacuum', system);
  const rows = [
    { name: 'this set', value: own },
    ...others.flatMap(({ name, outcome }) => (outcome.ok ? [{ name, value: outcome.value.value }] : [])),
  ];
  const looks = ['main', 'second', 'third'] as const;
  return (
    <>
      <table className="my-4 w-full text-left">
        <caption className="text-left font-semibold">Other hoses on the same pump</caption>
        <tbody>
          {rows.map((row) => (
            <tr key={row.name} className="rule-b">
              <th scope="row" className="py-2 pr-4 font-normal">
                {row.name}
              </th>
              <td className="text-right font-semibold">{show('duration', row.value.seconds)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <LazyCurves
        label="Pull-down by hose set"
        x={{ name: 'Time', unit: 'min' }}
        y={{ name: 'Vacuum', unit: unit === 'micron' ? 'microns' : unit, log: true }}
        curves={rows.map((row, index) => ({
          name: row.name,
          look: looks[index] ?? 'third',
          points: row.value.curve.map((each) => ({
            x: each.at / 60,
            y: bareFigure('vacuum', each.pressure, unit),
          })),
        }))}
      />
    </>
  );
}
