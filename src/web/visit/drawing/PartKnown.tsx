/** What is known of one part already: a valve that stands shut, its leaks, its repairs. */
import type { MapPart } from '../../../core/circuit/map';
import { shutValves } from '../../../core/visit/valves';
import { dayWords } from '../../../words/dates';
import { LEAK_STATE_WORDS, leakLine } from '../../../words/leaks';
import { list } from '../../../words/list';
import { useVisit } from '../visitContext';

const SHOWN = 3;

export function PartKnown({ part }: { part: MapPart }) {
  const { leaks, view } = useVisit();
  const { entries } = view.standing.history;
  const shut = shutValves(entries).filter((each) => each.part === part.id);
  const repairs = entries.flatMap(({ day, entry }) =>
    entry.kind === 'leakRepaired' && entry.part === part.id
      ? [{ key: entry.id, words: `repaired ${dayWords(day)}` }]
      : [],
  );
  const told = leaks
    .filter((leak) => leak.part === part.id)
    .map((leak) => ({
      key: leak.id,
      words: list([
        `leak ${leak.label}`.trim(),
        LEAK_STATE_WORDS[leak.state],
        dayWords(leak.since),
        leakLine(leak),
      ]),
    }));
  const past = [...told, ...repairs];
  if (past.length === 0 && shut.length === 0) return null;
  return (
    <ul aria-label="Known of it" className="mb-2 border-l-4 border-line pl-3 text-soft">
      {/* A shut valve is never among what is left out. */}
      {shut.map(({ valve, shutOn, leftShut, leaksBy }) => (
        <li
          key={valve}
        >{`stands shut since ${dayWords(shutOn)}${leaksBy ? ', does not hold' : ''}${leftShut ? `: ${leftShut}` : ''}`}</li>
      ))}
      {past.slice(-SHOWN).map(({ key, words }) => (
        <li key={key}>{words}</li>
      ))}
      {past.length > SHOWN && <li>and {past.length - SHOWN} earlier, in the machine’s logbook</li>}
    </ul>
  );
}
