/** Form fields: a label, what is typed, a hint, and an error that says the remedy. */
import type { Choice } from '../../words/choice';
import { type ComponentProps, type ReactNode, useId } from 'react';
import clsx from 'clsx';

export interface FieldProps {
  label: string;
  hint?: ReactNode;
  error?: string | null;
  optional?: boolean;
}

/** What is wrong with a field, below it; a save that is refused brings the first into sight. */
export const Fault = ({ children }: { children: ReactNode }) => (
  <p data-fault="" className="mt-1 font-semibold text-brick" role="alert">
    {children}
  </p>
);

export const inputShape =
  'min-h-11 w-full rounded border border-soft bg-card px-3 py-2 text-ink aria-invalid:border-brick aria-invalid:border-2';

export function Field({
  label,
  hint,
  error,
  optional,
  children,
}: FieldProps & { children: (ids: { id: string; describedBy: string; invalid: boolean }) => ReactNode }) {
  const id = useId();
  const describedBy = `${id}-about`;
  return (
    <div data-field="" className="mb-4">
      <label htmlFor={id} className="mb-1 block font-semibold">
        {label}
        {optional && <span className="font-normal text-soft"> (optional)</span>}
      </label>
      {children({ id, describedBy, invalid: Boolean(error) })}
      <div id={describedBy}>
        {error ? <Fault>{error}</Fault> : hint && <p className="mt-1 text-soft">{hint}</p>}
      </div>
    </div>
  );
}

export function TextField({
  label,
  hint,
  error,
  optional,
  className,
  ...rest
}: FieldProps & ComponentProps<'input'>) {
  return (
    <Field {...{ label, hint, error, optional }}>
      {({ id, describedBy, invalid }) => (
        <input
          id={id}
          aria-describedby={describedBy}
          aria-invalid={invalid}
          className={clsx(inputShape, className)}
          {...rest}
        />
      )}
    </Field>
  );
}

export function TextArea({ label, hint, error, optional, ...rest }: FieldProps & ComponentProps<'textarea'>) {
  return (
    <Field {...{ label, hint, error, optional }}>
      {({ id, describedBy, invalid }) => (
        <textarea
          id={id}
          aria-describedby={describedBy}
          aria-invalid={invalid}
          // It grows with what is typed.
          className={clsx(inputShape, 'field-sizing-content max-h-80 min-h-18')}
          rows={2}
          {...rest}
        />
      )}
    </Field>
  );
}

/** A choice shown is a choice made: while nothing is, the list shows that. */
export function SelectField({
  label,
  hint,
  error,
  optional,
  choices,
  ...rest
}: FieldProps & ComponentProps<'select'> & { choices: readonly Choice[] }) {
  return (
    <Field {...{ label, hint, error, optional }}>
      {({ id, describedBy, invalid }) => (
        <select
          id={id}
          aria-describedby={describedBy}
          aria-invalid={invalid}
          className={inputShape}
          {...rest}
        >
          {rest.value !== undefined && !choices.some(({ value }) => value === rest.value) && (
            <option value={rest.value}>Choose</option>
          )}
          {choices.map((choice) => (
            <option key={choice.value} value={choice.value}>
              {choice.words}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}

export function CheckField({
  label,
  hint,
  ...rest
}: { label: string; hint?: ReactNode } & ComponentProps<'input'>) {
  const id = useId();
  return (
    <div className="mb-4">
      <label htmlFor={id} className="flex min-h-11 cursor-pointer items-center gap-3 font-semibold">
        <input id={id} type="checkbox" className="size-6 shrink-0 accent-green" {...rest} />
        {label}
      </label>
      {hint && <p className="text-soft">{hint}</p>}
    </div>
  );
}
