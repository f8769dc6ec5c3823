/** One field of any form, by its type: of an entry, of a row, of a new machine. A type without its control does not compile. */
import type { ComponentProps, ReactNode } from 'react';
import type { MassUnit } from '../../core/quantity/mass';
import { draftOf } from '../../record/statedDraft';
import type { FieldOf, FieldType } from '../../record/field';
import { massOf } from '../../record/readMass';
import { echoOf } from '../../words/weights';
import type { Choice } from '../../words/choice';
import { ChoiceField } from '../parts/ChoiceField';
import { CheckField, TextArea, TextField } from '../parts/Field';
import { Ticks } from '../parts/Ticks';
import { MeasuredField } from './MeasuredField';
import { StatedField } from './StatedField';
import { type Control, type ControlProps, frameOf, textOf } from './fields/control';
import { Bottle, NotWeighed, WayOut } from './fields/gasFields';
import { Leak, Leaks, NewLeak, OpenLeak, Pack, OilTrace, TemporaryPart } from './fields/machineFields';
import { Certificates } from './fields/Certificates';
import { Methods, Owner, Owners, Serves, Site, TimeZone } from './fields/rowFields';

/** A line that is typed. */
const line =
  (more: Pick<ComponentProps<'input'>, 'type' | 'inputMode' | 'placeholder' | 'className'> = {}) =>
  (props: ControlProps) => (
    <TextField
      {...frameOf(props)}
      {...more}
      value={textOf(props.value)}
      onChange={(event) => props.onChange(event.target.value)}
    />
  );

/** Several lines that are typed. */
const Lines = (props: ControlProps) => (
  <TextArea
    {...frameOf(props)}
    value={textOf(props.value)}
    onChange={(event) => props.onChange(event.target.value)}
  />
);

const Check: Control<'check'> = ({ field, value, onChange }) => (
  <CheckField
    label={field.label}
    hint={field.hint}
    checked={value === true}
    onChange={(event) => onChange(event.target.checked)}
  />
);

const OneOfChoices: Control<'choice'> = (props) => (
  <ChoiceField
    {...frameOf(props)}
    choices={withOwn(props.field, textOf(props.value))}
    value={textOf(props.value)}
    onChange={props.onChange}
  />
);

/** What another tool wrote and no list of ours holds stays what it is. */
const withOwn = ({ choices, besides }: FieldOf<'choice'>, value: string): readonly Choice[] =>
  value === '' || choices.some((each) => each.value === value)
    ? choices
    : [...choices, besides?.find((each) => each.value === value) ?? { value, words: value }];

const Many: Control<'many'> = (props) => (
  <Ticks
    {...frameOf(props)}
    choices={props.field.choices}
    value={props.value as string[]}
    onChange={props.onChange}
  />
);

const Measure: Control<'measure'> = ({ field, value, error, place, onChange }) => (
  <MeasuredField field={field} draft={draftOf(value)} error={error} place={place} onChange={onChange} />
);

/** What is typed, live in the other units, so that a slip of unit shows at once. */
const Weight: Control<'mass'> = (props) => {
  const { field, place } = props;
  const unit = field.unit ?? place.mass;
  const typed = textOf(props.value);
  const read = massOf(typed, unit);
  const meant = 'mass' in read ? echoOf(read.mass, typed) : `A bare number is in ${unit}.`;
  return (
    <TextField
      {...frameOf(props)}
      hint={[field.hint, meant].filter(Boolean).join(' ')}
      autoFocus={props.autoFocus}
      inputMode="text"
      autoComplete="off"
      placeholder={EXAMPLES[unit]}
      className="text-3xl font-bold"
      value={typed}
      onChange={(event) => props.onChange(event.target.value)}
    />
  );
};
const EXAMPLES: Record<MassUnit, string> = { kg: '2.4 kg', g: '40 g', lb: '12 lb 6 oz', oz: '12 oz' };

const decimal = line({ inputMode: 'decimal' });

const CONTROLS: { readonly [Type in FieldType]: Control<Type> } = {
  text: line(),
  long: Lines,
  date: line({ type: 'date' }),
  year: line({ inputMode: 'numeric' }),
  pressure: line({ placeholder: '150 psig' }),
  mass: Weight,
  measure: Measure,
  check: Check,
  choice: OneOfChoices,
  many: Many,
  leaks: Leaks,
  leak: Leak,
  newLeak: NewLeak,
  openLeak: OpenLeak,
  stain: OilTrace,
  temporaryPart: TemporaryPart,
  notWeighed: NotWeighed,
  cylinder: Bottle,
  wayOut: WayOut,
  pack: Pack,
  partsLeftOut: Lines,
  metres: decimal,
  litres: decimal,
  months: decimal,
  offset: line(),
  numbers: Lines,
  certificates: Certificates,
  methods: Methods,
  timezone: TimeZone,
  site: Site,
  owner: Owner,
  owners: Owners,
  serves: Serves,
};

/** A stated field stands in a frame that also takes not done and unknown. */
export function FieldControl(props: ControlProps) {
  const { field, value, error, onChange } = props;
  const Own = CONTROLS[field.type] as (props: ControlProps) => ReactNode;
  if (!field.stated) return <Own {...props} />;
  const draft = draftOf(value);
  return (
    <StatedField field={field} draft={draft} error={error} onChange={onChange}>
      {field.type === 'measure' ? (
        <Own {...props} />
      ) : (
        <Own {...props} value={draft.text} onChange={(text) => onChange({ ...draft, text })} />
      )}
    </StatedField>
  );
}
