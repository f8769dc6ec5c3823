/** Step 1: the complaint, how long it has been warm, what is at risk, and what feeds what. */
import { noteForm } from '../../../record/forms';
import { FeedsPanel } from '../../forms/FeedsPanel';
import { Fold } from '../../parts/Fold';
import { VisitDrawing, useReadingRound } from '../drawing/VisitDrawing';
import { NoteCard } from '../panels/NoteCard';
import { useVisit } from '../visitContext';

export function Arrive() {
  const { view } = useVisit();
  const round = useReadingRound();
  return (
    <>
      <VisitDrawing
        label="The machine: touch the box to read it"
        asked={['box', 'secondBox']}
        round={round}
      />
      <NoteCard
        name="arrival"
        spec={noteForm('arrival')}
        first={['complaint', 'product']}
        save="Save what you met"
        atThumb
      />
      <Fold title="What feeds what" about="boxes on this unit, and what warms with them">
        <FeedsPanel view={view} />
      </Fold>
    </>
  );
}
