/** Which school this visit uses where good technicians disagree: ours by default, another with its reason. */
import { useState } from 'react';
import {
  type School,
  SCHOOL_QUESTIONS,
  type SchoolQuestion,
  questionsAt,
  schoolUsed,
} from '../../../core/visit/schools';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { Choices } from '../../parts/Choices';
import { TextField } from '../../parts/Field';
import { Fold } from '../../parts/Fold';
import { QUESTION_WORDS, SCHOOL_WORDS } from '../../../words/schools';
import { useVisitWrite } from '../useVisitWrite';
import { useVisit } from '../visitContext';

export function SchoolPicks() {
  const { step, record } = useVisit();
  const questions = questionsAt(step);
  if (questions.length === 0) return null;
  return (
    <Fold
      title="Ways of working"
      about={questions
        .map((question) => SCHOOL_WORDS[schoolUsed(record.entries, question).school])
        .join(' · ')}
    >
      {questions.map((question) => (
        <SchoolPick key={question} question={question} />
      ))}
    </Fold>
  );
}

function SchoolPick({ question }: { question: SchoolQuestion }) {
  const { record, step, newEntry } = useVisit();
  const deed = useVisitWrite(`way ${question}`);
  const used = schoolUsed(record.entries, question);
  const schools: readonly School[] = SCHOOL_QUESTIONS[question].schools;
  const [picked, setPicked] = useState<string | null>(null);
  const [why, setWhy] = useState('');
  const [tried, setTried] = useState(false);
  const { title, reason } = QUESTION_WORDS[question];
  const chosen = picked ?? used.school;
  const needsWhy = chosen !== schools[0];
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
    if (await deed.save([entry], `${title}: ${SCHOOL_WORDS[chosen as School]}.`)) {
      setPicked(null);
      setTried(false);
      setWhy('');
    }
  };
  return (
    <details className="rule-b mb-2">
      <summary className="flex min-h-11 cursor-pointer flex-wrap items-center gap-x-2">
        <span className="text-soft">{title}:</span>
        <span className="font-semibold">{SCHOOL_WORDS[used.school]}</span>
        {used.why && <span className="text-soft">({used.why})</span>}
        <span className="text-green underline underline-offset-4">change</span>
      </summary>
      <p className="mb-2 text-soft">{reason}</p>
      <Choices
        label={title}
        value={chosen}
        onChange={setPicked}
        choices={schools.map((value, index) => ({
          value,
          words: `${SCHOOL_WORDS[value]}${index === 0 ? ' (ours)' : ''}`,
        }))}
      />
      {picked !== null && picked !== used.school && (
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
