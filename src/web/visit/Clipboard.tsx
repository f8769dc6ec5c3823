/** Everything recorded so far in this visit, step by step, in the words of the service record that it will become. */
import { useState } from 'react';
import { ClipboardList } from 'lucide-react';
import type { Entry } from '../../core/logbook/entry';
import { STEPS, type Step } from '../../core/visit/steps';
import { stepOf } from '../../record/whereItStands';
import { useWriter } from '../data/device/writer';
import { useCorrecting } from '../data/api/useCorrecting';
import { VoidDialog } from '../forms/VoidDialog';
import { ForWriters } from '../data/api/ForWriters';
import { Button } from '../parts/Button';
import { Dialog } from '../parts/Dialog';
import { dateWords } from '../../words/dates';
import { STEP_WORDS } from '../../words/steps';
import { isCorrectable } from '../../record/forms';
import { entryTitle, sentenceOf } from '../../record/sentence';
import { useVisit } from './visitContext';

/** Entries by step, in the order of the work. */
export function bySteps(entries: readonly { entry: Entry }[]): { step: Step; entries: Entry[] }[] {
  return STEPS.map((step) => ({
    step,
    entries: entries.map(({ entry }) => entry).filter((entry) => stepOf(entry) === step),
  })).filter((each) => each.entries.length > 0);
}

function Lines() {
  const { record, view } = useVisit();
  const { people } = useWriter();
  const [chosen, setChosen] = useState<string | null>(null);
  const [voiding, setVoiding] = useState<Entry | null>(null);
  const correct = useCorrecting(view.machine.appliance.id);
  if (record.entries.length === 0)
    return <p className="py-4 text-soft">Nothing yet. What you record at each step stands here at once.</p>;
  return (
    <>
      {bySteps(record.entries).map(({ step, entries }) => (
        <section key={step} className="rule-b py-2" aria-label={`Recorded: ${STEP_WORDS[step].title}`}>
          <h3 className="font-bold">{STEP_WORDS[step].title}</h3>
          <ul>
            {entries.map((entry) => (
              <li key={entry.id}>
                <button
                  type="button"
                  className="min-h-9 w-full cursor-pointer py-1 text-left text-[0.97rem] leading-snug break-words"
                  aria-expanded={chosen === entry.id}
                  onClick={() => setChosen(chosen === entry.id ? null : entry.id)}
                >
                  <span className="text-soft">{entryTitle(entry)}:</span>{' '}
                  {sentenceOf(entry, view.system, view.names)}
                  {entry.note && <span className="text-soft"> “{entry.note}”</span>}
                </button>
                {chosen === entry.id && (
                  <div className="mb-1">
                    <p className="text-soft">
                      {people.find((person) => person.id === entry.by)?.name ?? entry.by},{' '}
                      {dateWords(entry.on)}
                    </p>
                    <ForWriters>
                      <div className="flex gap-2">
                        {isCorrectable(entry) && (
                          <Button className="px-3" onClick={() => correct(entry)}>
                            Correct
                          </Button>
                        )}
                        <Button className="px-3" onClick={() => setVoiding(entry)}>
                          Void
                        </Button>
                      </div>
                    </ForWriters>
                  </div>
                )}
              </li>
            ))}
          </ul>
        </section>
      ))}
      {voiding && <VoidDialog entry={voiding} view={view} onClose={() => setVoiding(null)} />}
    </>
  );
}

/** On a wide screen, at the right. */
export function Clipboard() {
  return (
    <aside aria-label="Clipboard" className="no-print hidden min-w-0 border-l border-line bg-card xl:block">
      <div className="sticky top-0 max-h-screen overflow-y-auto px-4 py-3">
        <h2 className="rule-b pb-1">Clipboard</h2>
        <Lines />
      </div>
    </aside>
  );
}

/** Where there is no room beside the step: a button that says how much is on it. */
export function ClipboardButton() {
  const { record } = useVisit();
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button className="no-print max-lg:px-3 xl:hidden" onClick={() => setOpen(true)}>
        <ClipboardList aria-hidden="true" size={20} /> <span className="max-lg:sr-only">Clipboard</span>
        <span className="font-normal">{record.entries.length}</span>
      </Button>
      {open && (
        <Dialog title="Clipboard" subtitle="What this visit recorded so far" onClose={() => setOpen(false)}>
          <Lines />
        </Dialog>
      )}
    </>
  );
}
