/** Step 4: the side at rest, or nitrogen; never above the least marked design pressure. */
import { noteForm } from '../../../record/forms';
import { NoteCard } from '../panels/NoteCard';
import { StepCalculators } from '../panels/StepCalculators';

export function RaisePressure() {
  return (
    <>
      <p className="mb-3">
        Stop the compressor with the solenoid open and before any pump-down: the low side rises to what it
        shows at rest. Only where that is too little, nitrogen, slowly; with a trace if a detector is to see
        it.
      </p>
      <NoteCard name="raised" spec={noteForm('raised')} save="Save the pressure" />
      <StepCalculators />
    </>
  );
}
