/** Step 13: a checklist that knows what this visit touched, and what the next person should know. */
import { useState } from 'react';
import { type CheckItem, checklist, touchedParts } from '../../../core/visit/touched';
import { isNotDone } from '../../../core/visit/notes/stated';
import { kindForm } from '../../../record/forms';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { TextField } from '../../parts/Field';
import { Section } from '../../parts/Page';
import { CHECK_WORDS, checkItemWords } from '../../../words/leaks';
import { Fold } from '../../parts/Fold';
import { VisitDrawing, useReadingRound } from '../drawing/VisitDrawing';
import { DisconnectedPanel } from '../panels/DisconnectedPanel';
import { NoteCard } from '../panels/NoteCard';
import { useVisitWrite } from '../useVisitWrite';
import { ValvesPanel } from '../panels/ValvesPanel';
import { MainAction } from '../StepBar';
import { useVisit } from '../visitContext';

export function LeaveRight() {
  const { record, view, map } = useVisit();
  const items = checklist(record.entries, view.standing.history.entries);
  const open = items.filter((item) => item.answer === null).length;
  const round = useReadingRound();
  const touched = touchedParts(record.entries, map);
  const left = items.find((item) => item.answer === null && item.check !== 'valveReopened');
  return (
    <>
      <Section
        title="What you touched"
        aside={<span className="text-soft">{open === 0 ? 'all answered' : `${String(open)} open`}</span>}
      >
        {items.length === 0 && <p className="text-soft">Nothing was touched in this visit yet.</p>}
        <ul>
          {items.map((item) => (
            <Item key={item.id} item={item} />
          ))}
        </ul>
      </Section>
      <ValvesPanel />
      <Fold title="On the drawing" about="what was touched">
        <VisitDrawing
          label="The machine, with what was touched"
          round={round}
          values={false}
          still
          shown={(part) => ({ open: open > 0 && touched.has(part.id) })}
        />
      </Fold>
      {left && <DoneNext key={left.id} item={left} />}
      <DisconnectedPanel />
      <Fold title="Notes to the next person" about="what they cannot know, and would wrongly correct">
        <NoteCard name="notes" spec={kindForm('handover')} save="Save the notes" />
      </Fold>
    </>
  );
}

/** At the thumb: the next of the list. */
function DoneNext({ item }: { item: CheckItem }) {
  const { words, deed, answer } = useAnswer(item);
  return (
    <MainAction>
      <Button weight="main" disabled={deed.writing} onClick={() => void answer('yes')}>
        {words}: done
      </Button>
    </MainAction>
  );
}

function useAnswer(item: CheckItem) {
  const { newEntry } = useVisit();
  const deed = useVisitWrite(`check ${item.id}`);
  const about = item.check === 'putBack' ? checkItemWords(item.id).replace(/:.*/, '') : item.about;
  const words =
    about === null ? CHECK_WORDS[item.check] : `${about}: ${CHECK_WORDS[item.check].toLowerCase()}`;
  const answer = (given: 'yes' | { notDone: string }) =>
    deed.save([newEntry('readings', { tool: 'checklist', item: item.id, answer: given })], `${words}.`);
  return { words, deed, answer };
}

function Item({ item }: { item: CheckItem }) {
  const { words, deed, answer: write } = useAnswer(item);
  const [saying, setSaying] = useState(false);
  const [why, setWhy] = useState('');
  const answer = async (given: 'yes' | { notDone: string }) => {
    if (await write(given)) setSaying(false);
  };
  const done = item.answer === 'yes';
  return (
    <li className="rule-b py-2">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <p>
          <span aria-hidden="true">{done ? '✓ ' : item.answer === null ? '○ ' : '– '}</span>
          <span className={done ? '' : 'font-semibold'}>{words}</span>
          {isNotDone(item.answer) && <span className="text-ochre"> · not done: {item.answer.notDone}</span>}
          {done && <span className="sr-only">, done</span>}
        </p>
        {['valveReopened', 'putBack'].includes(item.check)
          ? item.answer === null && (
              <span className="text-ochre">put it back below, or say that it stays so</span>
            )
          : !done && (
              <div className="no-print flex gap-2">
                <Button
                  disabled={deed.writing}
                  aria-label={`${words}: done`}
                  onClick={() => void answer('yes')}
                >
                  Done
                </Button>
                <Button weight="quiet" aria-label={`${words}: not done`} onClick={() => setSaying(!saying)}>
                  Not done…
                </Button>
              </div>
            )}
      </div>
      <ApiError error={deed.error} />
      {saying && (
        <div className="mt-2 flex flex-wrap items-end gap-2">
          <div className="min-w-52 flex-1">
            <TextField label="Why not" value={why} onChange={(event) => setWhy(event.target.value)} />
          </div>
          <Button
            className="mb-4"
            disabled={deed.writing || why.trim() === ''}
            onClick={() => void answer({ notDone: why.trim() })}
          >
            Save
          </Button>
        </div>
      )}
    </li>
  );
}
