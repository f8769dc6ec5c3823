/** Fields of rows that are answered from other rows: sites, owners, cooled spaces. */
import { useOwners, useSpaces } from '../../data/api/queries';
import { Button } from '../../parts/Button';
import { Fault, SelectField, TextField } from '../../parts/Field';
import { Ticks } from '../../parts/Ticks';
import { FROM_THE_BEGINNING, type MethodSince, type OwnedSince } from '../../../record/rows/rowLines';
import { METHODS } from '../../../core/logbook/fields';
import { choices } from '../../../words/choice';
import { METHOD_WORDS } from '../../../words/codes';
import { ChoiceField } from '../../parts/ChoiceField';
import { zonesOf } from '../timeZones';
import { SiteChoice } from '../SiteChoice';
import { type Control, frameOf, textOf } from './control';

export const Site: Control<'site'> = ({ field, value, error, onChange }) => (
  <SiteChoice labelled label={field.label} value={textOf(value)} error={error ?? null} onChange={onChange} />
);

export const Owner: Control<'owner'> = (props) => (
  <OwnerPick {...frameOf(props)} value={textOf(props.value)} onChange={props.onChange} />
);

interface OwnerPickProps {
  label: string;
  hint?: string | undefined;
  optional: boolean;
  error: string | null;
  value: string;
  onChange: (value: string) => void;
}

function OwnerPick({ value, onChange, ...rest }: OwnerPickProps) {
  const owners = useOwners().data ?? [];
  return (
    <SelectField
      {...rest}
      choices={[
        { value: '', words: 'not recorded' },
        ...owners.map((each) => ({ value: each.id, words: each.name })),
        // One that the list does not hold stays what it is.
        ...(value === '' || owners.some((each) => each.id === value) ? [] : [{ value, words: value }]),
      ]}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}

/** Who owns it since which day, one after the other. */
export const Owners: Control<'owners'> = ({ field, value: given, error, onChange }) => {
  const { label, hint } = field;
  const value = given as OwnedSince[];
  const change = (index: number, part: Partial<OwnedSince>) =>
    onChange(value.map((each, at) => (at === index ? { ...each, ...part } : each)));
  return (
    <fieldset data-field="" className="mb-4">
      <legend className="mb-1 font-semibold">
        {label} <span className="font-normal text-soft">(optional)</span>
      </legend>
      {value.map((each, index) => (
        <div key={index} className="rule-b mb-3 grid gap-x-4 sm:grid-cols-2">
          <OwnerPick
            label="Owner"
            optional={false}
            error={null}
            value={each.ownerId ?? ''}
            onChange={(ownerId) => change(index, { ownerId })}
          />
          <TextField
            label="Theirs from"
            type="date"
            value={each.from}
            onChange={(event) => change(index, { from: event.target.value })}
          />
          <Button
            weight="quiet"
            className="mb-2 justify-self-start px-0"
            onClick={() => onChange(value.filter((_, at) => at !== index))}
          >
            Take this out
          </Button>
        </div>
      ))}
      <Button onClick={() => onChange([...value, { from: '', ownerId: '' }])}>
        It was sold: add an owner
      </Button>
      {error ? <Fault>{error}</Fault> : hint && <p className="mt-1 text-soft">{hint}</p>}
    </fieldset>
  );
};

/** One method from the beginning, and others from a day on. */
export const Methods: Control<'methods'> = ({ field, value: given, error, onChange }) => {
  const value = given as MethodSince[];
  const shown = value.length === 0 ? [{ from: FROM_THE_BEGINNING, method: 'annualizing' }] : value;
  const change = (index: number, part: Partial<MethodSince>) =>
    onChange(shown.map((each, at) => (at === index ? { ...each, ...part } : each)));
  return (
    <fieldset data-field="" className="mb-4">
      <legend className="mb-1 font-semibold">{field.label}</legend>
      {shown.map((each, index) => (
        <div key={index} className="rule-b mb-3 grid gap-x-4 sm:grid-cols-2">
          <ChoiceField
            label={each.from === FROM_THE_BEGINNING ? 'From the beginning' : 'Method'}
            choices={choices(METHODS, METHOD_WORDS)}
            value={each.method}
            onChange={(method) => change(index, { method })}
          />
          {each.from !== FROM_THE_BEGINNING && (
            <TextField
              label="From"
              type="date"
              value={each.from}
              onChange={(event) => change(index, { from: event.target.value })}
            />
          )}
          {shown.length > 1 && (
            <Button
              weight="quiet"
              className="mb-2 justify-self-start px-0"
              onClick={() => onChange(shown.filter((_, at) => at !== index))}
            >
              Take this out
            </Button>
          )}
        </div>
      ))}
      <Button onClick={() => onChange([...shown, { from: '', method: '' }])}>
        Another method from a day on
      </Button>
      {error ? <Fault>{error}</Fault> : field.hint && <p className="mt-1 text-soft">{field.hint}</p>}
    </fieldset>
  );
};

/** Of a country with zones that the browser knows, one of them; else typed. */
export const TimeZone: Control<'timezone'> = (props) => {
  const value = textOf(props.value);
  const zones = zonesOf(textOf(props.values['country']));
  if (zones.length === 0)
    return (
      <TextField {...frameOf(props)} value={value} onChange={(event) => props.onChange(event.target.value)} />
    );
  return (
    <ChoiceField
      {...frameOf(props)}
      choices={[...new Set([...zones, ...(value === '' ? [] : [value])])].map((zone) => ({
        value: zone,
        words: zone.replaceAll('_', ' '),
      }))}
      value={value}
      onChange={props.onChange}
    />
  );
};

/** Spaces of the machine's site: those of another cannot be cooled from here. */
export const Serves: Control<'serves'> = (props) => {
  const siteId = textOf(props.values['siteId']);
  const spaces = useSpaces(siteId === '' ? null : siteId).data ?? [];
  const known = (props.value as string[]).filter((each) => spaces.some((space) => space.id === each));
  if (spaces.length === 0) return null;
  return (
    <Ticks
      {...frameOf(props)}
      value={known}
      choices={spaces.map((each) => ({ value: each.id, words: each.name }))}
      onChange={props.onChange}
    />
  );
};
