/** What is known of one part already: its leaks, what was fitted there, a valve that stands shut. */
import type { MapPart } from '../../../core/visit/circuit/map';
import { shutValves } from '../../../core/visit/visitRecord';
import { dayWords } from '../../../words/dates';
import { LEAK_STATE_WORDS, leakLine } from '../../../words/leaks';
import { list } from '../../../words/list';
import { useVisit } from '../visitContext';

const SHOWN = 3;

export function PartKnown({ part }: { part: MapPart }) {
  const { leaks, view } = useVisit();
  const { entries } = view.standing.history;
  const shut = shutValves(entries).filter((each) => each.part === part.id);
  // Parts of a kind stand at their place by its id: words of other places say nothing of this one.
  const fitted = entries.flatMap(({ day, entry }) =>
    entry.kind === 'leakRepaired' && entry.part === part.id ? [`repaired ${dayWords(day)}`] : [],
  );
  const known = [
    ...shut.map(
      ({ shutOn, leftShut }) => `stands shut since ${dayWords(shutOn)}${leftShut ? `: ${leftShut}` : ''}`,
    ),
    ...leaks
      .filter((leak) => leak.part === part.id)
      .map((leak) =>
        list([
          `leak ${leak.label}`.trim(),
          LEAK_STATE_WORDS[leak.state],
          dayWords(leak.since),
          leakLine(leak),
        ]),
      ),
    ...fitted,
  ];
  if (known.length === 0) return null;
  return (
    <ul aria-label="Known of it" className="mb-2 border-l-4 border-line pl-3 text-soft">
      {known.slice(-SHOWN).map((words) => (
        <li key={words}>{words}</li>
      ))}
      {known.length > SHOWN && <li>and {known.length - SHOWN} earlier, in the machine’s logbook</li>}
    </ul>
  );
}
