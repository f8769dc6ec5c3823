/** The holds and tests of this visit with what weakens each, in words: a pass is only as good as its conditions. */
import { toolOf } from '../../../core/visit/notes/notes';
import { type Running, isTest, weakIn } from '../../../core/visit/leaks/evidence';
import { useTable } from '../../data/api/useTable';
import { Section } from '../../parts/Page';
import { dayWords } from '../../../words/dates';
import { weakWords } from '../../../words/leaks';
import { runningOf } from '../../../record/readFigures';
import { sentenceOf } from '../../../record/sentence';
import { useVisit } from '../visitContext';

export function useRunning(): Running {
  const { view, readings } = useVisit();
  const table = useTable(view.standing.present.refrigerant?.name ?? null).data;
  return runningOf(view, readings.latest, table ?? null);
}

export function TestsPanel() {
  const { record, view } = useVisit();
  const running = useRunning();
  // The readings of a series stand in the test itself.
  const tests = record.entries.filter((each) => isTest(each.entry) && toolOf(each.entry) !== 'holdReading');
  if (tests.length === 0) return null;
  return (
    <Section title="Tested in this visit">
      <ul>
        {tests.map(({ entry, day }) => {
          const weak = weakWords(weakIn(entry, running));
          return (
            <li key={entry.id} className="rule-b py-2">
              <p>
                <span className="font-semibold">{sentenceOf(entry, view.system, view.names)}</span>{' '}
                <span className="text-soft">{dayWords(day)}</span>
              </p>
              {weak && (
                <p className={weak.nothing ? 'font-semibold text-brick' : 'text-ochre'}>
                  {weak.nothing ? '▲' : '◐'} {weak.words}
                </p>
              )}
            </li>
          );
        })}
      </ul>
    </Section>
  );
}
