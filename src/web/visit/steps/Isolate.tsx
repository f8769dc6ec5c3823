/** Step 7: pump down, valve off or recover; valves by touch; gas by weight, never let out. */
import { notesOf } from '../../../core/visit/visitRecord';
import { noteForm } from '../../../record/forms';
import { Fold, FoldPair } from '../../parts/Fold';
import { Weigh } from '../charge/Weigh';
import { useWeighing } from '../charge/useWeighing';
import { SectionDrawing } from '../drawing/SectionDrawing';
import { DisconnectedPanel } from '../panels/DisconnectedPanel';
import { GasCard, useVisitGas } from '../panels/GasCard';
import { NoteCard } from '../panels/NoteCard';
import { StepCalculators } from '../panels/StepCalculators';
import { ValvesPanel } from '../panels/ValvesPanel';
import { useVisit } from '../visitContext';

export function Isolate() {
  const { record, readings, newEntry } = useVisit();
  const suction = readings.latest.numbers['suction'];
  const weighing = useWeighing('refrigerantRecovered');
  const gas = useVisitGas(
    'refrigerantRecovered',
    () => {
      const entry =
        weighing.note && newEntry('chargeRun', { tool: 'weighed', step: 'isolate', ...weighing.note });
      return entry ? [entry] : [];
    },
    weighing.forget,
  );
  const recovering = notesOf(record.entries, 'isolation').at(-1)?.note.way === 'recoverAll';
  return (
    <>
      <SectionDrawing />
      <ValvesPanel />
      <NoteCard
        key={JSON.stringify(suction)}
        name="isolation"
        spec={noteForm('isolation')}
        given={{ foundAt: suction }}
        first={['way', 'downTo', 'foundAt', 'openedToAir']}
        save="Save how it was isolated"
        atThumb
      />
      <FoldPair>
        <Fold
          title="Gas recovered"
          about="by weight, each bottle an entry of its own"
          open={recovering && !record.entries.some(({ entry }) => entry.kind === 'refrigerantRecovered')}
        >
          <Weigh weighing={weighing} onTake={(amount) => gas.weigh(amount)} />
          <GasCard form={gas} words="Write the gas down as recovered" />
        </Fold>
        <StepCalculators />
      </FoldPair>
      <DisconnectedPanel />
    </>
  );
}
