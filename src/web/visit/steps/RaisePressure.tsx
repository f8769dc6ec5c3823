/** Step 4: the side at rest, or nitrogen; never above the least marked design pressure. */
import { noteForm } from '../../../record/forms';
import { VisitDrawing, useReadingRound } from '../drawing/VisitDrawing';
import { NoteCard } from '../panels/NoteCard';
import { StepCalculators } from '../panels/StepCalculators';

export function RaisePressure() {
  const round = useReadingRound();
  return (
    <>
      <VisitDrawing
        label="The machine: touch a place to read it at rest"
        asked={['standing']}
        round={round}
      />
      <NoteCard
        name="raised"
        spec={noteForm('raised')}
        first={['how', 'pressure']}
        save="Save the pressure"
        atThumb
      />
      <StepCalculators />
    </>
  );
}
