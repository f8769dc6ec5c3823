/** Fields that are typed or ticked as they stand, in any form. */
import type { ComponentProps } from 'react';
import { CheckField, TextArea, TextField } from '../parts/Field';

interface Props {
  as: 'check' | 'text' | 'long' | 'date';
  field: { label: string; hint?: string; optional?: boolean };
  value: unknown;
  error: string | undefined;
  onChange: (value: unknown) => void;
  more?: Pick<ComponentProps<'input'>, 'inputMode'>;
}

export function PlainControl({ as, field, value, error, onChange, more = {} }: Props) {
  const { label, hint, optional = false } = field;
  const common = { label, hint, optional, error: error ?? null };
  const text = typeof value === 'string' ? value : '';
  const onText = (event: { target: { value: string } }) => onChange(event.target.value);
  switch (as) {
    case 'check':
      return (
        <CheckField
          label={label}
          hint={hint}
          checked={value === true}
          onChange={(event) => onChange(event.target.checked)}
        />
      );
    case 'long':
      return <TextArea {...common} value={text} onChange={onText} />;
    case 'date':
      return <TextField {...common} type="date" value={text} onChange={onText} />;
    case 'text':
      return <TextField {...common} {...more} value={text} onChange={onText} />;
  }
}
