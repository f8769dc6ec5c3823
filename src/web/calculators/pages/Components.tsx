/** What does this system hold? Each part's volume at its state, summed with a range. */
import { toSi } from '../../../core/quantity/measure';
import {
  LIQUID_SHARE,
  type Component,
  chargeByComponents,
  lineVolume,
} from '../../../core/calculators/charge/components';
import type { CalculatorRefusal } from '../../../core/calculators/calculated';
import type { Result } from '../../../core/result';
import { Section } from '../../parts/Page';
import { calculatorRefusalWords } from '../../../words/calculators';
import { type FigureKey, figure, useBenchForm } from '../form';
import { Big, Refused } from '../parts/Answer';
import { BenchPage } from '../parts/BenchPage';
import { Fields } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { RefrigerantPick, WithTable } from '../parts/RefrigerantPick';

const feet = { us: 'ft', metric: 'm' };
const litres = { us: 'L', metric: 'L' };
const outside = (example: number) =>
  figure('Outside diameter', 'length', { optional: true, example: toSi('length', example, 'in') });
const wall = (start: number) => figure('Wall', 'length', { start: toSi('length', start, 'in') });
const length = (example: number) =>
  figure('Length', 'length', { unit: feet, optional: true, example: toSi('length', example, 'ft') });
const volume = (example: number) =>
  figure('Internal volume', 'volume', { unit: litres, optional: true, example });
const FIELDS = {
  warm: figure('Temperature of the warm side', 'temperature', { start: 313.15 }),
  cold: figure('Temperature of the cold side', 'temperature', { start: 266.4833 }),
  liquidOutside: outside(0.5),
  liquidWall: wall(0.035),
  liquidLength: length(60),
  suctionOutside: outside(1.125),
  suctionWall: wall(0.05),
  suctionLength: length(60),
  receiver: volume(0.012),
  level: figure('Level in the receiver', 'share', { start: 0.3 }),
  condenser: volume(0.008),
  evaporator: volume(0.006),
};
type Key = FigureKey<typeof FIELDS>;

const GROUPS: readonly { title: string; keys: readonly Key[] }[] = [
  { title: 'Both sides', keys: ['warm', 'cold'] },
  { title: 'Liquid line', keys: ['liquidOutside', 'liquidWall', 'liquidLength'] },
  { title: 'Suction line', keys: ['suctionOutside', 'suctionWall', 'suctionLength'] },
  { title: 'Receiver', keys: ['receiver', 'level'] },
  { title: 'Condenser', keys: ['condenser'] },
  { title: 'Evaporator', keys: ['evaporator'] },
];

/** The parts that are given; one that is given in part only, or impossibly, is a refusal. */
function partsOf(si: Record<Key, number | null>): Result<Component[], CalculatorRefusal> {
  const parts: Component[] = [];
  const { warm, cold } = si;
  if (warm === null || cold === null) return { ok: true, value: [] };
  for (const line of [
    {
      name: 'liquid line',
      at: ['liquidOutside', 'liquidWall', 'liquidLength'],
      liquid: LIQUID_SHARE.liquidLine,
      temperature: warm,
    },
    {
      name: 'suction line',
      at: ['suctionOutside', 'suctionWall', 'suctionLength'],
      liquid: LIQUID_SHARE.suctionLine,
      temperature: cold,
    },
  ] as const) {
    const [wide, thick, long] = line.at.map((key) => si[key]);
    if (wide == null || thick == null || long == null) continue;
    const found = lineVolume({ outside: wide, wall: thick, length: long });
    if (!found.ok) return found;
    parts.push({ ...line, volume: found.value.value });
  }
  if (si.receiver !== null && si.level !== null)
    parts.push({
      name: 'receiver',
      volume: si.receiver,
      liquid: { low: si.level, high: si.level },
      temperature: warm,
    });
  if (si.condenser !== null)
    parts.push({
      name: 'condenser',
      volume: si.condenser,
      liquid: LIQUID_SHARE.condenser,
      temperature: warm,
    });
  if (si.evaporator !== null)
    parts.push({
      name: 'evaporator',
      volume: si.evaporator,
      liquid: LIQUID_SHARE.evaporator,
      temperature: cold,
    });
  return { ok: true, value: parts };
}

export default function Components() {
  const form = useBenchForm('components', FIELDS);
  const { show } = form;
  const parts = partsOf(form.si);
  return (
    <BenchPage
      name="components"
      form={form}
      inputs={
        <>
          <RefrigerantPick />
          {GROUPS.map((group) => (
            <Section key={group.title} title={group.title}>
              <Fields form={form} only={group.keys} />
            </Section>
          ))}
        </>
      }
    >
      {!parts.ok ? (
        <Refused>{calculatorRefusalWords(parts.refusal, show)}</Refused>
      ) : parts.value.length === 0 ? (
        <p className="py-4 text-soft">
          Fill in the parts you know; each that is complete is added. What is left out is left out of the sum
          too.
        </p>
      ) : (
        <WithTable>
          {(table) => (
            <KeptAnswer
              outcome={chargeByComponents(table, parts.value)}
              tool="components"
              kind="chargeRun"
              inputs={form.inputs}
              summary={({ low, high }) =>
                `Full charge of ${table.name} by components: ${show('mass', low)} to ${show('mass', high)}`
              }
              below={() => (
                <p className="text-soft">
                  To make it count, set the full charge on the machine’s page as a range; its midpoint counts.
                </p>
              )}
            >
              {(value) => (
                <>
                  <Big
                    label="Full charge, about"
                    note={`${show('mass', value.low)} to ${show('mass', value.high)}`}
                  >
                    {show('mass', value.charge)}
                  </Big>
                  <table className="mb-3 w-full max-w-md text-left">
                    <caption className="text-left font-semibold">By part</caption>
                    <tbody>
                      {value.parts.map((part) => (
                        <tr key={part.name} className="rule-b">
                          <th scope="row" className="py-1 font-normal">
                            {part.name}
                          </th>
                          <td className="text-right">
                            {part.low === part.high
                              ? show('mass', part.low)
                              : `${show('mass', part.low)} to ${show('mass', part.high)}`}
                          </td>
                        </tr>
                      ))}
                    </tbody>
                  </table>
                </>
              )}
            </KeptAnswer>
          )}
        </WithTable>
      )}
    </BenchPage>
  );
}
