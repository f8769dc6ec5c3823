/** Fields of gas that goes in or out: that nobody weighed it, which bottle, where it went. */
import { type NotWeighed as Draft, notWeighedOf } from '../../../record/notWeighed';
import { isHydrocarbon } from '../../../core/refrigerant/refrigerant';
import { PURPOSE_WORDS } from '../../../words/codes';
import { useCylindersToHand } from '../../data/api/queries';
import { ChoiceField } from '../../parts/ChoiceField';
import { Caution } from '../../parts/Caution';
import { CheckField, TextField } from '../../parts/Field';
import { type Control, frameOf, textOf } from './control';
import { OneOf, machineOf } from './machineFields';

export const NotWeighed: Control<'notWeighed'> = ({ field, value, error, onChange }) => {
  const draft = notWeighedOf(value);
  const set = (change: Partial<Draft>) => onChange({ ...draft, ...change } satisfies Draft);
  return (
    <>
      <div className="-mt-2">
        <CheckField
          label={field.label}
          checked={draft.ticked}
          onChange={(event) => set({ ticked: event.target.checked })}
          hint={
            draft.ticked
              ? 'The entry is kept without a weight; the leak rate of that day becomes unknown, not zero.'
              : undefined
          }
        />
      </div>
      {draft.ticked && (
        <TextField
          label="Why not"
          value={draft.why}
          onChange={(event) => set({ why: event.target.value })}
          error={error ?? null}
        />
      )}
    </>
  );
};

/** Bottles of the machine's own refrigerant first. */
export const Bottle: Control<'cylinder'> = (props) => {
  const gas = machineOf(props).standing.present.refrigerant?.name ?? null;
  const named = textOf(props.value);
  const usable = useCylindersToHand(gas, named).filter(
    (each) => each.scrappedOn == null || each.id === named,
  );
  const fitting = usable.filter((each) => each.refrigerant === gas);
  const others = usable.filter((each) => each.refrigerant !== gas);
  // A correction may name a bottle that is not on the list.
  const stranger = named !== '' && !usable.some((each) => each.id === named);
  return (
    <OneOf
      props={props}
      none="not recorded"
      choices={[
        ...(stranger ? [{ value: named, words: `${named}, not on the list` }] : []),
        ...fitting.map((each) => ({
          value: each.id,
          words: `${each.serial}, ${each.refrigerant}${each.purpose ? `, ${PURPOSE_WORDS[each.purpose]}` : ''}`,
        })),
        ...others.map((each) => ({ value: each.id, words: `${each.serial}, holds ${each.refrigerant}` })),
      ]}
    />
  );
};

/** Only a hydrocarbon has a way out beside a bottle. */
export const WayOut: Control<'wayOut'> = (props) => {
  const { refrigerant } = machineOf(props).standing.present;
  const value = textOf(props.value);
  if (value !== 'outdoors' && !(refrigerant && isHydrocarbon(refrigerant))) return null;
  return (
    <>
      <ChoiceField
        {...frameOf(props)}
        choices={props.field.choices}
        value={value}
        onChange={props.onChange}
      />
      {value === 'outdoors' && (
        <Caution>
          Only where the law allows it: outdoors, away from drains, cellars and any flame, slowly. Weigh the
          charge by what goes back in if it could not be weighed.
        </Caution>
      )}
    </>
  );
};
