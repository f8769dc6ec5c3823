/** What a list leaves open: each word, column or kind of row is asked about once, for all rows that hang on it. */
import type { Mapping } from '../../sheets/mapping';
import { Button } from '../parts/Button';
import { SelectField, TextField } from '../parts/Field';
import { Section } from '../parts/Page';
import { type FaultQuestion, type FaultShown, NOTHING, answerOf, answered, headingWords } from './answers';
import { countWords } from '../../words/counts';

type Question = FaultShown & { asked: FaultQuestion };
export const isQuestion = (fault: FaultShown): fault is Question => fault.asked !== undefined;

export function Questions({
  questions,
  draft,
  onDraft,
}: {
  questions: readonly Question[];
  draft: Mapping;
  onDraft: (draft: Mapping) => void;
}) {
  if (questions.length === 0) return null;
  const open = questions.filter(({ asked }) => answerOf(draft, asked) === '').length;
  return (
    <Section title="What this means">
      <p className="mb-2 text-soft">
        Each is asked once, and kept for the next list with these headings.{' '}
        {open > 0 ? `${String(open)} of ${String(questions.length)} to say.` : 'All are said.'}
      </p>
      <ul>
        {questions.map((each, index) => (
          <li key={index} className="rule-b grid gap-x-6 pt-3 sm:grid-cols-2">
            <p className="mb-2 break-words">
              <span className="font-semibold text-brick">
                ▲ {each.sheet && `${each.sheet}, `}
                {each.asked.settles === 'doubles' ? 'Rows that say the same' : headingWords(each.column)}
              </span>
              <span className="block font-semibold">{each.message}</span>
              <span className="text-soft">
                {each.remedy} Row {each.row}
                {(each.rows ?? 1) > 1 && ` and ${countWords((each.rows ?? 1) - 1, 'more', 'more')}`}.
              </span>
            </p>
            <Answer
              asked={each.asked}
              answer={answerOf(draft, each.asked)}
              onAnswer={(answer) => onDraft(answered(draft, each.asked, answer))}
            />
          </li>
        ))}
      </ul>
    </Section>
  );
}

const LABEL: Record<FaultQuestion['settles'], (asked: FaultQuestion) => string> = {
  value: ({ heading, value }) =>
    value === '' ? `${headingWords(heading)}, where it is empty` : `“${value}” means`,
  dates: () => 'Days in this list are written',
  decimal: ({ heading }) => `In “${heading}”`,
  unit: ({ heading }) => `“${heading}” is in`,
  doubles: () => 'Of such rows',
};

const mayBeEmpty = ({ settles, value, choices }: FaultQuestion): boolean =>
  settles === 'value' && value !== '' && choices.every((choice) => choice.value !== '');

function Answer({
  asked,
  answer,
  onAnswer,
}: {
  asked: FaultQuestion;
  answer: string;
  onAnswer: (answer: string) => void;
}) {
  const label = LABEL[asked.settles](asked);
  if (asked.choices.length > 1)
    return (
      <SelectField
        label={label}
        value={answer}
        choices={[
          { value: '', words: 'say what it means' },
          ...asked.choices.map(({ value, words }) => ({ value: value || NOTHING, words })),
          ...(mayBeEmpty(asked) ? [{ value: NOTHING, words: 'nothing: as if the cell were empty' }] : []),
        ]}
        onChange={(event) => onAnswer(event.target.value)}
      />
    );
  const [near] = asked.choices;
  return (
    <div>
      <TextField
        label={label}
        value={answer.trim()}
        placeholder="name it as it stands in the logbook"
        onChange={(event) => onAnswer(event.target.value)}
      />
      {near && answer !== near.value && (
        <p className="-mt-2 mb-4">
          <Button onClick={() => onAnswer(near.value)}>It is “{near.words}”</Button>
        </p>
      )}
    </div>
  );
}
