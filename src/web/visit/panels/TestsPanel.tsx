/** The holds and tests of this visit with what weakens each, in words: a pass is only as good as its conditions. */
import type { DatedEntry } from '../../../core/logbook/order';
import { toolOf } from '../../../core/visit/notes';
import { type Running, weakIn } from '../../../core/visit/evidence';
import { readNumber } from '../../../core/visit/visitRecord';
import { CONDENSER_SPLIT } from '../../../core/bench/targets';
import { saturationPressure } from '../../../core/refrigerant/saturation';
import { useTable } from '../../data/useTable';
import { Section } from '../../parts/Page';
import { dayWords } from '../../../words/dates';
import { weakWords } from '../../../words/leaks';
import { sentenceOf } from '../../../record/sentence';
import { useReadings } from '../readings/useReadings';
import { useVisit } from '../visitContext';

/** A warm day, K: what the high side must stand. */
const WARMEST_K = 308.15;

/** What the two sides run at: what box and air ask of the low side, a warm day of the high side; never what an empty machine reads. */
export function useRunning(): Running {
  const { view, atmosphere } = useVisit();
  const { latest, figuresFor } = useReadings();
  const table = useTable(view.standing.present.refrigerant.name).data;
  const warm = table && saturationPressure(table, 'bubble', WARMEST_K + CONDENSER_SPLIT.standard);
  const high = readNumber(latest, 'head');
  return {
    low: figuresFor(latest)?.aim?.suction ?? readNumber(latest, 'suction'),
    high: warm?.ok ? Math.max(warm.value, high ?? 0) : high,
    atmosphere,
  };
}

/** Holds, joint tests, vacuums and legal tests. */
export const isTest = ({ entry }: Pick<DatedEntry, 'entry'>): boolean =>
  entry.kind === 'pressureHold' || entry.kind === 'verificationTest' || entry.kind === 'evacuation';

export function TestsPanel() {
  const { record, view } = useVisit();
  const running = useRunning();
  // The readings of a series stand in the test itself.
  const tests = record.entries.filter((each) => isTest(each) && toolOf(each.entry) !== 'holdReading');
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
