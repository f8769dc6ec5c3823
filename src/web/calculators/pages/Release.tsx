/** How much got out when a section was opened. */
import { release, volumeByCharge } from '../../../core/calculators/release';
import { figure, useBenchForm } from '../form';
import { Big } from '../parts/Answer';
import { Caution } from '../../parts/Caution';
import { BenchPage } from '../parts/BenchPage';
import { Fields, Ready } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { FlammableCaution, RefrigerantPick, WithTable } from '../parts/RefrigerantPick';

const FIELDS = {
  volume: figure('Volume of the section', 'volume', {
    unit: { us: 'L', metric: 'L' },
    example: 0.002,
    optional: true,
  }),
  fullCharge: figure('Full charge, where nobody knows the volume', 'mass', {
    optional: true,
    hint: 'The volume is then estimated by it, with its range.',
  }),
  left: figure('Pressure before', 'pressure', { example: 120_000 }),
  after: figure('Pressure after', 'pressure', { optional: true, hint: 'Empty: all that was in it.' }),
  temperature: figure('Temperature of the section', 'temperature', { example: 294.2611 }),
  trace: figure('Refrigerant in the gas', 'share', {
    start: 1,
    hint: '100 for refrigerant; for nitrogen with a trace, the share of the trace',
  }),
};

export default function Release() {
  const form = useBenchForm('release', FIELDS);
  const { show } = form;
  return (
    <BenchPage
      name="release"
      form={form}
      inputs={
        <>
          <RefrigerantPick />
          <Fields form={form} />
        </>
      }
    >
      <Ready
        form={form}
        keys={[form.si.volume === null ? 'fullCharge' : 'volume', 'left', 'temperature', 'trace']}
      >
        {() => (
          <WithTable>
            {(table) => {
              const { volume, fullCharge, left, after, temperature, trace } = form.si;
              const estimated = volume === null && fullCharge !== null ? volumeByCharge(fullCharge) : null;
              const inside = volume ?? estimated?.usual ?? 0;
              const given = {
                table,
                left: left ?? 0,
                after,
                temperature: temperature ?? 0,
                traceShare: trace ?? 1,
              };
              const range =
                estimated &&
                [estimated.least, estimated.most].map((each) => {
                  const found = release({ ...given, volume: each });
                  return found.ok ? show('mass', found.value.value.mass) : '–';
                });
              return (
                <KeptAnswer
                  outcome={release({ ...given, volume: inside })}
                  tool="release"
                  kind="readings"
                  inputs={form.inputs}
                  summary={({ mass }) =>
                    `Estimated release of ${table.name}: ${show('mass', mass)}, ${show('volume', inside)}${estimated ? ' (estimated by its charge)' : ''} opened at ${show('pressure', left ?? 0)}${range ? `, between ${range.join(' and ')}` : ''}`
                  }
                  below={() => (
                    <>
                      <Caution>
                        Never let refrigerant out on purpose: recover first, down to what the rules ask. This
                        counts what could not be helped. Gas displaces air in a closed room.
                      </Caution>
                      <FlammableCaution />
                    </>
                  )}
                >
                  {(value) => (
                    <Big
                      label="Got out, about"
                      note={
                        value.liquidPresent
                          ? 'The pressure is that of saturation: liquid may have been there too, and is not counted.'
                          : range
                            ? `Between ${range.join(' and ')}: the volume is estimated by the charge.`
                            : 'An estimate, to be recorded as one.'
                      }
                    >
                      {show('mass', value.mass)}
                    </Big>
                  )}
                </KeptAnswer>
              );
            }}
          </WithTable>
        )}
      </Ready>
    </BenchPage>
  );
}
