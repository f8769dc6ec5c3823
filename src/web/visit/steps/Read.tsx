/** Step 2: the machine is read on its drawing, place by place, with what each should be and what it amounts to. */
import { AMPLE, ROUND } from '../../../core/visit/readings/places';
import { noteForm } from '../../../record/forms';
import { Fold } from '../../parts/Fold';
import { VisitDrawing, useReadingRound } from '../drawing/VisitDrawing';
import { InstrumentsPanel } from '../panels/InstrumentsPanel';
import { NoteCard } from '../panels/NoteCard';
import { StepCalculators } from '../panels/StepCalculators';
import { OtherPlaces, ReadOn, Series } from '../readings/Reading';

export function Read() {
  const round = useReadingRound();
  return (
    <>
      <VisitDrawing
        label="The machine: touch a place to read it"
        asked={[...ROUND, ...AMPLE]}
        round={round}
      />
      <ReadOn round={round} />
      <Series />
      <OtherPlaces round={round} />
      <Fold title="Gauge against gauge" about="which of two is believed">
        <NoteCard name="gaugeCheck" spec={noteForm('gaugeCheck')} save="Save both" main={false} />
      </Fold>
      <InstrumentsPanel />
      <StepCalculators />
    </>
  );
}
