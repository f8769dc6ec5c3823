/** Several of a few, each with its box. */
import { Fault } from './Field';

export function Ticks({
  label,
  hint,
  error,
  choices,
  value,
  onChange,
}: {
  label: string;
  hint?: string | undefined;
  error?: string | null;
  choices: readonly { value: string; words: string }[];
  value: string[];
  onChange: (value: string[]) => void;
}) {
  return (
    <fieldset data-field="" className="mb-4">
      <legend className="font-semibold">{label}</legend>
      {hint && <p className="text-soft">{hint}</p>}
      <div className="grid gap-x-4 sm:grid-cols-2">
        {choices.map((choice) => (
          <label key={choice.value} className="flex min-h-11 cursor-pointer items-center gap-3">
            <input
              type="checkbox"
              className="size-6 accent-green"
              checked={value.includes(choice.value)}
              onChange={(event) =>
                onChange(
                  event.target.checked
                    ? [...value, choice.value]
                    : value.filter((each) => each !== choice.value),
                )
              }
            />
            {choice.words}
          </label>
        ))}
      </div>
      {error && <Fault>{error}</Fault>}
    </fieldset>
  );
}
