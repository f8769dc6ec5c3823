/** Step 9: several sections, each with a hold or a joint test of its own and the conditions that make it worth something. */
import { dayText } from '../../../core/quantity/day';
import { FieldControl } from '../../forms/FieldControl';
import type { Values } from '../../../record/field';
import { initialValues, madeOf } from '../../../record/formValues';
import { Section } from '../../parts/Page';
import { Fold } from '../../parts/Fold';
import { CONDITIONS_FORM, noteForm } from '../../../record/forms';
import { NoteCard } from '../panels/NoteCard';
import { TestsPanel } from '../panels/TestsPanel';
import { StepCalculator } from '../panels/StepCalculators';
import { useKeptDraft } from '../../data/useKeptDraft';
import { ValvesPanel } from '../panels/ValvesPanel';
import { useVisit } from '../visitContext';

export function HoldStep() {
  return (
    <>
      <TestsPanel />
      <Hold />
      <Fold title="Bubbles, detector or ear on a joint" about="a test without the arithmetic">
        <NoteCard name="jointTest" spec={noteForm('jointTest')} save="Save the test" main={false} />
      </Fold>
      <ValvesPanel />
    </>
  );
}

/** What stands beside the arithmetic of a hold: section, valves, gas. Pressure, minutes and method come from the hold itself. */
const BESIDE = CONDITIONS_FORM.fields.filter((field) =>
  ['conditions.section', 'conditions.valvesOpen', 'conditions.valvesShut', 'conditions.testGas'].includes(
    field.key,
  ),
);

function Hold() {
  const { view, visitId, place, day } = useVisit();
  const { machine, standing } = view;
  const { draft, set } = useKeptDraft<Values>(`${visitId} ${machine.appliance.id} holdConditions`, () =>
    initialValues(CONDITIONS_FORM, {}, null, standing),
  );
  const beside = () => {
    const { entry, errors } = madeOf(
      { ...CONDITIONS_FORM, fields: BESIDE, fixed: { conditions: {} } },
      draft,
      {
        id: 'unsent',
        kind: 'pressureHold',
        on: dayText(day),
        by: 'unsent',
        applianceId: machine.appliance.id,
        note: '',
        corrected: null,
        correctionReason: '',
      },
      place,
      day,
    );
    const found = (entry as { conditions?: { section?: string } } | null)?.conditions;
    if (!found) return { error: Object.values(errors)[0] ?? 'The conditions cannot be read.' };
    if (!found.section)
      return { error: 'Name the section under test: one test says nothing of another section.' };
    return { fields: { conditions: { ...found, method: 'gauge' } } };
  };
  return (
    <Section title="Standing pressure test">
      <div className="grid gap-x-8 sm:grid-cols-2">
        {BESIDE.map((field) => (
          <FieldControl
            key={field.key}
            field={field}
            value={draft[field.key]}
            error={undefined}
            standing={standing}
            packs={machine.packs}
            place={place}
            onChange={(value) => set({ ...draft, [field.key]: value })}
          />
        ))}
      </div>
      <StepCalculator name="hold" beside={beside} />
    </Section>
  );
}
