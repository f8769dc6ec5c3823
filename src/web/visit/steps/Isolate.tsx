/** Step 7: pump down, valve off or recover; valves as a list to be opened again; gas by weight, never let out. */
import { Section } from '../../parts/Page';
import { GasCard, useVisitGas } from '../panels/GasCard';
import { noteForm } from '../../../record/forms';
import { NoteCard } from '../panels/NoteCard';
import { StepCalculators } from '../panels/StepCalculators';
import { ValvesPanel } from '../panels/ValvesPanel';

export function Isolate() {
  const gas = useVisitGas('refrigerantRecovered');
  return (
    <>
      <NoteCard name="isolation" spec={noteForm('isolation')} save="Save how it was isolated" />
      <ValvesPanel />
      <Section title="Gas recovered">
        <p className="mb-3 text-soft">
          What is weighed out tells how much the machine had lost. Each bottle is an entry of its own.
        </p>
        <GasCard form={gas} words="Write the gas down as recovered" />
      </Section>
      <StepCalculators />
    </>
  );
}
