/** A password that somebody chooses, with what it must be. */
import { PASSWORD_CHARACTERS } from '../../contract/accounts';
import { TextField } from '../parts/Field';

/** Begun, and not long enough yet. */
export const isShort = (password: string): boolean =>
  password !== '' && password.length < PASSWORD_CHARACTERS;

export const NewPassword = ({
  label,
  hint,
  value,
  onChange,
}: {
  label: string;
  hint?: string;
  value: string;
  onChange: (value: string) => void;
}) => (
  <TextField
    label={label}
    type="password"
    autoComplete="new-password"
    value={value}
    {...(hint !== undefined && { hint })}
    error={isShort(value) ? `At least ${String(PASSWORD_CHARACTERS)} characters.` : null}
    onChange={(event) => onChange(event.target.value)}
  />
);
