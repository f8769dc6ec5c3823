/** Step 9: several sections, each with a series of readings and the conditions that make it worth something. */
import { useState } from 'react';
import { noteForm } from '../../../record/forms';
import { Button } from '../../parts/Button';
import { Fold } from '../../parts/Fold';
import { SectionDrawing, useSection } from '../drawing/SectionDrawing';
import { PressureTestPanel } from '../pressureTest/PressureTestPanel';
import { PressureTestTray } from '../pressureTest/PressureTestTray';
import { usePressureTest } from '../pressureTest/usePressureTest';
import { FirstTest } from '../panels/LegalTest';
import { NoteCard } from '../panels/NoteCard';
import { StepCalculators } from '../panels/StepCalculators';
import { TestsPanel } from '../panels/TestsPanel';
import { ValvesPanel } from '../panels/ValvesPanel';
import { MainAction } from '../StepBar';

export function PressureTestStep() {
  const section = useSection();
  const hold = usePressureTest(section.words);
  const [reading, setReading] = useState(false);
  return (
    <>
      <SectionDrawing section={section} />
      <PressureTestPanel hold={hold} />
      <MainAction>
        <Button weight="main" disabled={hold.section === ''} onClick={() => setReading(true)}>
          {hold.section === ''
            ? 'Touch where the gauge sits'
            : hold.running
              ? 'Next reading'
              : 'Start pressure'}
        </Button>
      </MainAction>
      {reading && <PressureTestTray hold={hold} onClose={() => setReading(false)} />}
      <ValvesPanel />
      <TestsPanel />
      <FirstTest />
      <Fold title="Bubbles, detector or ear on a joint" about="a test without a gauge">
        <NoteCard name="jointTest" spec={noteForm('jointTest')} save="Save the test" main={false} />
      </Fold>
      <Fold title="Not possible here" about="no pressure test, because…">
        <NoteCard name="holdSkipped" spec={noteForm('holdSkipped')} save="Save why not" main={false} />
      </Fold>
      <StepCalculators />
    </>
  );
}
