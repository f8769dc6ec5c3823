/** One reading of the machine by touch: its values as buttons, and "not read". */
import { READINGS, type Reading } from '../../../core/diagnosis/readings';
import { Choices } from '../../parts/Choices';
import { READING_WORDS, VALUE_WORDS } from '../../../words/diagnosis';

export function ReadingChoice({
  reading,
  value,
  fromNumbers,
  onChange,
}: {
  reading: Reading;
  value: string;
  /** what the gauges and thermometers already say */
  fromNumbers: string | undefined;
  onChange: (value: string) => void;
}) {
  return (
    <div>
      <p className="mb-1 font-semibold">{READING_WORDS[reading]}</p>
      <Choices
        label={READING_WORDS[reading]}
        value={value}
        onChange={onChange}
        choices={[
          {
            value: '',
            words: fromNumbers
              ? `by the gauges: ${VALUE_WORDS[`${reading} ${fromNumbers}`] ?? ''}`
              : 'not read',
          },
          ...Object.keys(READINGS[reading].usual).map((each) => ({
            value: each,
            words: VALUE_WORDS[`${reading} ${each}`] ?? each,
          })),
        ]}
      />
    </div>
  );
}
