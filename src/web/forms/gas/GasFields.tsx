/** The fields of a gas form: amount first, its meaning live beside it, then what else is worth keeping. */
import { type Day, dayText } from '../../../core/quantity/day';
import { labelOf } from '../../../core/logbook/leakLabels';
import { exactGrams, grams, massText } from '../../../core/quantity/mass';
import { isFlammable, isHydrocarbon } from '../../../core/refrigerant/refrigerant';
import { Choices } from '../../parts/Choices';
import { CheckField, SelectField, TextArea, TextField } from '../../parts/Field';
import { Fold } from '../../parts/Fold';
import { PURPOSE_WORDS } from '../../../words/codes';
import { senseErrorWords } from '../../../words/refusals';
import { GasMeaning } from './GasMeaning';
import { GasReason } from './GasReason';
import { Warnings } from './Warnings';
import { WriterField } from '../WriterField';
import type { Direction } from '../../../record/gasDraft';
import type { GasFormState } from './useGasForm';

export function GasFields({
  form,
  today,
  fixed = false,
}: {
  form: GasFormState;
  today: Day;
  fixed?: boolean;
}) {
  const {
    draft,
    set,
    tried,
    errors,
    preview,
    senseError,
    present,
    labels,
    system,
    unit,
    added,
    cylinders,
    read,
  } = form;
  const openLeaks = present.leaks.open();
  const gas = present.present.refrigerant;
  const usable = cylinders.filter((each) => each.scrappedOn == null || each.id === draft.cylinderId);
  const fitting = usable.filter((each) => each.refrigerant === gas?.name);
  const others = usable.filter((each) => each.refrigerant !== gas?.name);
  // A correction may name a bottle that is not on the list.
  const stranger = draft.cylinderId !== '' && !usable.some((each) => each.id === draft.cylinderId);
  const amountError =
    tried || draft.amount !== ''
      ? (errors.amount ?? (senseError?.field === 'mass' ? senseErrorWords(senseError) : null))
      : null;
  const beside = (
    <>
      {added && openLeaks.length > 0 && (
        <SelectField
          label="For which leak"
          optional
          value={draft.leakId}
          onChange={(event) => set({ leakId: event.target.value })}
          choices={[
            { value: '', words: 'not tied to one leak' },
            ...openLeaks.map((leak) => ({
              value: leak.id,
              words: `${labelOf(labels, leak.id)}, ${leak.state}`,
            })),
          ]}
        />
      )}
      <SelectField
        label="Bottle"
        optional
        value={draft.cylinderId}
        onChange={(event) => set({ cylinderId: event.target.value })}
        hint={added ? undefined : 'A recovery bottle may be filled to 80 % only; never mix gases.'}
        choices={[
          { value: '', words: 'not recorded' },
          ...(stranger ? [{ value: draft.cylinderId, words: `${draft.cylinderId}, not on the list` }] : []),
          ...fitting.map((each) => ({
            value: each.id,
            words: `${each.serial}, ${each.refrigerant}${each.purpose ? `, ${PURPOSE_WORDS[each.purpose]}` : ''}`,
          })),
          ...others.map((each) => ({ value: each.id, words: `${each.serial}, holds ${each.refrigerant}` })),
        ]}
      />
      <TextArea
        label="Note"
        optional
        value={draft.note}
        onChange={(event) => set({ note: event.target.value })}
      />
    </>
  );
  return (
    <form
      id={form.id}
      onSubmit={(event) => {
        event.preventDefault();
        form.save();
      }}
    >
      {draft.supersedes === null && !fixed && (
        <Choices
          label="Direction"
          value={draft.direction}
          onChange={(value) => set({ direction: value as Direction })}
          choices={[
            { value: 'refrigerantAdded', words: 'Gas added' },
            { value: 'refrigerantRecovered', words: 'Gas recovered' },
          ]}
        />
      )}
      {!draft.notWeighed && (
        <TextField
          label="Amount"
          autoFocus={!fixed}
          inputMode="text"
          autoComplete="off"
          placeholder={unit === 'kg' ? '2.4 kg' : unit === 'g' ? '40 g' : '12 lb 6 oz'}
          className="text-3xl font-bold"
          value={draft.amount}
          onChange={(event) => set({ amount: event.target.value })}
          error={amountError}
          hint={
            'mass' in read ? echo(grams(exactGrams(read.mass)), draft.amount) : `A bare number is in ${unit}.`
          }
        />
      )}
      <div className="-mt-2">
        <CheckField
          label="Not weighed"
          checked={draft.notWeighed}
          onChange={(event) => set({ notWeighed: event.target.checked })}
          hint={
            draft.notWeighed
              ? 'The entry is kept without a weight; the leak rate of that day becomes unknown, not zero.'
              : undefined
          }
        />
      </div>
      {draft.notWeighed && (
        <TextField
          label="Why not"
          value={draft.whyNotWeighed}
          onChange={(event) => set({ whyNotWeighed: event.target.value })}
          error={tried ? errors.whyNotWeighed : null}
        />
      )}
      {gas === null && (
        <p className="mb-4 border-l-4 border-ochre pl-3">
          Nobody knows what this machine is charged with. Find out before gas goes in or out, and take it as
          flammable until then: no flame or spark near, air the room.
        </p>
      )}
      {gas !== null && isFlammable(gas.name) && (
        <p className="mb-4 border-l-4 border-ochre pl-3">
          {gas.name} burns ({gas.safetyClass}): no flame or spark near, air the room, scale and hoses rated
          for it. A certified person does this work; local code decides.
        </p>
      )}
      {/* What it means hangs on the reason; in a visit the figure is watched while the scale counts. */}
      {!fixed && <GasReason form={form} />}
      <GasMeaning
        preview={preview}
        present={present}
        system={system}
        today={today}
        added={added}
        labels={labels}
      />
      <Warnings
        warnings={preview?.sense.warnings ?? []}
        accepted={draft.accepted}
        onChange={(accepted) => set({ accepted })}
        tried={tried}
      />
      {fixed && <GasReason form={form} />}
      {!added && gas !== null && isHydrocarbon(gas) && (
        <>
          <Choices
            label="Where it went"
            value={draft.outdoors ? 'outdoors' : 'cylinder'}
            onChange={(value) => set({ outdoors: value === 'outdoors' })}
            choices={[
              { value: 'cylinder', words: 'Into a bottle' },
              { value: 'outdoors', words: 'Let out outdoors' },
            ]}
          />
          {draft.outdoors && (
            <p className="mb-4 border-l-4 border-ochre pl-3">
              Only where the law allows it: outdoors, away from drains, cellars and any flame, slowly. Weigh
              the charge by what goes back in if it could not be weighed.
              {senseError?.field === 'into' && ` ${senseErrorWords(senseError)}`}
            </p>
          )}
        </>
      )}
      {draft.supersedes !== null && (
        <TextField
          label="Reason for the correction"
          value={draft.correctionReason}
          onChange={(event) => set({ correctionReason: event.target.value })}
          error={tried ? errors.correctionReason : null}
        />
      )}
      {!fixed && (
        <TextField
          label="Day"
          type="date"
          max={dayText(today)}
          value={draft.on}
          onChange={(event) => set({ on: event.target.value })}
          error={
            (tried ? errors.on : null) ?? (senseError?.field === 'on' ? senseErrorWords(senseError) : null)
          }
        />
      )}
      {fixed ? (
        <Fold
          title="More"
          about={added ? 'for which leak, bottle, note' : 'bottle, note'}
          open={draft.cylinderId !== '' || draft.leakId !== '' || draft.note !== ''}
        >
          {beside}
        </Fold>
      ) : (
        beside
      )}
      {(!fixed || errors.by !== undefined) && <WriterField error={tried ? errors.by : undefined} />}
      <button type="submit" hidden aria-hidden="true" tabIndex={-1} />
    </form>
  );
}

/** The same amount in the other units, so that a slip of unit shows at once. */
function echo(gramsValue: number, typed: string): string {
  const both = [massText(gramsValue, 'pounds'), massText(gramsValue, 'kilograms')];
  return `= ${both.filter((each) => each !== typed.trim()).join(' = ')}`;
}
