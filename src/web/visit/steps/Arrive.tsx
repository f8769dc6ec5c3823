/** Step 1: the complaint, how long it has been warm, what is at risk, and what feeds what. */
import { NOTE_FORMS } from '../../../record/noteForms';
import { NoteCard } from '../NoteCard';
import { useVisit } from '../visitContext';
import { FeedsPanel } from '../../forms/FeedsPanel';

export function Arrive() {
  const { view } = useVisit();
  return (
    <>
      <FeedsPanel view={view} />
      <NoteCard name="arrival" spec={NOTE_FORMS.arrival} save="Save what you met" />
    </>
  );
}
