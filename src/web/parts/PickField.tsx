/** One of many: what is chosen stands in the field, and a list with search opens over the page. */
import { useDeferredValue, useState } from 'react';
import { ChevronDown } from 'lucide-react';
import clsx from 'clsx';
import type { Choice } from '../../words/choice';
import { Field, type FieldProps, inputShape } from './Field';
import { SearchInput } from './SearchInput';
import { Dialog } from './Dialog';

export interface PickProps extends FieldProps {
  choices: readonly Choice[];
  value: string;
  onChange: (value: string) => void;
}

export function PickField({ choices, value, onChange, ...about }: PickProps) {
  const [open, setOpen] = useState(false);
  const chosen = choices.find((each) => each.value === value);
  return (
    <Field {...about}>
      {({ id, describedBy, invalid }) => (
        <>
          <button
            id={id}
            type="button"
            aria-haspopup="dialog"
            // The label alone would hide from a screen reader what is chosen.
            aria-label={`${about.label}: ${chosen?.words ?? 'choose'}`}
            aria-describedby={describedBy}
            aria-invalid={invalid}
            className={clsx(inputShape, 'flex cursor-pointer items-center gap-2 text-left')}
            onClick={() => setOpen(true)}
          >
            <span className={clsx('min-w-0 flex-1 truncate', !chosen && 'text-soft')}>
              {chosen?.words ?? 'Choose'}
            </span>
            <ChevronDown aria-hidden="true" size={18} />
          </button>
          {open && (
            <PickDialog
              title={about.label}
              choices={choices}
              value={value}
              onPick={(picked) => {
                onChange(picked);
                setOpen(false);
              }}
              onClose={() => setOpen(false)}
            />
          )}
        </>
      )}
    </Field>
  );
}

function PickDialog({
  title,
  choices,
  value,
  onPick,
  onClose,
}: {
  title: string;
  choices: readonly Choice[];
  value: string;
  onPick: (value: string) => void;
  onClose: () => void;
}) {
  const [text, setText] = useState('');
  const wanted = useDeferredValue(text).trim().toLowerCase();
  const found = choices.filter(({ words }) => words.toLowerCase().includes(wanted));
  return (
    <Dialog title={title} onClose={onClose}>
      <SearchInput
        label={`Find in ${title}`}
        placeholder="A part of the name"
        value={text}
        onChange={setText}
      />
      <ul className="mt-3" aria-label={title}>
        {found.map((choice) => (
          <li key={choice.value} className="rule-b">
            <button
              type="button"
              aria-pressed={choice.value === value}
              className="min-h-12 w-full cursor-pointer py-2 text-left font-semibold aria-pressed:text-green"
              onClick={() => onPick(choice.value)}
            >
              {choice.value === value ? '● ' : ''}
              {choice.words}
            </button>
          </li>
        ))}
        {found.length === 0 && <li className="py-6 text-soft">Nothing has that in its name.</li>}
      </ul>
    </Dialog>
  );
}
