/** What was written on this device and the logbook is not known to have: by its name, until it is sent or thrown away. */
import { useState, useSyncExternalStore } from 'react';
import { say } from '../data/device/messages';
import { dateWords } from '../../words/dates';
import { ask } from '../data/api/api';
import { type KeptDeed, deedsVersion, settled, waitingDeeds, whenDeedsChange } from '../data/api/deeds';
import { useAppend } from '../data/api/queries';
import { sendDeed } from '../data/api/useWrite';
import { Button } from '../parts/Button';

/** Deeds whose name begins so, as they come and go. */
export function useWaitingDeeds(prefix = ''): KeptDeed[] {
  useSyncExternalStore(whenDeedsChange, deedsVersion);
  return waitingDeeds(prefix);
}

/** Whether the first entry of a deed stands in the logbook after all: its answer may have been lost. */
async function stands({ entries: [entry] }: KeptDeed): Promise<boolean> {
  if (!entry?.applianceId) return false;
  for (let before: number | undefined; ;) {
    const page = await ask('machineEntries', { parts: { id: entry.applianceId }, query: { before } });
    if (page.entries.some(({ id }) => id === entry.id)) return true;
    if (page.before === null) return false;
    before = page.before;
  }
}

export function WaitingList({ deeds }: { deeds: readonly KeptDeed[] }) {
  return (
    <ul>
      {deeds.map((deed) => (
        <Waiting key={deed.key} deed={deed} />
      ))}
    </ul>
  );
}

function Waiting({ deed }: { deed: KeptDeed }) {
  const { mutateAsync } = useAppend();
  const [problem, setProblem] = useState<string | null>(null);
  const words = deed.words.replace(/\.$/, '');
  const day = deed.entries[0]?.on;

  const send = async () => {
    setProblem(null);
    const error = await sendDeed(mutateAsync, deed);
    if (error) setProblem(error.message);
    else say(`Saved: ${words}.`);
  };
  const throwAway = async () => {
    setProblem(null);
    try {
      const there = await stands(deed);
      settled(deed.key);
      if (there) say(`It was saved after all: ${words}. Correct it in the logbook if it is wrong.`);
      else say(`Thrown away: ${words}. It stands nowhere.`);
    } catch {
      setProblem('No answer: whether it was saved cannot be told now. It is kept.');
    }
  };
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1">
      <span className="min-w-0 flex-1 basis-60">
        <span className="font-semibold">{words}</span>
        {day !== undefined && `, ${dateWords(day)}`} ·{' '}
        {deed.refused === null ? 'no answer came' : `refused: ${deed.refused}`}
        {problem && (
          <span role="alert" className="block text-brick">
            {problem}
          </span>
        )}
      </span>
      <Button onClick={() => void send()}>Send again</Button>
      <Button weight="quiet" onClick={() => void throwAway()}>
        Throw away
      </Button>
    </li>
  );
}

/** Above every page, while something waits for an answer. */
export function WaitingStrip() {
  const waiting = useWaitingDeeds().filter(({ refused }) => refused === null);
  if (waiting.length === 0) return null;
  return (
    <section aria-label="Not saved yet" className="no-print border-b-4 border-ochre bg-card px-4 py-2">
      <p className="font-semibold text-ochre">
        ◐ {waiting.length === 1 ? 'This was' : `${String(waiting.length)} things were`} written on this
        device, and the logbook has not answered
      </p>
      <WaitingList deeds={waiting} />
    </section>
  );
}
