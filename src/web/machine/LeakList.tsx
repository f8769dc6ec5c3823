/** Leaks of the machine with their state and place; the last of all time. */
import { labelOf } from '../../core/logbook/leakLabels';
import { isOpen } from '../../core/rules/leaks';
import { Section } from '../parts/Page';
import { dayWords } from '../../words/dates';
import { LEAK_STATE_IN_LAW_WORDS } from '../../words/leaks';
import type { MachineView } from '../data/api/machineView';

const SHOWN = 8;

export function LeakList({ view: { standing, names } }: { view: MachineView }) {
  const leaks = [...standing.leaks.byId.values()].toReversed();
  const places = new Map<string, string>();
  for (const { entry } of standing.history.entries) {
    if (entry.kind === 'leakFound')
      places.set(entry.leakId, [entry.component, entry.location].filter(Boolean).join(', '));
  }
  return (
    <Section title="Leaks">
      {leaks.length === 0 && <p className="text-soft">None was ever found here.</p>}
      <ul>
        {leaks.slice(0, SHOWN).map((leak) => (
          <li key={leak.id} className="rule-b py-1.5">
            <span className="font-semibold">
              {labelOf(names.leaks, leak.id)} · {LEAK_STATE_IN_LAW_WORDS[leak.state]}
            </span>
            {leak.verifiedOn !== null && ` ${dayWords(leak.verifiedOn)}`}
            <span className="block text-soft">
              {places.get(leak.id) || 'place not recorded'}, {isOpen(leak) ? 'open since' : 'found'}{' '}
              {dayWords(leak.openedOn)}
            </span>
          </li>
        ))}
      </ul>
      {leaks.length > SHOWN && (
        <p className="pt-1 text-soft">{`And ${String(leaks.length - SHOWN)} older ones, in the logbook.`}</p>
      )}
    </Section>
  );
}
