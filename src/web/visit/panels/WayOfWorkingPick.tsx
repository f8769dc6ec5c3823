/** Which way of working this visit uses where good technicians disagree: ours by default, another with its reason. */
import { useState } from 'react';
import {
  type WayOfWorking,
  WAY_QUESTIONS,
  type WayQuestion,
  questionsAt,
  wayUsed,
} from '../../../core/visit/waysOfWorking';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { Choices } from '../../parts/Choices';
import { TextField } from '../../parts/Field';
import { Fold } from '../../parts/Fold';
import { QUESTION_WORDS, WAY_WORDS } from '../../../words/waysOfWorking';
import { useVisitWrite } from '../useVisitWrite';
import { useVisit } from '../visitContext';

export function WaysOfWorking() {
  const { step, record } = useVisit();
  const questions = questionsAt(step);
  if (questions.length === 0) return null;
  return (
    <Fold
      title="Ways of working"
      about={questions.map((question) => WAY_WORDS[wayUsed(record.entries, question).way]).join(' · ')}
    >
      {questions.map((question) => (
        <WayOfWorkingPick key={question} question={question} />
      ))}
    </Fold>
  );
}

function WayOfWorkingPick({ question }: { question: WayQuestion }) {
  const { record, step, newEntry } = useVisit();
  const deed = useVisitWrite(`way ${question}`);
  const used = wayUsed(record.entries, question);
  const waysOfWorking: readonly WayOfWorking[] = WAY_QUESTIONS[question].waysOfWorking;
  const [picked, setPicked] = useState<string | null>(null);
  const [why, setWhy] = useState('');
  const [tried, setTried] = useState(false);
  const { title, reason } = QUESTION_WORDS[question];
  const chosen = picked ?? used.way;
  const needsWhy = chosen !== waysOfWorking[0];
  const keep = async () => {
    setTried(true);
    if (needsWhy && why.trim() === '') return;
    const entry = newEntry('readings', {
      tool: 'school',
      step,
      question,
      school: chosen,
      why: why.trim() || null,
    });
    if (await deed.save([entry], `${title}: ${WAY_WORDS[chosen as WayOfWorking]}.`)) {
      setPicked(null);
      setTried(false);
      setWhy('');
    }
  };
  return (
    <details className="rule-b mb-2">
      <summary className="flex min-h-11 cursor-pointer flex-wrap items-center gap-x-2">
        <span className="text-soft">{title}:</span>
        <span className="font-semibold">{WAY_WORDS[used.way]}</span>
        {used.why && <span className="text-soft">({used.why})</span>}
        <span className="text-green underline underline-offset-4">change</span>
      </summary>
      <p className="mb-2 text-soft">{reason}</p>
      <Choices
        label={title}
        value={chosen}
        onChange={setPicked}
        choices={waysOfWorking.map((value, index) => ({
          value,
          words: `${WAY_WORDS[value]}${index === 0 ? ' (ours)' : ''}`,
        }))}
      />
      {picked !== null && picked !== used.way && (
        <>
          {needsWhy && (
            <TextField
              label="Reason"
              value={why}
              onChange={(event) => setWhy(event.target.value)}
              error={tried && why.trim() === '' ? 'Say why this visit does it otherwise.' : null}
            />
          )}
          <ApiError error={deed.error} />
          <Button className="mb-3" onClick={() => void keep()}>
            Use it in this visit
          </Button>
        </>
      )}
    </details>
  );
}
