/** One of a few, each a big button. */
import { RadioGroup } from 'radix-ui';
import clsx from 'clsx';
import type { Choice } from '../../words/choice';

export function Choices({
  label,
  choices,
  value,
  onChange,
  className = 'mb-4',
}: {
  label: string;
  choices: readonly Choice[];
  value: string;
  onChange: (value: string) => void;
  className?: string;
}) {
  return (
    <RadioGroup.Root
      value={value}
      onValueChange={onChange}
      aria-label={label}
      className={clsx('flex flex-wrap gap-2', className)}
    >
      {choices.map((choice) => (
        <RadioGroup.Item
          key={choice.value}
          value={choice.value}
          className="min-h-11 cursor-pointer rounded border border-soft bg-card px-3 py-2 text-left data-[state=checked]:border-2 data-[state=checked]:border-green data-[state=checked]:font-semibold data-[state=checked]:text-green"
        >
          <span aria-hidden="true">{choice.value === value ? '● ' : '○ '}</span>
          {choice.words}
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}
