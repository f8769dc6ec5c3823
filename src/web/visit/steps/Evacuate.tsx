/** Step 10: the vacuum and the shape of its rise, section by section; or none where none is needed. */
import { Section } from '../../parts/Page';
import { Fold } from '../../parts/Fold';
import { TextField } from '../../parts/Field';
import { noteForm } from '../../../record/forms';
import { NoteCard } from '../panels/NoteCard';
import { TestsPanel } from '../panels/TestsPanel';
import { StepCalculator, StepCalculators } from '../panels/StepCalculators';
import { useKeptDraft } from '../../data/useKeptDraft';
import { useVisit } from '../visitContext';

export function Evacuate() {
  const { visitId, view } = useVisit();
  const section = useKeptDraft(`${visitId} ${view.machine.appliance.id} vacuumSection`, () => ({
    words: '',
  }));
  return (
    <>
      <TestsPanel />
      <p className="mb-3">
        Cores out, wide hoses, gauge at the far end, fresh pump oil, gas ballast open until about 3,000
        microns. Then shut the pump off and watch.
      </p>
      <Section title="The rise after the pump is shut off">
        <TextField
          label="Section"
          optional
          hint="Whole machine, low side, the coil alone."
          value={section.draft.words}
          onChange={(event) => section.set({ words: event.target.value })}
        />
        <StepCalculator
          name="evacuation"
          beside={() => ({
            fields: section.draft.words.trim() === '' ? {} : { section: section.draft.words.trim() },
          })}
        />
      </Section>
      <StepCalculators but={['evacuation']} />
      <Fold title="No vacuum is needed" about="the section stayed above atmosphere">
        <NoteCard name="vacuumSkipped" spec={noteForm('vacuumSkipped')} save="Save why not" main={false} />
      </Fold>
    </>
  );
}
