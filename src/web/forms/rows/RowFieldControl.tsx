/** One field of a row's form, by its type. */
import { useOwners, useSpaces } from '../../data/queries';
import { Button } from '../../parts/Button';
import { ChoiceField } from '../../parts/ChoiceField';
import { Fault, SelectField, TextField } from '../../parts/Field';
import { PlainControl } from '../PlainControl';
import { SiteChoice } from '../SiteChoice';
import { Ticks } from '../../parts/Ticks';
import type { RowField } from '../../../record/rows/rowField';
import type { OwnedSince, RowDraft } from '../../../record/rows/rowValues';

const LINES: readonly RowField['type'][] = ['long', 'numbers', 'certificates', 'methods'];
const NUMBERS: readonly RowField['type'][] = ['metres', 'litres', 'months'];

interface Props {
  field: RowField;
  value: unknown;
  /** the whole draft: what a machine can cool hangs on its site */
  row: RowDraft;
  error: string | undefined;
  onChange: (value: unknown) => void;
}

export function RowFieldControl({ field, value, row, error, onChange }: Props) {
  const { label, hint, optional } = field;
  const common = { label, hint, optional: optional ?? false, error: error ?? null };
  const text = typeof value === 'string' ? value : '';
  switch (field.type) {
    case 'check':
    case 'date':
      return <PlainControl as={field.type} field={field} value={value} error={error} onChange={onChange} />;
    case 'many':
      return <Ticks {...common} choices={field.choices} value={value as string[]} onChange={onChange} />;
    case 'choice':
      return <ChoiceField {...common} choices={field.choices} value={text} onChange={onChange} />;
    case 'site':
      return <SiteField {...common} value={text} onChange={onChange} />;
    case 'owner':
      return <OwnerField {...common} value={text} onChange={onChange} />;
    case 'owners':
      return <OwnersField {...common} value={value as OwnedSince[]} onChange={onChange} />;
    case 'serves':
      return (
        <ServesField
          {...common}
          value={value as string[]}
          siteId={String(row['siteId'] ?? '')}
          onChange={onChange}
        />
      );
    default:
      return (
        <PlainControl
          as={LINES.includes(field.type) ? 'long' : 'text'}
          field={field}
          value={value}
          error={error}
          onChange={onChange}
          more={NUMBERS.includes(field.type) ? { inputMode: 'decimal' } : {}}
        />
      );
  }
}

interface Shared<Value> {
  label: string;
  hint?: string | undefined;
  optional: boolean;
  error: string | null;
  value: Value;
  onChange: (value: Value) => void;
}

function SiteField({ label, value, onChange }: Shared<string>) {
  return <SiteChoice labelled label={label} value={value} onChange={onChange} />;
}

function OwnerField({ value, onChange, ...rest }: Shared<string>) {
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
function OwnersField({ label, hint, error, value, onChange }: Shared<OwnedSince[]>) {
  const change = (index: number, part: Partial<OwnedSince>) =>
    onChange(value.map((each, at) => (at === index ? { ...each, ...part } : each)));
  return (
    <fieldset data-field="" className="mb-4">
      <legend className="mb-1 font-semibold">
        {label} <span className="font-normal text-soft">(optional)</span>
      </legend>
      {value.map((each, index) => (
        <div key={index} className="rule-b mb-3 grid gap-x-4 sm:grid-cols-2">
          <OwnerField
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
}

/** Spaces of the machine's site: those of another cannot be cooled from here. */
function ServesField({ siteId, value, ...rest }: Shared<string[]> & { siteId: string }) {
  const spaces = useSpaces(siteId === '' ? null : siteId).data ?? [];
  const known = value.filter((each) => spaces.some((space) => space.id === each));
  if (spaces.length === 0) return null;
  return (
    <Ticks {...rest} value={known} choices={spaces.map((each) => ({ value: each.id, words: each.name }))} />
  );
}
