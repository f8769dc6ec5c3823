/** The holds and tests of this visit with what weakens each, in words: a pass is only as good as its conditions. */
import type { DatedEntry } from '../../../core/logbook/order';
import { type Running, weakIn } from '../../../core/visit/evidence';
import { latestReadings } from '../../../core/visit/readings/series';
import { readNumber } from '../../../core/visit/visitRecord';
import { Section } from '../../parts/Page';
import { dayWords } from '../../../words/dates';
import { weakWords } from '../../../words/leaks';
import { sentenceOf } from '../../../record/sentence';
import { useVisit } from '../visitContext';

/** What the two sides run at, as far as this visit read it. */
export function useRunning(): Running {
  const { record, atmosphere } = useVisit();
  const so = latestReadings(record.entries);
  return { low: readNumber(so, 'suction'), high: readNumber(so, 'head'), atmosphere };
}

/** Holds, joint tests, vacuums and legal tests. */
export const isTest = ({ entry }: Pick<DatedEntry, 'entry'>): boolean =>
  entry.kind === 'pressureHold' || entry.kind === 'verificationTest' || entry.kind === 'evacuation';

export function TestsPanel() {
  const { record, view } = useVisit();
  const running = useRunning();
  const tests = record.entries.filter(isTest);
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
