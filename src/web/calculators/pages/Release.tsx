/** How much got out when a section was opened. */
import { release } from '../../../core/bench/release';
import { useBenchForm } from '../form';
import { Big, Caution } from '../parts/Answer';
import { BenchPage } from '../parts/BenchPage';
import { Fields, Ready } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { FlammableCaution, RefrigerantPick, WithTable } from '../parts/RefrigerantPick';

const SPECS = {
  volume: {
    label: 'Volume of the section',
    dimension: 'volume',
    unit: { us: 'L', metric: 'L' },
    example: 0.002,
  },
  left: { label: 'Pressure that was left', dimension: 'pressure', example: 120_000 },
  temperature: { label: 'Temperature of the section', dimension: 'temperature', example: 294.2611 },
  trace: {
    label: 'Refrigerant in the gas',
    dimension: 'share',
    start: 1,
    hint: '100 for refrigerant; for nitrogen with a trace, the share of the trace',
  },
} as const;

export default function Release() {
  const form = useBenchForm('release', SPECS);
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
      <Ready form={form} keys={['volume', 'left', 'temperature', 'trace']}>
        {(si) => (
          <WithTable>
            {(table) => (
              <KeptAnswer
                outcome={release({ table, ...si, traceShare: si.trace })}
                tool="release"
                kind="readings"
                fields={form.fields}
                summary={({ mass }) =>
                  `Estimated release of ${table.name}: ${show('mass', mass)}, ${show('volume', si.volume)} opened at ${show('pressure', si.left)}`
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
                        : 'An estimate, to be recorded as one.'
                    }
                  >
                    {show('mass', value.mass)}
                  </Big>
                )}
              </KeptAnswer>
            )}
          </WithTable>
        )}
      </Ready>
    </BenchPage>
  );
}
