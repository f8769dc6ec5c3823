/** Step 10: any vacuum is kept, however it went; the shape of the rise, section by section; or none where none is needed. */
import { RISE_EXPLANATIONS } from '../../../core/visit/notes/notes';
import { RISE_ADVICE } from '../../../words/leaks';
import { noteForm } from '../../../record/forms';
import { Fold } from '../../parts/Fold';
import { TextField } from '../../parts/Field';
import { useKeptDraft } from '../../data/device/useKeptDraft';
import { SectionDrawing } from '../drawing/SectionDrawing';
import { NoteCard } from '../panels/NoteCard';
import { StepCalculator, StepCalculators } from '../panels/StepCalculators';
import { TestsPanel } from '../panels/TestsPanel';
import { ValvesPanel } from '../panels/ValvesPanel';
import { useVisit } from '../visitContext';

export function Evacuate() {
  return (
    <>
      <NoteCard
        name="vacuum"
        spec={noteForm('vacuum')}
        first={['lowest', 'ended', 'last', 'watched', 'explanation']}
        save="Keep the vacuum"
        atThumb
        below={(values) => <Advice explanation={values['explanation']} />}
      />
      <p className="mb-2 text-soft">
        Cores out, wide hoses, gauge at the far end, fresh pump oil, ballast open until about 3,000 microns.
      </p>
      <Fold title="Watch the rise, for a verdict" about="tight, moist or leaking, by its shape">
        <Rise />
      </Fold>
      <Fold title="Valves and sections" about="what is shut, and what stands together">
        <SectionDrawing />
      </Fold>
      <ValvesPanel />
      <TestsPanel />
      <StepCalculators but={['evacuation']} />
      <Fold title="No vacuum is needed" about="the section stayed above atmosphere">
        <NoteCard name="vacuumSkipped" spec={noteForm('vacuumSkipped')} save="Save why not" main={false} />
      </Fold>
    </>
  );
}

function Advice({ explanation }: { explanation: unknown }) {
  const found = RISE_EXPLANATIONS.find((each) => each === explanation);
  return found ? <p className="mb-3 border-l-4 border-green pl-3">{RISE_ADVICE[found]}</p> : null;
}

function Rise() {
  const { visitId, view } = useVisit();
  const section = useKeptDraft(`${visitId} ${view.machine.appliance.id} vacuumSection`, () => ({
    words: '',
  }));
  return (
    <>
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
    </>
  );
}
