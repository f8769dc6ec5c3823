/** A block of the service record, and its lines: an entry each, in the words of its record. */
import type { ReactNode } from 'react';
import { weakIn } from '../../../core/visit/evidence';
import type { Entry } from '../../../core/logbook/entry';
import { weakWords } from '../../../words/leaks';
import { entryTitle, sentenceOf } from '../../../record/sentence';
import type { NoteName } from '../../../core/visit/notes';
import type { PaperBlock } from '../../../record/paperBlocks';
import { recordOf } from '../../../record/records';
import { blockOf } from '../../../record/whereItStands';
import { isTest, useRunning } from '../panels/TestsPanel';
import { useVisit } from '../visitContext';
import { NOT_RECORDED } from './notRecorded';

export function Block({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="mb-4 break-inside-avoid">
      <h3 className="rule-b mb-1 font-bold">{title}</h3>
      {children}
    </section>
  );
}

/** `but`: notes that stand on the paper elsewhere. */
export function Lines({
  of,
  but,
  empty = NOT_RECORDED,
}: {
  of: PaperBlock;
  but?: NoteName;
  empty?: string | null;
}) {
  const { record } = useVisit();
  const entries = record.entries
    .map(({ entry }) => entry)
    .filter((entry) => blockOf(entry) === of && (but === undefined || recordOf(entry).note !== but));
  if (entries.length === 0) return empty === null ? null : <p className="text-soft">{empty}</p>;
  return (
    <ul>
      {entries.map((entry) => (
        <Line key={entry.id} entry={entry} />
      ))}
    </ul>
  );
}

/** What was done and how, with its note, and what weakens it where it is a test. */
export function Line({ entry }: { entry: Entry }) {
  const { view } = useVisit();
  const running = useRunning();
  const weak = isTest({ entry }) ? weakWords(weakIn(entry, running)) : null;
  const words = sentenceOf(entry, view.system, view.names);
  return (
    <li className="break-words">
      {words === '' ? (
        entryTitle(entry)
      ) : (
        <>
          <span className="text-soft">{entryTitle(entry)}:</span> {words}
        </>
      )}
      {entry.note && ` “${entry.note}”`}
      {weak && <span className="font-semibold"> {weak.words}</span>}
    </li>
  );
}
