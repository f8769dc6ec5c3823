/** The form of gas: its fields, with what they would mean live between them. */
import { isFlammable } from '../../../core/refrigerant/refrigerant';
import type { GasKind } from '../../../record/forms';
import { Caution } from '../../parts/Caution';
import { Choices } from '../../parts/Choices';
import { Fold } from '../../parts/Fold';
import { CorrectionReason, DayField, NoteField } from '../EntryFrame';
import { Fields, namesOf } from '../Fields';
import { Uncertified } from '../Uncertified';
import { WriterField } from '../WriterField';
import { GasMeaning } from './GasMeaning';
import { Warnings } from './Warnings';
import type { GasFormState } from './useGasForm';

/** The figure is watched while the scale counts; what it means outside a visit hangs on the reason. */
const AMOUNT = ['mass', 'massUnknown'];
const REASON = ['reason', 'into'];

export function GasFields({
  form,
  inVisit = false,
}: {
  form: GasFormState;
  /** direction and day stand in its head */
  inVisit?: boolean;
}) {
  const { draft, preview, view, spec } = form;
  const only = (keys: readonly string[]) => spec.fields.filter(({ key }) => keys.includes(key));
  const others = spec.fields.filter(({ key }) => ![...AMOUNT, ...REASON].includes(key));
  const reason = <Fields {...form.fields} fields={only(REASON)} />;
  const beside = (
    <>
      <Fields {...form.fields} fields={others} />
      <NoteField form={form} />
    </>
  );
  const said = draft.note !== '' || others.some(({ key }) => Boolean(draft.values[key]));
  return (
    <form
      id={form.id}
      onSubmit={(event) => {
        event.preventDefault();
        form.save();
      }}
    >
      {!form.corrects && !inVisit && (
        <Choices
          label="Direction"
          value={draft.kind}
          onChange={(value) => form.turn(value as GasKind)}
          choices={[
            { value: 'refrigerantAdded', words: 'Gas added' },
            { value: 'refrigerantRecovered', words: 'Gas recovered' },
          ]}
        />
      )}
      <Fields {...form.fields} fields={only(AMOUNT)} {...(inVisit ? {} : { begin: 'mass' })} />
      <GasCaution form={form} />
      <Uncertified day={draft.on} />
      {!inVisit && reason}
      <GasMeaning preview={preview} view={view} added={draft.kind === 'refrigerantAdded'} />
      <Warnings
        warnings={preview?.sense.warnings ?? []}
        accepted={draft.accepted}
        onChange={(accepted) => form.set({ accepted })}
        tried={form.tried}
      />
      {inVisit && reason}
      {form.corrects && <CorrectionReason form={form} />}
      {!inVisit && <DayField form={form} today={view.today} />}
      {inVisit ? (
        <Fold title="More" about={`${namesOf(others)}, note`} open={said}>
          {beside}
        </Fold>
      ) : (
        beside
      )}
      {(!inVisit || form.errors['by'] !== undefined) && <WriterField />}
      <button type="submit" hidden aria-hidden="true" tabIndex={-1} />
    </form>
  );
}

/** What gas can do to the person at its valve. */
function GasCaution({ form: { view } }: { form: GasFormState }) {
  const gas = view.standing.present.refrigerant;
  if (gas === null)
    return (
      <Caution>
        Nobody knows what this machine is charged with. Find out before gas goes in or out, and take it as
        flammable until then: no flame or spark near, air the room.
      </Caution>
    );
  return isFlammable(gas.name) ? (
    <Caution>
      {gas.name} burns ({gas.safetyClass}): no flame or spark near, air the room, scale and hoses rated for
      it. A certified person does this work; local code decides.
    </Caution>
  ) : null;
}
