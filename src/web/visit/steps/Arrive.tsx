/** Step 1: the complaint, how long it has been warm, what is at risk, and what feeds what. */
import { noteForm } from '../../../record/forms';
import { NoteCard } from '../panels/NoteCard';
import { useVisit } from '../visitContext';
import { FeedsPanel } from '../../forms/FeedsPanel';

export function Arrive() {
  const { view } = useVisit();
  return (
    <>
      <FeedsPanel view={view} />
      <NoteCard name="arrival" spec={noteForm('arrival')} save="Save what you met" />
    </>
  );
}
