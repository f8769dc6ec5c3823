/** Where words are typed that something is found by. */
import clsx from 'clsx';
import { inputShape } from './Field';

export function SearchInput({
  label,
  placeholder,
  value,
  onChange,
  autoFocus = false,
  className,
}: {
  label: string;
  placeholder: string;
  value: string;
  onChange: (text: string) => void;
  autoFocus?: boolean;
  className?: string;
}) {
  return (
    <input
      type="search"
      autoFocus={autoFocus}
      aria-label={label}
      placeholder={placeholder}
      className={clsx(inputShape, className)}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
