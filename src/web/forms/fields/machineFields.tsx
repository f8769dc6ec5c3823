/** Fields that are answered from the machine's own record: its leaks, its stains, its temporary parts, its rule sets. */
import { labelOf } from '../../../core/logbook/leakLabels';
import { fittedParts, temporaryParts } from '../../../core/visit/partsFitted';
import { oilTracesOf } from '../../../core/visit/leaks/oilTraces';
import { type LeakDraft, leakDraftOf } from '../../../record/leakDraft';
import { PACK_WORDS } from '../../../words/codes';
import type { Choice } from '../../../words/choice';
import { dayWords } from '../../../words/dates';
import { SelectField } from '../../parts/Field';
import { Ticks } from '../../parts/Ticks';
import { type Control, type ControlProps, type OfMachine, frameOf, textOf } from './control';

/** Of no machine nothing of this is asked. */
export function machineOf({ machine }: ControlProps): OfMachine {
  if (!machine)
    throw new Error('A field of a machine stands in a form without one: give its form `machine`.');
  return machine;
}

const leakChoice = ({ place }: ControlProps, leak: { id: string; state: string }): Choice => ({
  value: leak.id,
  words: `${labelOf(place.labels, leak.id)}, ${leak.state}`,
});

/** One of what there is, or the answer that says none of it; nothing to ask where there is nothing. */
export function OneOf({
  props,
  none,
  choices,
}: {
  props: ControlProps;
  none: string;
  choices: readonly Choice[];
}) {
  return (
    <SelectField
      {...frameOf(props)}
      choices={[{ value: '', words: none }, ...choices]}
      value={textOf(props.value)}
      onChange={(event) => props.onChange(event.target.value)}
    />
  );
}

export const Leaks: Control<'leaks'> = (props) => {
  const leaks = [...machineOf(props).standing.leaks.byId.values()];
  return leaks.length === 0 ? null : (
    <Ticks
      {...frameOf(props)}
      choices={leaks.map((leak) => leakChoice(props, leak))}
      value={props.value as string[]}
      onChange={props.onChange}
    />
  );
};

export const Leak: Control<'leak'> = (props) => {
  const { place, value, onChange } = props;
  const draft = leakDraftOf(value, place.labels);
  const open = machineOf(props)
    .standing.leaks.open()
    .map((leak) => leakChoice(props, leak));
  // A correction may name a leak that is closed by now.
  const own = [...open.map((each) => each.value), draft.fresh.id].includes(draft.id)
    ? []
    : [{ value: draft.id, words: labelOf(place.labels, draft.id) }];
  return (
    <SelectField
      {...frameOf(props)}
      choices={[
        ...own,
        ...open,
        { value: draft.fresh.id, words: `${draft.fresh.label}, found and repaired together` },
      ]}
      value={draft.id}
      onChange={(event) => onChange({ ...draft, id: event.target.value } satisfies LeakDraft)}
    />
  );
};

export const NewLeak: Control<'newLeak'> = ({ field, value, place }) => {
  const draft = leakDraftOf(value, place.labels);
  const isNew = draft.id === draft.fresh.id;
  return (
    <p className="mb-4">
      <span className="text-soft">{field.label}: </span>
      <span className="font-semibold">{isNew ? draft.fresh.label : labelOf(place.labels, draft.id)}</span>
      {isNew && <span className="text-soft"> (its number is made once)</span>}
    </p>
  );
};

export const OpenLeak: Control<'openLeak'> = (props) => {
  const { place, value } = props;
  const open = machineOf(props)
    .standing.leaks.open()
    .map((leak) => leakChoice(props, leak));
  const named = textOf(value);
  // A correction may name a leak that is closed by now.
  const own = named === '' || open.some((each) => each.value === named);
  return open.length === 0 && own ? null : (
    <OneOf
      props={props}
      none="not for one leak"
      choices={own ? open : [{ value: named, words: labelOf(place.labels, named) }, ...open]}
    />
  );
};

export const OilTrace: Control<'stain'> = (props) => {
  const oilTraces = oilTracesOf(machineOf(props).standing.history.entries);
  return oilTraces.length === 0 ? null : (
    <OneOf
      props={props}
      none="a new one"
      choices={oilTraces.map((each) => ({
        value: each.id,
        words: `${each.place}, seen ${dayWords(each.seenOn)}`,
      }))}
    />
  );
};

export const TemporaryPart: Control<'temporaryPart'> = (props) => {
  const present = temporaryParts(fittedParts(machineOf(props).standing.history.entries));
  return present.length === 0 ? null : (
    <OneOf
      props={props}
      none="nothing temporary"
      choices={present.map((each) => ({
        value: each.entryId,
        words: [each.part, each.place].filter(Boolean).join(', '),
      }))}
    />
  );
};

export const Pack: Control<'pack'> = (props) => (
  <OneOf
    props={props}
    none="every case that runs"
    choices={machineOf(props).packs.map((pack) => ({ value: pack, words: PACK_WORDS[pack] }))}
  />
);
