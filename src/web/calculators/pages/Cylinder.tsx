/** How full may this bottle be? Limit, room and the weight at which to stop. */
import { cylinderRoom } from '../../../core/calculators/charge/cylinder';
import { REFRIGERANT_NAMES } from '../../../core/refrigerant/refrigerant';
import { useCylinderPages } from '../../data/api/queries';
import { MoreRows, rowsOf } from '../../parts/Pages';
import { SelectField } from '../../parts/Field';
import { choice, figure, useBenchForm } from '../form';
import { Big, Verdict } from '../parts/Answer';
import { Caution } from '../../parts/Caution';
import { BenchPage } from '../parts/BenchPage';
import { Fields, Ready } from '../parts/Fields';
import { KeptAnswer } from '../parts/KeptAnswer';
import { FlammableCaution, RefrigerantPick, WithTable } from '../parts/RefrigerantPick';

const FIELDS = {
  bottle: choice('A bottle on the list', {}),
  holds: choice('The bottle holds', {
    '': 'nothing: empty and evacuated',
    ...Object.fromEntries(REFRIGERANT_NAMES.map((name) => [name, name])),
  }),
  waterCapacity: figure('Water capacity', 'volume', {
    unit: { us: 'L', metric: 'L' },
    example: 0.0238,
    hint: 'stamped WC; 1 lb of water is 0.4536 L',
  }),
  tare: figure('Tare', 'mass', { example: 11.2, hint: 'stamped TW' }),
  gross: figure('Weight now', 'mass', { example: 26.5 }),
  adding: figure('About to go in', 'mass', { optional: true }),
};

const STATES = {
  ok: { tone: 'good', title: 'There is room' },
  nearlyFull: { tone: 'watch', title: 'Nearly full: past 75 %' },
  tooFull: { tone: 'bad', title: 'Too full: past 80 %. Add nothing; take some out' },
} as const;

export default function Cylinder() {
  const form = useBenchForm('cylinder', FIELDS);
  const { show } = form;
  const listed = useCylinderPages();
  const cylinders = rowsOf(listed).filter((each) => each.waterCapacityL != null && each.tare != null);
  const pick = (id: string) => {
    const cylinder = cylinders.find((each) => each.id === id);
    if (!cylinder?.tare || cylinder.waterCapacityL == null) return form.put({ bottle: '' });
    form.put({
      bottle: id,
      holds: cylinder.refrigerant,
      waterCapacity: { text: String(cylinder.waterCapacityL), unit: 'L' },
      tare: { text: String(cylinder.tare.value), unit: cylinder.tare.unit },
    });
  };
  return (
    <BenchPage
      name="cylinder"
      form={form}
      inputs={
        <>
          {cylinders.length > 0 && (
            <SelectField
              label="A bottle on the list"
              optional
              value={form.choice.bottle}
              onChange={(event) => pick(event.target.value)}
              choices={[
                { value: '', words: 'another bottle' },
                ...cylinders.map((each) => ({
                  value: each.id,
                  words: `${each.serial}, ${each.refrigerant}`,
                })),
              ]}
            />
          )}
          <MoreRows pages={listed} words="List more bottles" />
          <RefrigerantPick label="Gas that is to go in" />
          <Fields form={form} only={['holds', 'waterCapacity', 'tare', 'gross', 'adding']} />
        </>
      }
    >
      <Caution>
        Recovery cylinders to 80 % only: liquid that grows warm bursts a full bottle. The stamp and the test
        date on it rule. Never mix gases.
      </Caution>
      <Ready form={form} keys={['waterCapacity', 'tare', 'gross']}>
        {(si) => (
          <WithTable>
            {(table) => (
              <KeptAnswer
                outcome={cylinderRoom({
                  table,
                  ...si,
                  adding: form.si.adding ?? 0,
                  holds: form.choice.holds === '' ? null : form.choice.holds,
                })}
                tool="cylinder"
                kind="chargeRun"
                inputs={form.inputs}
                summary={({ room, share }) =>
                  `Bottle for ${table.name}: ${show('share', share)} full, room for ${show('mass', Math.max(0, room))}`
                }
                below={() => <FlammableCaution />}
              >
                {(value) => (
                  <>
                    <Verdict tone={STATES[value.state].tone} title={STATES[value.state].title} />
                    <div className="grid gap-x-8 sm:grid-cols-2">
                      <Big label="Room left">{show('mass', value.room)}</Big>
                      <Big label="Stop when the scale reads">{show('mass', value.stopAt)}</Big>
                      <Big label="May hold in all">{show('mass', value.limit)}</Big>
                      <Big
                        label="Holds now"
                        note={`${show('share', value.share)} of its volume as liquid at 77 °F`}
                      >
                        {show('mass', value.held)}
                      </Big>
                    </div>
                    <Fill share={value.share} />
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

/** The bottle as a bar with its two marks. */
function Fill({ share }: { share: number }) {
  return (
    <div aria-hidden="true" className="relative my-3 h-8 max-w-md border border-ink">
      <div
        className={share > 0.8 ? 'h-full bg-brick' : 'h-full bg-green'}
        style={{ width: `${String(Math.min(share, 1) * 100)}%` }}
      />
      <div className="absolute inset-y-0 border-l-2 border-dashed border-ochre" style={{ left: '75%' }} />
      <div className="absolute inset-y-0 border-l-4 border-ink" style={{ left: '80%' }} />
    </div>
  );
}
