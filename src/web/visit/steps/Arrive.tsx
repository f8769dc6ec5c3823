/** Step 1: the complaint, how long it has been warm, what is at risk, and what feeds what. */
import { NOTE_FORMS } from '../noteForms';
import { NoteCard } from '../NoteCard';
import { FeedsPanel } from '../FeedsPanel';

export function Arrive() {
  return (
    <>
      <FeedsPanel />
      <NoteCard name="arrival" spec={NOTE_FORMS.arrival} save="Save what you met" />
    </>
  );
}
