/** Step 13: a checklist that knows what this visit touched, and what the next person should know. */
import { useState } from 'react';
import { type CheckItem, checklist } from '../../../core/visit/touched';
import { isNotDone } from '../../../core/visit/stated';
import { kindForm } from '../../../record/forms';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { TextField } from '../../parts/Field';
import { Section } from '../../parts/Page';
import { CHECK_WORDS } from '../../../words/leaks';
import { NoteCard } from '../panels/NoteCard';
import { useVisitWrite } from '../useVisitWrite';
import { ValvesPanel } from '../panels/ValvesPanel';
import { useVisit } from '../visitContext';

export function LeaveRight() {
  const { record, view } = useVisit();
  const items = checklist(record.entries, view.standing.history.entries);
  const open = items.filter((item) => item.answer === null).length;
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
      <Section title="Notes to the next person">
        <NoteCard name="notes" spec={kindForm('handover')} save="Save the notes" />
      </Section>
    </>
  );
}

function Item({ item }: { item: CheckItem }) {
  const { newEntry } = useVisit();
  const deed = useVisitWrite(`check ${item.id}`);
  const [saying, setSaying] = useState(false);
  const [why, setWhy] = useState('');
  const words =
    item.about === null ? CHECK_WORDS[item.check] : `${item.about}: ${CHECK_WORDS[item.check].toLowerCase()}`;
  const answer = async (given: 'yes' | { notDone: string }) => {
    const entry = newEntry('readings', { tool: 'checklist', item: item.id, answer: given });
    if (await deed.save([entry], `${words}.`)) setSaying(false);
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
        {item.check === 'valveReopened'
          ? item.answer === null && (
              <span className="text-ochre">open it below, or say that it stays shut</span>
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
