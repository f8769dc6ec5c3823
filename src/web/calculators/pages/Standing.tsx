/** Is there liquid left? Standing pressure against saturation at ambient. */
import { fahrenheitDegrees } from '../../../core/calculators/calculated';
import { type StandingVerdict, standingCheck } from '../../../core/calculators/standingCheck';
import { STANDING_VERDICT_WORDS } from '../../../words/calculators';
import { SaturationCurve } from '../charts/SaturationCurve';
import { figure, useBenchForm } from '../form';
import { Verdict } from '../parts/Answer';
import { BenchPage } from '../parts/BenchPage';
import { Fields, Ready } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { FlammableCaution, RefrigerantPick, TableDoubt, WithTable } from '../parts/RefrigerantPick';
import { useBench } from '../setting';

const FIELDS = {
  standing: figure('Standing pressure', 'pressure', { example: 520_000, hint: 'at rest, solenoid open' }),
  ambient: figure('Ambient temperature', 'temperature', { example: 297, hint: 'at its coldest part' }),
  doubt: figure('How far that may be off', 'temperatureDifference', { start: fahrenheitDegrees(3) }),
  resolution: figure('Division of the gauge', 'pressureDifference', { start: 6894.757 }),
};

const TONES: Record<StandingVerdict, 'good' | 'bad' | 'watch'> = {
  liquidPresent: 'good',
  vapourOnly: 'bad',
  airOrWrongGas: 'watch',
};

export default function Standing() {
  const form = useBenchForm('standing', FIELDS);
  const { show } = useBench();
  return (
    <BenchPage
      name="standing"
      form={form}
      inputs={
        <>
          <RefrigerantPick />
          <Fields form={form} />
        </>
      }
    >
      <Ready form={form} keys={['standing', 'ambient', 'doubt', 'resolution']}>
        {(si) => (
          <WithTable>
            {(table) => (
              <KeptAnswer
                outcome={standingCheck({ table, ...si })}
                tool="standing"
                kind="readings"
                inputs={form.inputs}
                summary={({ verdict }) =>
                  `${STANDING_VERDICT_WORDS[verdict].title}: ${show('pressure', si.standing)} at ${show('temperature', si.ambient)}`
                }
                below={() => (
                  <>
                    <SaturationCurve
                      table={table}
                      states={[
                        { name: 'at rest', side: 'right', temperature: si.ambient, pressure: si.standing },
                      ]}
                    />
                    <FlammableCaution />
                  </>
                )}
              >
                {(check) => (
                  <>
                    <Verdict tone={TONES[check.verdict]} title={STANDING_VERDICT_WORDS[check.verdict].title}>
                      {STANDING_VERDICT_WORDS[check.verdict].about}
                    </Verdict>
                    <TableDoubt name={table.name} doubtful={check.doubtful} />
                    <p>
                      With liquid it would stand between {show('pressure', check.lowest)} and{' '}
                      {show('pressure', check.highest)}; it stands at {show('pressure', si.standing)}.
                    </p>
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
