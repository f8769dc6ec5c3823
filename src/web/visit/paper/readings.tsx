/** The readings of the visit before and after, and beside the table what it does not show: earlier ones, and those of other rooms. */
import type { Measured } from '../../../core/visit/stated';
import { PHASE_WORDS, readingWords, signWords } from '../../../words/readings';
import { measuredWords, statedWords } from '../../../words/stated';
import { partWordsOf } from '../../../words/names';
import { clockWords } from '../../../words/dates';
import { SeriesTable } from '../readings/SeriesTable';
import { useReadings } from '../readings/useReadings';
import { useVisit } from '../visitContext';
import { Block } from './blocks';

export function ReadingsTold() {
  const { view } = useVisit();
  const { series } = useReadings();
  if (series.length === 0) return null;
  const shown = new Map(
    series.filter((taken) => taken.part === null).map((taken) => [`${taken.name} ${taken.phase}`, taken]),
  );
  const beside = series.filter((taken) => shown.get(`${taken.name} ${taken.phase}`) !== taken);
  return (
    <Block title="Readings before and after">
      <SeriesTable />
      {beside.length > 0 && (
        <ul aria-label="Read besides">
          {beside.map((taken, index) => (
            <li key={`${taken.entryId} ${String(index)}`}>
              <span className="text-soft">
                {[
                  PHASE_WORDS[taken.phase],
                  taken.at && clockWords(taken.at, view.machine.site.timezone),
                  taken.part !== null && partWordsOf(view.names, taken.part),
                ]
                  .filter(Boolean)
                  .join(', ')}
                :
              </span>{' '}
              {readingWords(taken.name)}{' '}
              {taken.sign
                ? statedWords<string>(taken.given, (value) => signWords(taken.name, value))
                : statedWords<Measured>(taken.given, measuredWords)}
            </li>
          ))}
        </ul>
      )}
    </Block>
  );
}
