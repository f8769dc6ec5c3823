/** Buttons big enough for a glove; one main action per view is filled. */
import type { ComponentProps } from 'react';
import { Link, type LinkProps } from 'react-router';
import clsx from 'clsx';

type Weight = 'main' | 'plain' | 'quiet';

const shape = (weight: Weight, className?: string) =>
  clsx(
    'inline-flex min-h-11 cursor-pointer items-center justify-center gap-2 rounded px-4 py-2 text-center font-semibold no-underline',
    'disabled:cursor-not-allowed disabled:opacity-60',
    weight === 'main' && 'border border-green bg-green text-on-green',
    weight === 'plain' && 'border border-green text-green',
    weight === 'quiet' && 'border border-transparent text-green underline underline-offset-4',
    className,
  );

export function Button({
  weight = 'plain',
  className,
  ...rest
}: ComponentProps<'button'> & { weight?: Weight }) {
  return <button type="button" className={shape(weight, className)} {...rest} />;
}

export function ButtonLink({ weight = 'plain', className, ...rest }: LinkProps & { weight?: Weight }) {
  return <Link className={shape(weight, className)} {...rest} />;
}
