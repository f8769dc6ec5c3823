/** One of several in a form: up to six in sight, each one touch; more in a list with search. A choice shown is a choice made. */
import { Choices } from './Choices';
import { Fault } from './Field';
import { PickField, type PickProps } from './PickField';

const MOST_IN_SIGHT = 6;
/** More stand in two columns on a phone: fewer rows, each as easy to hit. */
const MOST_IN_A_ROW = 4;

export function ChoiceField(props: PickProps) {
  const { label, hint, error, optional, choices, value, onChange } = props;
  if (choices.length > MOST_IN_SIGHT) return <PickField {...props} />;
  return (
    <div data-field="" className="mb-4">
      <p className="mb-1 font-semibold">
        {label}
        {optional && <span className="font-normal text-soft"> (optional)</span>}
      </p>
      <Choices
        label={label}
        choices={choices}
        value={value}
        onChange={onChange}
        className={choices.length > MOST_IN_A_ROW ? 'mb-1 max-sm:grid max-sm:grid-cols-2' : 'mb-1'}
      />
      {error ? <Fault>{error}</Fault> : hint && <p className="mt-1 text-soft">{hint}</p>}
    </div>
  );
}
