/** Step 4: the side at rest, or nitrogen; never above the least marked design pressure. */
import { noteForm } from '../../../record/forms';
import { VisitDrawing, useReadingRound } from '../drawing/VisitDrawing';
import { NoteCard } from '../panels/NoteCard';
import { useReadings } from '../readings/useReadings';
import { StepCalculators } from '../panels/StepCalculators';

export function Pressurise() {
  const round = useReadingRound();
  const { now } = useReadings();
  // What it stood at is read on the drawing: at rest, or by the suction gauge.
  const before = now.numbers['standing'] ?? now.numbers['suction'];
  return (
    <>
      <VisitDrawing
        label="The machine: touch a place to read it at rest"
        asked={['standing']}
        round={round}
      />
      <NoteCard
        key={JSON.stringify(before)}
        name="raised"
        spec={noteForm('raised')}
        given={{ before }}
        first={['how', 'pressure']}
        save="Save the pressure"
        atThumb
      />
      <StepCalculators />
    </>
  );
}
