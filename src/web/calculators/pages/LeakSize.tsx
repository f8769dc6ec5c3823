/** One leak in all the ways people see it, and which method could see it. */
import { ROOM_K, fahrenheitDegrees } from '../../../core/calculators/calculated';
import { fallFound } from '../../../core/calculators/pressureTest';
import { readingDoubt } from '../../../core/calculators/pressureTestTail';
import { type LeakView, type LeakViews, leakSize, sightings } from '../../../core/calculators/leakSize';
import { measureText, toSi } from '../../../core/quantity/measure';
import { YEAR_S } from '../../../core/quantity/units';
import { DETECTION_LIMIT_WORDS } from '../../../words/calculators';
import { choice, figure, useBenchForm } from '../form';
import { Answer } from '../parts/Answer';
import { BenchPage } from '../parts/BenchPage';
import { Fields, More, Ready } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { RefrigerantPick, WithTable } from '../parts/RefrigerantPick';
import { useBench } from '../setting';

const VIEWS: Record<LeakView, string> = {
  share: 'percent a year',
  mass: 'weight a year',
  throughput: 'Pa·m³/s or mbar·L/s',
  bubbles: 'bubbles under soap',
  hold: 'fall in a hold',
  vacuum: 'rise under vacuum',
};

const FIELDS = {
  view: choice('I know it as', VIEWS),
  share: figure('Percent of the full charge a year', 'share', { example: 0.1 }),
  mass: figure('Refrigerant a year', 'massRate', { example: toSi('massRate', 0.9, 'kg/yr') }),
  throughput: figure('Leak at work', 'throughput', { example: 1e-5 }),
  bubbles: figure('Bubbles', 'bubbleRate', { example: 1 / 40 }),
  hold: figure('Fall in the pressure test', 'pressureRate', { example: toSi('pressureRate', 1, 'psi/h') }),
  vacuum: figure('Rise under vacuum', 'vacuumRate', { example: toSi('vacuumRate', 50, 'micron/min') }),
  fullCharge: figure('Full charge', 'mass', { start: toSi('mass', 10, 'lb') }),
  working: figure('Pressure at the leak while it works', 'pressure', {
    start: toSi('pressure', 150, 'psig'),
  }),
  bubble: figure('Bubble', 'length', { unit: { us: 'mm', metric: 'mm' }, start: 0.002 }),
  volume: figure('Volume in pressure test and vacuum', 'volume', {
    unit: { us: 'L', metric: 'L' },
    start: 0.02,
  }),
  test: figure('Nitrogen in the pressure test', 'pressure', { start: toSi('pressure', 150, 'psig') }),
  stood: figure('The pressure test stands', 'duration', { unit: { us: 'h', metric: 'h' }, start: 86_400 }),
  division: figure('Division of the gauge', 'pressureDifference', {
    start: toSi('pressureDifference', 1, 'psi'),
  }),
};
const ASSUMED = ['fullCharge', 'working', 'bubble', 'volume', 'test', 'stood', 'division'] as const;

export default function LeakSize() {
  const form = useBenchForm('leak-size', FIELDS);
  const { show, atmosphere } = useBench();
  const view = form.choice.view as LeakView;
  return (
    <BenchPage
      name="leak-size"
      form={form}
      inputs={
        <>
          <RefrigerantPick />
          <Fields form={form} only={['view', view]} />
          <More words="What the other views assume">
            <Fields form={form} only={ASSUMED} />
          </More>
        </>
      }
    >
      <Ready form={form} keys={[view, ...ASSUMED]}>
        {(si) => (
          <WithTable>
            {(table) => {
              const setting = { table, atmosphere, ...si };
              const given = view === 'share' ? si[view] / YEAR_S : si[view];
              const outcome = leakSize(setting, view, given);
              const doubt = readingDoubt({ at: 0, pressure: si.test, temperature: ROOM_K }, 1, {
                resolution: si.division,
                temperatureDoubt: fahrenheitDegrees(2),
              });
              return (
                <KeptAnswer
                  outcome={outcome}
                  tool="leak-size"
                  kind="readings"
                  inputs={form.inputs}
                  summary={({ mass, share }) =>
                    `Leak of ${table.name}: ${show('massRate', mass)}, ${show('share', share * YEAR_S)} a year`
                  }
                  below={({ mass }) => (
                    <Answer outcome={sightings(setting, mass, fallFound(doubt, si.stood))}>
                      {(seen) => (
                        <table className="mb-2 w-full text-left">
                          <caption className="mb-1 text-left font-semibold">Who could see it</caption>
                          <tbody>
                            {seen.map((each) => (
                              <tr key={each.method} className="rule-b">
                                <th scope="row" className="py-2 pr-4 font-normal">
                                  {DETECTION_LIMIT_WORDS[each.method]}
                                  <span className="block text-soft">
                                    from {show('massRate', each.smallest)}
                                  </span>
                                </th>
                                <td
                                  className={
                                    each.sees ? 'font-semibold text-green' : 'font-semibold text-brick'
                                  }
                                >
                                  {each.sees ? '● sees it' : '✕ does not'}
                                </td>
                              </tr>
                            ))}
                          </tbody>
                        </table>
                      )}
                    </Answer>
                  )}
                >
                  {(views) => <AllViews views={views} />}
                </KeptAnswer>
              );
            }}
          </WithTable>
        )}
      </Ready>
    </BenchPage>
  );
}

function AllViews({ views }: { views: LeakViews }) {
  const text = measureText;
  const rows: [string, string, boolean][] = [
    ['Of the full charge', `${text('share', views.share * YEAR_S, '%')} a year`, true],
    ['Pounds', text('massRate', views.mass, 'lb/yr'), true],
    ['Ounces', text('massRate', views.mass, 'oz/yr'), true],
    ['Kilograms', text('massRate', views.mass, 'kg/yr'), true],
    ['Grams', text('massRate', views.mass, 'g/yr'), true],
    ['Throughput', text('throughput', views.throughput, 'Pa·m³/s'), true],
    ['', text('throughput', views.throughput, 'mbar·L/s'), true],
    ['Bubbles under soap', text('bubbleRate', views.bubbles, 'bubbles/min'), false],
    ['Fall in the pressure test', text('pressureRate', views.hold, 'psi/h'), false],
    ['Rise under vacuum', text('vacuumRate', views.vacuum, 'micron/min'), false],
  ];
  return (
    <table className="mb-2 w-full text-left">
      <caption className="mb-1 text-left font-semibold">The same leak</caption>
      <tbody>
        {rows.map(([name, figure, exact]) => (
          <tr key={`${name}${figure}`} className="rule-b">
            <th scope="row" className="py-1.5 pr-4 font-normal">
              {name}
              {!exact && <span className="text-soft"> (estimate)</span>}
            </th>
            <td className="text-right text-lg font-semibold">{figure}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
